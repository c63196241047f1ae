import { once } from '../../numbers.ts';

/** A surface of triangles: x, y, z of each vertex (mm) one after another, and three vertices of each triangle, all seen from one side. */
export interface Mesh {
  readonly positions: Float64Array;
  readonly triangles: Uint32Array;
}

/** Number of vertices. */
export function vertexCount({ positions }: Mesh): number {
  return positions.length / 3;
}

/** The directed edges of each vertex v: their ends are `ends[from[v]]` to `ends[from[v + 1] - 1]`. */
export interface Edges {
  readonly from: Uint32Array;
  readonly ends: Uint32Array;
}

/** All directed edges of a mesh, by their first vertex. */
export const edgesOf = once((mesh: Mesh): Edges => {
  const { triangles } = mesh;
  const from = new Uint32Array(vertexCount(mesh) + 1);
  for (const vertex of triangles) from[vertex + 1] = (from[vertex + 1] as number) + 1;
  for (let vertex = 1; vertex < from.length; vertex += 1)
    from[vertex] = (from[vertex] as number) + (from[vertex - 1] as number);
  const free = from.slice();
  const ends = new Uint32Array(triangles.length);
  for (let at = 0; at < triangles.length; at += 1) {
    const vertex = triangles[at] as number;
    ends[free[vertex] as number] = triangles[at % 3 === 2 ? at - 2 : at + 1] as number;
    free[vertex] = (free[vertex] as number) + 1;
  }
  return { from, ends };
});

/** Whether an edge runs from one vertex to another. */
export function hasEdge({ from, ends }: Edges, one: number, other: number): boolean {
  for (let at = from[one] as number; at < (from[one + 1] as number); at += 1) if (ends[at] === other) return true;
  return false;
}

/** Values of undirected edges, by their two vertices; every vertex is below `count`. */
export class EdgeMap {
  private readonly values = new Map<number, number>();

  constructor(private readonly count: number) {}

  private key(one: number, other: number): number {
    return one < other ? one * this.count + other : other * this.count + one;
  }

  get(one: number, other: number): number | undefined {
    return this.values.get(this.key(one, other));
  }

  set(one: number, other: number, value: number): void {
    this.values.set(this.key(one, other), value);
  }
}

/** The border of a mesh as one closed line of vertices, in the direction of its triangles; null when there is not exactly one. */
export function borderOf(mesh: Mesh): readonly number[] | null {
  const known = borders.get(mesh.triangles);
  if (known !== undefined) return known;
  const border = onlyBorder(mesh);
  borders.set(mesh.triangles, border);
  return border;
}

/** Borders by their triangles: moving vertices does not change them. */
const borders = new WeakMap<Uint32Array, readonly number[] | null>();

function onlyBorder(mesh: Mesh): number[] | null {
  const edges = edgesOf(mesh);
  const next = new Map<number, number>();
  for (let vertex = 0; vertex + 1 < edges.from.length; vertex += 1) {
    for (let at = edges.from[vertex] as number; at < (edges.from[vertex + 1] as number); at += 1) {
      const end = edges.ends[at] as number;
      if (hasEdge(edges, end, vertex)) continue;
      if (next.has(vertex)) return null;
      next.set(vertex, end);
    }
  }
  const first = next.keys().next();
  if (first.done) return null;
  const loop = [first.value];
  for (let at = next.get(first.value); at !== undefined && at !== first.value; at = next.get(at)) loop.push(at);
  return loop.length === next.size ? loop : null;
}

/** What is slow to compute for a large mesh: its border, its convex side, and how its vertices move for a parallel surface. */
export interface MeshFindings {
  readonly border: readonly number[] | null;
  readonly facing: 1 | -1;
  readonly way: Float64Array;
}

const prepared = new WeakMap<Float64Array, MeshFindings & { readonly triangles: Uint32Array }>();

/** What was computed for a mesh elsewhere. */
function findingsOf({ positions, triangles }: Mesh): MeshFindings | null {
  const known = prepared.get(positions);
  return known?.triangles === triangles ? known : null;
}

