import type { KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import type { KilnStretch } from '../../../core/studio/order/kilnDays.ts';
import type { LaidBlock } from '../../../core/studio/order/order.ts';
import { weekHours } from '../../../core/studio/order/weekHours.ts';

const MINUTE = 60_000;
const DAY_MINUTES = 24 * 60;

/** A stretch of one day, in minutes on its clock. */
export interface DayStretch {
  readonly from: number;
  readonly to: number;
}

/** A day of the calendar: its free hours, what the hands do, and what the kiln does. */
export interface DayRow {
  readonly day: Date;
  readonly free: readonly DayStretch[];
  readonly blocks: readonly (DayStretch & { readonly block: LaidBlock })[];
  readonly kiln: readonly (DayStretch & { readonly kind: KilnStretch['kind'] })[];
}

const midnightOf = (ms: number) =>
  new Date(new Date(ms).getFullYear(), new Date(ms).getMonth(), new Date(ms).getDate());

/** Minutes on the clock of a day: 0 before it, 1440 after it. */
export function clockMinutes(ms: number, day: Date): number {
  const at = midnightOf(ms).getTime();
  if (at !== day.getTime()) return at < day.getTime() ? 0 : DAY_MINUTES;
  const moment = new Date(ms);
  return 60 * moment.getHours() + moment.getMinutes() + moment.getSeconds() / 60;
}

/** A minute on the clock of a day (ms since 1970). */
export const momentOn = (day: Date, minutes: number): number =>
  new Date(day.getFullYear(), day.getMonth(), day.getDate(), 0, Math.round(minutes)).getTime();

/** A stretch of time as far as it lies on a day; null when it does not. */
function onDay(from: number, to: number, day: Date): DayStretch | null {
  const [start, end] = [clockMinutes(from, day), clockMinutes(to, day)];
  return end > start ? { from: start, to: end } : null;
}

/** Every day from the first that something happens on, or is still to come, to the one on which the order is wanted. */
export function dayRows({ start, ready, week, laid }: KeptOrder, now: number): DayRow[] {
  const blocks = laid?.blocks ?? [];
  const kiln = laid?.kiln ?? [];
  const begin = Math.min(...blocks.map((block) => block.start), Math.max(now, new Date(`${start}T00:00`).getTime()));
  const end = Math.max(...blocks.map((block) => block.end), new Date(`${ready}T00:00`).getTime());
  const rows: DayRow[] = [];
  const first = midnightOf(begin);
  for (let days = 0; ; days += 1) {
    const day = new Date(first.getFullYear(), first.getMonth(), first.getDate() + days);
    if (day.getTime() > end) return rows;
    const midnight = day.getTime();
    const free = weekHours(week, midnight, momentOn(day, DAY_MINUTES)).map(([from, to]) => ({
      from: clockMinutes(midnight + from * MINUTE, day),
      to: to >= DAY_MINUTES ? DAY_MINUTES : clockMinutes(midnight + to * MINUTE, day),
    }));
    rows.push({
      day,
      free,
      blocks: blocks.flatMap((block) => {
        const on = onDay(block.start, block.end, day);
        return on ? [{ ...on, block }] : [];
      }),
      kiln: kiln.flatMap(({ kind, from, to }) => {
        const on = onDay(from, to, day);
        return on ? [{ ...on, kind }] : [];
      }),
    });
  }
}
