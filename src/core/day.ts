const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Whether a text is a day of the calendar, YYYY-MM-DD: a date parser takes the 31st of February for a day in March. */
export function isDay(text: string): boolean {
  return DAY.test(text) && !Number.isNaN(Date.parse(text)) && new Date(text).toISOString().startsWith(text);
}

const two = (value: number) => String(value).padStart(2, '0');

/** The day of a moment by the clock on the wall (local time), YYYY-MM-DD. */
export const localDay = (at: Date): string =>
  `${String(at.getFullYear()).padStart(4, '0')}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
