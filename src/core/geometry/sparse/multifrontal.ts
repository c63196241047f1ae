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

/**
 * Factorises a symmetric positive matrix with a block of `width` by `width` for each node.
 *
 * @param columns lower halves of the fronts' own columns, as {@link columnsOf} lays them out
 * @returns null when a pivot is not positive
 */
export function factorise(
  { fronts }: Symbolic,
  {
    width,
    columns,
    room,
  }: { readonly width: number; readonly columns: readonly Float64Array[]; readonly room: Workspace },
): Factor | null {
  const { front, panels, updates, rows, values } = room;
  let top = 0;
  for (const [index, { places, own, children, into }] of fronts.entries()) {
    const m = places.length * width;
    const s = own * width;
    const height = heightOf(m);
    front.set(columns[index] as Float64Array);
    front.fill(0, s * height, (m + 1) * height);
    for (let number = children.length - 1; number >= 0; number -= 1) {
      const n = rowsOf(into[number] as Int32Array, width, rows);
      top -= n * n;
      extendAdd({ front, height }, { updates, first: top, n }, rows);
    }
    if (!eliminate(front, m, s)) return null;
    (panels[index] as Float64Array).set(front.subarray(0, s * height));
    const n = m - s;
    for (let j = 0; j < n; j += 1) {
      const column = (s + j) * height + s;
      for (let i = j; i < n; i += 1) updates[top + i] = front[column + i] as number;
      top += n;
    }
  }
  /** Solves one front on its gathered part of the right side. */
  const each = (index: number, b: Float64Array, work: typeof forward) => {
    const { places, own } = fronts[index] as Front;
    const m = rowsOf(places, width, rows);
    for (let i = 0; i < m; i += 1) values[i] = b[rows[i] as number] as number;
    work(panels[index] as Float64Array, values, { m, s: own * width });
    for (let i = 0; i < m; i += 1) b[rows[i] as number] = values[i] as number;
  };
  return {
    solve: (b) => {
      for (let index = 0; index < fronts.length; index += 1) each(index, b, forward);
      for (let index = fronts.length - 1; index >= 0; index -= 1) each(index, b, backward);
    },
  };
}

/** Memory for the own columns of every front. */
export function columnsOf({ fronts }: Symbolic, width: number): Float64Array[] {
  return fronts.map(({ places, own }) => new Float64Array(own * width * heightOf(places.length * width)));
}
