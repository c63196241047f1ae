import { hoursText, readHours } from './typedHours.ts';

const read = (text: string) => readHours(2, text)?.map(({ from, to }) => [from / 60, to / 60]) ?? null;

describe('hours of a day as they are typed', () => {
  it.each([
    ['', []],
    [
      '9–12, 13–17:30',
      [
        [9, 12],
        [13, 17.5],
      ],
    ],
    ['9.30-12', [[9.5, 12]]],
    [
      '9 to 12; 12 to 13',
      [
        [9, 12],
        [12, 13],
      ],
    ],
    ['9 am - 5 pm', [[9, 17]]],
    ['1 am-1pm', [[1, 13]]],
    ['12 am - 12 pm', [[0, 12]]],
    ['0—24', [[0, 24]]],
    ['00:00-00:59', [[0, 59 / 60]]],
  ])('"%s" are read', (text, hours) => expect(read(text)).toEqual(hours));

  it.each([
    'noon',
    '9',
    '9-',
    '9-12-13',
    '12-9',
    '9-9',
    '9-12, 11-13',
    '0 am - 5',
    '13 pm - 14',
    '9:60-12',
    '9-25',
    '23-24:01',
    '1-2,3-4,5-6,7-8,9-10,11-12,13-14',
  ])('"%s" are refused', (text) => expect(read(text)).toBeNull());

  it('are read again as they are shown, and keep to their day', () => {
    const week = [...(readHours(2, '9:05–12, 13–17:30') ?? []), ...(readHours(3, '0–24') ?? [])];
    expect(hoursText(week, 2)).toBe('9:05–12, 13–17:30');
    expect(hoursText(week, 3)).toBe('0–24');
    expect(hoursText(week, 4)).toBe('');
    expect(readHours(2, hoursText(week, 2))).toEqual(week.filter(({ day }) => day === 2));
  });
});
