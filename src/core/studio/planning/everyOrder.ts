import { better, type Cost, type Draft, type PlanTable } from './draft.ts';
import { earliest, fitsFrom, hoursOf } from './handOrder.ts';

/**
 * Searches all orders of the steps that can still be better than a draft, the earliest next step first (branch and bound).
 * The start of an order costs at least what its pieces cost if each continues alone and in time.
 *
 * @param tries greatest number of nodes of the search
 * @returns the best that was found
 */
export function everyOrder(
  table: PlanTable,
  draft: Draft,
  { tries, going }: { readonly tries: number; readonly going: () => boolean },
): Draft {
  const { acts, jobs, firsts } = table;
  const nexts = firsts.slice();
  const whole = table.owner.length;
  const order: number[] = [];
  let [best, tried] = [draft, 0];

  /** When a piece ends at the earliest, its steps so far being where they are and the hands free from a minute on. */
  const endOf = (piece: number, free: number, starts: Float64Array): number => {
    const [first, last, next] = [firsts[piece] as number, table.lastOf(piece), nexts[piece] as number];
    let at = next > first ? table.stop(starts, next - 1) : free;
    for (let step = next; step <= last; step += 1) {
      const from = step > first ? Math.max(free, at + (acts.least[step] as number)) : free;
      at = fitsFrom(hoursOf(acts, step), from, acts.minutes[step] as number) + (acts.minutes[step] as number);
    }
    return at;
  };
  const bound = (starts: Float64Array): Cost => {
    const free = table.stop(starts, order[order.length - 1] as number);
    return table.cost(jobs.map((_, piece) => [piece, endOf(piece, free, starts)] as const));
  };
  /** Puts a step behind the others; null where its window does not allow it. */
  const put = (from: Float64Array, step: number): Float64Array | null => {
    tried += 1;
    order.push(step);
    const next = from.slice();
    const holds = earliest(acts, order, { starts: next, known: order.length - 1 });
    order.pop();
    return holds ? next : null;
  };
  const follow = (from: Float64Array): void => {
    if (order.length === whole) {
      const found = table.settled([...order]);
      if (found && better(found.cost, best.cost)) best = found;
      return;
    }
    const children = nexts.flatMap((step, piece) => {
      const next = step > table.lastOf(piece) ? null : put(from, step);
      return next ? [{ piece, step, next }] : [];
    });
    children.sort((one, other) => (one.next[one.step] as number) - (other.next[other.step] as number));
    for (const { piece, step, next } of children) {
      if (tried > tries || !going()) return;
      order.push(step);
      nexts[piece] = step + 1;
      if (better(bound(next), best.cost)) follow(next);
      nexts[piece] = step;
      order.pop();
    }
  };
  if (whole > 0) follow(new Float64Array(whole));
  return best;
}
