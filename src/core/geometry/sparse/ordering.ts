/** A group of nodes that are eliminated together: a leaf of the dissection, or the separator of two halves. */
export interface Separator {
  readonly nodes: Int32Array;
  /** Children: groups that are eliminated before it and touch it, by their index. */
  readonly children: readonly number[];
}

/** Most nodes of a leaf. */
const LEAF = 20;

/** On which side of a cut a node is. */
const [NEITHER, LOW, HIGH, BETWEEN] = [0, 1, 2, 3];

/**
 * An elimination order by nested dissection: the nodes are halved by their position, those of one half that touch the other
 * come last, and each half is ordered in the same way. Fill then grows as n log n on a surface mesh.
 *
 * @param axes places of the nodes along each axis, any unit
 * @param start, neighbours the neighbours of node i are `neighbours[start[i]]` up to `start[i + 1]`
 * @returns groups in their order of elimination, children before parents
 */
export function nestedDissection(
  axes: readonly Float64Array[],
  start: Int32Array,
  neighbours: Int32Array,
): Separator[] {
  const side = new Uint8Array(start.length - 1);
  const groups: Separator[] = [];

  /** Appends the groups of a part of the graph, its nodes sorted along each axis; returns the indices of its roots. */
  function dissect(orders: readonly Int32Array[]): number[] {
    const nodes = orders[0] as Int32Array;
    const size = nodes.length;
    if (size === 0) return [];
    if (size <= LEAF) return [groups.push({ nodes, children: [] }) - 1];
    const reaches = orders.map((order, axis) => reach(order, axes[axis] as Float64Array));
    const along = orders[reaches.indexOf(Math.max(...reaches))] as Int32Array;
    const half = size >> 1;
    for (let index = 0; index < half; index += 1) side[along[index] as number] = LOW;
    for (let index = half; index < size; index += 1) side[along[index] as number] = HIGH;
    const between = touchingHigh(along.subarray(0, half));
    for (const node of between) side[node] = BETWEEN;
    const low = orders.map((order) => taken(order, side, { which: LOW, size: half - between.length }));
    const high = orders.map((order) => taken(order, side, { which: HIGH, size: size - half }));
    // Finished nodes are on no side, so that the halves ignore them.
    for (const node of along) side[node] = NEITHER;
    const children = [...dissect(low), ...dissect(high)];
    return between.length === 0 ? children : [groups.push({ nodes: between, children }) - 1];
  }

  /** The nodes that touch the high side. */
  function touchingHigh(nodes: Int32Array): Int32Array {
    const found = new Int32Array(nodes.length);
    let many = 0;
    for (const node of nodes) {
      let at = start[node] as number;
      const end = start[node + 1] as number;
      while (at < end && side[neighbours[at] as number] !== HIGH) at += 1;
      if (at === end) continue;
      found[many] = node;
      many += 1;
    }
    return found.slice(0, many);
  }

  dissect(axes.map(ordered));
  return groups;
}

/** Extent of sorted nodes. */
function reach(nodes: Int32Array, along: Float64Array): number {
  return (along[nodes.at(-1) as number] as number) - (along[nodes[0] as number] as number);
}

/** Nodes sorted along an axis. */
function ordered(along: Float64Array): Int32Array {
  return Int32Array.from(along.keys()).sort((a, b) => (along[a] as number) - (along[b] as number));
}

/** The nodes of one side, in their present order. */
function taken(
  nodes: Int32Array,
  side: Uint8Array,
  { which, size }: { readonly which: number; readonly size: number },
): Int32Array {
  const found = new Int32Array(size);
  let many = 0;
  for (let index = 0; index < nodes.length; index += 1) {
    const node = nodes[index] as number;
    if (side[node] !== which) continue;
    found[many] = node;
    many += 1;
  }
  return found;
}
