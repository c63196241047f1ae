import type { Separator } from './ordering.ts';

/** The dense front of one group: its own nodes first, then those that stand for its Schur complement in its parents. */
interface Front {
  /** Places (in the order of elimination) of own and of bordering nodes. */
  readonly places: Int32Array;
  readonly own: number;
  readonly children: readonly number[];
  /** For each child, where its bordering nodes stand in this front. */
  readonly into: readonly Int32Array[];
}

/** What of a factorisation depends on the pattern alone; kept between matrices of one pattern. */
export interface Symbolic {
  /** Place of each node in the order of elimination. */
  readonly place: Int32Array;
  readonly fronts: readonly Front[];
  /** Front that eliminates each place. */
  readonly frontOf: Int32Array;
}

/** Lays out the fronts of a graph for its groups of nodes (multifrontal Cholesky). */
export function analyse(groups: readonly Separator[], start: Int32Array, neighbours: Int32Array): Symbolic {
  const count = start.length - 1;
  const place = new Int32Array(count);
  const frontOf = new Int32Array(count);
  let next = 0;
  groups.forEach(({ nodes }, index) => {
    for (const node of nodes) {
      frontOf[next] = index;
      place[node] = next;
      next += 1;
    }
  });
  const fronts: Front[] = [];
  let first = 0;
  for (const { nodes, children } of groups) {
    const end = first + nodes.length;
    const border = new Set<number>();
    for (const node of nodes) {
      for (let at = start[node] as number; at < (start[node + 1] as number); at += 1) {
        const other = place[neighbours[at] as number] as number;
        if (other >= end) border.add(other);
      }
    }
    const below = children.map((child) => {
      const { places, own } = fronts[child] as Front;
      return places.subarray(own);
    });
    for (const rest of below) for (const other of rest) if (other >= end) border.add(other);
    const sorted = Int32Array.from(border).sort();
    const places = new Int32Array(nodes.length + sorted.length);
    for (let at = 0; at < nodes.length; at += 1) places[at] = first + at;
    places.set(sorted, nodes.length);
    const at = new Map<number, number>();
    places.forEach((one, index) => at.set(one, index));
    const into = below.map((rest) => Int32Array.from(rest, (other) => at.get(other) ?? -1));
    fronts.push({ places, own: nodes.length, children, into });
    first = end;
  }
  return { place, fronts, frontOf };
}

/** Where a node stands in the front that eliminates another. */
export function rowInFront({ fronts, frontOf }: Symbolic, column: number, row: number): number {
  const { places, own } = fronts[frontOf[column] as number] as Front;
  const first = places[0] as number;
  if (row < first + own) return row - first;
  let [low, high] = [own, places.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] as number) < row) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Takes the first `last` columns, times their figures in row j, off column j of a dense matrix by columns of length m. */
function takeOff(front: Float64Array, m: number, j: number, from: number, last: number): void {
  const column = j * m;
  for (let k = from; k < last; k += 1) {
    const p = k * m;
    const a = front[p + j] as number;
    for (let i = j; i < m; i += 1) front[column + i] = (front[column + i] as number) - a * (front[p + i] as number);
  }
}

/** The same for columns j and j + 1 at once, four columns at a time: each figure that is read is used twice. */
function takeOffTwo(front: Float64Array, m: number, j: number, last: number): void {
  const one = j * m;
  const two = one + m;
  let k = 0;
  for (; k + 3 < last; k += 4) {
    const p = k * m;
    const q = p + m;
    const r = q + m;
    const s = r + m;
    const a = front[p + j] as number;
    const b = front[q + j] as number;
    const c = front[r + j] as number;
    const d = front[s + j] as number;
    const e = front[p + j + 1] as number;
    const f = front[q + j + 1] as number;
    const g = front[r + j + 1] as number;
    const h = front[s + j + 1] as number;
    front[one + j] = (front[one + j] as number) - a * a - b * b - c * c - d * d;
    for (let i = j + 1; i < m; i += 1) {
      const w = front[p + i] as number;
      const x = front[q + i] as number;
      const y = front[r + i] as number;
      const z = front[s + i] as number;
      front[one + i] = (front[one + i] as number) - a * w - b * x - c * y - d * z;
      front[two + i] = (front[two + i] as number) - e * w - f * x - g * y - h * z;
    }
  }
  takeOff(front, m, j, k, last);
  takeOff(front, m, j + 1, k, last);
}

/** Divides a column by the root of its pivot. False when that is not positive. */
function scaleColumn(front: Float64Array, m: number, j: number): boolean {
  const column = j * m;
  const pivot = front[column + j] as number;
  if (!(pivot > 0)) return false;
  const scale = 1 / Math.sqrt(pivot);
  for (let i = j; i < m; i += 1) front[column + i] = (front[column + i] as number) * scale;
  return true;
}

