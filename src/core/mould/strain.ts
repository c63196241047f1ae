import { stretches } from '../flatten/distortion.ts';
import { restShapes } from '../flatten/restShapes.ts';
import type { LaidMesh } from './cutMesh.ts';

/** What the clay must do between the flat blank and the formed piece, at each vertex (fractions). */
export interface Strain {
  /** How much longer the slab becomes where it grows most, and how much shorter where it gathers most. */
  readonly stretch: Float64Array;
  readonly gather: Float64Array;
  /** Thickness left, as a fraction of the slab's: one over both stretches. */
  readonly thickness: Float64Array;
  /** The most that a patch of the slab must do, and the least and greatest thickness of one. */
  readonly most: { readonly stretch: number; readonly gather: number; readonly thin: number; readonly thick: number };
  /** Where the most gathers: at the tip of a dart, or anywhere else. */
  readonly gathers: 'tip' | 'elsewhere';
  /** Flat area (mm2), and flat area times thickness left over formed area, which is 1 when no clay is lost. */
  readonly flatArea: number;
}

/** What strain is read by: the slab's thickness (mm), and the vertices at the tips of its darts. */
export interface Feel {
  readonly thickness: number;
  readonly tips?: readonly number[];
}

/**
 * Clay does not feel a point: what counts is what a patch of it does, a disc of this many thicknesses in radius (mm2). A dart's
 * tip alone, where no finer mesh comes to an end, is much smaller.
 */
const PATCH_RADIUS = 2;

/** Within this many thicknesses of a dart's tip the slab is judged by itself, so that it does not stand for the rim. */
const TIP_REACH = 8;

/** The value that the uppermost `area` of some vertices (by their shares of area) reaches or passes. */
function reached(values: Float64Array, shares: Float64Array, vertices: readonly number[], area: number): number {
  const sorted = [...vertices].sort((one, other) => (values[other] as number) - (values[one] as number));
  let sum = 0;
  for (const vertex of sorted) {
    sum += shares[vertex] as number;
    if (sum >= area) return values[vertex] as number;
  }
  return values[sorted.at(-1) ?? 0] ?? 0;
}

/** The vertices round each tip that are nearer to it than to another one; the first list holds all others. */
function regionsOf({ positions }: LaidMesh['mesh'], tips: readonly number[], within: number): number[][] {
  const regions: number[][] = [[], ...tips.map(() => [])];
  for (let vertex = 0; vertex < positions.length / 3; vertex += 1) {
    let [nearest, region] = [within * within, 0];
    for (const [index, tip] of tips.entries()) {
      let square = 0;
      for (let axis = 0; axis < 3; axis += 1) square += ((positions[3 * vertex + axis] as number) - (positions[3 * tip + axis] as number)) ** 2; // prettier-ignore
      if (square < nearest) [nearest, region] = [square, index + 1];
    }
    regions[region]?.push(vertex);
  }
  return regions.filter((region, index) => index === 0 || region.length > 0);
}

/** Works out the strain of a laid mesh, each vertex by the mean of its triangles weighed by their area. */
export function strainOf({ mesh, uv }: LaidMesh, { thickness: t, tips = [] }: Feel): Strain {
  const rest = restShapes(mesh);
  const found = stretches(rest, uv);
  const count = uv.length / 2;
  const sums = {
    stretch: new Float64Array(count),
    gather: new Float64Array(count),
    thickness: new Float64Array(count),
  };
  const weight = new Float64Array(count);
  let flatArea = 0;
  for (let index = 0; index < rest.areas.length; index += 1) {
    const area = rest.areas[index] as number;
    const [long, short] = [found[2 * index] as number, found[2 * index + 1] as number];
    flatArea += area * long * short;
    for (let side = 0; side < 3; side += 1) {
      const vertex = mesh.triangles[3 * index + side] as number;
      // From flat to formed: the inverse of how the formed triangle is laid flat.
      sums.stretch[vertex] = (sums.stretch[vertex] as number) + area * (1 / short - 1);
      sums.gather[vertex] = (sums.gather[vertex] as number) + area * (1 - 1 / long);
      sums.thickness[vertex] = (sums.thickness[vertex] as number) + area * long * short;
      weight[vertex] = (weight[vertex] as number) + area;
    }
  }
  const shares = new Float64Array(count);
  const thinner = new Float64Array(count);
  for (let vertex = 0; vertex < count; vertex += 1) {
    const w = weight[vertex] as number;
    shares[vertex] = w / 3;
    sums.stretch[vertex] = Math.max(0, (sums.stretch[vertex] as number) / w);
    sums.gather[vertex] = Math.max(0, (sums.gather[vertex] as number) / w);
    sums.thickness[vertex] = (sums.thickness[vertex] as number) / w;
    thinner[vertex] = -(sums.thickness[vertex] as number);
  }
  const most = { stretch: 0, gather: 0, thin: Infinity, thick: 0 };
  let gathers: Strain['gathers'] = 'elsewhere';
  const patch = Math.PI * (PATCH_RADIUS * t) ** 2;
  regionsOf(mesh, tips, TIP_REACH * t).forEach((region, index) => {
    // A region smaller than a patch is judged by its mean place.
    const area = Math.min(patch, region.reduce((sum, vertex) => sum + (shares[vertex] as number), 0) / 2);
    const read = (values: Float64Array) => reached(values, shares, region, area);
    const gather = read(sums.gather);
    if (gather > most.gather) gathers = index === 0 ? 'elsewhere' : 'tip';
    most.gather = Math.max(most.gather, gather);
    most.stretch = Math.max(most.stretch, read(sums.stretch));
    most.thin = Math.min(most.thin, -read(thinner));
    most.thick = Math.max(most.thick, read(sums.thickness));
  });
  return { ...sums, most, gathers, flatArea };
}
