import type { Mark, MarkKind } from '../making/making.ts';
import { seeded } from '../../seeded.ts';
import { doneBlocks, type OrderMaking } from './doneBlocks.ts';
import { isBehind, laidFor, taskOf, withItsWork, type KeptOrder } from './keptOrder.ts';
import { layOrder } from './layOrder.ts';
import { makesIt, type DoneBlock, type LaidOrder } from './order.ts';
import { CUP, MONDAY, broken, day, keptOrder, order } from './orders.test.helper.ts';

const HOUR = 3_600_000;
const run = (seed = 3, rounds = 60) => ({ random: seeded(seed), rounds });
const plan = (kept: KeptOrder, laid: LaidOrder): KeptOrder => ({ ...kept, laid: { ...laid, of: '' } });
const laidWith = (sets: number[][]): KeptOrder =>
  plan(keptOrder(), { blocks: [], sets, kiln: [], dryBy: null, late: [], left: [], never: [] });

let made = 0;
const mark = (id: string, number: number, kind: MarkKind = 'done', piece = 0): Mark => ({
  id: String((made += 1)).padStart(6, '0'),
  piece,
  number,
  step: id,
  kind,
  at: new Date(MONDAY + made * 1000).toISOString(),
});
const all = (ids: readonly string[], numbers: readonly number[], piece = 0) =>
  ids.flatMap((id) => numbers.map((number) => mark(id, number, 'done', piece)));
const cups = (count: number, marks: readonly Mark[]): OrderMaking => ({
  pieces: [{ designId: keptOrder().lines[0]?.design ?? '', count, steps: CUP }],
  marks,
});
const told = (blocks: readonly DoneBlock[]) => blocks.map(({ line, set, block }) => `${line} ${set} ${block}`);

describe('what is done of an order', () => {
  it.each<[string, () => OrderMaking[], string[]]>([
    ['nothing of nothing', () => [], []],
    ['nothing while one of the set is open', () => [cups(3, all(['roll', 'cut'], [1]))], []],
    ['a block of the set that is ready', () => [cups(3, all(['roll', 'cut'], [1, 2]))], ['0 1 roll']],
    ['one that was passed over', () => [cups(3, [mark('roll', 3), mark('cut', 3, 'skipped')])], ['0 2 roll']],
    ['none that was opened again', () => [cups(3, [...all(['roll', 'cut'], [3]), mark('cut', 3, 'open')])], []],
    [
      'none of a piece that is made again',
      () => [cups(3, [...all(['roll', 'cut'], [3]), mark('stiffen', 3, 'too-stiff'), mark('stiffen', 3, 'again')])],
      [],
    ],
    [
      'a wait without acts, when it is over',
      () => [cups(3, [mark('slowly', 3, 'leather-hard'), mark('dry', 3, 'dry')])],
      ['0 2 turn 2', '0 2 kiln'],
    ],
    ['nothing of another number of pieces', () => [cups(4, all(['roll', 'cut'], [1, 2, 3, 4]))], []],
    [
      'nothing of another design',
      () => [{ pieces: [{ designId: 'other', count: 3, steps: CUP }], marks: all(['roll', 'cut'], [1, 2, 3]) }],
      [],
    ],
  ])('is %s', (_, makings, wanted) => {
    expect(told(doneBlocks(laidWith([[2, 1]]), makings()))).toEqual(wanted);
  });

  it('is at the last tick, and goes to the right one of two lines of one design', () => {
    const [line] = keptOrder().lines;
    const two = { ...laidWith([[3], [3]]), lines: [line, line].flatMap((one) => one ?? []) };
    const marks = all(['roll', 'cut'], [1, 2, 3], 1);
    const making = { pieces: [...cups(3, []).pieces, ...cups(3, []).pieces], marks };
    expect(doneBlocks(two, [making])).toEqual([
      { line: 1, set: 1, block: 'roll', at: Date.parse(marks.at(-1)?.at ?? '') },
    ]);
  });

  it('counts its wait anew when a part was wetted, for its own set only', () => {
    const marks = all(['roll', 'cut'], [1, 2, 3]);
    const missed = mark('stiffen', 2, 'too-stiff');
    const wetted = mark('stiffen', 2, 'wetted');
    const times = [marks.at(-2)?.at ?? '', marks.at(-1)?.at ?? '', wetted.at].map((at) => Date.parse(at));
    const found = doneBlocks(laidWith([[2, 1]]), [cups(3, [...marks, missed, wetted])]);
    expect(found.map(({ set, at }) => [set, at])).toEqual([
      [1, times[2]],
      [2, times[1]],
    ]);
    expect(doneBlocks(laidWith([[2, 1]]), [cups(3, marks)]).map(({ at }) => at)).toEqual([times[0], times[1]]);
  });
});

