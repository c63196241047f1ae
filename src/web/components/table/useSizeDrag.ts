import { firedLength } from '../../../core/units/shrinkage.ts';
import type { Fault } from '../../../core/errors.ts';
import { additionSizes } from '../../../core/forms/additionSizes.ts';
import { formSizes } from '../../../core/forms/formSizes.ts';
import type { Target } from '../../../core/target/target.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { usePiece } from '../../stores/piece.ts';
import type { DraggedSize } from './draggedSizes.ts';

/** A size of the form or of its handle, and the design with it changed. */
interface Dragged {
  readonly key: string;
  readonly value: number;
  readonly put: (value: number) => Target;
}

function sizesOf(target: Target): Dragged[] {
  const form = formSizes(target.form).map(({ key, value, put }): Dragged => ({
    key,
    value,
    put: (next) => ({ ...target, form: put(next) }),
  }));
  return [...form, ...additionSizes(target, 'handle')];
}

/** Changes the sizes of the piece by typing, by arrow keys or by dragging handles; one drag is one step of undo. */
export function useSizeDrag() {
  const piece = usePiece();
  const lengths = useLengths();
  let from = 0;

  /** The size as it is now: a handle may outlive the figure that it was made from. */
  const now = (key: string) => sizesOf(piece.target).find((size) => size.key === key);

  function take(key: string, value: number): readonly Fault[] {
    const size = now(key);
    return size ? piece.change(size.put(value), `size.${key}`) : [];
  }

  function start(key: string): void {
    from = now(key)?.value ?? 0;
  }

  /** The handle follows the fired outline: sizes that are meant wet move by the wet length. */
  function dragTo({ size, factor, fired }: DraggedSize, px: number, scale: number): void {
    const { form, size: meant, clay } = piece.target;
    const wet = !fired && (['former', 'mould', 'mesh'].includes(form.kind) || meant.state === 'wet');
    const length = wet ? px / scale / firedLength(1, clay.shrinkage) : px / scale;
    const mm = from + length * factor;
    const { drag } = lengths.steps.value;
    take(size.key, Math.round(mm / drag) * drag);
  }

  const step = (key: string, mm: number) => take(key, (now(key)?.value ?? 0) + mm);

  return { take, start, dragTo, step };
}
