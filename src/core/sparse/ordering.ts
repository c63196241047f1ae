/** A group of nodes that are eliminated together: a leaf of the dissection, or what separates two halves. */
export interface Separator {
  readonly nodes: Int32Array;
  /** Groups that are eliminated before it and touch it, by their place in the list. */
  readonly children: readonly number[];
}

/** Parts of a graph with no more nodes are one group. */
const LEAF = 20;

/**
 * An order of elimination by nested dissection: the nodes are halved by their place, those of one half that touch the other
 * come last, and each half is ordered likewise. Fill then grows by n log n on a mesh in the plane.
 *
 * @param x, y places of the nodes, any unit
 * @param start, neighbours the neighbours of node i are `neighbours[start[i]]` up to `start[i + 1]`
 * @returns groups in their order of elimination, children before parents
 */
export function nestedDissection(
  x: Float64Array,
  y: Float64Array,
  start: Int32Array,
  neighbours: Int32Array,
): Separator[] {
  const side = new Int32Array(x.length).fill(-1);
  let stamp = 0;
  const groups: Separator[] = [];

  /** Puts a part of the graph on the list, and returns the places of its roots. */
  function dissect(nodes: Int32Array): number[] {
    if (nodes.length === 0) return [];
    if (nodes.length <= LEAF) return [groups.push({ nodes, children: [] }) - 1];
    let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const node of nodes) {
      minX = Math.min(minX, x[node] as number);
      maxX = Math.max(maxX, x[node] as number);
      minY = Math.min(minY, y[node] as number);
      maxY = Math.max(maxY, y[node] as number);
    }
    const along = maxX - minX > maxY - minY ? x : y;
    const sorted = nodes.slice().sort((a, b) => (along[a] as number) - (along[b] as number));
    const half = sorted.length >> 1;
    const [low, high] = [(stamp += 1), (stamp += 1)];
    sorted.forEach((node, index) => (side[node] = index < half ? low : high));
    const lower: number[] = [];
    const between: number[] = [];
    for (let index = 0; index < half; index += 1) {
      const node = sorted[index] as number;
      let touches = false;
      for (let at = start[node] as number; at < (start[node + 1] as number) && !touches; at += 1) {
        touches = side[neighbours[at] as number] === high;
      }
      (touches ? between : lower).push(node);
    }
    const children = [...dissect(Int32Array.from(lower)), ...dissect(sorted.slice(half))];
    if (between.length === 0) return children;
    return [groups.push({ nodes: Int32Array.from(between), children }) - 1];
  }

  dissect(Int32Array.from({ length: x.length }, (_, index) => index));
  return groups;
}
