import { better, less, PlanTable, type Draft } from './draft.ts';
import { everyOrder } from './everyOrder.ts';
import type { Plan, PlanJob, PlanTask } from './planJob.ts';

/** How a plan is looked for. */
export interface PlanRun {
  /** Numbers from 0 to 1. */
  readonly random: () => number;
  /** Goes on while this is true; a plan is made in any case. */
  readonly going?: () => boolean;
  /** How many changes are tried; by the size of the task when left out. */
  readonly rounds?: number;
}

/** Changes tried in a task that is changed step by step, and in a larger one; as many steps are put behind others when its orders are gone through. */
const ROUNDS = { fine: 40_000, coarse: 12_000 };

/** Swaps of steps between two removals of pieces. */
const BURST = 40;

/** After so many changes without a better plan the search restarts from the best. */
const ASTRAY = 400;

/** A task with more steps is only changed piece by piece: moving single steps gains too little there. */
const FINE = 80;

/** How much worse a change may be at first (share of the minutes). */
const HEAT = 0.06;

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const found = [...list];
  for (let index = found.length - 1; index > 0; index -= 1) {
    const other = Math.floor(random() * (index + 1));
    [found[index], found[other]] = [found[other] as T, found[index] as T];
  }
  return found;
}

/** How long a piece takes when the hands do nothing else. */
function lengthOf({ steps }: PlanJob): number {
  return steps.reduce((sum, { minutes, least }, at) => sum + minutes + (at > 0 ? least : 0), 0);
}

/** Orders of pieces that a potter would try first: as given, by due minute, by slack, the longest or the shortest first. */
function seedsOf(jobs: readonly PlanJob[]): number[][] {
  const all = jobs.map((_, piece) => piece);
  const by = (value: (job: PlanJob) => number) =>
    [...all].sort((one, other) => value(jobs[one] as PlanJob) - value(jobs[other] as PlanJob));
  // Finite, so that two without a due minute keep an order between them.
  const due = (job: PlanJob) => job.due ?? Number.MAX_SAFE_INTEGER / 2;
  return [
    all,
    by(due),
    by((job) => due(job) - lengthOf(job)),
    by((job) => -lengthOf(job)),
    by(lengthOf),
    by(({ steps }) => steps.reduce((sum, { minutes }) => sum + minutes, 0)),
  ];
}

/** A few pieces taken out and put in again in another order. */
function relaid(table: PlanTable, draft: Draft, random: () => number): Draft | null {
  const all = table.jobs.map((_, piece) => piece);
  const out = shuffled(all, random).slice(0, 2 + Math.floor(random() * 3));
  const order = draft.order.filter((step) => !out.includes(table.owner[step] as number));
  const rest = table.settled(order);
  return rest && table.withPieces(rest, out);
}

/** One step done earlier or later among the others; null when that cannot be. */
function shifted(table: PlanTable, { order }: Draft, random: () => number): Draft | null {
  const from = Math.floor(random() * order.length);
  const by = (random() < 0.5 ? -1 : 1) * (1 + Math.floor(random() ** 2 * order.length));
  const to = Math.max(0, Math.min(order.length - 1, from + by));
  const step = order[from] as number;
  const next = order.filter((_, at) => at !== from);
  next.splice(to, 0, step);
  const own = next.filter((one) => table.owner[one] === table.owner[step]);
  return own.some((one, at) => at > 0 && one < (own[at - 1] as number)) ? null : table.settled(next);
}

/** By how much one draft is worse than another, as a share of the minutes. */
function worse({ cost: [left, late, end, ends] }: Draft, { cost: [leftNow, lateNow, endNow, endsNow] }: Draft): number {
  if (left > leftNow) return Infinity;
  const share = (next: number, now: number) => (next - now) / Math.max(60, now);
  return share(late, lateNow) + share(end, endNow) + 0.3 * share(ends, endsNow);
}

/** Looks for a cheaper draft by simulated annealing. */
function annealed(table: PlanTable, from: Draft, { random, rounds, going = () => true }: PlanRun): Draft {
  const bound = table.least();
  const fine = table.owner.length <= FINE;
  const count = rounds ?? (fine ? ROUNDS.fine : ROUNDS.coarse);
  let [best, now, astray] = [from, from, 0];
  for (let round = 0; round < count && better(bound, best.cost) && going(); round += 1) {
    const next = fine && round % BURST !== 0 ? shifted(table, now, random) : relaid(table, now, random);
    if (!next) continue;
    const heat = HEAT * (1 - round / count) ** 2;
    if (!less(now.cost, next.cost) || random() < Math.exp(-worse(next, now) / heat)) now = next;
    astray = less(now.cost, best.cost) ? 0 : astray + 1;
    if (astray === 0) best = now;
    else if (astray % ASTRAY === 0) now = best;
  }
  return fine && better(bound, best.cost) ? everyOrder(table, best, { tries: count, going }) : best;
}

/**
 * Plans the work of several pieces for one pair of hands: every step in free hours, within its window after the step before.
 * Fewest pieces left out, then fewest late minutes, then the earliest end that is found. Pieces are put into gaps by rules of
 * the bench; then pieces are taken out and put in again, and single steps change places, by simulated annealing (Kirkpatrick
 * and others 1983); a small task is gone through by branch and bound. For an order of the hands the earliest plan is exact.
 */
export function layPlan(task: PlanTask, run: PlanRun): Plan {
  const table = new PlanTable(task);
  let best = table.empty();
  for (const [index, seed] of seedsOf(table.jobs).entries()) {
    const made = table.withPieces(table.empty(), seed);
    if (index === 0 || less(made.cost, best.cost)) best = made;
    if (run.going?.() === false) break;
  }
  return table.told(annealed(table, best, run));
}
