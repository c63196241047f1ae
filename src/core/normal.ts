import { root } from './numbers.ts';

/** The standard normal distribution (Abramowitz and Stegun 7.1.26, error under 2e-7). */
export function normalBelow(x: number): number {
  if (Math.abs(x) > 7) return x > 0 ? 1 : 0;
  const t = 1 / (1 + (0.3275911 * Math.abs(x)) / Math.SQRT2);
  const series = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = series * Math.exp((-x * x) / 2);
  return x >= 0 ? 1 - tail / 2 : tail / 2;
}

/** A normal distribution and its weight among others. */
export interface NormalPart {
  readonly weight: number;
  readonly mean: number;
  readonly deviation: number;
}

/** A quantile of a mixture of normal distributions. Weights need not sum to 1. */
export function mixtureQuantile(parts: readonly NormalPart[], share: number): number {
  const wanted = share * parts.reduce((sum, { weight }) => sum + weight, 0);
  let [low, high] = [Infinity, -Infinity];
  for (const { mean, deviation } of parts) {
    low = Math.min(low, mean - 9 * deviation);
    high = Math.max(high, mean + 9 * deviation);
  }
  const below = (at: number) => {
    let sum = -wanted;
    for (const { weight, mean, deviation } of parts)
      sum += weight * (deviation > 0 ? normalBelow((at - mean) / deviation) : Number(at >= mean));
    return sum;
  };
  return root(below, low, high) ?? (low + high) / 2;
}
