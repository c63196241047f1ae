const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Whether a text is a day of the calendar, YYYY-MM-DD: a date parser takes the 31st of February for a day in March. */
export function isDay(text: string): boolean {
  return DAY.test(text) && !Number.isNaN(Date.parse(text)) && new Date(text).toISOString().startsWith(text);
}
