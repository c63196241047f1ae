import { learnHierarchy, type Hierarchy, type HierarchyPriors, type PieceReadings } from './hierarchy.ts';
import { fitWithoutSlips } from './setAside.ts';

/** A length measured wet and fired (mm). */
export interface LengthPair {
  readonly wet: number;
  readonly fired: number;
}

/** A bar, and the firing that it was in where that is known. */
export interface LearnBar extends LengthPair {
  readonly firing?: string;
}

/** How a wall was wrapped (mm): the neutral wrap as it was cut, the slab's thickness, and the outside diameter measured wet. */
export interface Wrap {
  readonly length: number;
  readonly thickness: number;
  readonly outside: number;
}

/** A piece: its firing, sizes measured wet after joining and again fired, and its wrap where it has one. */
export interface LearnPiece {
  readonly firing: string;
  readonly lines: readonly LengthPair[];
  readonly wrap?: Wrap;
}

/** What one clay is learned from. */
export interface LearnJob {
  readonly bars: readonly LearnBar[];
  readonly pieces: readonly LearnPiece[];
}

/** An outlier: kept and shown, but not counted. Indices from 0. */
export type SetAside =
  | ({ readonly bar: number } & LengthPair)
  | ({ readonly piece: number; readonly line: number } & LengthPair)
  | { readonly piece: number; readonly wrap: Wrap };

/** A mean with its 95 % interval. */
export interface Learned {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

/** What was learned. Shrinkages and the neutral fraction are fractions; spreads are standard deviations, the last in mm. */
export interface Learnt {
  readonly shrinkage: (Learned & { readonly next: { readonly low: number; readonly high: number } }) | null;
  readonly neutralFraction: Learned | null;
  readonly spread: { readonly firing: number; readonly piece: number; readonly measuring: number } | null;
  readonly setAside: readonly SetAside[];
}

/**
 * Prior spreads, on the wide side: firings of one clay may differ by 0.5 % of the wet length, pieces of
 * one firing by 0.15 %, a caliper in the hand by 0.3 mm, one slab's neutral fraction from the next by 0.03. Two or three firings
 * move them; rules of the bench, measured for coverage in learn.test.ts.
 */
export const USUAL = { firing: 0.005, piece: 0.0015, measuring: 0.3, neutral: 0.03 } as const;

const SHRINKAGE_PRIORS: HierarchyPriors = {
  firing: { usual: USUAL.firing },
  piece: { usual: USUAL.piece },
  measuring: { usual: USUAL.measuring },
};

/** Bars without a firing count as fired together. */
const BARS_FIRING = '\nbars';

const shrinkageOf = ({ wet, fired }: LengthPair) => 1 - fired / wet;

/** The error of a shrinkage for each mm of error in a length: a bar's wet length is ruled, a piece's is measured too. */
const barScale = ({ wet }: LengthPair) => 1 / wet;
const lineScale = ({ wet, fired }: LengthPair, shrinkage: number) => Math.hypot(1, fired > 0 ? 1 - shrinkage : 1) / wet;

function middleShrinkage(pairs: readonly LengthPair[]): number {
  const sorted = pairs.map(shrinkageOf).sort((one, other) => one - other);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/**
 * Where the neutral surface lies in a wall that was wrapped, as a fraction of the slab from its inner face: the neutral
 * diameter is length / pi, the outside one that plus 2 (1 - k) t (geometry: circular cylinder).
 */
export function neutralFractionOf({ length, thickness, outside }: Wrap): number {
  return 1 - (outside - length / Math.PI) / (2 * thickness);
}

/**
 * Learns a clay's shrinkage from bars and pieces together, and its neutral fraction from what wrapped walls measured wet:
 * reading = clay + firing + piece + error of measuring ({@link learnHierarchy}), slips set aside ({@link fitWithoutSlips}).
 */
export function learnClay({ bars, pieces }: LearnJob): Learnt {
  const middle = middleShrinkage([...bars, ...pieces.flatMap(({ lines }) => lines)]);
  const ofBars = bars.map((bar): PieceReadings => ({
    firing: bar.firing ?? BARS_FIRING,
    readings: [{ value: shrinkageOf(bar), scale: barScale(bar) }],
  }));
  const ofPieces = pieces.map(({ firing, lines }): PieceReadings => ({
    firing,
    readings: lines.map((line) => ({ value: shrinkageOf(line), scale: lineScale(line, middle) })),
  }));
  const shrinkage = fitWithoutSlips([...ofBars, ...ofPieces], (left) => learnHierarchy(left, SHRINKAGE_PRIORS));
  const aside = (shrinkage?.aside ?? []).map(({ piece, reading }): SetAside => {
    const bar = bars[piece];
    if (bar) return { bar: piece, wet: bar.wet, fired: bar.fired };
    const line = pieces[piece - bars.length]?.lines[reading] as LengthPair;
    return { piece: piece - bars.length, line: reading, wet: line.wet, fired: line.fired };
  });
  const neutral = learnNeutral(pieces, shrinkage?.fit ?? null);
  return {
    shrinkage: shrinkage && {
      mean: shrinkage.fit.mean,
      low: shrinkage.fit.low,
      high: shrinkage.fit.high,
      next: shrinkage.fit.next,
    },
    neutralFraction: neutral && { mean: neutral.fit.mean, low: neutral.fit.low, high: neutral.fit.high },
    spread: shrinkage && shrinkage.fit.spread,
    setAside: [...aside, ...(neutral?.aside ?? [])],
  };
}

/** The neutral fraction: every wall by itself, with the error of the caliper as it was learned from the lengths. */
function learnNeutral(pieces: readonly LearnPiece[], lengths: Hierarchy | null) {
  const wrapped = pieces.flatMap(({ wrap }, piece) => (wrap ? [{ wrap, piece }] : []));
  const readings = wrapped.map(({ wrap, piece }): PieceReadings => ({
    firing: String(piece),
    readings: [{ value: neutralFractionOf(wrap), scale: 1 / (2 * wrap.thickness) }],
  }));
  const priors: HierarchyPriors = {
    firing: { known: 0 },
    piece: { usual: USUAL.neutral },
    measuring: { known: lengths?.spread.measuring ?? USUAL.measuring },
  };
  const found = fitWithoutSlips(readings, (left) => learnHierarchy(left, priors));
  return (
    found && {
      fit: found.fit,
      aside: found.aside.map(({ piece }): SetAside => {
        const one = wrapped[piece] as { wrap: Wrap; piece: number };
        return { piece: one.piece, wrap: one.wrap };
      }),
    }
  );
}
