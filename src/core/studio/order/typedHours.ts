import type { DayHours } from './weekHours.ts';

/** Most stretches of one day. */
const MOST = 6;

const TIME = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?$/i;

/** A time of day in minutes: "9", "9:30", "9.30", "17", "5 pm", "24". Null when it is none. */
function timeOf(text: string): number | null {
  const [, hour, minute, half] = TIME.exec(text.trim()) ?? [];
  if (hour === undefined || (half && (Number(hour) < 1 || Number(hour) > 12))) return null;
  const hours = half ? (Number(hour) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : Number(hour);
  const minutes = 60 * hours + Number(minute ?? 0);
  return Number(minute ?? 0) > 59 || minutes > 24 * 60 ? null : minutes;
}

/** Reads the hours of a day as they are typed: "9–12, 13–17:30"; empty is a free day. Null when it cannot be read. */
export function readHours(day: number, text: string): DayHours[] | null {
  if (text.trim() === '') return [];
  const found: DayHours[] = [];
  for (const part of text.split(/[,;]/)) {
    const [from, to, ...rest] = part.split(/[-–—]| to /).map(timeOf);
    const last = found.at(-1)?.to ?? 0;
    if (from === null || from === undefined || to === null || to === undefined || rest.length > 0) return null;
    if (to <= from || from < last) return null;
    found.push({ day, from, to });
  }
  return found.length > MOST ? null : found;
}

const clock = (minutes: number) => {
  const rest = minutes % 60;
  return rest === 0 ? String(minutes / 60) : `${Math.floor(minutes / 60)}:${String(rest).padStart(2, '0')}`;
};

/** The hours of a day as they are shown. */
export const hoursText = (week: readonly DayHours[], day: number): string =>
  week
    .filter((own) => own.day === day)
    .map(({ from, to }) => `${clock(from)}–${clock(to)}`)
    .join(', ');
