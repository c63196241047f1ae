import { computed, reactive, ref } from 'vue';
import { newTarget, type BaseJoin, type Target } from '../../../core/piece/target.ts';
import { bowlFromRound, type RoundAndBowl } from '../../../core/reverse/bowl.ts';
import { pieceFromArc, readRuledArc, type LongArc } from '../../../core/reverse/arcTemplate.ts';
import { pieceForCutter } from '../../../core/reverse/cutter.ts';
import { impossible, made, type Reversed } from '../../../core/reverse/reversed.ts';
import { pieceFromSheet } from '../../../core/reverse/sheet.ts';
import { slideArc } from '../../../core/reverse/slideArc.ts';
import type { ArcTemplate, TracingStep } from '../../../core/reverse/tracing.ts';
import type { SeamKind } from '../../../core/seam/seam.ts';
import { baseOfJoin, seamOfKind } from '../piece/ways.ts';

/** What a potter may own that sets the size of a piece. */
export type OwnedKind = 'arc' | 'sheet' | 'cutter' | 'former' | 'round';

/** How an arc template is measured. */
export type ArcWay = 'radii' | 'ruler';

/** Paper sizes to begin with (mm), the long side round. */
export const SHEETS = [
  { name: 'A4', around: 297, up: 210 },
  { name: 'A3', around: 420, up: 297 },
  { name: 'Letter', around: 279.4, up: 215.9 },
] as const;

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
  const name = ref('');
  const making = reactive({
    shrinkage: newTarget('').clay.shrinkage,
    wall: newTarget('').slab.wall,
    seam: 'bevel' as SeamKind,
    base: 'under' as BaseJoin,
  });

  const names: Record<OwnedKind, string> = {
    arc: 'From my arc template',
    sheet: 'From a sheet of paper',
    cutter: 'For my cutter',
    former: 'On my former',
    round: 'From my round of clay',
  };
  const reading = computed(() => (way.value === 'radii' ? ({ kind: 'template', template: { ...arc } } as const) : readRuledArc(ruled))); // prettier-ignore
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
      slab: { ...target.slab, wall: making.wall, base: making.wall },
      seam: seamOfKind(making.seam, 1),
      base: baseOfJoin(making.base, 0),
    };
  });
  const slid = computed(() => {
    if (kind.value !== 'arc' || slideTo.value === undefined || !template.value) return null;
    return slideArc(template.value, slideTo.value, long.value, plain.value);
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
      case 'former':
        return made(plain.value, { kind: 'former', ...former });
    }
  }
  const reversed = computed(turned);
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
    bowl,
    name,
    making,
    template,
    slid,
    tracings,
    reversed,
  };
}

export type Owned = ReturnType<typeof useOwned>;
