import { ROOM } from '../drying/air.ts';
import { courseOf } from '../making/waitWindow.ts';
import type { WorkStep } from '../making/workStep.ts';
import type { Firing } from './kilnDays.ts';
import type { KeptOrder } from './keptOrder.ts';
import type { LaidOrder, OrderTask } from './order.ts';
import { blockMinutes } from './pieceSet.ts';
import { USUAL_WEEK, weekHours } from './weekHours.ts';
import { blocksOf, type WorkBlock } from './workBlock.ts';

/** A Monday, 07:00 in local time. */
export const MONDAY = new Date(2027, 1, 1, 7).getTime();
export const day = (days: number, hour = 18) => new Date(2027, 1, 1 + days, hour).getTime();

export const step = (id: string, minutes: number, more: Partial<WorkStep> = {}): WorkStep => ({
  id,
  act: 'cut',
  title: `Do ${id}`,
  says: [],
  tools: [],
  until: '',
  minutes,
  ...more,
});
export const wait = (id: string, until: 'opens' | 'leatherHard' | 'dry', thickness = 5) =>
  step(id, 1, {
    act: 'wait',
    waits: { until, part: { thickness, faces: 'both', cover: until === 'dry' ? 'open' : 'cloth' } },
  });
export const CUP: readonly WorkStep[] = [
  step('roll', 12, { act: 'roll' }),
  step('cut', 6),
  wait('stiffen', 'opens'),
  step('wrap', 10),
  step('base', 12),
  step('rim', 5),
  wait('slowly', 'leatherHard'),
  wait('dry', 'dry'),
];
export const FIRING: Firing = { once: false, bisque: 22 * 60, glaze: 24 * 60, load: 60, glazing: 6 };
export const order = (change: Partial<OrderTask> = {}): OrderTask => ({
  lines: [
    { count: 12, blocks: blocksOf(CUP) },
    { count: 18, blocks: blocksOf(CUP) },
  ],
  start: MONDAY,
  ready: day(18),
  week: USUAL_WEEK,
  taken: [],
  firing: FIRING,
  pace: 1,
  air: ROOM,
  held: [],
  done: [],
  now: change.start ?? MONDAY,
  ...change,
});

const HOUR = 3_600_000;

/** When each piece of a block of a set is begun and done with, the pieces one after another and slab work before them. */
export const piecesOf = (
  block: WorkBlock,
  { start, pieces, pace }: { start: number; pieces: number; pace: number },
) => {
  const slab = blockMinutes(block, pieces, pace) - pace * block.each * pieces;
  return Array.from(
    { length: pieces },
    (_, index) => [start + slab + pace * block.each * index, start + slab + pace * block.each * (index + 1)] as const,
  );
};

/** What is wrong with an order that is laid: pieces out of their windows, hands in two places, work out of hours, or after the kiln. */
export function broken(task: OrderTask, { blocks, sets, kiln, dryBy, late, left }: LaidOrder): string[] {
  const found: string[] = [];
  const hours = weekHours(task.week, task.start, task.start + 90 * 24 * HOUR).map(
    ([from, to]) => [task.start + from * 60_000, task.start + to * 60_000] as const,
  );
  // What is done takes hands and hours of before: only from when its waits count is looked at.
  const hands = [
    ...blocks.filter(({ done }) => !done).map(({ start, end, held }) => ({ start, end, held })),
    ...kiln
      .filter(({ kind }) => kind !== 'bisque' && kind !== 'glaze')
      .map(({ from, to }) => ({ start: from, end: to, held: false })),
  ].sort((one, other) => one.start - other.start);
  hands.forEach(({ start, end, held }, index) => {
    if (start < (hands[index - 1]?.end ?? 0) - 2) found.push(`hands are in two places at ${new Date(start)}`);
    if (!held && !hours.some(([from, to]) => start >= from - 2 && end <= to + 2))
      found.push(`out of hours at ${new Date(start)}`);
  });
  task.lines.forEach(({ blocks: own, count }, line) => {
    (sets[line] ?? []).forEach((pieces, index) => {
      const laid = own.map(({ id }) =>
        blocks.find((one) => one.line === line && one.set === index + 1 && one.block === id),
      );
      if (laid.some((one) => !one)) return;
      own.forEach((block, place) => {
        const before = own[place - 1];
        if (!before || !block.waits || laid[place]?.done) return;
        const minutes = (at: number) => ((laid[at]?.start ?? NaN) - task.start) / 60_000;
        const ends = piecesOf(before, { start: minutes(place - 1), pieces, pace: task.pace });
        const begins = piecesOf(block, { start: minutes(place), pieces, pace: task.pace });
        const { reached } = courseOf(block.waits.part, task.air);
        const usual = (task.lines[line]?.factors?.[block.waits.part.cover] ?? 1) * 60;
        begins.forEach(([begun], piece) => {
          const waited = begun - (ends[piece]?.[1] ?? 0);
          const [opens, closes] = [
            (reached[block.waits?.until ?? 'opens'] ?? NaN) * usual,
            block.waits?.until === 'opens' ? (reached.closes ?? NaN) * usual : Infinity,
          ];
          if (!(waited >= opens - 0.1 && waited <= closes + 0.1))
            found.push(
              `line ${line} set ${index + 1} piece ${piece} at ${block.id}: ${waited} of ${opens} to ${closes}`,
            );
        });
      });
    });
    const whole = (set: number) =>
      own.every(({ id }) => blocks.some((one) => one.line === line && one.set === set && one.block === id));
    const done = new Set(blocks.filter((one) => one.line === line && whole(one.set)).map(({ set }) => set));
    const laid = [...done].reduce((sum, set) => sum + (sets[line]?.[set - 1] ?? 0), 0);
    if (laid + (left[line] ?? 0) !== count) found.push(`line ${line}: ${laid} laid, ${left[line]} left of ${count}`);
    const behind = [...done]
      .filter((set) => blocks.some((one) => one.line === line && one.set === set && one.end > (dryBy ?? 0) + 2))
      .reduce((sum, set) => sum + (sets[line]?.[set - 1] ?? 0), 0);
    if (behind !== late[line]) found.push(`line ${line}: ${behind} are late, ${late[line]} said`);
  });
  for (const block of blocks)
    if (!block.done && !block.held && block.start < task.now - 2) found.push(`${block.block} is laid before now`);
  return found;
}

const DESIGN = '0b6f7e1c-1d2a-4c3b-8e4f-5a6b7c8d9e0f';

/** An order of cups as it is kept: wanted from that Monday on. */
export const keptOrder = (change: Partial<KeptOrder> = {}): KeptOrder => ({
  name: 'The galley',
  start: '2027-02-01',
  ready: '2027-02-19',
  week: USUAL_WEEK,
  once: false,
  bisque: 22,
  glaze: 24,
  glazing: 6,
  load: 60,
  pace: 1,
  air: ROOM,
  lines: [{ design: DESIGN, revision: 1, name: 'cup', count: 3, blocks: blocksOf(CUP) }],
  held: [],
  laid: null,
  ...change,
});
