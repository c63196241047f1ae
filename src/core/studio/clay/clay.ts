import type { Basis, ShrinkBar } from './bars.ts';

/** A shrinkage that was learned from pieces and bars, and accepted: fractions, with the 95 % interval, and what it rests on. */
export interface LearntShrinkage {
  readonly shrinkage: number;
  readonly low: number;
  readonly high: number;
  readonly pieces: number;
  readonly firings: number;
  /** Day on which it was accepted, YYYY-MM-DD. */
  readonly day: string;
  /** The one that was accepted before it, which is worked with again when this one is taken back. */
  readonly before?: Omit<LearntShrinkage, 'before'>;
}

/** The accepted figure, with the one before it but none before that. */
export function acceptedAfter(
  now: Omit<LearntShrinkage, 'before'>,
  last: LearntShrinkage | undefined,
): LearntShrinkage {
  if (!last) return now;
  const { shrinkage, low, high, pieces, firings, day } = last;
  return { ...now, before: { shrinkage, low, high, pieces, firings, day } };
}

/** A clay body as it stands in the clay book. Densities g/cm3, masses g, shrinkage a fraction of the wet length. */
export interface Clay {
  readonly name: string;
  readonly wetDensity: number;
  /** What is worked with while no bar has been fired, and where that figure is from. */
  readonly shrinkage: number;
  readonly basis: Basis;
  /** Price and mass of a bag, where they are known; the price in whatever money is used. */
  readonly price?: number;
  readonly bag?: number;
  /** Range of firing in the potter's own words. */
  readonly firing?: string;
  readonly note?: string;
  readonly bars: readonly ShrinkBar[];
  /** Counts before the bars where it is there. */
  readonly learnt?: LearntShrinkage;
}

/** Limits of a clay's figures; lengths mm, masses g. */
export const CLAY_LIMITS = {
  bar: { least: 10, greatest: 1000 },
  bars: 200,
  bag: { least: 100, greatest: 1_000_000 },
  price: { least: 0, greatest: 1_000_000 },
  text: 400,
} as const;

/** What came out of the bag, or went back as scraps to be wedged again. */
export interface ScrapEntry {
  /** Day in ISO 8601, `2026-11-23`. */
  readonly day: string;
  readonly name: string;
  /** Mass taken out of the bag and put back (g). */
  readonly out: number;
  readonly back: number;
  readonly note?: string;
}

/** Sums of the entries of one clay (g): taken, put back, and in pieces. */
export function scrapSum(entries: readonly ScrapEntry[]): { out: number; back: number; used: number } {
  const out = entries.reduce((sum, entry) => sum + entry.out, 0);
  const back = entries.reduce((sum, entry) => sum + entry.back, 0);
  return { out, back, used: out - back };
}
