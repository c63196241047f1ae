import loadHighs from 'highs';
import { joinedHours, type PlanTask } from './planJob.ts';

/** The solver, compiled once. */
const solver = loadHighs();

/** How an exact plan is looked for. */
interface Search {
  /** It must end by this minute. */
  readonly until?: number;
  /** The search is given up after this time (s). */
  readonly seconds?: number;
}

/** The earliest end (min), none if there is no plan in time, or unsolved if the search was given up. */
export type ExactEnd = number | 'none' | 'unsolved';

/**
 * The earliest end of a task by an integer programme: starts, a yes or no for the order of each pair of steps of different
 * pieces, and one for the stretch of hours that each step is done in. Due minutes are not looked at.
 */
export async function exactEnd(task: PlanTask, { until = Infinity, seconds = 60 }: Search = {}): Promise<ExactEnd> {
  const highs = await solver;
  const free = joinedHours(task.hours).filter(([from]) => from < until);
  if (free.length === 0) return 'none';
  const last = Math.min(until, free.at(-1)?.[1] ?? 0);
  const hours = free.map(([from, to]) => [from, Math.min(to, last)] as const);
  const steps = task.jobs.flatMap((job, owner) => job.steps.map((step, at) => ({ ...step, owner, at })));
  const rows: string[] = [];
  const binaries: string[] = [];
  steps.forEach(({ minutes, least, most, at }, index) => {
    rows.push(`finish - s${index} >= ${minutes}`);
    if (at > 0) {
      const before = steps[index - 1]?.minutes ?? 0;
      rows.push(`s${index} - s${index - 1} >= ${before + least}`);
      if (most !== null) rows.push(`s${index} - s${index - 1} <= ${before + most}`);
    }
    const within = hours.map((_, hour) => `w${index}_${hour}`);
    binaries.push(...within);
    rows.push(`${within.join(' + ')} = 1`);
    rows.push(`s${index}${hours.map(([from], hour) => ` - ${from} w${index}_${hour}`).join('')} >= 0`);
    rows.push(`s${index}${hours.map(([, to], hour) => ` - ${to} w${index}_${hour}`).join('')} <= ${-minutes}`);
    steps.slice(0, index).forEach((other, earlier) => {
      if (other.owner === steps[index]?.owner) return;
      const name = `y${earlier}_${index}`;
      binaries.push(name);
      rows.push(`s${index} - s${earlier} + ${last} ${name} >= ${other.minutes}`);
      rows.push(`s${earlier} - s${index} - ${last} ${name} >= ${minutes - last}`);
    });
  });
  const model = [
    'Minimize',
    ' obj: finish',
    'Subject To',
    ...rows.map((row, index) => ` c${index}: ${row}`),
    'Bounds',
    ...steps.map((_, index) => ` 0 <= s${index} <= ${last}`),
    ` 0 <= finish <= ${last}`,
    'Binary',
    ...binaries.map((name) => ` ${name}`),
    'End',
  ].join('\n');
  const solved = highs.solve(model, { time_limit: seconds, mip_rel_gap: 1e-6 });
  if (solved.Status === 'Optimal') return Math.round(solved.ObjectiveValue * 1e4) / 1e4;
  return solved.Status === 'Infeasible' ? 'none' : 'unsolved';
}
