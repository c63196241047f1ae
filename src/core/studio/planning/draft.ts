import { earliest, type Acts } from './handOrder.ts';
import { freeOf, type FreeHours, type Plan, type PlanJob, type PlanTask } from './planJob.ts';

/**
 * What a plan costs: pieces left out, minutes late in all, last minute, and the last minutes of all pieces together. Each counts
 * before all that follow; the last only leads the search.
 */
export type Cost = readonly [left: number, late: number, end: number, ends: number];

/** A plan under way: the order of the hands, and the start of each step. */
export interface Draft {
  readonly order: readonly number[];
  readonly starts: Float64Array;
  readonly cost: Cost;
}

/** Tolerance in comparing minutes. */
const SAME = 1e-9;

/** Whether the first costs less. */
export function less(one: Cost, other: Cost): boolean {
  const at = one.findIndex((value, index) => Math.abs(value - (other[index] as number)) > SAME);
  return at >= 0 && (one[at] as number) < (other[at] as number);
}

/** Whether the first costs less in what is promised. */
export function better([left, late, end]: Cost, other: Cost): boolean {
  return less([left, late, end, 0], [other[0], other[1], other[2], 0]);
}

/**
 * A task, prepared for the search. Beyond the potter's hours there are imaginary ones, enough for all: a piece planned there is
 * left out. So there is always a plan, and the search sees how far a piece is from fitting.
 */
export class PlanTable {
  readonly jobs: readonly PlanJob[];
  readonly acts: Acts;
  /** First step of each piece, and the piece of each step. */
  readonly firsts: readonly number[];
  readonly owner: readonly number[];
  /** The last minute of the potter's hours. */
  readonly close: number;
  /** Where the imaginary hours begin, and the minutes of steps that are held. */
  private readonly away: number;
  private readonly held: ReadonlyMap<number, FreeHours>;

  constructor({ hours, jobs }: PlanTask) {
    this.jobs = jobs;
    const steps = jobs.flatMap((job, piece) => job.steps.map((step, place) => ({ ...step, piece, place })));
    this.owner = steps.map(({ piece }) => piece);
    this.firsts = jobs.map((_, piece) => this.owner.indexOf(piece));
    this.held = new Map(
      steps.flatMap(({ at, minutes }, step) => (at === undefined ? [] : [[step, [at, at + minutes]]])),
    );
    const slots = [...this.held.values()];
    const free = freeOf(hours, slots);
    this.close = [...free, ...slots].reduce((last, [, end]) => Math.max(last, end), 0);
    const work = steps.reduce((sum, { minutes, least }) => sum + minutes + least, 0);
    this.away = steps.reduce((sum, { most }) => sum + (most ?? 0), this.close + work + 1);
    const all: FreeHours[] = [...free, [this.away, this.away + 2 * work + 1]];
    this.acts = {
      minutes: Float64Array.from(steps, ({ minutes }) => minutes),
      least: Float64Array.from(steps, ({ least }) => least),
      most: Float64Array.from(steps, ({ most }) => most ?? Infinity),
      before: Int32Array.from(steps, ({ place }, index) => (place === 0 ? -1 : index - 1)),
      hours: all,
      own: this.ownHours(all),
    };
  }

  /** A held step has its own minutes, or the imaginary ones. */
  private ownHours(hours: readonly FreeHours[]): ReadonlyMap<number, readonly FreeHours[]> {
    const far = hours.filter(([from]) => from >= this.away);
    return new Map([...this.held].map(([step, slot]) => [step, [slot, ...far]]));
  }

  /** The minute at which a step ends. */
  stop(starts: Float64Array, step: number): number {
    return (starts[step] as number) + (this.acts.minutes[step] as number);
  }

  /** The last step of a piece. */
  lastOf(piece: number): number {
    return (this.firsts[piece] as number) + (this.jobs[piece] as PlanJob).steps.length - 1;
  }

  stepsOf(piece: number): number[] {
    return (this.jobs[piece] as PlanJob).steps.map((_, at) => (this.firsts[piece] as number) + at);
  }

