import { firedLength } from '../units/shrinkage.ts';
import { bellyOf } from '../forms/round/belly.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Target } from '../target/target.ts';
import type { Check } from './check.ts';

/** Girth beyond which a joined wall that is pushed out is at risk, and beyond which it is not likely to hold (fractions). */
export const PUSH_LIMITS = { care: 0.12, stop: 0.25 } as const;

/** Advice on pushing out a belly where its girth grows most (geometry: belly); null for a piece without one. */
export function checkBelly(target: Target): Check | null {
  if (target.belly === undefined) return null;
  const code = 'belly';
  if (!kindOf(target).traits.belly) {
    return {
      code,
      level: 'care',
      title: 'No belly on this piece',
      phrase: ['Only a round wall is pushed out to a diameter. The belly is left out.'],
    };
  }
  const shape = bellyOf(target);
  if (!shape) {
    return {
      code,
      level: 'note',
      title: 'No belly to push out',
      phrase: ['The wall is already as wide as that where the belly is: nothing is pushed out.'],
    };
  }
  const { at, stretch, left } = shape.most;
  const figures = [
    'Fired, ',
    { mm: firedLength(at, target.clay.shrinkage) },
    ' over the table, its girth grows by ',
    { percent: 100 * stretch },
    ', and the wall is left ',
    { mm: left },
    ' thick, wet. ',
  ] as const;
  if (stretch <= PUSH_LIMITS.care) {
    return {
      code,
      level: 'note',
      title: 'The belly can be pushed out',
      phrase: [...figures, 'A little at a time, all round.'],
    };
  }
  if (stretch <= PUSH_LIMITS.stop) {
    const todo = 'Rib it from inside with a hand outside, soft, in two goes; the seam opens first.';
    return { code, level: 'care', title: 'The belly is pushed far', phrase: [...figures, todo] };
  }
  return {
    code,
    level: 'stop',
    title: 'Too far to push out',
    phrase: [...figures, 'Build the belly from two tapers instead.'],
  };
}
