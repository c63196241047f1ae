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
  return Uint32Array.from([...triangles, ...more]);
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
  joined.forEach((edges, index) => {
    const { ends, length, weight } = edges;
    const { x, y, u, v, apart } = edgesIn(edges, uv);
    const scale = 2 / (length * length);
    /** Derivative of the difference by each end. */
    const ways = [
      [-x, -y],
      [x, y],
      [u, v],
      [-u, -v],
    ].map(([along, up]) => [scale * (along ?? 0), scale * (up ?? 0)] as const);
    ends.forEach((vertex, end) => {
      const [along, up] = ways[end] as readonly [number, number];
      slope[2 * vertex] = (slope[2 * vertex] as number) + 2 * weight * apart * along;
      slope[2 * vertex + 1] = (slope[2 * vertex + 1] as number) + 2 * weight * apart * up;
    });
    if (!system) return;
    // The longer edge is stiff across as well.
    const across = 2 * weight * Math.abs(apart) * scale;
    const longer = apart > 0 ? [0, 1] : [2, 3];
    const done = new Set<string>();
    COUPLED.forEach((corners, part) => {
      corners.forEach((one, row) => {
        corners.forEach((other, column) => {
          if (done.has(`${one} ${other}`)) return;
          done.add(`${one} ${other}`);
          const [p, q] = [ways[one] as readonly [number, number], ways[other] as readonly [number, number]];
          const stiff = longer.includes(one) && longer.includes(other) ? (one === other ? across : -across) : 0;
          const block = [0, 1].flatMap((i) =>
            [0, 1].map((j) => 2 * weight * (p[i] as number) * (q[j] as number) + (i === j ? stiff : 0)),
          );
          system.add(system.pairOf(3 * (first + COUPLED.length * index + part), row, column), block);
        });
      });
    });
  });
}
