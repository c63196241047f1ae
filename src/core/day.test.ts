import fc from 'fast-check';
import { isDay, localDay } from './day.ts';

describe('a day of the calendar', () => {
  it.each(['2026-02-28', '2024-02-29', '2026-12-31'])('%s is one', (text) => {
    expect(isDay(text)).toBe(true);
  });

  it.each([
    '2026-02-29',
    '2026-02-31',
    '2026-13-01',
    '2026-00-10',
    '26-01-01',
    '2026-1-1',
    '2026-01-01T00:00',
    '',
    'today',
  ])('“%s” is none', (text) => {
    expect(isDay(text)).toBe(false);
  });

  it('of a moment is the one on the wall, from midnight to midnight', () => {
    const moment = fc.record({
      year: fc.integer({ min: 1000, max: 9999 }),
      month: fc.integer({ min: 1, max: 12 }),
      day: fc.integer({ min: 1, max: 28 }),
      // Not 0 to 2: where clocks go forward at midnight, that hour does not exist.
      hour: fc.constantFrom(3, 12, 23),
      minute: fc.constantFrom(0, 59),
    });
    fc.assert(
      fc.property(moment, ({ year, month, day, hour, minute }) => {
        const text = localDay(new Date(year, month - 1, day, hour, minute));
        expect(text.split('-').map(Number)).toEqual([year, month, day]);
        expect(isDay(text)).toBe(true);
      }),
    );
  });
});
