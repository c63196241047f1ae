/** A stretch of minutes from a common zero in which the potter's hands are free: from, to. */
export type FreeHours = readonly [number, number];

/** One act of the hands; all times in minutes. */
export interface PlanStep {
  readonly id: string;
  /** How long the hands are taken, without a break. */
  readonly minutes: number;
  /** How long after the end of the step before it starts at the earliest, and at the latest (null: no limit). */
  readonly least: number;
  readonly most: number | null;
  /** The minute at which it is held: it starts then or not at all, whatever the hours are. */
  readonly at?: number;
}

/** A piece on its way: its steps in order, and when it should be done. */
export interface PlanJob {
  readonly id: string;
  readonly due: number | null;
  readonly steps: readonly PlanStep[];
}

/** Work to be planned: the potter's hours, and the jobs (minutes from a common zero). */
export interface PlanTask {
  readonly hours: readonly FreeHours[];
  readonly jobs: readonly PlanJob[];
}

/** When a step is done. */
export interface PlannedStep {
  readonly job: string;
  readonly step: string;
  readonly start: number;
  readonly end: number;
}

/** Steps in the order of the hands, the last minute, the pieces that are late, and those that cannot be placed. */
export interface Plan {
  readonly steps: readonly PlannedStep[];
  readonly end: number;
  readonly late: readonly string[];
  readonly left: readonly string[];
}

/** Limits of a task (counts, minutes). */
export const PLAN_LIMITS = { jobs: 500, steps: 60, hours: 5000, minutes: 10_000_000 } as const;

/** What is left of a stretch of minutes when another is taken out of it. */
function without([from, to]: FreeHours, [start, end]: FreeHours): FreeHours[] {
  if (end <= from || start >= to) return [[from, to]];
  const left: FreeHours[] = [];
  if (start > from) left.push([from, start]);
  if (end < to) left.push([end, to]);
  return left;
}

/** Hours without those that are taken already. */
export function freeOf(hours: readonly FreeHours[], taken: readonly FreeHours[]): FreeHours[] {
  return joinedHours(taken).reduce<FreeHours[]>(
    (left, one) => left.flatMap((free) => without(free, one)),
    joinedHours(hours),
  );
}

/** Hours in order, those that touch or overlap as one. */
export function joinedHours(hours: readonly FreeHours[]): FreeHours[] {
  const joined: [number, number][] = [];
  for (const [from, to] of [...hours].sort((one, other) => one[0] - other[0])) {
    const last = joined.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else if (to > from) joined.push([from, to]);
  }
  return joined;
}
