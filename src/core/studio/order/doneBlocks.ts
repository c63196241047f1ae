import { progressOf, type Mark } from '../making/making.ts';
import type { WorkStep } from '../making/workStep.ts';
import type { KeptOrder } from './keptOrder.ts';
import type { DoneBlock } from './order.ts';
import { blockStepsOf } from './workBlock.ts';

/** What is looked at of a making that an order was begun with. */
export interface OrderMaking {
  readonly pieces: readonly {
    readonly designId: string;
    readonly count: number;
    readonly steps: readonly WorkStep[];
  }[];
  readonly marks: readonly Mark[];
}

/** Blocks of one kind of piece that are done on every piece of their set, by the number of pieces of each set. */
function doneOfSets(
  { steps, count }: { readonly steps: readonly WorkStep[]; readonly count: number },
  { line, piece, sets, marks }: { line: number; piece: number; sets: readonly number[]; marks: readonly Mark[] },
): DoneBlock[] {
  const progress = progressOf(steps, { piece, count }, marks);
  const blocks = blockStepsOf(steps);
  let first = 0;
  return sets.flatMap((pieces, index) => {
    const from = first;
    first += pieces;
    const statesOf = (id: string) => (progress.get(id) ?? []).slice(from, from + pieces);
    return blocks.flatMap(({ block, steps: own, wait }): DoneBlock[] => {
      const states = own.flatMap(statesOf);
      const over = states.every(({ state, at }) => (state === 'done' || state === 'skipped') && at !== undefined);
      if (!over || states.length < own.length * pieces) return [];
      const wetted = wait === undefined ? [] : statesOf(wait).flatMap((state) => state.wetted ?? []);
      const times = [...states.flatMap(({ at }) => at ?? []), ...wetted].map((at) => Date.parse(at));
      return [{ line, set: index + 1, block: block.id, at: Math.max(...times) }];
    });
  });
}

/**
 * What is done of an order by what was ticked in its makings: a block when each act of it is done or passed over on every
 * piece of its set, the sets being the pieces by their numbers; at the last tick, or when a part was wetted after it, so that
 * its wait counts anew. A line that has another number of pieces by now is left out.
 */
export function doneBlocks(
  { lines, laid }: Pick<KeptOrder, 'lines' | 'laid'>,
  makings: readonly OrderMaking[],
): DoneBlock[] {
  const kinds = makings.flatMap(({ pieces, marks }) => pieces.map((own, piece) => ({ ...own, piece, marks })));
  return lines.flatMap(({ design, count }, line) => {
    const earlier = lines.slice(0, line).filter((one) => one.design === design).length;
    const own = kinds.filter(({ designId }) => designId === design)[earlier];
    const sets = laid?.sets[line] ?? [];
    if (own?.count !== count || sets.reduce((sum, pieces) => sum + pieces, 0) !== count) return [];
    return doneOfSets(own, { line, piece: own.piece, sets, marks: own.marks });
  });
}
