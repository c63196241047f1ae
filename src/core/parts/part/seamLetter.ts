import type { Outline } from '../../geometry/outline/outline.ts';
import type { Mark } from './part.ts';

/** How far the seam's letter stands from its end (mm), at most this share of the way to the middle. */
const LETTER_INSET = 13;
const LETTER_SHARE = 0.3;

/** A seam's letter three quarters up one end of a wall, a little way in towards its middle. `end` names the end's vertices. */
export function seamLetter(
  outline: Outline,
  {
    end,
    middle,
    text,
  }: {
    readonly end: { readonly rim: number; readonly foot: number };
    readonly middle: readonly [number, number];
    readonly text: string;
  },
): Mark {
  const along = (axis: 0 | 1) => 0.75 * (outline[end.rim]?.[axis] ?? 0) + 0.25 * (outline[end.foot]?.[axis] ?? 0);
  const [x, y] = [along(0), along(1)];
  const f = Math.min(LETTER_SHARE, LETTER_INSET / Math.hypot(middle[0] - x, middle[1] - y));
  return { kind: 'letter', at: [x + f * (middle[0] - x), y + f * (middle[1] - y)], text };
}
