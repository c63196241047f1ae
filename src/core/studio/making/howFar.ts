import { progressOf, type Mark } from './making.ts';
import type { WorkStep } from './workStep.ts';

/** Progress of one kind of piece of a making: acts done or skipped, of all, and pieces on which nothing is left to do. */
export interface HowFar {
  readonly done: number;
  readonly acts: number;
  readonly ready: number;
  readonly pieces: number;
}

/** Counts what is done of one kind of piece, by its place in the making. */
export function howFar(
  { steps, count }: { readonly steps: readonly WorkStep[]; readonly count: number },
  piece: number,
  marks: readonly Mark[],
): HowFar {
  const rows = [...progressOf(steps, { piece, count }, marks).values()];
  const over = (row: (typeof rows)[number], at: number) => row[at]?.state === 'done' || row[at]?.state === 'skipped';
  const numbers = Array.from({ length: count }, (_, at) => at);
  return {
    done: rows.reduce((sum, row) => sum + numbers.filter((at) => over(row, at)).length, 0),
    acts: rows.length * count,
    ready: numbers.filter((at) => rows.every((row) => over(row, at))).length,
    pieces: count,
  };
}
