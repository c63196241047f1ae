import { computed, reactive, ref, watch } from 'vue';
import { newTarget, type BaseJoin, type Target } from '../../../core/target/target.ts';
import { bowlFromRound, type RoundAndBowl } from '../../../core/studio/reverse/bowl.ts';
import { pieceFromArc, readRuledArc, type LongArc } from '../../../core/studio/reverse/arcTemplate.ts';
import { pieceForCutter } from '../../../core/studio/reverse/cutter.ts';
import type { InHand } from '../../../core/target/inHand.ts';
import { impossible, made, type Reversed } from '../../../core/studio/reverse/reversed.ts';
import { pieceFromMass, type ClayAtHand } from '../../../core/studio/reverse/mass.ts';
import { pieceFromSheet } from '../../../core/studio/reverse/sheet.ts';
import { slideArc } from '../../../core/studio/reverse/slideArc.ts';
import type { ArcTemplate } from '../../../core/target/arcTemplate.ts';
import type { TracingStep } from '../../../core/parts/part/tracing.ts';
import { DEFAULT_OVERLAP, type Seam, type SeamKind } from '../../../core/target/seam.ts';
import { memory } from '../../memory.ts';
import { baseOfJoin, seamOfKind } from '../piece/ways.ts';

/** What a potter may own that sets the size of a piece. */
export type OwnedKind = 'arc' | 'sheet' | 'cutter' | 'former' | 'round' | 'mass';

/** How an arc template is measured. */
export type ArcWay = 'radii' | 'ruler';

/** Paper sizes to begin with (mm), the long side round. */
export const SHEETS = [
  { name: 'A4', around: 297, up: 210 },
  { name: 'A3', around: 420, up: 297 },
  { name: 'Letter', around: 279.4, up: 215.9 },
] as const;

const KEY = 'fawn-owned';

function readKept(): Record<string, unknown> {
  try {
    return (JSON.parse(memory.read(KEY) ?? '{}') ?? {}) as Record<string, unknown>;
  } catch {
    return {};
  }
}

/** Puts what was measured elsewhere on the page, which is opened next. */
export function giveOwned(given: { readonly kind: OwnedKind } & Readonly<Record<string, unknown>>): void {
  const before = readKept();
  const parts = Object.entries(given).map(([key, value]) => [
    key,
    typeof value === 'object' ? { ...(before[key] as object | undefined), ...value } : value,
  ]);
  memory.write(KEY, JSON.stringify({ ...before, ...Object.fromEntries(parts) }));
}

/** Of the stored values, those that still have the right type. */
function likeBefore(now: object, kept: unknown): object {
  if (typeof kept !== 'object' || kept === null) return {};
  return Object.fromEntries(
    Object.entries(kept).filter(([key, value]) => {
      const before = (now as Record<string, unknown>)[key];
      return key in now && (before === undefined || typeof value === typeof before);
    }),
  );
}

function overlapping(kind: SeamKind, overlap: number): Seam {
  const seam = seamOfKind(kind, 1);
  return 'overlap' in seam ? { ...seam, overlap } : seam;
}

