import type { Air } from '../drying/air.ts';
import { courseOf } from '../making/waitWindow.ts';
import { layPlan, type PlanRun } from '../planning/plan.ts';
import { freeOf, joinedHours, type FreeHours, type Plan, type PlanJob } from '../planning/planJob.ts';
import { kilnDays, type KilnStretch } from './kilnDays.ts';
import type { LaidBlock, LaidOrder, NoWay, OrderLine, OrderTask } from './order.ts';
import { blockMinutes, evenSets, setSteps, type WaitMinutes } from './pieceSet.ts';
import { weekHours } from './weekHours.ts';

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

/** How long after they should be dry late pieces may still be planned. */
const AFTER = 21 * DAY;

/** No set is larger: a board of pieces. */
const LARGEST = 12;

/** Sets are tried at these shares of the largest that can be. */
const SHARES = [1, 3 / 4, 2 / 3, 1 / 2, 5 / 12, 1 / 3, 1 / 4, 1 / 6, 0];

/** Changes tried while the size of sets is looked for. */
const FIRST_ROUNDS = 400;

/** When each wait of a line ends, in minutes at the usual pace; `never` when one does not. */
function waitsOf({ blocks, factors = {} }: OrderLine, air: Air): (WaitMinutes | null)[] | { never: string } {
  const waits: (WaitMinutes | null)[] = [];
  for (const { id, waits: wait } of blocks) {
    if (!wait) {
      waits.push(null);
      continue;
    }
    const { reached } = courseOf(wait.part, air);
    const usual = factors[wait.part.cover] ?? 1;
    const opens = reached[wait.until];
    if (opens === null) return { never: id };
    const closes = wait.until === 'opens' ? reached.closes : null;
    waits.push({ opens: 60 * usual * opens, closes: closes === null ? null : 60 * usual * closes });
  }
  return waits;
}

/** A line with what every way of cutting it into sets needs. */
interface Ground {
  readonly line: number;
  readonly count: number;
  readonly blocks: OrderLine['blocks'];
  readonly waits: readonly (WaitMinutes | null)[];
  /** The largest set that its windows and the hours allow. */
  readonly most: number;
}

/** What each line allows, and what none can do. */
function groundsOf(task: OrderTask, stretch: number): { grounds: Ground[]; never: NoWay[] } {
  const [grounds, never]: [Ground[], NoWay[]] = [[], []];
  for (const [line, own] of task.lines.entries()) {
    const waits = waitsOf(own, task.air);
    if ('never' in waits) {
      never.push({ kind: 'never-dry', line, block: waits.never });
      continue;
    }
    const sizes = Array.from(
      { length: Math.min(LARGEST, own.count) },
      (_, index) => Math.min(LARGEST, own.count) - index,
    );
    const most = sizes.find((pieces) => setSteps(own.blocks, waits, { pieces, pace: task.pace, stretch }));
    if (most !== undefined) grounds.push({ line, count: own.count, blocks: own.blocks, waits, most });
    else {
      const long = own.blocks.reduce((worst, block) =>
        blockMinutes(block, 1, 1) > blockMinutes(worst, 1, 1) ? block : worst,
      );
      never.push({ kind: 'stretch', line, block: long.id, minutes: blockMinutes(long, 1, task.pace), stretch });
    }
  }
  return { grounds, never };
}

/** A set as a job for the planner. */
interface SetJob extends PlanJob {
  readonly line: number;
  readonly set: number;
  readonly pieces: number;
}

function jobsOf(
  task: OrderTask,
  grounds: readonly Ground[],
  { sets, dryBy, stretch }: { sets: readonly (readonly number[])[]; dryBy: number; stretch: number },
): SetJob[] {
  const heldAt = (line: number, set: number, block: string) =>
    task.held.find((one) => one.line === line && one.set === set && one.block === block);
  return grounds.flatMap(({ line, blocks, waits }) =>
    (sets[line] ?? []).flatMap((pieces, index): SetJob[] => {
      const steps = setSteps(blocks, waits, { pieces, pace: task.pace, stretch });
      if (!steps) return [];
      const set = index + 1;
      const held = steps.map((step) => {
        const own = heldAt(line, set, step.id);
        return own ? { ...step, at: (own.start - task.start) / MINUTE } : step;
      });
      // Finished work takes no time; the last of it only sets the start of the next wait.
      const done = steps.map(
        ({ id }) => task.done.find((one) => one.line === line && one.set === set && one.block === id)?.at,
      );
      const last = done.findLastIndex((at) => at !== undefined);
      const from = held[last];
      const left = from
        ? [
            { id: from.id, minutes: 0, least: 0, most: null, at: ((done[last] ?? 0) - task.start) / MINUTE },
            ...held.slice(last + 1),
          ]
        : held;
      return [{ id: `${line} ${set}`, line, set, pieces, due: dryBy, steps: left }];
    }),
  );
}

