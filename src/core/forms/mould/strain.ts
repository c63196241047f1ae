import type { Cut, LaidMesh, Strain } from '../kind/blank.ts';
import { stretches } from '../../geometry/flatten/distortion.ts';
import { restShapes } from '../../geometry/flatten/restShapes.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';

/** What the strain depends on besides the mesh: the slab's thickness (mm), and its darts as cut. */
export interface Feel {
  readonly thickness: number;
  readonly cuts?: readonly Cut[];
}

/**
 * Clay does not respond at a point: what counts is the strain of a connected patch as large as a disc of this many
 * thicknesses in radius (mm2). A dart's tip, where refining the mesh never converges, is much smaller.
 */
const PATCH_RADIUS = 2.5;

/** A patch whose worst place is within this many thicknesses of a dart's tip counts as at the tip. */
const TIP_REACH = 8;

/** Vertices that lie side by side on the formed piece: those of an edge, and those that meet when a dart is joined. */
function neighbours({ triangles }: Mesh, cuts: readonly Cut[], count: number): number[][] {
  const found: number[][] = Array.from({ length: count }, () => []);
  triangles.forEach((vertex, corner) => {
    const next = triangles[corner - (corner % 3) + ((corner + 1) % 3)] as number;
    found[vertex]?.push(next);
    found[next]?.push(vertex);
  });
  for (const { left, right } of cuts) {
    left.forEach((vertex, at) => {
      found[vertex]?.push(right[at] as number);
      found[right[at] as number]?.push(vertex);
    });
  }
  return found;
}

/** The greatest value that all of a patch of an area reaches or passes, and its worst vertex. `shares` are areas (mm2) by vertex. */
function reached(
  values: Float64Array,
  shares: Float64Array,
  { beside, area }: { beside: readonly number[][]; area: number },
) {
  const sorted = [...values.keys()].sort((one, other) => (values[other] as number) - (values[one] as number));
  // Vertices are joined to their neighbours from the greatest value down, until a group is as large as a patch.
  const above = new Int32Array(values.length).fill(-1);
  const areas = shares.slice();
  const headOf = (vertex: number): number => {
    let head = vertex;
    while (above[head] !== head) head = above[head] as number;
    return (above[vertex] = head);
  };
  for (const vertex of sorted) {
    above[vertex] = vertex;
    for (const other of beside[vertex] ?? []) {
      if (above[other] === -1) continue;
      const [mine, theirs] = [headOf(vertex), headOf(other)];
      if (mine === theirs) continue;
      // The head is the worst of its patch.
      const [head, under] = (values[mine] as number) > (values[theirs] as number) ? [mine, theirs] : [theirs, mine];
      above[under] = head;
      areas[head] = (areas[head] as number) + (areas[under] as number);
    }
    const head = headOf(vertex);
    if ((areas[head] as number) >= area) return { value: values[vertex] as number, worst: head };
  }
  const last = sorted.at(-1) ?? 0;
  return { value: values[last] ?? 0, worst: sorted[0] ?? 0 };
}

/** Computes the strain of a laid mesh: at each vertex the mean of its triangles, weighted by area. */
export function strainOf({ mesh, uv }: LaidMesh, { thickness: t, cuts = [] }: Feel): Strain {
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
  const patch = {
    beside: neighbours(mesh, cuts, count),
    area: Math.min(Math.PI * (PATCH_RADIUS * t) ** 2, rest.area / 2),
  };
  const read = (values: Float64Array) => reached(values, shares, patch);
  const gather = read(sums.gather);
  const most = {
    stretch: read(sums.stretch).value,
    gather: gather.value,
    thin: -read(thinner).value,
    thick: read(sums.thickness).value,
  };
  const place = (vertex: number) => mesh.positions.subarray(3 * vertex, 3 * vertex + 3);
  const apart = (one: number, other: number) =>
    Math.hypot(...place(one).map((value, axis) => value - (place(other)[axis] as number)));
  const atTip = cuts.some(({ left }) => apart(left.at(-1) as number, gather.worst) < TIP_REACH * t);
  const gathers = atTip ? 'tip' : 'elsewhere';
  return { ...sums, most, gathers, flatArea };
}
