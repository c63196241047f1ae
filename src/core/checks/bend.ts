import type { Check } from './check.ts';

/** Outer skin strain up to which soft clay bends without splitting: no advice is given below it (fraction). */
export const EASY_BEND = 0.05;

/** Outer skin strain above which most plastic clay splits (fraction). */
export const HARD_BEND = 0.12;

const SHARP: Check = {
  code: 'sharp-corner',
  level: 'care',
  title: 'A corner is too sharp to bend',
  phrase: [
    'The outline turns more sharply than the slab can bend. Cut a groove inside the corner, or give it a radius.',
  ],
};

/**
 * Advice on bending: the outer skin stretches by `(1 - k) t / Rn` (geometry: neutral surface).
 *
 * @param bend thickness and least neutral radius in mm (Infinity for flat panels, 0 for a sharp corner), neutral fraction
 *   from the inner face
 */
export function checkBend(bend: { thickness: number; neutralRadius: number; neutralFraction: number }): Check | null {
  if (bend.neutralRadius === Infinity) return null;
  if (bend.neutralRadius <= 0) return SHARP;
  const strain = ((1 - bend.neutralFraction) * bend.thickness) / bend.neutralRadius;
  const reason = ['The outer skin stretches by ', { percent: 100 * strain }, ' when it is wrapped. '] as const;
  if (strain <= EASY_BEND) {
    return { code: 'bend', level: 'note', title: 'Bends easily', phrase: [...reason, 'Soft or firm, it will follow.'] };
  }
  if (strain <= HARD_BEND) {
    return {
      code: 'bend',
      level: 'care',
      title: 'Bends at the edge of soft',
      phrase: [...reason, 'Wrap it while it still drapes over a finger, and watch the outside for splits.'],
    };
  }
  return {
    code: 'bend',
    level: 'stop',
    title: 'Bends too tight',
    phrase: [...reason, 'It is likely to split: roll a thinner slab or make the piece wider.'],
  };
}