/** Computes it, to be sent with the mesh. */
export function meshFindings(mesh: Mesh): MeshFindings {
  return { border: borderOf(mesh), facing: bulge(mesh), way: parallelWay(mesh) };
}

/** Stores what was computed for a mesh elsewhere, so that it is not computed again. */
export function takeFindings({ positions, triangles }: Mesh, findings: MeshFindings): void {
  prepared.set(positions, { ...findings, triangles });
  borders.set(triangles, findings.border);
}

type Vector = readonly [number, number, number];

/** Twice the area of each triangle times its unit normal. */
export const doubleNormals = once(({ positions, triangles }: Mesh): Vector[] => {
  const normals: Vector[] = [];
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [
      3 * (triangles[at] as number),
      3 * (triangles[at + 1] as number),
      3 * (triangles[at + 2] as number),
    ];
    const [x, y, z] = [positions[a] as number, positions[a + 1] as number, positions[a + 2] as number];
    const [ux, uy, uz] = [
      (positions[b] as number) - x,
      (positions[b + 1] as number) - y,
      (positions[b + 2] as number) - z,
    ];
    const [vx, vy, vz] = [
      (positions[c] as number) - x,
      (positions[c + 1] as number) - y,
      (positions[c + 2] as number) - z,
    ];
    normals.push([uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx]);
  }
  return normals;
});

/** Area of a mesh (mm2). */
export const meshArea = once(({ positions, triangles }: Mesh): number => {
  let sum = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const a = 3 * (triangles[at] as number);
    const b = 3 * (triangles[at + 1] as number);
    const c = 3 * (triangles[at + 2] as number);
    const ux = (positions[b] as number) - (positions[a] as number);
    const uy = (positions[b + 1] as number) - (positions[a + 1] as number);
    const uz = (positions[b + 2] as number) - (positions[a + 2] as number);
    const vx = (positions[c] as number) - (positions[a] as number);
    const vy = (positions[c + 1] as number) - (positions[a + 1] as number);
    const vz = (positions[c + 2] as number) - (positions[a + 2] as number);
    const x = uy * vz - uz * vy;
    const y = uz * vx - ux * vz;
    const z = ux * vy - uy * vx;
    sum += Math.sqrt(x * x + y * y + z * z) / 2;
  }
  return sum;
});

/**
 * The convex side of a mesh: 1 when its triangles face it, -1 when they face the hollow side, by the volume between the
 * mesh and the middle of its border; 1 when it is flat.
 */
export const bulge = once((mesh: Mesh): 1 | -1 => findingsOf(mesh)?.facing ?? bulging(mesh, borderOf(mesh) ?? []));

function bulging({ positions, triangles }: Mesh, border: readonly number[]): 1 | -1 {
  const middle = [0, 1, 2].map(
    (axis) => border.reduce((sum, vertex) => sum + (positions[3 * vertex + axis] as number), 0) / border.length,
  );
  const [mx = 0, my = 0, mz = 0] = middle;
  let volume = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const a = 3 * (triangles[at] as number);
    const b = 3 * (triangles[at + 1] as number);
    const c = 3 * (triangles[at + 2] as number);
    const ax = (positions[a] as number) - mx;
    const ay = (positions[a + 1] as number) - my;
    const az = (positions[a + 2] as number) - mz;
    const bx = (positions[b] as number) - mx;
    const by = (positions[b + 1] as number) - my;
    const bz = (positions[b + 2] as number) - mz;
    const cx = (positions[c] as number) - mx;
    const cy = (positions[c + 1] as number) - my;
    const cz = (positions[c + 2] as number) - mz;
    volume += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  }
  return volume < 0 ? -1 : 1;
}

/**
 * How each vertex moves for a parallel surface 1 mm away, towards the side that the triangles face, so that the planes of the
 * triangles round it move by as much, as closely as their mean normal allows.
 */
const parallelWay = once((mesh: Mesh): Float64Array => {
  return findingsOf(mesh)?.way ?? parallelWayOf(mesh);
});

