import { mixtureQuantile, type NormalPart } from '../../normal.ts';

/** One reading of what is learned. Its error has the standard deviation of a measurement times `scale`. */
export interface Reading {
  readonly value: number;
  readonly scale: number;
}

/** The readings of one piece, and the firing that it was in. */
export interface PieceReadings {
  readonly firing: string;
  readonly readings: readonly Reading[];
}

/**
 * The prior of a spread: its usual size (half Student t with four degrees of freedom), or that it is
 * known. Spreads of firing and piece in the unit of the values, of measuring in mm.
 */
export type SpreadPrior = { readonly usual: number } | { readonly known: number };

/** Priors of the three spreads. */
export interface HierarchyPriors {
  readonly firing: SpreadPrior;
  readonly piece: SpreadPrior;
  readonly measuring: SpreadPrior;
}

/** Mean with its 95 % interval, the interval of one coming piece in a coming firing, and the three standard deviations. */
export interface Hierarchy {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  readonly next: { readonly low: number; readonly high: number };
  readonly spread: { readonly firing: number; readonly piece: number; readonly measuring: number };
}

/** Grid of a spread: number of points, even in its log, and range about the usual size. */
const GRID = { steps: 24, under: 60, over: 12 } as const;

/** Combinations with less than this share of the greatest weight are left out. */
const SLIGHT = 1e-5;
/** The log of that share. */
const LEAST = Math.log(SLIGHT);

/** Tail on each side of a 95 % interval. */
const TAIL = 0.025;

interface Tried {
  readonly value: number;
  /** Log of the prior's weight there. */
  readonly weight: number;
}

function triedSpreads(prior: SpreadPrior): Tried[] {
  if ('known' in prior) return [{ value: prior.known, weight: 0 }];
  const { steps, under, over } = GRID;
  const from = Math.log(prior.usual / under);
  const to = Math.log(prior.usual * over);
  return Array.from({ length: steps }, (_, step): Tried => {
    const value = Math.exp(from + ((to - from) * step) / (steps - 1));
    // Density of the half t with 4 degrees of freedom, times the value: steps are even in the log.
    return { value, weight: Math.log(value) - 2.5 * Math.log1p((value / prior.usual) ** 2 / 4) };
  });
}

/** A piece by its readings: their mean weighted by precision, and the sum of the weights (for a measuring error of 1 mm). */
interface PieceSum {
  readonly mean: number;
  readonly precision: number;
}

/** Readings of all pieces, piece by piece and firing by firing, with what the spread within pieces says. */
interface Sums {
  readonly firings: readonly (readonly PieceSum[])[];
  /** Squares of the readings about their piece's mean, weighted, and how many are free. */
  readonly within: number;
  readonly free: number;
}

function sumsOf(pieces: readonly PieceReadings[]): Sums {
  const firings = new Map<string, PieceSum[]>();
  let [within, free] = [0, 0];
  for (const { firing, readings } of pieces) {
    if (readings.length === 0) continue;
    const precision = readings.reduce((sum, { scale }) => sum + 1 / scale ** 2, 0);
    const mean = readings.reduce((sum, { value, scale }) => sum + value / scale ** 2, 0) / precision;
    within += readings.reduce((sum, { value, scale }) => sum + ((value - mean) / scale) ** 2, 0);
    free += readings.length - 1;
    const own = firings.get(firing);
    if (own) own.push({ mean, precision });
    else firings.set(firing, [{ mean, precision }]);
  }
  return { firings: [...firings.values()], within, free };
}

/** A combination of the three spreads: the mean given them, its deviation, and the log of their weight. */
interface Combination {
  readonly firing: number;
  readonly piece: number;
  readonly measuring: number;
  readonly mean: number;
  readonly variance: number;
  readonly weight: number;
}

/** A mean, and its variance. */
interface Estimate {
  readonly mean: number;
  readonly variance: number;
}

/** Products beyond this, or below one over it, go into a log before they leave the range of numbers. */
const FAR = 1e150;

