import type { Separator } from './ordering.ts';

/** The dense front of one group: its own nodes first, then the border nodes of its Schur complement. */
export interface Front {
  /** Places (in the elimination order) of own and border nodes. */
  readonly places: Int32Array;
  readonly own: number;
  readonly children: readonly number[];
  /** For each child, the rows of its border nodes in this front. */
  readonly into: readonly Int32Array[];
}

/** The symbolic factorisation: what depends only on the pattern, shared by all matrices of one pattern. */
export interface Symbolic {
  /** Place of each node in the elimination order. */
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
  /** The last front with each place in its border, and the row of a place in the current front. */
  const met = new Int32Array(count).fill(-1);
  const at = new Int32Array(count);
  const border = new Int32Array(count);
  let first = 0;
  for (const [index, { nodes, children }] of groups.entries()) {
    const end = first + nodes.length;
    let many = 0;
    const meet = (other: number) => {
      if (other < end || met[other] === index) return;
      met[other] = index;
      border[many] = other;
      many += 1;
    };
    for (const node of nodes) {
      for (let to = start[node] as number; to < (start[node + 1] as number); to += 1)
        meet(place[neighbours[to] as number] as number);
    }
    const below = children.map((child) => {
      const { places, own } = fronts[child] as Front;
      return places.subarray(own);
    });
    for (const rest of below) for (const other of rest) meet(other);
    const places = new Int32Array(nodes.length + many);
    for (let own = 0; own < nodes.length; own += 1) places[own] = first + own;
    places.set(border.subarray(0, many).sort(), nodes.length);
    for (let row = 0; row < places.length; row += 1) at[places[row] as number] = row;
    const into = below.map((rest) => rest.map((other) => at[other] as number));
    fronts.push({ places, own: nodes.length, children, into });
    first = end;
  }
  return { place, fronts, frontOf };
}

/** The row of a node in the front that eliminates another. */
export function rowInFront({ fronts, frontOf }: Symbolic, column: number, row: number): number {
  const { places, own } = fronts[frontOf[column] as number] as Front;
  const first = places[0] as number;
  if (row < first + own) return row - first;
  let low = own;
  let high = places.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] as number) < row) low = middle + 1;
    else high = middle;
  }
  return low;
}