  /** What it costs when pieces end at these minutes. */
  cost(ends: Iterable<readonly [piece: number, end: number]>): Cost {
    let [left, late, last, sum] = [0, 0, 0, 0];
    for (const [piece, end] of ends) {
      sum += end;
      if (end > this.close + SAME) {
        left += 1;
        continue;
      }
      const { due } = this.jobs[piece] as PlanJob;
      if (due !== null) late += Math.max(0, end - due);
      last = Math.max(last, end);
    }
    return [left, late, last, sum];
  }

  private drafted(order: readonly number[], starts: Float64Array): Draft {
    const ends = order
      .filter((step) => step === this.lastOf(this.owner[step] as number))
      .map((step) => [this.owner[step] as number, this.stop(starts, step)] as const);
    return { order, starts, cost: this.cost(ends) };
  }

  /** The earliest plan in an order of the hands; null where the order cannot be kept. */
  settled(order: readonly number[]): Draft | null {
    const starts = new Float64Array(this.owner.length);
    return earliest(this.acts, order, { starts }) ? this.drafted(order, starts) : null;
  }

  /** Hours that a draft leaves free. */
  private gaps({ order, starts }: Draft): FreeHours[] {
    const gaps: FreeHours[] = [];
    let at = 0;
    for (const [from, to] of this.acts.hours) {
      let free = from;
      for (; at < order.length; at += 1) {
        const step = order[at] as number;
        const start = starts[step] as number;
        if (start >= to) break;
        if (start > free) gaps.push([free, start]);
        free = Math.max(free, this.stop(starts, step));
      }
      if (free < to) gaps.push([free, to]);
    }
    return gaps;
  }

  /** A draft with pieces put into its gaps, one after another and each as early as they allow, then drawn together. */
  withPieces(draft: Draft, pieces: readonly number[]): Draft {
    let now = draft;
    for (const piece of pieces) {
      const starts = now.starts.slice();
      const steps = this.stepsOf(piece);
      const hours = this.gaps(now);
      earliest({ ...this.acts, hours, own: this.ownHours(hours) }, steps, { starts });
      const order = [...now.order, ...steps].sort(
        (one, other) => (starts[one] as number) - (starts[other] as number) || one - other,
      );
      now = this.drafted(order, starts);
    }
    return this.settled(now.order) ?? now;
  }

  empty(): Draft {
    return this.drafted([], new Float64Array(this.owner.length));
  }

  /** The least that any plan can cost: each piece for itself. */
  least(): Cost {
    const starts = new Float64Array(this.owner.length);
    return this.cost(
      this.jobs.map((_, piece) => {
        earliest(this.acts, this.stepsOf(piece), { starts });
        return [piece, this.stop(starts, this.lastOf(piece))] as const;
      }),
    );
  }

  /** A draft as a plan: pieces that are left out take no time. */
  told(draft: Draft): Plan {
    const out = new Set(
      this.jobs
        .map((_, piece) => piece)
        .filter((piece) => this.stop(draft.starts, this.lastOf(piece)) > this.close + SAME),
    );
    const { order, starts, cost } =
      this.settled(draft.order.filter((step) => !out.has(this.owner[step] as number))) ?? draft;
    const steps = order.map((step) => {
      const piece = this.owner[step] as number;
      const job = this.jobs[piece] as PlanJob;
      const id = job.steps[step - (this.firsts[piece] as number)]?.id ?? '';
      return { job: job.id, step: id, start: starts[step] as number, end: this.stop(starts, step) };
    });
    const isLate = ({ due }: PlanJob, piece: number) =>
      due !== null && !out.has(piece) && this.stop(starts, this.lastOf(piece)) > due + SAME;
    return {
      steps,
      end: cost[2],
      late: this.jobs.filter(isLate).map(({ id }) => id),
      left: this.jobs.filter((_, piece) => out.has(piece)).map(({ id }) => id),
    };
  }
}