function parallelWayOf(mesh: Mesh): Float64Array {
  const { positions, triangles } = mesh;
  // Unit normals of the triangles round each vertex, weighted by their angle there, which does not depend on how fine the mesh is.
  const sums = new Float64Array(positions.length);
  const units = new Float64Array(triangles.length);
  for (let at = 0; at < triangles.length; at += 3) {
    const a = 3 * (triangles[at] as number);
    const b = 3 * (triangles[at + 1] as number);
    const c = 3 * (triangles[at + 2] as number);
    const px = (positions[b] as number) - (positions[a] as number);
    const py = (positions[b + 1] as number) - (positions[a + 1] as number);
    const pz = (positions[b + 2] as number) - (positions[a + 2] as number);
    const qx = (positions[c] as number) - (positions[a] as number);
    const qy = (positions[c + 1] as number) - (positions[a + 1] as number);
    const qz = (positions[c + 2] as number) - (positions[a + 2] as number);
    const wx = py * qz - pz * qy;
    const wy = pz * qx - px * qz;
    const wz = px * qy - py * qx;
    const long = Math.sqrt(wx * wx + wy * wy + wz * wz);
    const nx = wx / long;
    const ny = wy / long;
    const nz = wz / long;
    units[at] = nx;
    units[at + 1] = ny;
    units[at + 2] = nz;
    for (let side = 0; side < 3; side += 1) {
      const here = 3 * (triangles[at + side] as number);
      const to = 3 * (triangles[at + ((side + 1) % 3)] as number);
      const from = 3 * (triangles[at + ((side + 2) % 3)] as number);
      const ux = (positions[to] as number) - (positions[here] as number);
      const uy = (positions[to + 1] as number) - (positions[here + 1] as number);
      const uz = (positions[to + 2] as number) - (positions[here + 2] as number);
      const vx = (positions[from] as number) - (positions[here] as number);
      const vy = (positions[from + 1] as number) - (positions[here + 1] as number);
      const vz = (positions[from + 2] as number) - (positions[here + 2] as number);
      const uv = ux * vx + uy * vy + uz * vz;
      const square = (ux * ux + uy * uy + uz * uz) * (vx * vx + vy * vy + vz * vz) - uv * uv;
      const angle = Math.atan2(Math.sqrt(Math.max(0, square)), uv);
      sums[here] = (sums[here] as number) + angle * nx;
      sums[here + 1] = (sums[here + 1] as number) + angle * ny;
      sums[here + 2] = (sums[here + 2] as number) + angle * nz;
    }
  }
  for (let at = 0; at < sums.length; at += 3) {
    const [x, y, z] = [sums[at] as number, sums[at + 1] as number, sums[at + 2] as number];
    const long = Math.sqrt(x * x + y * y + z * z) || 1;
    sums[at] = x / long;
    sums[at + 1] = y / long;
    sums[at + 2] = z / long;
  }
  const facing = new Float64Array(positions.length / 3);
  const count = new Float64Array(positions.length / 3);
  for (let at = 0; at < triangles.length; at += 1) {
    const vertex = triangles[at] as number;
    const unit = at - (at % 3);
    const here = 3 * vertex;
    facing[vertex] =
      (facing[vertex] as number) +
      (sums[here] as number) * (units[unit] as number) +
      (sums[here + 1] as number) * (units[unit + 1] as number) +
      (sums[here + 2] as number) * (units[unit + 2] as number);
    count[vertex] = (count[vertex] as number) + 1;
  }
  for (let vertex = 0; vertex < facing.length; vertex += 1) {
    const cosine = Math.max(0.5, (facing[vertex] as number) / Math.max(1, count[vertex] as number));
    for (let axis = 0; axis < 3; axis += 1) sums[3 * vertex + axis] = (sums[3 * vertex + axis] as number) / cosine;
  }
  return sums;
}

/** The parallel surface at a distance (mm, positive towards the side that the triangles face). */
export function offsetMesh(mesh: Mesh, distance: number): Mesh {
  if (distance === 0) return mesh;
  const way = parallelWay(mesh);
  const moved = new Float64Array(mesh.positions);
  for (let at = 0; at < moved.length; at += 1) moved[at] = (moved[at] as number) + distance * (way[at] as number);
  return { positions: moved, triangles: mesh.triangles };
}
