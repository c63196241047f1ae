import { ROOM } from '../drying/air.ts';
import { seeded } from '../../seeded.ts';
import { kilnDays, lastFit, lastMinutes } from './kilnDays.ts';
import { layOrder } from './layOrder.ts';
import { makesIt, type LaidOrder, type OrderTask } from './order.ts';
import { blockMinutes, evenSets, setStep } from './pieceSet.ts';
import { USUAL_WEEK, weekHours } from './weekHours.ts';
import { MONDAY, broken, day, piecesOf, step, wait, CUP, FIRING, order } from './orders.test.helper.ts';
import { shared, whatHelps } from './whatHelps.ts';
import { blocksOf, type WorkBlock } from './workBlock.ts';

const HOUR = 3_600_000;
const lay = (change: Partial<OrderTask> = {}) => layOrder(order(change), { random: seeded(3), rounds: 300 });

describe('blocks of an order of work', () => {
  it('are what is done between its waits, with all of its minutes, ending at the kiln', () => {
    expect(
      blocksOf(CUP).map(({ id, title, once, each, waits }) => [id, title, once, each, waits?.until ?? null]),
    ).toEqual([
      ['roll', 'Do roll … Do cut', 12, 6, null],
      ['wrap', 'Do wrap … Do rim', 0, 27, 'opens'],
      ['turn 2', 'Uncover and turn over', 0, 1, 'leatherHard'],
      ['kiln', 'Carry to the kiln', 0, 2, 'dry'],
    ]);
    expect(blocksOf([step('cut', 4)])).toHaveLength(1);
    expect(blocksOf([])).toEqual([]);
  });
});

describe('a set of pieces', () => {
  it('may start exactly when every one of its pieces is in its window, for 500 made-up blocks', () => {
    const random = seeded(7);
    let placed = 0;
    for (let index = 0; index < 500; index += 1) {
      const block = (each: number, once: number): WorkBlock => ({ id: 'b', title: '', once, each, waits: null });
      const [one, two] = [
        block(1 + 30 * random(), 20 * random()),
        block(1 + 30 * random(), random() < 0.5 ? 0 : 20 * random()),
      ];
      const [pieces, pace] = [1 + Math.floor(9 * random()), 0.5 + random()];
      const [opens, length] = [200 * random(), 300 * random()];
      const found = setStep(two, { before: { block: one, wait: { opens, closes: opens + length } }, pieces, pace });
      const ended = piecesOf(one, { start: 0, pieces, pace });
      const waits = (gap: number) =>
        piecesOf(two, { start: blockMinutes(one, pieces, pace) + gap, pieces, pace }).map(
          ([begun], place) => begun - (ended[place]?.[1] ?? 0),
        );
      const right = (gap: number) =>
        waits(gap).every((minutes) => minutes >= opens - 1e-6 && minutes <= opens + length + 1e-6);
      if (found) {
        placed += 1;
        expect([found.least, found.most ?? 0].map(right)).toEqual([true, true]);
        expect(right((found.most ?? 0) + 0.01)).toBe(false);
        // The slab work of the second block is not counted on for what has to wait.
        if (found.least > 0 && two.once === 0) expect(right(found.least - 0.01)).toBe(false);
      } else if (two.once === 0) {
        expect([0, 50, 100, 200, 300].map(right)).not.toContain(true);
      }
    }
    expect(placed).toBeGreaterThan(150);
  });

  it.each<[number, number, number[]]>([
    [12, 4, [4, 4, 4]],
    [10, 4, [4, 3, 3]],
    [1, 12, [1]],
    [7, 1, [1, 1, 1, 1, 1, 1, 1]],
  ])('%i pieces in sets of at most %i: %j', (pieces, most, wanted) => {
    expect(evenSets(pieces, most)).toEqual(wanted);
  });
});

describe('hours of a week', () => {
  it('are those of each weekday, from a moment on and to another', () => {
    const hours = weekHours(USUAL_WEEK, MONDAY, day(7, 10));
    expect(hours).toHaveLength(11);
    expect(hours[0]).toEqual([120, 300]);
    expect(hours.at(-1)).toEqual([7 * 1440 + 120, 7 * 1440 + 180]);
    expect(weekHours(USUAL_WEEK, new Date(2027, 1, 6, 8).getTime(), new Date(2027, 1, 7, 23).getTime())).toEqual([]);
    expect(weekHours([{ day: 0, from: 600, to: 1440 }], MONDAY, day(3))).toEqual([[180, 1020]]);
  });
});

