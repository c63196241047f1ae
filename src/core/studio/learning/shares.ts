import { root, ROUNDING, TINY } from '../../numbers.ts';

/** How many of how many, and between which shares the true one lies (95 %). */
export interface Share {
  readonly count: number;
  readonly of: number;
  readonly low: number;
  readonly high: number;
}

/** Tail on each side of a 95 % interval. */
const TAIL = 0.025;

/** ln n! */
function logFactorial(n: number): number {
  let sum = 0;
  for (let factor = 2; factor <= n; factor += 1) sum += Math.log(factor);
  return sum;
}
const logChoose = (n: number, k: number) => logFactorial(n) - logFactorial(k) - logFactorial(n - k);

/** Chance of at most `count` of `of` where each has a chance of its own. */
function atMost(count: number, of: number, chance: number): number {
  let sum = 0;
  for (let k = 0; k <= count; k += 1) {
    const one = k === 0 ? 0 : k * Math.log(chance);
    const other = k === of ? 0 : (of - k) * Math.log1p(-chance);
    sum += Math.exp(logChoose(of, k) + one + other);
  }
  return sum;
}

/** A share with the exact 95 % interval of Clopper and Pearson (Biometrika 26, 1934, 404-413). Of none: from 0 to 1. */
export function shareOf(count: number, of: number): Share {
  if (of === 0) return { count, of, low: 0, high: 1 };
  const [least, most] = [TINY, 1 - TINY];
  const low = count === 0 ? 0 : (root((chance) => 1 - atMost(count - 1, of, chance) - TAIL, least, most) ?? 0);
  const high = count === of ? 1 : (root((chance) => atMost(count, of, chance) - TAIL, least, most) ?? 1);
  return { count, of, low, high };
}

/**
 * Chance that two shares differ by as much as these or more where both have the same true one: Fisher's exact test, both
 * sides, by the tables that are no likelier than the one at hand.
 */
export function chanceOfDifference(one: Pick<Share, 'count' | 'of'>, other: Pick<Share, 'count' | 'of'>): number {
  const [all, hits] = [one.of + other.of, one.count + other.count];
  const log = (count: number) => logChoose(one.of, count) + logChoose(other.of, hits - count) - logChoose(all, hits);
  const here = log(one.count);
  let sum = 0;
  for (let count = Math.max(0, hits - other.of); count <= Math.min(one.of, hits); count += 1) {
    if (log(count) <= here + ROUNDING) sum += Math.exp(log(count));
  }
  return Math.min(1, sum);
}
