import { ROOM } from '../../../core/studio/drying/air.ts';
import { USUAL_FIRING, type KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import type { LaidBlock } from '../../../core/studio/order/order.ts';
import { clockMinutes, dayRows, momentOn } from './calendarRows.ts';

const HOUR = 3_600_000;
const at = (day: string, time = '00:00') => new Date(`${day}T${time}`).getTime();
const block = (start: number, end: number): LaidBlock => ({
  line: 0,
  block: 'a',
  set: 0,
  start,
  end,
  pieces: 4,
  held: false,
});

const order = (change: Partial<KeptOrder>): KeptOrder => ({
  name: 'Cups',
  start: '2026-11-30',
  ready: '2026-12-04',
  week: [{ day: 0, from: 540, to: 720 }],
  ...USUAL_FIRING,
  pace: 1,
  air: ROOM,
  lines: [],
  held: [],
  laid: null,
  ...change,
});
const laid = (blocks: readonly LaidBlock[], kiln: NonNullable<KeptOrder['laid']>['kiln'] = []) =>
  ({ blocks, kiln, of: '' }) as unknown as NonNullable<KeptOrder['laid']>;

describe('the clock of a day', () => {
  it.each([
    ['2026-12-01', '00:00', 0],
    ['2026-12-01', '09:30', 570],
    ['2026-12-01', '23:59', 1439],
    ['2026-11-30', '23:59', 0],
    ['2026-12-02', '00:00', 1440],
  ])('%s %s is minute %i of the first of December', (day, time, minute) => {
    expect(clockMinutes(at(day, time), new Date(2026, 11, 1))).toBe(minute);
  });

  it('tells the moment of each of its quarters again, also where the clocks change', () => {
    for (const day of [new Date(2026, 2, 29), new Date(2026, 9, 25), new Date(2026, 11, 1)])
      for (let minute = 0; minute < 1440; minute += 15) {
        const back = clockMinutes(momentOn(day, minute), day);
        // An hour that the clocks leave out is told an hour later.
        expect([minute, minute + 60]).toContain(back);
      }
  });
});

describe('the days of an order', () => {
  it('go from its first to the one on which it is wanted, without work too', () => {
    const rows = dayRows(order({}), at('2026-11-01'));
    expect(rows.map(({ day }) => day.getDate())).toEqual([30, 1, 2, 3, 4]);
    expect(rows[0]?.free).toEqual([{ from: 540, to: 720 }]);
    expect(rows.slice(1).flatMap(({ free }) => free)).toEqual([]);
  });

  it('begin today once the order has begun, but never hide a block', () => {
    const early = block(at('2026-11-30', '09:00'), at('2026-11-30', '10:00'));
    const days = (now: number, change: Partial<KeptOrder>) =>
      dayRows(order(change), now).map(({ day }) => day.getDate());
    expect(days(at('2026-12-02', '12:00'), {})).toEqual([2, 3, 4]);
    expect(days(at('2026-12-02', '12:00'), { laid: laid([early]) })).toEqual([30, 1, 2, 3, 4]);
  });

  it('share a block, and a firing, over midnight', () => {
    const night = block(at('2026-12-01', '22:00'), at('2026-12-02', '01:00'));
    const kiln = [{ kind: 'glaze', from: at('2026-12-01', '18:00'), to: at('2026-12-03', '06:00') }] as const;
    const rows = dayRows(order({ laid: laid([night], kiln as never) }), at('2026-11-01'));
    const blocks = rows.flatMap((row) => row.blocks.map(({ from, to }) => [row.day.getDate(), from, to]));
    expect(blocks).toEqual([
      [1, 1320, 1440],
      [2, 0, 60],
    ]);
    const fired = rows.flatMap((row) => row.kiln.map(({ from, to }) => to - from));
    expect(fired).toEqual([360, 1440, 360]);
    expect(fired.reduce((sum, one) => sum + one, 0) * 60_000).toBe(36 * HOUR);
  });
});