/** Everything on the page that turns an owned thing into a piece, and the piece. Lengths mm, sweep in degrees. */
export function useOwned() {
  const kind = ref<OwnedKind>('arc');
  const way = ref<ArcWay>('radii');
  const long = ref<LongArc>('rim');
  const arc = reactive({ inner: 180, outer: 280, sweep: 70 });
  const ruled = reactive({ chord: 320, rise: 50, length: 100 });
  const slideTo = ref<number | undefined>(undefined);
  const sheet = reactive({ around: 297, up: 210, layersAround: 1, layersUp: 2 });
  const cutter = reactive({ diameter: 80, height: 90 });
  const former = reactive({ diameter: 76, sleeve: 0.5, height: 110 });
  const round = reactive<RoundAndBowl>({ circle: 280, bowl: 190, measured: 'mould', side: 'slump' });
  const clay = reactive<ClayAtHand>({ mass: 500, tall: 1.2 });
  const name = ref('');
  const making = reactive({
    shrinkage: newTarget('').clay.shrinkage,
    wall: newTarget('').slab.wall,
    seam: 'bevel' as SeamKind,
    base: 'under' as BaseJoin,
    /** As thick as the wall while it is left out. */
    floor: undefined as number | undefined,
    overlap: DEFAULT_OVERLAP,
  });

  const names: Record<OwnedKind, string> = {
    arc: 'From my arc template',
    sheet: 'From a sheet of paper',
    cutter: 'For my cutter',
    former: 'On my former',
    round: 'From my round of clay',
    mass: 'From the clay at hand',
  };
  const reading = computed(() =>
    way.value === 'radii' ? ({ kind: 'template', template: { ...arc } } as const) : readRuledArc(ruled),
  );
  const template = computed((): ArcTemplate | null =>
    reading.value.kind === 'template' ? reading.value.template : null,
  );
  const plain = computed((): Target => {
    const target = newTarget(name.value.trim() || names[kind.value]);
    const traced = kind.value === 'arc' && template.value;
    return {
      ...target,
      ...(traced && { owned: traced }),
      clay: { ...target.clay, shrinkage: making.shrinkage },
      slab: { ...target.slab, wall: making.wall, base: making.floor ?? making.wall },
      seam: overlapping(making.seam, making.overlap),
      base: baseOfJoin(making.base, 0),
    };
  });
  const slid = computed(() => {
    if (kind.value !== 'arc' || slideTo.value === undefined || !template.value) return null;
    return slideArc(template.value, slideTo.value, { long: long.value, making: plain.value });
  });
  const bowl = computed(() => (kind.value === 'round' ? bowlFromRound({ ...round }, plain.value) : null));
  const tracings = computed((): readonly TracingStep[] => (slid.value?.kind === 'slid' ? slid.value.tracings : []));

  function fromArc(): Reversed {
    if (reading.value.kind === 'impossible') return impossible(reading.value.rule);
    if (slid.value) return slid.value.kind === 'slid' ? { kind: 'made', target: slid.value.target } : slid.value;
    return pieceFromArc(reading.value.template, long.value, plain.value);
  }
  function fromCutter(): Reversed {
    const wide: Target = {
      ...plain.value,
      form: { kind: 'cylinder', diameter: cutter.diameter, height: cutter.height },
    };
    return pieceForCutter(wide, cutter.diameter);
  }
  function turned(): Reversed {
    switch (kind.value) {
      case 'arc':
        return fromArc();
      case 'sheet':
        return pieceFromSheet(sheet, plain.value);
      case 'cutter':
        return fromCutter();
      case 'round':
        return bowl.value ?? impossible('there is no round');
      case 'mass':
        return pieceFromMass({ ...clay }, plain.value);
      case 'former':
        return made(plain.value, { kind: 'former', ...former });
    }
  }
  /** What the piece is bound to from now on: a slid template has made a different piece from its own. */
  function heldInHand(): InHand | null {
    if (kind.value === 'sheet')
      return { kind: 'sheet', around: sheet.around / sheet.layersAround, up: sheet.up / sheet.layersUp };
    if (kind.value === 'arc' && !slid.value) return { kind: 'arc' };
    return kind.value === 'cutter' ? { kind: 'cutter', across: cutter.diameter } : null;
  }
  const reversed = computed((): Reversed => {
    const found = turned();
    const inHand = heldInHand();
    return found.kind === 'made' && inHand ? { kind: 'made', target: { ...found.target, inHand } } : found;
  });

  // Typed values survive Back and a reload.
  const parts = { arc, ruled, sheet, cutter, former, round, clay, making };
  const choices = { kind, way, long, slideTo, name };
  const kept = readKept();
  for (const [key, part] of Object.entries(parts)) Object.assign(part, likeBefore(part, kept[key]));
  for (const [key, choice] of Object.entries(choices)) {
    const value = kept[key];
    if (typeof value === typeof choice.value || (key === 'slideTo' && typeof value === 'number'))
      choice.value = value as never;
  }
  watch([...Object.values(parts), ...Object.values(choices)], () => {
    const now = Object.fromEntries(Object.entries(choices).map(([key, choice]) => [key, choice.value]));
    memory.write(KEY, JSON.stringify({ ...parts, ...now }));
  });

  return {
    kind,
    way,
    long,
    arc,
    ruled,
    slideTo,
    sheet,
    cutter,
    former,
    round,
    clay,
    bowl,
    name,
    making,
    template,
    slid,
    tracings,
    reversed,
  };
}

/** What useOwned returns. */
export type Owned = ReturnType<typeof useOwned>;