describe('days of the kiln', () => {
  const hours = weekHours(USUAL_WEEK, MONDAY, day(30));
  const ready = (day(18) - MONDAY) / 60_000;

  it('are laid backwards, each as late as the hours allow', () => {
    const found = kilnDays(hours, ready, { ...FIRING, pieces: 30 });
    const kinds = found?.stretches.map(({ kind }) => kind);
    expect(kinds).toEqual(['load bisque', 'bisque', 'glazing', 'load glaze', 'glaze']);
    const at = (kind: string) => found?.stretches.find((one) => one.kind === kind) ?? { from: NaN, to: NaN };
    expect(at('glaze').to).toBeLessThanOrEqual(ready);
    expect(at('glaze').to - at('glaze').from).toBe(FIRING.glaze);
    // Ready on a Friday at 18:00: the kiln is lit on Thursday at 17:00 at the latest.
    expect(new Date(MONDAY + at('glaze').from * 60_000)).toEqual(new Date(2027, 1, 18, 17));
    const glazing = (found?.stretches ?? []).filter(({ kind }) => kind === 'glazing');
    expect(glazing.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(180, 6);
    expect(at('bisque').to).toBeLessThanOrEqual(glazing[0]?.from ?? 0);
    expect(found?.dryBy).toBe(at('load bisque').from);
  });

  it('once fired there is no bisque; and there may be no time', () => {
    expect(kilnDays(hours, ready, { ...FIRING, once: true, pieces: 30 })?.stretches).toHaveLength(2);
    expect(kilnDays(hours, 2000, { ...FIRING, pieces: 30 })).toBeNull();
    expect(kilnDays([], ready, { ...FIRING, pieces: 30 })).toBeNull();
    expect(
      lastFit(
        [
          [0, 60],
          [100, 120],
        ],
        150,
        30,
      ),
    ).toEqual([30, 60]);
    expect(
      lastMinutes(
        [
          [0, 60],
          [100, 120],
        ],
        110,
        30,
      ),
    ).toEqual([
      [40, 60],
      [100, 110],
    ]);
    expect(lastMinutes([[0, 20]], 110, 30)).toBeNull();
  });
});

describe('an order', () => {
  it('is laid back from the day it is wanted, every piece in its window', () => {
    const laid = lay();
    expect(broken(order(), laid)).toEqual([]);
    expect(makesIt(laid)).toBe(true);
    expect(laid.sets.map((sets) => sets.reduce((sum, pieces) => sum + pieces, 0))).toEqual([12, 18]);
  });

  it('rolls the second set while the first stiffens', () => {
    const { blocks } = lay({ lines: [{ count: 3, blocks: blocksOf(CUP) }], sets: [[1, 1, 1]] });
    const starts = (block: string) =>
      blocks
        .filter((one) => one.block === block)
        .map(({ start }) => start)
        .sort();
    expect(starts('roll').filter((start) => start < (starts('wrap')[0] ?? 0))).toHaveLength(3);
  });

  it('breaks no window, hour or pair of hands, for 40 made-up orders', () => {
    const random = seeded(19);
    for (let index = 0; index < 40; index += 1) {
      const task = order({
        lines: [
          {
            count: 1 + Math.floor(20 * random()),
            blocks: blocksOf(CUP),
            factors: { cloth: 0.7 + random(), open: 0.9 },
          },
          {
            count: 1 + Math.floor(20 * random()),
            blocks: blocksOf([
              step('roll', 20, { act: 'roll' }),
              step('cut', 4 + 10 * random()),
              wait('stiffen', 'opens', 3 + 6 * random()),
              step('wrap', 10 + 50 * random()),
              wait('dry', 'dry'),
            ]),
          },
        ],
        ready: day(3 + Math.floor(25 * random())),
        pace: 0.6 + random(),
        week: USUAL_WEEK.filter(() => random() < 0.7),
        taken: [[day(1, 9), day(1, 11)]],
      });
      expect(broken(task, layOrder(task, { random: seeded(index), rounds: 40 }))).toEqual([]);
    }
  });

  it('keeps what was put somewhere by hand, and lays the rest again', () => {
    const first = lay();
    const moved = first.blocks.find(({ block, set, line }) => block === 'roll' && line === 0 && set === 1);
    const held = [{ line: 0, set: 1, block: 'roll', start: (moved?.start ?? 0) + 24 * HOUR }];
    const again = lay({ held, sets: first.sets });
    expect(broken(order({ held }), again)).toEqual([]);
    expect(again.sets).toEqual(first.sets);
    expect(again.blocks.find(({ held: stays }) => stays)).toMatchObject(held[0] ?? {});
  });

  it.each<[string, Partial<OrderTask>, Partial<LaidOrder>]>([
    [
      'says that a block is longer than any stretch',
      { week: [{ day: 1, from: 600, to: 610 }], firing: { ...FIRING, load: 5, glazing: 0.1 } },
      {
        left: [12, 18],
        never: [
          { kind: 'stretch', line: 0, block: 'wrap', minutes: 27, stretch: 10 },
          { kind: 'stretch', line: 1, block: 'wrap', minutes: 27, stretch: 10 },
        ],
      },
    ],
    [
      'says that nothing dries in wet air',
      { air: { ...ROOM, humidity: 1 } },
      {
        left: [12, 18],
        never: [
          { kind: 'never-dry', line: 0, block: 'wrap' },
          { kind: 'never-dry', line: 1, block: 'wrap' },
        ],
      },
    ],
    ['says that there is no time to fire', { ready: day(1) }, { dryBy: null, left: [12, 18], blocks: [] }],
    ['is empty without lines', { lines: [] }, { blocks: [], late: [], left: [] }],
  ])('%s', (_, change, wanted) => {
    expect(lay(change)).toMatchObject(wanted);
  });
});

describe('what helps', () => {
  it('names only what brings all of it in on time, and the least of it', () => {
    const task = order({ start: day(7, 8), ready: day(15), pace: 1.3 });
    const laid = layOrder(task, { random: seeded(3), rounds: 300 });
    expect(makesIt(laid)).toBe(false);
    const helps = whatHelps(task, MONDAY, { random: seeded(3) });
    expect(helps.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['start', 'fewer', 'ready']));
    for (const help of helps) {
      const change: Partial<OrderTask> =
        help.kind === 'fewer'
          ? { lines: task.lines.map((line, index) => ({ ...line, count: help.counts[index] ?? 0 })) }
          : help.kind === 'air'
            ? { air: { ...task.air, speed: help.speed } }
            : help.kind === 'hours'
              ? { week: task.week.map((own) => ({ ...own, to: own.to + help.minutes })) }
              : help.kind === 'start'
                ? { start: help.start }
                : { ready: help.ready };
      expect([help.kind, makesIt(layOrder({ ...task, ...change }, { random: seeded(3), rounds: 300 }))]).toEqual([
        help.kind,
        true,
      ]);
    }
  });

  it('shares fewer pieces out by what was asked', () => {
    expect(shared([12, 18], 20)).toEqual([8, 12]);
    expect(shared([1, 1, 1], 2)).toEqual([1, 1, 0]);
    expect(shared([5, 3, 1], 4)).toEqual([2, 1, 1]);
    const random = seeded(12);
    for (let round = 0; round < 200; round += 1) {
      const counts = Array.from({ length: 1 + Math.floor(6 * random()) }, () => 1 + Math.floor(40 * random()));
      const all = counts.reduce((sum, count) => sum + count, 0);
      const pieces = Math.floor(random() * (all + 1));
      const rests = shared(counts, pieces).map((count, line) => ((counts[line] as number) * pieces) / all - count);
      expect(rests.reduce((sum, rest) => sum + rest, 0)).toBeCloseTo(0, 9);
      // Every line is within a piece of its share, and none that was rounded up has less left over than one that was not.
      expect(Math.max(...rests.map(Math.abs))).toBeLessThan(1);
      const [up, down] = [
        rests.filter((rest) => rest < -1e-9).map((rest) => rest + 1),
        rests.filter((rest) => rest > 1e-9),
      ];
      expect(Math.min(...up, 1)).toBeGreaterThanOrEqual(Math.max(...down, 0) - 1e-9);
    }
  });
});
