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
  /** Greatest of each, and least and greatest thickness. */
  readonly most: { readonly stretch: number; readonly gather: number; readonly thin: number; readonly thick: number };
  /** Flat area (mm2), and flat area times thickness left over formed area, which is 1 when no clay is lost. */
  readonly flatArea: number;
}

/** Works out the strain of a laid mesh, each vertex by the mean of its triangles weighed by their area. */
export function strainOf({ mesh, uv }: LaidMesh): Strain {
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
  const most = { stretch: 0, gather: 0, thin: Infinity, thick: 0 };
  for (let vertex = 0; vertex < count; vertex += 1) {
    const w = weight[vertex] as number;
    const stretch = (sums.stretch[vertex] as number) / w;
    const gather = (sums.gather[vertex] as number) / w;
    const thickness = (sums.thickness[vertex] as number) / w;
    sums.stretch[vertex] = Math.max(0, stretch);
    sums.gather[vertex] = Math.max(0, gather);
    sums.thickness[vertex] = thickness;
    most.stretch = Math.max(most.stretch, stretch);
    most.gather = Math.max(most.gather, gather);
    most.thin = Math.min(most.thin, thickness);
    most.thick = Math.max(most.thick, thickness);
  }
  return { ...sums, most, flatArea };
}
