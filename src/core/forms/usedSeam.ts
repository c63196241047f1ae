import type { Seam } from '../target/seam.ts';
import type { Target } from '../target/target.ts';
import { kindOf } from './kinds.ts';

/** The seam that the parts of a piece are joined with: the target's, or a butt where its form leaves that one out. */
export function usedSeam(target: Target): Seam {
  const { form, seam } = target;
  const own = kindOf(target).seams?.(form);
  return !own || own.kinds.includes(seam.kind) ? seam : { kind: 'butt', panels: 1 };
}
