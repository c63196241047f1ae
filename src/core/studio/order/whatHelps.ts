import type { AirSpeed } from '../drying/air.ts';
import type { PlanRun } from '../planning/plan.ts';
import { layOrder } from './layOrder.ts';
import { makesIt, type OrderTask } from './order.ts';

/** One thing that would bring an order in on time, tried in full. */
export type Help =
  | { readonly kind: 'start'; readonly start: number }
  | { readonly kind: 'air'; readonly speed: AirSpeed }
  | { readonly kind: 'hours'; readonly minutes: number }
  | { readonly kind: 'fewer'; readonly counts: readonly number[] }
  | { readonly kind: 'ready'; readonly ready: number };

const DAY = 24 * 3_600_000;

/** Changes tried for each thing. */
const ROUNDS = 100;

/** The most days by which an order is put off. */
const PUT_OFF = 60;

/** Hours more on each day of the week that are tried (min). */
const LONGER = [60, 120];

/** The least whole number up to `most` for which something holds, when it holds for all above it; null when for none. */
function leastThat(most: number, holds: (value: number) => boolean): number | null {
  if (most < 1 || !holds(most)) return null;
  let [no, yes] = [0, most];
  while (yes - no > 1) {
    const middle = Math.floor((yes + no) / 2);
    if (holds(middle)) yes = middle;
    else no = middle;
  }
  return yes;
}

/** So many pieces in all, shared out by what each line asks for, the largest remainders first. */
export function shared(counts: readonly number[], pieces: number): number[] {
  const all = counts.reduce((sum, count) => sum + count, 0);
  const exact = counts.map((count) => (count * pieces) / all);
  const found = exact.map(Math.floor);
  const over = exact
    .map((value, line) => ({ line, rest: value - Math.floor(value) }))
    .sort((one, other) => other.rest - one.rest || one.line - other.line);
  for (const { line } of over.slice(0, pieces - found.reduce((sum, count) => sum + count, 0)))
    found[line] = (found[line] ?? 0) + 1;
  return found;
}

/** A day later on the clock of the place, not 24 hours later. */
function daysOn(ms: number, days: number): number {
  const day = new Date(ms);
  day.setDate(day.getDate() + days);
  return day.getTime();
}

/**
 * What would bring in an order that is not in time: beginning earlier, air that moves, longer days, fewer pieces, a later
 * day. Each by itself is laid as the order is, and is named only when all of it is in time then. Once something is done the
 * sets stay as they are, and as many pieces as they were.
 *
 * @param now ms since 1970: no work begins before it
 */
export function whatHelps(task: OrderTask, now: number, { random, going = () => true }: PlanRun): Help[] {
  const begun = task.done.length > 0;
  const fits = (change: Partial<OrderTask>) => {
    const { sets, ...others } = { ...task, ...change, held: [] };
    const rest = begun && sets ? { ...others, sets } : others;
    return going() && makesIt(layOrder(rest, { random, going, rounds: ROUNDS, first: true }));
  };
  const helps: Help[] = [];
  const earlier = Math.floor((task.start - now) / DAY);
  const days = leastThat(earlier, (value) => fits({ start: daysOn(task.start, -value) }));
  if (days !== null) helps.push({ kind: 'start', start: daysOn(task.start, -days) });
  const speeds: readonly AirSpeed[] =
    task.air.speed === 'still' ? ['moving', 'fan'] : task.air.speed === 'moving' ? ['fan'] : [];
  const speed = speeds.find((one) => fits({ air: { ...task.air, speed: one } }));
  if (speed) helps.push({ kind: 'air', speed });
  const minutes = LONGER.find((more) =>
    fits({ week: task.week.map(({ day, from, to }) => ({ day, from, to: Math.min(24 * 60, to + more) })) }),
  );
  if (minutes !== undefined) helps.push({ kind: 'hours', minutes });
  const counts = task.lines.map(({ count }) => count);
  const all = counts.reduce((sum, count) => sum + count, 0);
  const withCounts = (pieces: number) => shared(counts, pieces);
  const fewer = (gone: number) => {
    const some = withCounts(all - gone);
    return fits({
      lines: task.lines.map((line, index) => ({ ...line, count: some[index] ?? 0 })).filter(({ count }) => count > 0),
    });
  };
  const gone = begun ? null : leastThat(all - 1, fewer);
  if (gone !== null) helps.push({ kind: 'fewer', counts: withCounts(all - gone) });
  const later = leastThat(PUT_OFF, (value) => fits({ ready: daysOn(task.ready, value) }));
  if (later !== null) helps.push({ kind: 'ready', ready: daysOn(task.ready, later) });
  return helps;
}