/** Pieces whose next block can no longer be begun within its window. */
function waitedTooLong(task: OrderTask, jobs: readonly SetJob[], left: readonly string[]): NoWay[] {
  const now = (task.now - task.start) / MINUTE;
  const found = new Map<string, NoWay & { kind: 'waited' }>();
  for (const {
    id,
    line,
    pieces,
    steps: [done, next],
  } of jobs) {
    const latest = (done?.at ?? Infinity) + (done?.minutes ?? 0) + (next?.most ?? Infinity);
    if (!next || !left.includes(id) || latest >= now) continue;
    const known = found.get(`${line} ${next.id}`)?.pieces ?? 0;
    found.set(`${line} ${next.id}`, { kind: 'waited', line, block: next.id, pieces: known + pieces });
  }
  return [...found.values()];
}

/** Minutes that pieces are late in all, and pieces left out. */
function troubleOf(jobs: readonly SetJob[], { steps, left }: Plan): readonly [number, number] {
  const out = jobs.filter(({ id }) => left.includes(id)).reduce((sum, { pieces }) => sum + pieces, 0);
  const late = jobs.map(({ id, due }) =>
    Math.max(0, ...steps.filter(({ job }) => job === id).map(({ end }) => end - (due ?? Infinity))),
  );
  return [out, late.reduce((sum, minutes) => sum + minutes, 0)];
}

/** A way of cutting an order into sets, laid. */
interface Tried {
  readonly jobs: readonly SetJob[];
  readonly plan: Plan;
  readonly sets: readonly (readonly number[])[];
  readonly trouble: readonly [number, number];
}

const setsOf = ({ jobs }: Tried) => jobs.length;
const dayOf = ({ plan }: Tried) => Math.ceil((plan.end * MINUTE) / DAY);

/** Compares: fewer left out, less late, done by an earlier day, fewer sets, an earlier end, in this order. */
const lessTrouble = (one: Tried, other: Tried) =>
  one.trouble[0] - other.trouble[0] ||
  one.trouble[1] - other.trouble[1] ||
  dayOf(one) - dayOf(other) ||
  setsOf(one) - setsOf(other) ||
  one.plan.end - other.plan.end;

/** The sets to try, the largest first. */
function setsToTry({ lines, sets }: OrderTask, grounds: readonly Ground[]): (readonly (readonly number[])[])[] {
  const mostOf = (line: number) => grounds.find((ground) => ground.line === line)?.most ?? 0;
  const chosen = ({ count }: OrderLine, line: number, share: number) =>
    mostOf(line) === 0 ? [] : evenSets(count, Math.max(1, Math.ceil(share * mostOf(line))));
  const tries = SHARES.map((share) => lines.map((own, line) => sets?.[line] ?? chosen(own, line, share)));
  return [...new Map(tries.map((one) => [JSON.stringify(one), one])).values()];
}

const NOTHING: Plan = { steps: [], end: 0, late: [], left: [] };

/** The hours for the work, as minutes from its start, without hours that are taken or spent at the kiln. */
function hoursFor(task: OrderTask, kiln: readonly KilnStretch[]): FreeHours[] {
  const minutes = (ms: number) => (ms - task.start) / MINUTE;
  const hands = kiln
    .filter(({ kind }) => kind !== 'bisque' && kind !== 'glaze')
    .map(({ from, to }) => [from, to] as const);
  const all = weekHours(task.week, task.start, Math.max(task.start, task.ready) + AFTER);
  return freeOf(all, [...task.taken.map(([from, to]) => [minutes(from), minutes(to)] as const), ...hands]);
}

/** How an order is planned: the best plan that is found, or the first that is in time. */
export interface OrderRun extends PlanRun {
  readonly first?: boolean;
}

