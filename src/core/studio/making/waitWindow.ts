import type { Air } from '../drying/air.ts';
import { learnFactor, type DryingFactor, type DryingMark } from '../drying/factor.ts';
import { dryPart, type DryingCourse, type DryingPart } from '../drying/partDrying.ts';
import { remembered } from '../../numbers.ts';
import { spanOf, windowOf, type Span } from '../drying/windowOf.ts';
import { inOrder, type Mark } from './making.ts';
import type { Waiting } from './workStep.ts';

/** Longest forecast (hours): no part takes longer under any cover. */
const LONGEST = 400;

/** Courses of drying by part and air: a batch shares one, and it is used at every tick of the clock. */
const courses = new Map<string, DryingCourse>();
const KEPT = 64;

/** How a part dries in the air of the shed, at the model's own pace. */
export function courseOf(part: DryingPart, air: Air): DryingCourse {
  return remembered(courses, JSON.stringify([part, air]), {
    make: () => dryPart(part, air, { hours: LONGEST }),
    most: KEPT,
  });
}

const HOUR = 3_600_000;

/** A moment and the moments between which it lies in 95 of 100 cases (ms since 1970). */
export interface Moments {
  readonly usual: number;
  readonly low: number;
  readonly high: number;
}

/** When a wait ends: it opens, is best and closes; a wait for leather-hard or dry clay does not close. */
export interface WaitWindow {
  readonly opens: Moments | null;
  readonly best: number | null;
  readonly closes: Moments | null;
}

const momentsOf = (began: number, span: Span | null): Moments | null =>
  span && { usual: began + HOUR * span.usual, low: began + HOUR * span.low, high: began + HOUR * span.high };

/** The window of a wait that began at a moment (ms since 1970), by the air of the shed and what was learned. */
export function waitWindow(
  { until, part }: Waiting,
  { began, air, factor }: { readonly began: number; readonly air: Air; readonly factor: DryingFactor },
): WaitWindow {
  const course = courseOf(part, air);
  if (until !== 'opens')
    return { opens: momentsOf(began, spanOf(course.reached[until], factor)), best: null, closes: null };
  const { opens, best, closes } = windowOf(course, factor);
  return {
    opens: momentsOf(began, opens),
    best: best === null ? null : began + HOUR * best,
    closes: momentsOf(began, closes),
  };
}

/** A mark with the air that its own making dried in. */
export interface FoundMark extends Mark {
  readonly air: Air;
}

/** Marks with the air that they were made in. */
export const withAir = (marks: readonly Mark[], air: Air): FoundMark[] => marks.map((mark) => ({ ...mark, air }));

/** What hands found at waits under a cover, as the factor is learned from it. Those of other covers are left out. */
export function foundUnder(cover: Waiting['part']['cover'], marks: readonly FoundMark[]): DryingMark[] {
  return inOrder(marks).flatMap(({ kind, drying, air }): DryingMark[] => {
    if (!drying || drying.part.cover !== cover || drying.hours <= 0) return [];
    if (kind === 'done' || kind === 'skipped' || kind === 'open' || kind === 'wetted' || kind === 'again') return [];
    return [{ hours: drying.hours, found: kind, reached: courseOf(drying.part, air).reached }];
  });
}

/** The factor of a clay under a cover, by the marks that were made, each in its own air. */
export const factorFor = (cover: Waiting['part']['cover'], marks: readonly FoundMark[]): DryingFactor =>
  learnFactor(foundUnder(cover, marks));

/** Where a moment lies in a window. `soon` is the last quarter of an hour before it closes. */
export type WindowState = 'waits' | 'open' | 'closing' | 'past';

const SOON = HOUR / 4;

/** The state of a window at a moment (ms since 1970). */
export function stateAt({ opens, closes }: WaitWindow, now: number): WindowState {
  if (!opens || now < opens.usual) return 'waits';
  if (!closes || now < closes.usual - SOON) return 'open';
  return now < closes.usual ? 'closing' : 'past';
}
