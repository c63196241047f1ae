import type { Check } from './check.ts';

/** Wall and base whose thicknesses differ by more than this share of the thicker one dry unevenly (fraction). */
export const THICKNESS_APART = 0.25;

/** Advice when wall and base (wet mm) differ so much that they dry at different speeds; null when they do not. */
export function checkThickness(wall: number, base: number): Check | null {
  if (Math.abs(wall - base) <= THICKNESS_APART * Math.max(wall, base)) return null;
  return {
    code: 'thickness-apart',
    level: 'care',
    title: 'Wall and base will dry unevenly',
    phrase: [
      'The wall is ',
      { mm: wall },
      ' and the base ',
      { mm: base },
      ' thick. Roll them nearer to one thickness, or dry the piece slowly under film.',
    ],
  };
}
