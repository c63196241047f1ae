import type { Mesh } from '../mesh/mesh.ts';
import type { BlockSystem } from './blockSystem.ts';

/** An edge that keeps its length: its triangle, its corners there, their vertices, its length (mm), and the part that it has in the energy. */
export interface SeamEdge {
  readonly triangle: number;
  readonly one: number;
  readonly other: number;
  readonly from: number;
  readonly to: number;
  readonly length: number;
  readonly weight: number;
}

/** How much stiffer a joined edge is than the slab: it keeps its length to about a thousandth of what the slab gives. */
const STIFFER = 300;

/** Joined edges by their first corners, counted over all triangles. */
export function seamEdges({ positions, triangles }: Mesh, corners: readonly number[], area: number): SeamEdge[] {
  return corners.map((corner) => {
    const triangle = Math.floor(corner / 3);
    const one = corner % 3;
    const other = (one + 1) % 3;
    const [from, to] = [triangles[3 * triangle + one] as number, triangles[3 * triangle + other] as number];
    const along = [0, 1, 2].map((axis) => (positions[3 * to + axis] as number) - (positions[3 * from + axis] as number)); // prettier-ignore
    const length = Math.hypot(...along);
    return { triangle, one, other, from, to, length, weight: (STIFFER * length * length) / area };
  });
}

function edgeIn({ from, to, length }: SeamEdge, uv: Float64Array): readonly [x: number, y: number, over: number] {
  const x = (uv[2 * to] as number) - (uv[2 * from] as number);
  const y = (uv[2 * to + 1] as number) - (uv[2 * from + 1] as number);
  return [x, y, (x * x + y * y) / (length * length) - 1];
}

/** What joined edges that are longer or shorter than they should be add to the energy: `w (l^2 / L^2 - 1)^2`. */
export function seamEnergy(seams: readonly SeamEdge[], uv: Float64Array): number {
  return seams.reduce((sum, seam) => sum + seam.weight * edgeIn(seam, uv)[2] ** 2, 0);
}

/** Adds their gradient to a slope and, where there is a system, the part of their Hessian that is positive wherever they lie. */
export function assembleSeams(
  seams: readonly SeamEdge[],
  uv: Float64Array,
  system: BlockSystem | null,
  slope: Float64Array,
): void {
  for (const seam of seams) {
    const { triangle, one, other, from, to, length, weight } = seam;
    const [x, y, over] = edgeIn(seam, uv);
    const square = length * length;
    const pull = (4 * weight * over) / square;
    slope[2 * to] = (slope[2 * to] as number) + pull * x;
    slope[2 * to + 1] = (slope[2 * to + 1] as number) + pull * y;
    slope[2 * from] = (slope[2 * from] as number) - pull * x;
    slope[2 * from + 1] = (slope[2 * from + 1] as number) - pull * y;
    if (!system) continue;
    const stiff = (8 * weight) / (square * square);
    // An edge that is too long is stiff across as well.
    const across = Math.max(0, pull);
    const block = [stiff * x * x + across, stiff * x * y, stiff * x * y, stiff * y * y + across];
    const against = block.map((value) => -value);
    system.add(3 * triangle, one, one, block);
    system.add(3 * triangle, other, other, block);
    system.add(3 * triangle, one, other, against);
    system.add(3 * triangle, other, one, against);
  }
}
