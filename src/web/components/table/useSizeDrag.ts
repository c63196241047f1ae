import { firedLength } from '../../../core/clay/shrinkage.ts';
import type { Fault } from '../../../core/errors.ts';
import { usePiece } from '../../stores/piece.ts';

/** The sizes that can be dragged on the elevation. */
export type SizeKey = 'diameter' | 'height';

/** A drag moves in steps of this many mm. */
const DRAG_STEP = 0.5;

/** Changes a size of the piece by typing, by arrow keys or by dragging its handle; one drag is one step of undo. */
export function useSizeDrag() {
  const piece = usePiece();
  let from = 0;

  const take =
    (key: SizeKey) =>
    (mm: number): readonly Fault[] =>
      piece.change({ ...piece.target, form: { ...piece.target.form, [key]: mm } }, `form.${key}`);

  function start(key: SizeKey): void {
    from = piece.target.form[key];
  }

  /** The handle follows the fired outline: sizes that are meant wet move by the wet length. */
  function dragTo(key: SizeKey, px: number, scale: number): void {
    const { size, clay } = piece.target;
    const drawn = px / scale;
    const length = size.state === 'fired' ? drawn : drawn / firedLength(1, clay.shrinkage);
    const mm = from + length * (key === 'diameter' ? 2 : 1);
    take(key)(Math.round(mm / DRAG_STEP) * DRAG_STEP);
  }

  const step = (key: SizeKey, mm: number) => take(key)(piece.target.form[key] + mm);

  return { take, start, dragTo, step };
}
