import { once } from '../../numbers.ts';
import { studentT } from './studentT.ts';

/** The states at which a shrink bar is measured again, in order. */
export const BAR_STATES = ['dry', 'bisque', 'fired'] as const;

/** A state at which a bar is measured. */
export type BarState = (typeof BAR_STATES)[number];

/** How a bar lay when the slab was rolled. */
export const BAR_RUNS = ['any', 'along', 'across'] as const;

/** Direction of a bar on the slab. */
export type BarRun = (typeof BAR_RUNS)[number];

/** A line of known wet length, measured again as the clay goes on (mm). A state that was not measured is left out. */
export interface ShrinkBar {
  readonly wet: number;
  readonly dry?: number;
  readonly bisque?: number;
  readonly fired?: number;
  readonly run: BarRun;
  /** Set aside by the potter: kept and shown, not counted. */
  readonly aside?: boolean;
}

/** Share of the values that the interval is for. */
export const CONFIDENCE = 0.95;

/** Mean and spread of shrinkages (fractions), with the interval in which the true mean lies (Student t). */
export interface ShrinkageFigure {
  readonly count: number;
  readonly mean: number;
  /** Standard deviation of the sample; null of a single bar. */
  readonly deviation: number | null;
  /** 95 % interval of the mean; null of a single bar, which tells nothing of how far it may be off. */
  readonly interval: readonly [number, number] | null;
}

/** Mean, standard deviation (n - 1) and interval `mean +- t s / sqrt(n)` (geometry: states and shrinkage). Null of no values. */
export function shrinkageFigure(values: readonly number[]): ShrinkageFigure | null {
  const count = values.length;
  if (count === 0) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  if (count === 1) return { count, mean, deviation: null, interval: null };
  const deviation = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (count - 1));
  const reach = (studentT(CONFIDENCE, count - 1) * deviation) / Math.sqrt(count);
  return { count, mean, deviation, interval: [mean - reach, mean + reach] };
}

/**
 * The index of the outlier by Grubbs' test at 5 %; null when there is none, or when there are fewer than three values. It is
 * only marked: the potter decides whether to leave it out.
 */
export function outlierOf(values: readonly number[]): number | null {
  const figure = shrinkageFigure(values);
  const count = values.length;
  if (!figure?.deviation || count < 3) return null;
  const far = values.map((value) => Math.abs(value - figure.mean));
  const farthest = Math.max(...far);
  const t = studentT(1 - (1 - CONFIDENCE) / count, count - 2);
  const limit = ((count - 1) / Math.sqrt(count)) * Math.sqrt((t * t) / (count - 2 + t * t));
  return farthest / figure.deviation > limit ? far.indexOf(farthest) : null;
}

/** From which state a step of shrinkage is counted. */
const BEFORE = { dry: 'wet', bisque: 'dry', fired: 'bisque' } as const;

/** A bar's shrinkage from wet to a state, as a fraction of the wet length; null when it was not measured there. */
export function barShrinkage(bar: ShrinkBar, state: BarState): number | null {
  const length = bar[state];
  return length === undefined ? null : 1 - length / bar.wet;
}

/** A bar's shrinkage in one step (wet to dry, dry to bisque, bisque to fired) of the length before; null when unknown. */
export function stepShrinkage(bar: ShrinkBar, state: BarState): number | null {
  const [from, to] = [bar[BEFORE[state]], bar[state]];
  return from === undefined || to === undefined ? null : 1 - to / from;
}

/** What a clay's bars say. Figures are null where no bar was measured. */
export interface BarFigures {
  /** Wet to each state. */
  readonly total: Readonly<Record<BarState, ShrinkageFigure | null>>;
  /** Each step of the length before it. */
  readonly step: Readonly<Record<BarState, ShrinkageFigure | null>>;
  /** Wet to fired of the bars that lay along and across the roll. */
  readonly along: ShrinkageFigure | null;
  readonly across: ShrinkageFigure | null;
  /** The bar whose shrinkage to the last common state is an outlier, as its index among all bars. */
  readonly outlier: number | null;
}

/** Computes the figures of a clay's bars, once for each list. Bars that were set aside are left out. */
export const barFigures = once((bars: readonly ShrinkBar[]): BarFigures => {
  const counted = bars.filter(({ aside }) => !aside);
  const figure = (of: readonly ShrinkBar[], shrinkage: (bar: ShrinkBar) => number | null) =>
    shrinkageFigure(of.map(shrinkage).filter((value) => value !== null));
  const each = (shrinkage: (bar: ShrinkBar, state: BarState) => number | null) => {
    const one = (state: BarState) => figure(counted, (bar) => shrinkage(bar, state));
    return { dry: one('dry'), bisque: one('bisque'), fired: one('fired') };
  };
  const running = (run: BarRun) =>
    figure(
      counted.filter((bar) => bar.run === run),
      (bar) => barShrinkage(bar, 'fired'),
    );
  const total = each(barShrinkage);
  const last = [...BAR_STATES].reverse().find((state) => (total[state]?.count ?? 0) >= 3);
  const measured = last ? bars.filter((bar) => !bar.aside && bar[last] !== undefined) : [];
  const odd = last ? outlierOf(measured.map((bar) => barShrinkage(bar, last) ?? 0)) : null;
  return {
    total,
    step: each(stepShrinkage),
    along: running('along'),
    across: running('across'),
    outlier: odd === null ? null : bars.indexOf(measured[odd] as ShrinkBar),
  };
});

/** Where a clay's shrinkage comes from when no bars say it. */
export const BASES = ['maker', 'guess'] as const;

/** Source of a clay's shrinkage without bars. */
export type Basis = (typeof BASES)[number];

/** The shrinkage to work with, and where it comes from. */
export interface KnownShrinkage {
  readonly shrinkage: number;
  readonly interval: readonly [number, number] | null;
  readonly from: 'pieces' | 'bars' | Basis;
}

/** What was learned from pieces and accepted; without that the mean of the fired bars, or the figure that was written down. */
export function knownShrinkage(clay: {
  readonly bars: readonly ShrinkBar[];
  readonly shrinkage: number;
  readonly basis: Basis;
  readonly learnt?: { readonly shrinkage: number; readonly low: number; readonly high: number };
}): KnownShrinkage {
  const { learnt } = clay;
  if (learnt) return { shrinkage: learnt.shrinkage, interval: [learnt.low, learnt.high], from: 'pieces' };
  const { fired } = barFigures(clay.bars).total;
  if (!fired) return { shrinkage: clay.shrinkage, interval: null, from: clay.basis };
  return { shrinkage: fired.mean, interval: fired.interval, from: 'bars' };
}

/**
 * The range of a fired length that was made for one shrinkage, when the true shrinkage is in an interval.
 * @param fired the size that is meant (mm)
 */
export function firedBetween(fired: number, made: number, interval: readonly [number, number]): [number, number] {
  const wet = fired / (1 - made);
  return [wet * (1 - interval[1]), wet * (1 - interval[0])];
}
