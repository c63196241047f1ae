import type { Check } from './check.ts';

/** A hand on edge is about this share of its width (fraction): it passes an oval mouth turned. */
export const HAND_EDGE = 0.45;

/** A mouth narrower than this is nearly closed by the wall's thickness (mm): no finger passes. */
export const FINGER = 22;

/**
 * Whether a hand reaches the inside of the seam through the wet opening.
 * @param mouth across the inside both ways where it is narrowest, wet mm
 * @param hand width of the hand over the knuckles, mm
 */
export function checkReach(mouth: readonly [number, number], hand: number): Check {
  const [wide, narrow] = [Math.max(...mouth), Math.min(...mouth)];
  if (narrow < FINGER) {
    return {
      code: 'opening-closed',
      level: 'care',
      title: 'The opening is nearly closed',
      phrase: [
        'The walls leave ',
        { mm: narrow },
        ' between them, and no finger passes. Smooth the inside before it is closed, or roll a thinner slab.',
      ],
    };
  }
  if (wide >= hand && narrow >= HAND_EDGE * hand) {
    return {
      code: 'hand',
      level: 'note',
      title: 'Hand fits',
      phrase: [{ mm: wide }, ' wet opening, your hand needs ', { mm: hand }, '.'],
    };
  }
  return {
    code: 'hand',
    level: 'care',
    title: 'A hand does not fit in',
    phrase: [
      'The opening is ',
      { mm: wide < hand ? wide : narrow },
      ' wet, your hand needs ',
      { mm: wide < hand ? hand : HAND_EDGE * hand },
      '. Smooth the inside of the seam before the base goes on, or use a stick.',
    ],
  };
}