/** Cholesky of the first `own` columns of a dense symmetric matrix of size m (lower half, by columns), the rest updated. False when a pivot is not positive. */
function eliminate(front: Float64Array, m: number, own: number): boolean {
  let j = 0;
  for (; j + 1 < m; j += 2) {
    takeOffTwo(front, m, j, Math.min(j, own));
    if (j < own && !scaleColumn(front, m, j)) return false;
    if (j < own) takeOff(front, m, j + 1, j, j + 1);
    if (j + 1 < own && !scaleColumn(front, m, j + 1)) return false;
  }
  if (j < m) {
    takeOff(front, m, j, 0, Math.min(j, own));
    if (j < own && !scaleColumn(front, m, j)) return false;
  }
  return true;
}

/** Room for a factorisation: used again by the next one of the same pattern, which ends the use of the one before. */
export interface Workspace {
  readonly front: Float64Array;
  readonly panels: readonly Float64Array[];
  readonly updates: readonly Float64Array[];
  readonly rows: Float64Array;
}

/** Room for factorisations of a pattern with blocks of `width` by `width`. */
export function workspace({ fronts }: Symbolic, width: number): Workspace {
  const sizes = fronts.map(({ places, own }) => ({ m: places.length * width, s: own * width }));
  const most = Math.max(...sizes.map(({ m }) => m));
  return {
    front: new Float64Array(most * most),
    panels: sizes.map(({ m, s }) => new Float64Array(m * s)),
    updates: sizes.map(({ m, s }) => new Float64Array((m - s) * (m - s))),
    rows: new Float64Array(most),
  };
}

/** Adds what a child has left to the front of its parent: `rows` says where each of its nodes stands there. */
function extendAdd(front: Float64Array, m: number, update: Float64Array, rows: Int32Array, width: number): void {
  const n = rows.length * width;
  for (let jb = 0; jb < rows.length; jb += 1) {
    const columnBlock = (rows[jb] as number) * width;
    for (let c = 0; c < width; c += 1) {
      const from = (jb * width + c) * n;
      const to = (columnBlock + c) * m;
      for (let ib = jb; ib < rows.length; ib += 1) {
        const row = to + (rows[ib] as number) * width;
        const source = from + ib * width;
        for (let r = 0; r < width; r += 1) front[row + r] = (front[row + r] as number) + (update[source + r] as number);
      }
    }
  }
}

/** A factorisation L L^T that solves. */
export interface Factor {
  /** Overwrites a right side, in the order of elimination, with the solution. */
  readonly solve: (b: Float64Array) => void;
}

/**
 * Factorises a symmetric positive matrix with a block of `width` by `width` for each node.
 *
 * @param values lower halves of the fronts' own columns, as {@link columnsOf} lays them out
 * @returns null when a pivot is not positive
 */
export function factorise(
  { fronts }: Symbolic,
  width: number,
  values: readonly Float64Array[],
  room: Workspace,
): Factor | null {
  const { front, panels, updates, rows } = room;
  for (const [index, { places, own, children, into }] of fronts.entries()) {
    const m = places.length * width;
    const s = own * width;
    front.set(values[index] as Float64Array);
    front.fill(0, s * m, m * m);
    children.forEach((child, number) =>
      extendAdd(front, m, updates[child] as Float64Array, into[number] as Int32Array, width),
    );
    if (!eliminate(front, m, s)) return null;
    (panels[index] as Float64Array).set(front.subarray(0, s * m));
    const n = m - s;
    const update = updates[index] as Float64Array;
    for (let j = 0; j < n; j += 1) update.set(front.subarray((s + j) * m + s + j, (s + j + 1) * m), j * n + j);
  }
  /** Takes the rows of a front out of a vector, or puts them back. */
  const gather = (places: Int32Array, b: Float64Array) => {
    for (let at = 0; at < places.length; at += 1) {
      const from = (places[at] as number) * width;
      for (let r = 0; r < width; r += 1) rows[at * width + r] = b[from + r] as number;
    }
  };
  return {
    solve: (b) => {
      fronts.forEach(({ places, own }, index) => {
        const panel = panels[index] as Float64Array;
        const m = places.length * width;
        gather(places, b);
        for (let j = 0; j < own * width; j += 1) {
          const column = j * m;
          const value = (rows[j] as number) / (panel[column + j] as number);
          rows[j] = value;
          for (let i = j + 1; i < m; i += 1) rows[i] = (rows[i] as number) - (panel[column + i] as number) * value;
        }
        for (let at = 0; at < places.length; at += 1) {
          const to = (places[at] as number) * width;
          for (let r = 0; r < width; r += 1) b[to + r] = rows[at * width + r] as number;
        }
      });
      for (let index = fronts.length - 1; index >= 0; index -= 1) {
        const { places, own } = fronts[index] as Front;
        const panel = panels[index] as Float64Array;
        const m = places.length * width;
        const first = (places[0] as number) * width;
        gather(places, b);
        for (let j = own * width - 1; j >= 0; j -= 1) {
          const column = j * m;
          let sum = rows[j] as number;
          for (let i = j + 1; i < m; i += 1) sum -= (panel[column + i] as number) * (rows[i] as number);
          rows[j] = sum / (panel[column + j] as number);
          b[first + j] = rows[j] as number;
        }
      }
    },
  };
}

/** Room for the figures of every front's own columns. */
export function columnsOf({ fronts }: Symbolic, width: number): Float64Array[] {
  return fronts.map(({ places, own }) => new Float64Array(own * width * places.length * width));
}