/** The mean of estimates that have a further spread of their own, its variance, and the log of their likelihood. */
function pooled(estimates: readonly Estimate[], spread: number): Estimate & { readonly logs: number } {
  const square = spread ** 2;
  let [weights, weighted, logs, product] = [0, 0, 0, 1];
  for (const { mean, variance } of estimates) {
    const whole = variance + square;
    weights += 1 / whole;
    weighted += mean / whole;
    product *= whole;
    if (product > 1 / FAR && product < FAR) continue;
    logs -= Math.log(product) / 2;
    product = 1;
  }
  const mean = weighted / weights;
  let apart = 0;
  for (const one of estimates) apart += (one.mean - mean) ** 2 / (one.variance + square);
  return { mean, variance: 1 / weights, logs: logs - (Math.log(product * weights) + apart) / 2 };
}

/** All combinations of the three spreads but those that are slight beside one before them. */
function combinations({ firings, within, free }: Sums, priors: HierarchyPriors): Combination[] {
  const found: Combination[] = [];
  const [ofFiring, ofPiece] = [triedSpreads(priors.firing), triedSpreads(priors.piece)];
  let most = -Infinity;
  for (const measuring of triedSpreads(priors.measuring)) {
    const square = measuring.value ** 2;
    const inPieces = -free * Math.log(measuring.value) - within / (2 * square);
    const measured = firings.map((pieces) =>
      pieces.map(({ mean, precision }): Estimate => ({ mean, variance: square / precision })),
    );
    for (const piece of ofPiece) {
      const sums = measured.map((pieces) => pooled(pieces, piece.value));
      const before = sums.reduce((sum, { logs }) => sum + logs, inPieces + measuring.weight + piece.weight);
      for (const firing of ofFiring) {
        const { mean, variance, logs } = pooled(sums, firing.value);
        const weight = before + firing.weight + logs;
        if (!(weight - most > LEAST)) continue;
        most = Math.max(most, weight);
        found.push({
          firing: firing.value,
          piece: piece.value,
          measuring: measuring.value,
          mean,
          variance,
          weight,
        });
      }
    }
  }
  return found;
}

/**
 * A mean that is learned from readings of pieces in firings: reading = mean + firing + piece + error, all three normal about
 * nothing with spreads of their own that are not known. For given spreads the mean is normal (its prior is flat); the
 * spreads are summed over a grid, so that the intervals carry how little few firings tell of them (Gelman and others,
 * Bayesian Data Analysis, 3rd edition, 5.4, with the half-t priors of Gelman, Bayesian Analysis 1, 2006, 515-534).
 *
 * @returns null of no reading
 */
export function learnHierarchy(pieces: readonly PieceReadings[], priors: HierarchyPriors): Hierarchy | null {
  const sums = sumsOf(pieces);
  if (sums.firings.length === 0) return null;
  const all = combinations(sums, priors);
  const most = all.reduce((highest, { weight }) => Math.max(highest, weight), -Infinity);
  const likely = all
    .filter(({ weight }) => weight - most > LEAST)
    .map((one) => ({ ...one, weight: Math.exp(one.weight - most) }));
  const total = likely.reduce((sum, { weight }) => sum + weight, 0);
  const average = (of: (one: Combination) => number) =>
    likely.reduce((sum, one) => sum + one.weight * of(one), 0) / total;
  const means = likely.map(({ weight, mean, variance }): NormalPart => ({
    weight,
    mean,
    deviation: Math.sqrt(variance),
  }));
  const coming = likely.map(({ weight, mean, variance, firing, piece }): NormalPart => ({
    weight,
    mean,
    deviation: Math.sqrt(variance + firing ** 2 + piece ** 2),
  }));
  return {
    mean: average(({ mean }) => mean),
    low: mixtureQuantile(means, TAIL),
    high: mixtureQuantile(means, 1 - TAIL),
    next: { low: mixtureQuantile(coming, TAIL), high: mixtureQuantile(coming, 1 - TAIL) },
    spread: {
      firing: average(({ firing }) => firing),
      piece: average(({ piece }) => piece),
      measuring: average(({ measuring }) => measuring),
    },
  };
}
