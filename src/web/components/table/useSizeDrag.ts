import { computed } from 'vue';
import { firedLength } from '../../../core/clay/shrinkage.ts';
import type { Fault } from '../../../core/errors.ts';
import { formSizes, type FormSize } from '../../../core/piece/formSizes.ts';
import { usePiece } from '../../stores/piece.ts';

/** A size that can be dragged on the elevation: where its handle sits on the fired outline (mm), and which way it goes. */
export interface DraggedSize {
  readonly size: FormSize;
  readonly axis: 'across' | 'up';
  /** Height of the handle above the table and its distance from the middle, as shares of the fired piece. */
  readonly at: { readonly height: number; readonly reach: 'middle' | 'right' };
}

/** A drag moves in steps of this many mm. */
const DRAG_STEP = 0.5;

/** Sizes with a handle, by their key: heights of the handles in the size that the form is given in. */
function handleOf(size: FormSize, height: number, profile: readonly (readonly [number, number])[]): DraggedSize | null {
  const across = (at: number): DraggedSize => ({ size, axis: 'across', at: { height: at, reach: 'right' } });
  const point = /^profile\.(\d+)\.([01])$/.exec(size.key);
  if (point) {
    const at = profile[Number(point[1])]?.[0] ?? 0;
    if (point[2] === '1') return across(at / height);
    return { size, axis: 'up', at: { height: at / height, reach: 'middle' } };
  }
  switch (size.key) {
    case 'height':
      return { size, axis: 'up', at: { height: 1, reach: 'middle' } };
    case 'diameter':
      return across(0.5);
    case 'rim':
    case 'length':
    case 'rim.diameter':
    case 'rim.length':
    case 'rim.acrossFlats':
      return across(1);
    case 'foot':
    case 'foot.diameter':
    case 'foot.length':
    case 'foot.acrossFlats':
      return across(0);
    default:
      return null;
  }
}

/** Changes the sizes of the piece by typing, by arrow keys or by dragging handles; one drag is one step of undo. */
export function useSizeDrag() {
  const piece = usePiece();
  let from = 0;

  const handles = computed(() => {
    const { form } = piece.target;
    const profile = form.kind === 'stack' ? form.profile : [];
    const height = form.kind === 'stack' ? (profile.at(-1)?.[0] ?? 1) : form.height;
    return formSizes(form)
      .map((size) => handleOf(size, height, profile))
      .filter((handle) => handle !== null);
  });

  /** The size as it is now: a handle may outlive the figure that it was made from. */
  const now = (key: string) => formSizes(piece.target.form).find((size) => size.key === key);

  function take(key: string, value: number): readonly Fault[] {
    const size = now(key);
    return size ? piece.change({ ...piece.target, form: size.put(value) }, `form.${key}`) : [];
  }

  function start(key: string): void {
    from = now(key)?.value ?? 0;
  }

  /** The handle follows the fired outline: sizes that are meant wet move by the wet length. */
  function dragTo({ size, axis }: DraggedSize, px: number, scale: number): void {
    const { form, size: meant, clay } = piece.target;
    const wet = form.kind === 'former' || meant.state === 'wet';
    const length = wet ? px / scale / firedLength(1, clay.shrinkage) : px / scale;
    const mm = from + length * (axis === 'across' ? 2 : 1);
    take(size.key, Math.round(mm / DRAG_STEP) * DRAG_STEP);
  }

  const step = (key: string, mm: number) => take(key, (now(key)?.value ?? 0) + mm);

  return { handles, take, start, dragTo, step };
}
