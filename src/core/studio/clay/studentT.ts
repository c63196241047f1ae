import { root } from '../../numbers.ts';

/**
 * Share of Student's t within plus or minus `t`, by the finite series for whole degrees of freedom (Abramowitz and Stegun
 * 26.7.3 and 26.7.4).
 */
export function withinT(t: number, freedom: number): number {
  const angle = Math.atan(t / Math.sqrt(freedom));
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const odd = freedom % 2 === 1;
  let term = odd ? cos : 1;
  let sum = freedom === 1 ? 0 : term;
  for (let step = odd ? 3 : 2; step <= freedom - 2; step += 2) {
    term *= ((step - 1) / step) * cos * cos;
    sum += term;
  }
  return odd ? (2 / Math.PI) * (angle + sin * sum) : sin * sum;
}

/** Upper bound of t in the search: one degree of freedom at 99.99 % is 6366. */
const MOST = 1e5;

/**
 * The t that a share of the distribution lies within, plus or minus: for 0.95 and 9 degrees of freedom 2.262.
 *
 * @param freedom whole degrees of freedom, 1 or more
 * @throws RangeError when there are none, or the share is not between 0 and 1
 */
export function studentT(share: number, freedom: number): number {
  if (!Number.isInteger(freedom) || freedom < 1) throw new RangeError('needs one degree of freedom or more');
  if (!(share > 0 && share < 1)) throw new RangeError('a share lies between 0 and 1');
  return root((t) => withinT(t, freedom) - share, 0, MOST) ?? MOST;
}
