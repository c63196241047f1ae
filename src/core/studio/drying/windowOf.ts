import type { DryingCourse } from './partDrying.ts';
import type { DryingFactor } from './factor.ts';

/** A waiting window in hours from when the part began to dry, each as the likely range of its time. */
export interface JoinWindow {
  /** Opens at the usual pace, and between which hours in 95 of 100 cases. */
  readonly opens: Span | null;
  readonly closes: Span | null;
  /** The best hour: a third of the way from opening to closing, as the slab still bends well. */
  readonly best: number | null;
}

/** A time with its 95 % interval. */
export interface Span {
  readonly usual: number;
  readonly low: number;
  readonly high: number;
}

/** How far into its window a part is at its best. A rule of the bench. */
const BEST = 1 / 3;

/** Hours at the model's own pace (factor 1) to a span by what was learned. */
export function spanOf(hours: number | null, { usual, low, high }: DryingFactor): Span | null {
  return hours === null ? null : { usual: hours * usual, low: hours * low, high: hours * high };
}

/** The window of a part by its course at the model's own pace and the factor that was learned. */
export function windowOf({ reached }: DryingCourse, factor: DryingFactor): JoinWindow {
  const [opens, closes] = [spanOf(reached.opens, factor), spanOf(reached.closes, factor)];
  const best = opens && closes ? opens.usual + BEST * (closes.usual - opens.usual) : (opens?.usual ?? null);
  return { opens, closes, best };
}
