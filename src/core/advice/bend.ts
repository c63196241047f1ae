import type { Stiffness } from '../target/target.ts';
import type { Check } from './check.ts';

/**
 * Outer skin strain (fraction) up to which a slab bends without advice, and above which it is likely to split, by how stiff
 * it is. Rules of the bench, not measurements: a test strip of the clay decides.
 */
export const BEND_LIMITS: Readonly<Record<Stiffness, { readonly easy: number; readonly hard: number }>> = {
  soft: { easy: 0.07, hard: 0.16 },
  medium: { easy: 0.05, hard: 0.12 },
  stiff: { easy: 0.025, hard: 0.07 },
};

/** How a slab is bent: thickness and least neutral radius (mm; Infinity for flat panels), neutral fraction from the inner face. */
export interface Bend {
  readonly thickness: number;
  readonly neutralRadius: number;
  readonly neutralFraction: number;
  readonly stiffness: Stiffness;
}

function sharpCorner({ thickness, neutralFraction }: Bend): Check {
  return {
    code: 'sharp-corner',
    level: 'care',
    title: 'A corner is too sharp to bend',
    phrase: [
      'The neutral surface lies ',
      { mm: (1 - neutralFraction) * thickness },
      ' inside the outer face, and the outline turns on less. Cut a groove inside the corner, or give it a larger radius.',
    ],
  };
}

/** Advice on bending: the outer skin stretches by `(1 - k) t / Rn` (geometry: neutral surface). */
export function checkBend(bend: Bend): Check | null {
  if (bend.neutralRadius === Infinity) return null;
  if (bend.neutralRadius <= 0) return sharpCorner(bend);
  const strain = ((1 - bend.neutralFraction) * bend.thickness) / bend.neutralRadius;
  const { easy, hard } = BEND_LIMITS[bend.stiffness];
  const reason = ['The outer skin stretches by ', { percent: 100 * strain }, ' when it is wrapped. '] as const;
  const check = { code: 'bend', phrase: reason };
  if (strain <= easy) {
    return { ...check, level: 'note', title: 'Bends easily', phrase: [...reason, 'Soft or firm, it will follow.'] };
  }
  if (strain <= hard) {
    return {
      ...check,
      level: 'care',
      title: bend.stiffness === 'stiff' ? 'Bends only if you hurry' : 'Bends only while it is soft',
      phrase: [...reason, 'Wrap it while it still drapes over a finger, and watch the outside for splits.'],
    };
  }
  return {
    ...check,
    level: 'stop',
    title: 'Bends too tight',
    phrase: [...reason, 'It is likely to split: use it softer, roll a thinner slab or make the piece wider.'],
  };
}
