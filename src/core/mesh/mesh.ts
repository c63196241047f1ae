/** A surface of triangles: x, y, z of each vertex (mm) one after another, and three vertices of each triangle, all seen from one side. */
export interface Mesh {
  readonly positions: Float64Array;
  readonly triangles: Uint32Array;
}

/** Number of vertices. */
export function vertexCount({ positions }: Mesh): number {
  return positions.length / 3;
}

/** The border of a mesh as one closed line of vertices, in the direction of its triangles; null when there is not exactly one. */
export function borderOf({ triangles }: Mesh): number[] | null {
  const inner = new Set<number>();
  const key = (a: number, b: number) => a * 2 ** 26 + b;
  for (let at = 0; at < triangles.length; at += 3) {
    for (let side = 0; side < 3; side += 1) {
      inner.add(key(triangles[at + side] as number, triangles[at + ((side + 1) % 3)] as number));
    }
  }
  const next = new Map<number, number>();
  for (const edge of inner) {
    const [a, b] = [Math.floor(edge / 2 ** 26), edge % 2 ** 26];
    if (inner.has(key(b, a))) continue;
    if (next.has(a)) return null;
    next.set(a, b);
  }
  const first = next.keys().next();
  if (first.done) return null;
  const loop = [first.value];
  for (let at = next.get(first.value); at !== undefined && at !== first.value; at = next.get(at)) loop.push(at);
  return loop.length === next.size ? loop : null;
}

type Vector = readonly [number, number, number];

function corner({ positions }: Mesh, vertex: number): Vector {
  return [positions[3 * vertex] as number, positions[3 * vertex + 1] as number, positions[3 * vertex + 2] as number];
}

const less = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** Twice the area of each triangle times its unit normal. */
export function doubleNormals(mesh: Mesh): Vector[] {
  return Array.from({ length: mesh.triangles.length / 3 }, (_, index) => {
    const [a, b, c] = [0, 1, 2].map((side) => corner(mesh, mesh.triangles[3 * index + side] as number)) as [
      Vector,
      Vector,
      Vector,
    ];
    return cross(less(b, a), less(c, a));
  });
}

/** Area of a mesh (mm2). */
export function meshArea(mesh: Mesh): number {
  return doubleNormals(mesh).reduce((sum, normal) => sum + Math.hypot(...normal) / 2, 0);
}

/**
 * The side of a mesh that bulges: 1 when its triangles are seen from there, -1 when they are seen from the hollow side, by
 * the volume between the mesh and the middle of its border; 1 when it is flat.
 */
export function bulge(mesh: Mesh, border: readonly number[]): 1 | -1 {
  const middle = [0, 1, 2].map((axis) => border.reduce((sum, vertex) => sum + (mesh.positions[3 * vertex + axis] as number), 0) / border.length) as unknown as Vector; // prettier-ignore
  const volume = doubleNormals(mesh).reduce((sum, normal, index) => sum + dot(less(corner(mesh, mesh.triangles[3 * index] as number), middle), normal), 0); // prettier-ignore
  return volume < 0 ? -1 : 1;
}

/**
 * The parallel surface at a distance (mm, positive towards the side from which the triangles are seen). Each vertex moves
 * so that the planes of the triangles round it move by the distance, as nearly as their mean normal allows.
 */
export function offsetMesh(mesh: Mesh, distance: number): Mesh {
  if (distance === 0) return mesh;
  const { positions, triangles } = mesh;
  const sums = new Float64Array(positions.length);
  const normals = doubleNormals(mesh);
  normals.forEach((normal, index) => {
    const long = Math.hypot(...normal);
    for (let side = 0; side < 3; side += 1) {
      const [at, to, from] = [0, 1, 2].map((step) => corner(mesh, triangles[3 * index + ((side + step) % 3)] as number)) as [Vector, Vector, Vector]; // prettier-ignore
      const [u, v] = [less(to, at), less(from, at)];
      // Weighed by the angle at the vertex, which no fineness of the mesh disturbs.
      const angle = Math.atan2(Math.hypot(...cross(u, v)), dot(u, v));
      const vertex = triangles[3 * index + side] as number;
      for (let axis = 0; axis < 3; axis += 1) sums[3 * vertex + axis] = (sums[3 * vertex + axis] as number) + (angle * (normal[axis] as number)) / long; // prettier-ignore
    }
  });
  const moved = new Float64Array(positions);
  const facing = new Float64Array(positions.length / 3);
  const count = new Float64Array(positions.length / 3);
  for (let vertex = 0; vertex < facing.length; vertex += 1) {
    const long = Math.hypot(sums[3 * vertex] as number, sums[3 * vertex + 1] as number, sums[3 * vertex + 2] as number) || 1; // prettier-ignore
    for (let axis = 0; axis < 3; axis += 1) sums[3 * vertex + axis] = (sums[3 * vertex + axis] as number) / long;
  }
  normals.forEach((normal, index) => {
    const long = Math.hypot(...normal);
    for (let side = 0; side < 3; side += 1) {
      const vertex = triangles[3 * index + side] as number;
      const own: Vector = [sums[3 * vertex] as number, sums[3 * vertex + 1] as number, sums[3 * vertex + 2] as number];
      facing[vertex] = (facing[vertex] as number) + dot(own, normal) / long;
      count[vertex] = (count[vertex] as number) + 1;
    }
  });
  for (let vertex = 0; vertex < facing.length; vertex += 1) {
    const cosine = Math.max(0.5, (facing[vertex] as number) / Math.max(1, count[vertex] as number));
    for (let axis = 0; axis < 3; axis += 1) {
      moved[3 * vertex + axis] = (positions[3 * vertex + axis] as number) + (distance * (sums[3 * vertex + axis] as number)) / cosine; // prettier-ignore
    }
  }
  return { positions: moved, triangles };
}