describe('an order that is in work', () => {
  it('goes on from what is done, breaking no window, hour or pair of hands, for 30 moments', () => {
    const random = seeded(23);
    for (let index = 0; index < 30; index += 1) {
      const task = order({ lines: order().lines.map((line) => ({ ...line, count: 2 + Math.floor(8 * random()) })) });
      const first = layOrder(task, run(index));
      const now = MONDAY + (4 + 140 * random()) * HOUR;
      // Some sets were left alone at some block, and nothing that follows it was done.
      const stops = new Map<string, number>();
      const done = first.blocks
        .filter(({ end }) => end < now)
        .sort((one, other) => one.start - other.start)
        .flatMap(({ line, set, block, end }): DoneBlock[] => {
          const key = `${line} ${set}`;
          if (stops.has(key) || random() < 0.1) {
            stops.set(key, 1);
            return [];
          }
          return [{ line, set, block, at: Math.min(now, end + 10 * 60_000 * random()) }];
        });
      const again = { ...task, done, now, taken: [[MONDAY, now] as const], sets: first.sets };
      const laid = layOrder(again, run(index));
      expect(broken(again, laid)).toEqual([]);
      const told = laid.blocks
        .filter((one) => one.done)
        .map(({ line, set, block, end }) => ({ line, set, block, at: end }));
      expect(told).toEqual(done);
    }
  });

  it('is as it was when everything was done when it was planned', () => {
    const first = layOrder(order(), run(3, 300));
    const now = day(2, 12);
    const done = first.blocks
      .filter(({ end }) => end < now)
      .map(({ line, set, block, end }) => ({ line, set, block, at: end }));
    expect(done.length).toBeGreaterThan(2);
    expect(makesIt(layOrder(order({ done, now, taken: [[MONDAY, now]], sets: first.sets }), run(3, 300)))).toBe(true);
  });

  it('says which pieces have waited too long for their next block', () => {
    const lines = order()
      .lines.slice(0, 1)
      .map((line) => ({ ...line, count: 5 }));
    const done = [1, 2].map((set) => ({ line: 0, set, block: 'roll', at: MONDAY }));
    const laid = layOrder(
      order({ lines, done, now: MONDAY + 50 * HOUR, taken: [[MONDAY, MONDAY + 50 * HOUR]], sets: [[2, 2, 1]] }),
      run(),
    );
    expect(laid.never).toEqual([{ kind: 'waited', line: 0, block: 'wrap', pieces: 4 }]);
    expect(laid.left).toEqual([4]);
  });

  it('lays anew what should be done by now; without a making what lies behind stays', () => {
    const first = layOrder(taskOf(keptOrder(), MONDAY, []), run());
    const kept = plan(keptOrder(), first);
    const now = (first.blocks[0]?.end ?? 0) + HOUR;
    expect(taskOf(kept, now, []).held).toHaveLength(first.blocks.filter(({ start }) => start < now).length);
    const begun = { ...kept, done: [], held: [{ line: 0, set: 1, block: 'roll', start: MONDAY }] };
    expect(taskOf(begun, now, [])).toMatchObject({ held: [], done: [], sets: first.sets, now });
    expect([isBehind(kept, now), isBehind(begun, now), isBehind(begun, MONDAY)]).toEqual([false, true, false]);
    expect(laidFor(begun)).not.toBe(laidFor({ ...begun, done: [{ line: 0, set: 1, block: 'roll', at: now }] }));
  });

  it('keeps its making when its plan is undone, and gets none that it did not have', () => {
    const work = { makings: ['a'], done: [] };
    expect(withItsWork(keptOrder({ pace: 2 }), keptOrder(work))).toEqual(keptOrder({ pace: 2, ...work }));
    expect(withItsWork(keptOrder(work), keptOrder({ pace: 2 }))).toEqual(keptOrder());
  });
});
