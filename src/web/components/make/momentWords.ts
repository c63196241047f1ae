/** Forecasts are told to five minutes, later ones to the quarter and the half of an hour: no model knows more. */
function rounded(ms: number, now: number): number {
  const far = ms - now;
  const step = far < 6 * 3_600_000 ? 5 : far < 24 * 3_600_000 ? 15 : 30;
  return Math.round(ms / (step * 60_000)) * step * 60_000;
}

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'short' });
const date = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });

/** `10:05` today, `Sun 07:00` within six days, `Sat 12 Dec` later. */
export function momentWords(ms: number, now: number): string {
  const moment = new Date(rounded(ms, now));
  if (moment.toDateString() === new Date(now).toDateString()) return clock.format(moment);
  if (Math.abs(ms - now) < 6 * 86_400_000) return `${weekday.format(moment)} ${clock.format(moment)}`;
  return date.format(moment);
}

/** The time on the clock as it was. */
export const clockWords = (iso: string): string => clock.format(new Date(iso));

/** `Sat 12 Dec`. */
export const dayWords = (iso: string): string => date.format(new Date(iso));

/** `40 min`, `3 h`, `2 days`. */
export function spanWords(ms: number): string {
  const minutes = Math.max(0, Math.round(ms / 60_000));
  if (minutes < 90) return `${minutes} min`;
  return minutes < 48 * 60 ? `${Math.round(minutes / 60)} h` : `${Math.round(minutes / 1440)} days`;
}
