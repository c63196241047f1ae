import type { FreeHours } from '../planning/planJob.ts';

/** Hours of one weekday, Monday being 0: minutes from midnight. */
export interface DayHours {
  readonly day: number;
  readonly from: number;
  readonly to: number;
}

const MINUTE = 60_000;
const DAY_MINUTES = 24 * 60;

/** A potter's usual week: mornings and afternoons from Monday to Friday. */
export const USUAL_WEEK: readonly DayHours[] = [0, 1, 2, 3, 4].flatMap((day) => [
  { day, from: 9 * 60, to: 12 * 60 },
  { day, from: 13 * 60, to: 17 * 60 },
]);

/** Midnight of a day, in local time, so many days on. */
function midnight(ms: number, days: number): Date {
  const day = new Date(ms);
  return new Date(day.getFullYear(), day.getMonth(), day.getDate() + days);
}

/** A minute of a day on the clock of the place: where summer time begins or ends, noon is still noon. */
function clockTime(day: Date, minute: number): number {
  return new Date(day.getFullYear(), day.getMonth(), day.getDate(), Math.floor(minute / 60), minute % 60).getTime();
}

/** The hours of a week between two moments (ms since 1970), as minutes from the first of them. */
export function weekHours(week: readonly DayHours[], from: number, to: number): FreeHours[] {
  const hours: FreeHours[] = [];
  for (let days = 0; midnight(from, days).getTime() < to; days += 1) {
    const day = midnight(from, days);
    const weekday = (day.getDay() + 6) % 7;
    for (const own of week) {
      if (own.day !== weekday) continue;
      const start = Math.max(from, clockTime(day, own.from));
      const end = Math.min(to, clockTime(day, Math.min(own.to, DAY_MINUTES)));
      if (end > start) hours.push([(start - from) / MINUTE, (end - from) / MINUTE]);
    }
  }
  return hours;
}
