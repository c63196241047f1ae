import { backward, eliminate, forward, heightOf } from './denseFront.ts';
import type { Front, Symbolic } from './fronts.ts';

/** Memory of a factorisation, reused by the next one of the same pattern, which invalidates the one before. */
export interface Workspace {
  readonly front: Float64Array;
  readonly panels: readonly Float64Array[];
  /** Update matrices as a stack: a front pops those of its children and pushes its own. */
  readonly updates: Float64Array;
  readonly rows: Int32Array;
  readonly values: Float64Array;
}

const leftOf = ({ m, s }: { readonly m: number; readonly s: number }) => (m - s) ** 2;

/** Memory for factorisations of a pattern with blocks of `width` by `width`. */
export function workspace({ fronts }: Symbolic, width: number): Workspace {
  const sizes = fronts.map(({ places, own }) => ({ m: places.length * width, s: own * width }));
  const most = sizes.reduce((all, { m }) => Math.max(all, m), 0);
  let [high, top] = [0, 0];
  for (const [index, { m, s }] of sizes.entries()) {
    for (const child of fronts[index]?.children ?? []) top -= leftOf(sizes[child] as (typeof sizes)[number]);
    top += leftOf({ m, s });
    high = Math.max(high, top);
  }
  return {
    // One extra column: columns are updated in pairs.
    front: new Float64Array(heightOf(most) * (most + 1)),
    panels: sizes.map(({ m, s }) => new Float64Array(heightOf(m) * s)),
    updates: new Float64Array(high),
    rows: new Int32Array(most),
    values: new Float64Array(most),
  };
}

/** Adds a child's update matrix to the front of its parent; `rows` maps its n rows to rows there. */
function extendAdd(
  { front, height }: { readonly front: Float64Array; readonly height: number },
  { updates, first, n }: { readonly updates: Float64Array; readonly first: number; readonly n: number },
  rows: Int32Array,
): void {
  for (let j = 0; j < n; j += 1) {
    const from = first + j * n;
    const to = (rows[j] as number) * height;
    for (let i = j; i < n; i += 1) {
      const at = to + (rows[i] as number);
      front[at] = (front[at] as number) + (updates[from + i] as number);
    }
  }
}

/** Writes the rows of the blocks of a list of nodes; returns how many. */
function rowsOf(nodes: Int32Array, width: number, rows: Int32Array): number {
  let many = 0;
  for (let at = 0; at < nodes.length; at += 1) {
    const row = (nodes[at] as number) * width;
    for (let r = 0; r < width; r += 1) {
      rows[many] = row + r;
      many += 1;
    }
  }
  return many;
}

/** A factorisation L L^T that solves. */
export interface Factor {
  /** Overwrites a right side, in the order of elimination, with the solution. */
  readonly solve: (b: Float64Array) => void;
}

/** A matrix that is factorised: its pattern, a block of `width` by `width` for each node, and its memory. */
interface Work {
  readonly symbolic: Symbolic;
  readonly width: number;
  /** Lower halves of the fronts' own columns, as {@link columnsOf} lays them out. */
  readonly columns: readonly Float64Array[];
  readonly room: Workspace;
}

/** Pushes a front's update matrix, the lower half right of and below its own columns, on the stack; returns its new top. */
function push(
  { front, updates }: Workspace,
  { m, s, height, top }: { readonly m: number; readonly s: number; readonly height: number; readonly top: number },
): number {
  const n = m - s;
  let first = top;
  for (let j = 0; j < n; j += 1) {
    const column = (s + j) * height + s;
    for (let i = j; i < n; i += 1) updates[first + i] = front[column + i] as number;
    first += n;
  }
  return first;
}

/** Eliminates one front, with the updates of its children; returns the new top of the stack, or -1 when a pivot is not positive. */
function eliminateFront({ symbolic, width, columns, room }: Work, index: number, filled: number): number {
  const { front, panels, updates, rows } = room;
  const { places, own, children, into } = symbolic.fronts[index] as Front;
  const m = places.length * width;
  const s = own * width;
  const height = heightOf(m);
  front.set(columns[index] as Float64Array);
  front.fill(0, s * height, (m + 1) * height);
  let top = filled;
  for (let number = children.length - 1; number >= 0; number -= 1) {
    const n = rowsOf(into[number] as Int32Array, width, rows);
    top -= n * n;
    extendAdd({ front, height }, { updates, first: top, n }, rows);
  }
  if (!eliminate(front, m, s)) return -1;
  (panels[index] as Float64Array).set(front.subarray(0, s * height));
  return push(room, { m, s, height, top });
}

/** Solves one front on its gathered part of the right side. */
function solveFront(
  { symbolic, width, room }: Work,
  index: number,
  { b, step }: { readonly b: Float64Array; readonly step: typeof forward },
): void {
  const { panels, rows, values } = room;
  const { places, own } = symbolic.fronts[index] as Front;
  const m = rowsOf(places, width, rows);
  for (let i = 0; i < m; i += 1) values[i] = b[rows[i] as number] as number;
  step(panels[index] as Float64Array, values, { m, s: own * width });
  for (let i = 0; i < m; i += 1) b[rows[i] as number] = values[i] as number;
}

/**
 * Factorises a symmetric positive matrix. The work on one front is a function of its own: V8 optimises a long loop while it
 * runs, and drops that code each time the loop ends.
 *
 * @returns null when a pivot is not positive
 */
export function factorise(work: Work): Factor | null {
  const { length } = work.symbolic.fronts;
  let top = 0;
  for (let index = 0; index < length; index += 1) {
    top = eliminateFront(work, index, top);
    if (top < 0) return null;
  }
  return {
    solve: (b) => {
      for (let index = 0; index < length; index += 1) solveFront(work, index, { b, step: forward });
      for (let index = length - 1; index >= 0; index -= 1) solveFront(work, index, { b, step: backward });
    },
  };
}

/** Memory for the own columns of every front. */
export function columnsOf({ fronts }: Symbolic, width: number): Float64Array[] {
  return fronts.map(({ places, own }) => new Float64Array(own * width * heightOf(places.length * width)));
}
