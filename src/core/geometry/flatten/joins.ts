import type { Mesh } from '../mesh/mesh.ts';
import type { BlockSystem } from './blockSystem.ts';

/** Both sides of a cut that is joined again, as vertices in the order in which they meet; a vertex may be on both. */
export interface Join {
  readonly left: readonly number[];
  readonly right: readonly number[];
}

/**
 * Two edges that are joined: their ends (from and to of the left one, then of the right one), their formed length (mm), and
 * their weight in the energy.
 */
export interface JoinedEdges {
  readonly ends: readonly [number, number, number, number];
  readonly length: number;
  readonly weight: number;
}

/** How much stiffer a join is than the slab: its two edges then differ by about a thousandth of the slab's strain. */
const STIFFER = 300;

/** Three triangles of the four ends, which together contain every pair. */
const COUPLED = [
  [0, 1, 2],
  [1, 3, 2],
  [0, 1, 3],
] as const;

/** Each pair of ends once, with the first coupled triangle that has both, and their corners in it. */
const PAIRS = [0, 1, 2, 3].flatMap((one) =>
  [0, 1, 2, 3].map((other) => {
    const part = COUPLED.findIndex((corners) => [one, other].every((end) => corners.some((corner) => corner === end)));
    const corners: readonly number[] = COUPLED[part] ?? [];
    return { one, other, part, row: corners.indexOf(one), column: corners.indexOf(other) };
  }),
);

/** The edges that are joined, in pairs; `area` is that of the mesh (mm2). */
export function joinedEdges({ positions }: Mesh, joins: readonly Join[], area: number): JoinedEdges[] {
  return joins.flatMap(({ left, right }) =>
    left.slice(1).map((_, at) => {
      const ends = [left[at], left[at + 1], right[at], right[at + 1]] as [number, number, number, number];
      const [from, to] = ends;
      const along = [0, 1, 2].map(
        (axis) => (positions[3 * to + axis] as number) - (positions[3 * from + axis] as number),
      );
      const length = Math.hypot(...along);
      return { ends, length, weight: (STIFFER * length * length) / area };
    }),
  );
}

/** A mesh's triangles, followed by those that couple the ends of joined edges. */
export function coupledTriangles(triangles: Uint32Array, joined: readonly JoinedEdges[]): Uint32Array {
  const more = joined.flatMap(({ ends }) => COUPLED.flatMap((corners) => corners.map((end) => ends[end] as number)));
  const coupled = new Uint32Array(triangles.length + more.length);
  coupled.set(triangles);
  coupled.set(more, triangles.length);
  return coupled;
}

/** Both edges in the layout, and the difference of their squared lengths over the squared formed length. */
function edgesIn({ ends: [a, b, c, d], length }: JoinedEdges, uv: Float64Array) {
  const x = (uv[2 * b] as number) - (uv[2 * a] as number);
  const y = (uv[2 * b + 1] as number) - (uv[2 * a + 1] as number);
  const u = (uv[2 * d] as number) - (uv[2 * c] as number);
  const v = (uv[2 * d + 1] as number) - (uv[2 * c + 1] as number);
  return { x, y, u, v, apart: (x * x + y * y - u * u - v * v) / (length * length) };
}

/** What joined edges of unequal length add to the energy: `w ((l^2 - r^2) / L^2)^2`. */
export function joinEnergy(joined: readonly JoinedEdges[], uv: Float64Array): number {
  return joined.reduce((sum, edges) => sum + edges.weight * edgesIn(edges, uv).apart ** 2, 0);
}

/**
 * Adds their gradient and, where a system is given, the part of their Hessian that is always positive.
 *
 * @param first the triangle of the system's pattern that is the first of {@link coupledTriangles}' own
 */
export function assembleJoins(
  joined: readonly JoinedEdges[],
  uv: Float64Array,
  {
    system,
    slope,
    first,
  }: { readonly system: BlockSystem | null; readonly slope: Float64Array; readonly first: number },
): void {
  /** Derivative of the difference by x and y of each end; room for one block. */
  const ways = new Float64Array(8);
  const block = new Float64Array(4);
  joined.forEach((edges, index) => {
    const { ends, length, weight } = edges;
    const { x, y, u, v, apart } = edgesIn(edges, uv);
    const scale = 2 / (length * length);
    ways.set([-x, -y, x, y, u, v, -u, -v].map((way) => scale * way));
    ends.forEach((vertex, end) => {
      for (const axis of [0, 1]) {
        const at = 2 * vertex + axis;
        slope[at] = (slope[at] as number) + 2 * weight * apart * (ways[2 * end + axis] as number);
      }
    });
    if (!system) return;
    // The longer edge is stiff across as well.
    const across = 2 * weight * Math.abs(apart) * scale;
    const isLonger = (end: number) => end < 2 === apart > 0;
    for (const { one, other, part, row, column } of PAIRS) {
      const stiff = isLonger(one) && isLonger(other) ? (one === other ? across : -across) : 0;
      for (let at = 0; at < 4; at += 1) {
        const [i, j] = [at >> 1, at & 1];
        const steep = 2 * weight * (ways[2 * one + i] as number) * (ways[2 * other + j] as number);
        block[at] = steep + (i === j ? stiff : 0);
      }
      system.addTwo(system.pairOf(3 * (first + COUPLED.length * index + part), row, column), block);
    }
  });
}
