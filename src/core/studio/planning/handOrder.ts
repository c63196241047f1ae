import type { FreeHours } from './planJob.ts';

/** All steps of a task as flat lists, so that a search can try many orders. */
export interface Acts {
  readonly minutes: Float64Array;
  readonly least: Float64Array;
  /** Infinity where there is no limit. */
  readonly most: Float64Array;
  /** The step before in the same piece, -1 for a first one. */
  readonly before: Int32Array;
  readonly hours: readonly FreeHours[];
  /** Hours of steps that have their own: those that are held at a minute. */
  readonly own: ReadonlyMap<number, readonly FreeHours[]>;
}

/** The hours in which a step can be done. */
export const hoursOf = ({ hours, own }: Acts, step: number): readonly FreeHours[] => own.get(step) ?? hours;

/** The earliest start at or after a minute at which the hands are free for so long; Infinity when there is none. */
export function fitsFrom(hours: readonly FreeHours[], from: number, minutes: number): number {
  let [low, high] = [0, hours.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((hours[middle] as FreeHours)[1] < from + minutes) low = middle + 1;
    else high = middle;
  }
  for (let index = low; index < hours.length; index += 1) {
    const [start, end] = hours[index] as FreeHours;
    const at = Math.max(start, from);
    if (at + minutes <= end) return at;
  }
  return Infinity;
}

/** Tolerance (min). */
const SAME = 1e-9;

/** Starts that still rise after so many passes rise forever: the order cannot be kept. */
const PASSES = 30;

/** Whether no window is shorter than the work that the hands do between its two steps. */
function windowsHold({ minutes, most, before }: Acts, order: ArrayLike<number>): boolean {
  const doneBy = new Float64Array(minutes.length);
  let done = 0;
  for (let at = 0; at < order.length; at += 1) {
    const step = order[at] as number;
    const previous = before[step] as number;
    if (previous >= 0 && done - (doneBy[previous] as number) > (most[step] as number)) return false;
    done += minutes[step] as number;
    doneBy[step] = done;
  }
  return true;
}

/**
 * The earliest starts for steps done in a given order. Every rule bounds one start by another or keeps it to free hours, and
 * such rules hold for the lesser of two solutions too; so there is one solution that is earliest in every step, and raising
 * starts until no rule is broken finds it.
 *
 * @param order steps as the hands do them, each piece's own in order
 * @param starts gets the start of each step
 * @param known how many steps at the front of the order have their earliest starts already: with more steps none is earlier
 * @returns whether there is a solution: none where a window is shorter than what has to be done in it
 */
export function earliest(
  acts: Acts,
  order: ArrayLike<number>,
  { starts, known = 0 }: { readonly starts: Float64Array; readonly known?: number },
): boolean {
  if (!windowsHold(acts, order)) return false;
  const { minutes, least, most, before } = acts;
  const first = Math.min(acts.hours[0]?.[0] ?? 0, ...[...acts.own.values()].map((own) => own[0]?.[0] ?? 0));
  for (let at = known; at < order.length; at += 1) starts[order[at] as number] = first;
  let dirty = known;
  for (let round = 0; round < PASSES; round += 1) {
    let free =
      dirty > 0
        ? (starts[order[dirty - 1] as number] as number) + (minutes[order[dirty - 1] as number] as number)
        : first;
    for (let at = dirty; at < order.length; at += 1) {
      const step = order[at] as number;
      const previous = before[step] as number;
      let from = Math.max(free, starts[step] as number);
      if (previous >= 0)
        from = Math.max(from, (starts[previous] as number) + (minutes[previous] as number) + (least[step] as number));
      const start = fitsFrom(hoursOf(acts, step), from, minutes[step] as number);
      if (start === Infinity) return false;
      starts[step] = start;
      free = start + (minutes[step] as number);
    }
    // Where a step comes too late after the one before, that one is put off.
    let moved = false;
    for (let at = order.length - 1; at >= 0; at -= 1) {
      const step = order[at] as number;
      const previous = before[step] as number;
      if (previous < 0) continue;
      const latest = (starts[step] as number) - (most[step] as number) - (minutes[previous] as number);
      if (latest <= (starts[previous] as number) + SAME) continue;
      starts[previous] = latest;
      moved = true;
    }
    if (!moved) return true;
    dirty = 0;
  }
  return false;
}
