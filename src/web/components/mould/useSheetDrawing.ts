import { computed, ref } from 'vue';
import { placeFeet } from '../../../core/forms/bentSheet/placeFeet.ts';
import type { Fault } from '../../../core/errors.ts';
import type { SheetForm } from '../../../core/target/sheetForm.ts';
import {
  bentEdge,
  droppedPoint,
  edgeCount,
  lineNames,
  movedPoint,
  sheetLine,
  splitEdge,
  withLine,
  withNew,
  type LineName,
} from '../../../core/forms/bentSheet/sheetLines.ts';
import { edgeLength, type Outline } from '../../../core/geometry/outline/outline.ts';
import { usePiece } from '../../stores/piece.ts';
import type { Point } from '../../../core/geometry/point.ts';

/** A point of the line that is drawn on, or the middle of one of its edges. */
export interface Grip {
  readonly kind: 'point' | 'edge';
  readonly index: number;
}

/** Where the sheet is drawn: px to a mm, and the origin (px). */
export interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

const WORDS = { outline: 'Outline', hole: 'Hole', line: 'Line' } as const;

/** The drawing of a sheet: the chosen line, its chosen point or edge, and what can be done to them. */
export function useSheetDrawing() {
  const piece = usePiece();
  const name = ref<LineName>({ kind: 'outline' });
  const grip = ref<Grip>({ kind: 'point', index: 0 });
  const trouble = ref('');
  const form = computed(() => (piece.target.form.kind === 'sheet' ? piece.target.form : null));
  const names = computed(() => (form.value ? lineNames(form.value) : []));
  /** The chosen line, or the outline where the chosen one was removed or undone. */
  const chosen = computed<LineName>(() =>
    form.value && sheetLine(form.value, name.value) ? name.value : { kind: 'outline' },
  );
  const line = computed(() => (form.value ? sheetLine(form.value, chosen.value) : null));
  const wordsOf = (one: LineName) => (one.kind === 'outline' ? WORDS.outline : `${WORDS[one.kind]} ${one.index + 1}`);
  const isChosen = (one: LineName) => wordsOf(one) === wordsOf(chosen.value);
  const edges = computed(() => (line.value && chosen.value.kind !== 'line' ? edgeCount(line.value) : 0));
  /** Length of the edge at the chosen grip (mm). */
  const edge = computed(() => {
    if (!line.value) return null;
    const index = Math.min(grip.value.index, edgeCount(line.value) - 1);
    return { index, length: edgeLength(line.value.vertices, index) };
  });

  function put(next: SheetForm, group: string | null): readonly Fault[] {
    const faults = piece.change({ ...piece.target, form: next }, group);
    const [fault] = faults;
    if (!fault) trouble.value = '';
    else if (fault.path.startsWith('form.feet.at'))
      trouble.value = 'A foot would hang over the edge of the sheet or a hole.';
    else trouble.value = `That cannot be cut: it ${fault.rule}.`;
    return faults;
  }
  function draw(vertices: Outline | null, group: string | null = null): readonly Fault[] {
    return form.value ? put(withLine(form.value, chosen.value, vertices), group) : [];
  }
  const groupOf = ({ kind, index }: Grip) => `draw.${wordsOf(chosen.value)}.${kind}.${index}`;

  function choose(one: LineName): void {
    name.value = one;
    grip.value = { kind: 'point', index: 0 };
    trouble.value = '';
  }
  /** Moves a point, or draws an edge out to a place (mm). */
  function drag(to: Grip, at: Point): readonly Fault[] {
    if (!line.value) return [];
    grip.value = to;
    return draw(
      to.kind === 'point' ? movedPoint(line.value, to.index, at) : bentEdge(line.value, to.index, at),
      groupOf(to),
    );
  }
  /** Where the feet stand, by hand or by the program. */
  const feet = computed(() => {
    const { slab, clay } = piece.target;
    return (
      (form.value &&
        placeFeet(form.value, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage })?.feet) ??
      []
    );
  });
  function moveFoot(index: number, to: Point): readonly Fault[] {
    if (!form.value?.feet) return [];
    const at = feet.value.map((foot, one) => (one === index ? to : foot.at));
    return put({ ...form.value, feet: { ...form.value.feet, at } }, `draw.foot.${index}`);
  }
  function addPoint(): void {
    if (!line.value || !edge.value) return;
    const { index } = edge.value;
    if (draw(splitEdge(line.value, index)).length === 0) grip.value = { kind: 'point', index: index + 1 };
  }
  function dropPoint(): void {
    if (!line.value) return;
    const left = droppedPoint(line.value, grip.value.index);
    if (!left) trouble.value = 'A line needs at least two points.';
    else if (draw(left).length === 0) grip.value = { kind: 'point', index: Math.max(0, grip.value.index - 1) };
  }
  function straighten(): void {
    const { value: now } = line;
    if (!now || !edge.value) return;
    const { index } = edge.value;
    draw(now.vertices.map(([x, y, bulge], at) => [x, y, at === index ? 0 : bulge]));
  }
  function addNew(kind: 'hole' | 'line'): void {
    if (!form.value) return;
    const made = withNew(form.value, kind);
    if (put(made.form, null).length === 0) choose(made.name);
  }
  function takeOff(): void {
    if (chosen.value.kind !== 'outline' && draw(null).length === 0) choose({ kind: 'outline' });
  }

  return {
    form,
    names,
    chosen,
    line,
    edges,
    edge,
    grip,
    feet,
    trouble,
    wordsOf,
    isChosen,
    choose,
    drag,
    moveFoot,
    addPoint,
    dropPoint,
    straighten,
    addNew,
    takeOff,
    end: piece.endGesture,
  };
}

/** What useSheetDrawing returns. */
export type SheetDrawing = ReturnType<typeof useSheetDrawing>;