/** The plan with the best way of cutting the lines into sets. */
function bestSets(
  task: OrderTask,
  tries: ReturnType<typeof setsToTry>,
  { lay, run }: { lay: (sets: Tried['sets'], how: PlanRun) => Tried; run: OrderRun },
): Tried {
  const inTime = ({ trouble }: Tried) => trouble.every((amount) => amount === 0);
  const rounds = Math.min(FIRST_ROUNDS, run.rounds ?? FIRST_ROUNDS);
  let best: Tried | null = null;
  for (const sets of tries) {
    const tried = lay(sets, { ...run, rounds });
    if (!best || lessTrouble(tried, best) < 0) best = tried;
    if ((run.first && inTime(tried)) || run.going?.() === false) break;
  }
  const first = best ?? { jobs: [], plan: NOTHING, sets: task.lines.map(() => []), trouble: [0, 0] };
  if (inTime(first)) return first;
  const again = lay(first.sets, run);
  return lessTrouble(again, first) < 0 ? again : first;
}

/**
 * Lays an order on the calendar: firing, glazing and bisque backwards from when it has to be ready, and making and drying
 * before that, in sets whose every piece is joined within its window. Of several sizes of set the one that leaves least out, is
 * least late, and is done by the earliest day is taken: one set is rolled while another stiffens.
 */
export function layOrder(task: OrderTask, run: OrderRun): LaidOrder {
  const pieces = task.lines.reduce((sum, { count }) => sum + count, 0);
  const toMs = (minutes: number) => task.start + Math.round(minutes * MINUTE);
  const days = kilnDays(hoursFor(task, []), (task.ready - task.start) / MINUTE, { ...task.firing, pieces });
  const hours = hoursFor(task, days?.stretches ?? []);
  const stretch = joinedHours(hours).reduce((most, [from, to]) => Math.max(most, to - from), 0);
  const { grounds, never } = groundsOf(task, stretch);
  if (!days) {
    const [none, all] = [task.lines.map(() => 0), task.lines.map(({ count }) => count)];
    return { blocks: [], sets: task.lines.map(() => []), kiln: [], dryBy: null, late: none, left: all, never };
  }
  const kiln = days.stretches.map((one) => ({ ...one, from: toMs(one.from), to: toMs(one.to) }));
  const lay = (sets: Tried['sets'], how: PlanRun): Tried => {
    const jobs = jobsOf(task, grounds, { sets, dryBy: days.dryBy, stretch });
    const plan = jobs.length === 0 ? NOTHING : layPlan({ hours, jobs }, how);
    return { jobs, plan, sets, trouble: troubleOf(jobs, plan) };
  };
  const best = bestSets(task, setsToTry(task, grounds), { lay, run });
  return told(task, best, { kiln, never, dryBy: toMs(days.dryBy) });
}

/** A plan of sets, told by lines. */
function told(
  task: OrderTask,
  { jobs, plan, sets }: Tried,
  rest: Pick<LaidOrder, 'kiln' | 'never' | 'dryBy'>,
): LaidOrder {
  const toMs = (minutes: number) => task.start + Math.round(minutes * MINUTE);
  const byId = new Map(jobs.map((job) => [job.id, job]));
  const isDone = (line: number, set: number, block: string) =>
    task.done.some((one) => one.line === line && one.set === set && one.block === block);
  const blocks = plan.steps.flatMap(({ job, step, start, end }): LaidBlock[] => {
    const own = byId.get(job);
    if (!own || isDone(own.line, own.set, step)) return [];
    const held = own.steps.find(({ id }) => id === step)?.at !== undefined;
    return [
      { line: own.line, set: own.set, block: step, pieces: own.pieces, start: toMs(start), end: toMs(end), held },
    ];
  });
  const done = task.done.flatMap(({ line, set, block, at }): LaidBlock[] => {
    const own = task.lines[line]?.blocks.find(({ id }) => id === block);
    const pieces = sets[line]?.[set - 1];
    if (!own || pieces === undefined) return [];
    const start = at - Math.round(blockMinutes(own, pieces, task.pace) * MINUTE);
    return [{ line, set, block, pieces, start, end: at, held: false, done: true }];
  });
  const piecesOf = (ids: readonly string[], line: number) =>
    jobs.filter((job) => job.line === line && ids.includes(job.id)).reduce((sum, job) => sum + job.pieces, 0);
  const laid = (line: number) => jobs.filter((job) => job.line === line).reduce((sum, job) => sum + job.pieces, 0);
  return {
    ...rest,
    never: [...rest.never, ...waitedTooLong(task, jobs, plan.left)],
    blocks: [...done, ...blocks],
    sets,
    late: task.lines.map((_, line) => piecesOf(plan.late, line)),
    left: task.lines.map(({ count }, line) => count - laid(line) + piecesOf(plan.left, line)),
  };
}
