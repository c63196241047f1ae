import type { Stiffness } from '../piece/target.ts';
import type { Check } from './check.ts';

/** A wet wall higher than this many times its thickness leans or sinks before it holds itself. A rule of the bench. */
export const TALL_WALL: Readonly<Record<Stiffness, number>> = { soft: 20, medium: 28, stiff: 40 };

/** Advice when a wet wall of a height and thickness (mm) is too tall to hold itself up. */
export function checkTallWall(height: number, thickness: number, stiffness: Stiffness): Check | null {
  const times = height / thickness;
  if (times <= TALL_WALL[stiffness]) return null;
  return {
    code: 'tall-wall',
    level: 'care',
    title: 'Tall for its thickness',
    phrase: [
      `The wet wall stands ${times.toFixed(0)} times as high as it is thick: `,
      { mm: height },
      ' on ',
      { mm: thickness },
      '. Let it stiffen before it stands, hold it in a paper sleeve, or roll it thicker.',
    ],
  };
}

/** Advice when a flat arc, with what its seam adds, closes on itself: degrees of one piece of the wall. */
export function checkSweep(sweep: number, panels: number): Check | null {
  if (sweep <= 360) return null;
  return {
    code: 'sweep-over',
    level: 'stop',
    title: 'The flat wall runs into itself',
    phrase: ['It sweeps ', { degrees: sweep }, `. Cut the wall in ${panels + 1} pieces or more.`],
  };
}

/** Girth beyond which a joined wall that is pushed out is at risk, and beyond which it is not likely to hold (fractions). */
export const PUSH_LIMITS = { care: 0.12, stop: 0.25 } as const;

/** A belly to be pushed out after joining: neutral diameters before and after, and the wall's thickness, wet mm. */
export interface Belly {
  readonly from: number;
  readonly to: number;
  readonly thickness: number;
}

/** Advice on pushing out a belly: the girth grows, and the wall gets thinner by as much, its height being kept. */
export function checkBelly({ from, to, thickness }: Belly): Check {
  const stretch = to / from - 1;
  const figures = [
    'The girth grows by ',
    { percent: 100 * stretch },
    ' to ',
    { mm: Math.PI * to },
    ', and the wall is left ',
    { mm: thickness / (1 + Math.max(0, stretch)) },
    ' thick. ',
  ] as const;
  const check = { code: 'belly', phrase: figures };
  if (stretch <= 0) {
    const phrase = ['The piece is already ', { mm: from }, ' wide in the middle of its wall: nothing is pushed out.'] as const; // prettier-ignore
    return { ...check, level: 'note', title: 'No belly to push out', phrase };
  }
  if (stretch <= PUSH_LIMITS.care) {
    return { ...check, level: 'note', title: 'The belly can be pushed out', phrase: [...figures, 'A little at a time, all round.'] }; // prettier-ignore
  }
  if (stretch <= PUSH_LIMITS.stop) {
    return {
      ...check,
      level: 'care',
      title: 'The belly is pushed far',
      phrase: [...figures, 'Rib it from inside with a hand outside, soft, in two goes; the seam opens first.'],
    };
  }
  return {
    ...check,
    level: 'stop',
    title: 'Too far to push out',
    phrase: [...figures, 'Build the belly from two tapers instead.'],
  };
}
