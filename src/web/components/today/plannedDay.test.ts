import type { MakingNow } from '../../../contract/makings.ts';
import { layOrder } from '../../../core/studio/order/layOrder.ts';
import { taskOf } from '../../../core/studio/order/keptOrder.ts';
import { CUP, MONDAY, day, keptOrder } from '../../../core/studio/order/orders.test.helper.ts';
import { seeded } from '../../../core/seeded.ts';
import { plannedDay } from './plannedDay.ts';

const at = new Date(MONDAY).toISOString();
const laid = layOrder(taskOf(keptOrder(), MONDAY, []), { random: seeded(1), rounds: 60 });
const kept = {
  id: 'galley',
  revision: 1,
  createdAt: at,
  updatedAt: at,
  body: keptOrder({ makings: ['cups'], laid: { ...laid, of: '' } }),
};
const first = Math.min(...laid.blocks.map(({ start }) => start));
const cups = (steps: readonly string[]): MakingNow =>
  ({
    id: 'cups',
    name: 'cups',
    clay: null,
    startedAt: at,
    dueAt: null,
    air: kept.body.air,
    pieces: [{ designId: kept.body.lines[0]?.design ?? '', name: 'cup', count: 3, steps: CUP }],
    marks: steps.flatMap((step) =>
      [1, 2, 3].map((number) => ({ id: `${step} ${number}`, piece: 0, number, step, kind: 'done' as const, at })),
    ),
  }) as unknown as MakingNow;

describe('what orders have planned', () => {
  it('is the next day on which they have something, in the order of the clock', () => {
    const found = plannedDay([kept], [], day(-3, 12));
    expect(found?.today).toBe(false);
    expect(found?.day.toDateString()).toBe(new Date(first).toDateString());
    const starts = found?.things.map(({ from }) => from) ?? [];
    expect(starts).toEqual([...starts].sort((one, other) => one - other));
    expect(found?.things[0]).toMatchObject({ order: 'galley', orderName: 'The galley', from: first });
    expect(plannedDay([kept], [], first - 1)?.today).toBe(true);
  });

  it('leaves out what is over, and what its making has done', () => {
    const words = (makings: readonly MakingNow[]) =>
      plannedDay([kept], makings, first - 1)?.things.map((one) => one.words) ?? [];
    expect(words([]).some((one) => one.includes('do roll'))).toBe(true);
    expect(words([cups(['roll'])])).toEqual(words([]));
    expect(words([cups(['roll', 'cut'])]).some((one) => one.includes('do roll'))).toBe(false);
    expect(words([{ ...cups(['roll', 'cut']), id: 'of another order' }])).toEqual(words([]));
    expect(plannedDay([kept], [], day(400))).toBeNull();
    expect(plannedDay([], [], MONDAY)).toBeNull();
  });
});
