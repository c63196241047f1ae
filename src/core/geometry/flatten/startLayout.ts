import { borderOf, doubleNormals, vertexCount, type Mesh } from '../mesh/mesh.ts';
import { BlockSystem, type Pattern } from './blockSystem.ts';

type Vector = readonly [number, number, number];

/** The mesh projected along its mean normal; null when a triangle would be seen from behind. Interleaved x, y (mm). */
export function seenFlat(mesh: Mesh): Float64Array | null {
  const normals = doubleNormals(mesh);
  const sum = normals.reduce<Vector>(
    (all, normal) => [all[0] + normal[0], all[1] + normal[1], all[2] + normal[2]],
    [0, 0, 0],
  );
  const long = Math.hypot(...sum);
  if (!(long > 0)) return null;
  const z: Vector = [sum[0] / long, sum[1] / long, sum[2] / long];
  // No triangle may be steeper than one in twenty: its projection would have almost no area.
  const steep = 0.05;
  if (normals.some((n) => n[0] * z[0] + n[1] * z[1] + n[2] * z[2] <= steep * Math.hypot(...n))) return null;
  const far: Vector = Math.abs(z[0]) < 0.6 ? [1, 0, 0] : [0, 1, 0];
  const along = far[0] * z[0] + far[1] * z[1] + far[2] * z[2];
  const raw: Vector = [far[0] - along * z[0], far[1] - along * z[1], far[2] - along * z[2]];
  const size = Math.hypot(...raw);
  const x: Vector = [raw[0] / size, raw[1] / size, raw[2] / size];
  const y: Vector = [z[1] * x[2] - z[2] * x[1], z[2] * x[0] - z[0] * x[2], z[0] * x[1] - z[1] * x[0]];
  const uv = new Float64Array((mesh.positions.length / 3) * 2);
  for (let vertex = 0; vertex < uv.length / 2; vertex += 1) {
    const p = [0, 1, 2].map((axis) => mesh.positions[3 * vertex + axis] as number) as unknown as Vector;
    uv[2 * vertex] = p[0] * x[0] + p[1] * x[1] + p[2] * x[2];
    uv[2 * vertex + 1] = p[0] * y[0] + p[1] * y[1] + p[2] * y[2];
  }
  return uv;
}

/**
 * The mesh mapped to a disc of its own area: the border on a circle by its length, every other vertex at the weighted mean
 * of its neighbours, which never flips a triangle (Tutte).
 */
export function stretchedInDisc(mesh: Mesh, area: number, pattern: Pattern): Float64Array {
  const { positions, triangles } = mesh;
  const count = vertexCount(mesh);
  const border = borderOf(mesh) ?? [];
  const place = (vertex: number) =>
    [0, 1, 2].map((axis) => positions[3 * vertex + axis] as number) as unknown as Vector;
  const apart = (a: number, b: number) => {
    const [p, q] = [place(a), place(b)];
    return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
  };
  const run = [0];
  border.forEach((vertex, index) =>
    run.push((run[index] ?? 0) + apart(vertex, border[(index + 1) % border.length] ?? vertex)),
  );
  const girth = run.at(-1) ?? 1;
  const radius = Math.sqrt(area / Math.PI);
  const uv = new Float64Array(2 * count);
  const fixed = new Uint8Array(count);
  border.forEach((vertex, index) => {
    const angle = (2 * Math.PI * (run[index] ?? 0)) / girth;
    uv[2 * vertex] = radius * Math.cos(angle);
    uv[2 * vertex + 1] = radius * Math.sin(angle);
    fixed[vertex] = 1;
  });
  // Uniform weights keep the system symmetric; the flattening does the rest.
  const system = new BlockSystem(pattern, 1);
  const right = [new Float64Array(count), new Float64Array(count)] as const;
  for (let at = 0; at < triangles.length; at += 3) {
    for (let one = 0; one < 3; one += 1) {
      const vertex = triangles[at + one] as number;
      for (let step = 1; step < 3; step += 1) {
        const other = (one + step) % 3;
        const neighbour = triangles[at + other] as number;
        if (fixed[vertex]) continue;
        system.add(system.pairOf(at, one, one), [1]);
        if (fixed[neighbour]) {
          right[0][vertex] = (right[0][vertex] as number) + (uv[2 * neighbour] as number);
          right[1][vertex] = (right[1][vertex] as number) + (uv[2 * neighbour + 1] as number);
        } else {
          system.add(system.pairOf(at, one, other), [-0.5]);
          system.add(system.pairOf(at, other, one), [-0.5]);
        }
      }
    }
  }
  // Fixed vertices have no neighbours in the system.
  const seen = new Uint8Array(count);
  for (let at = 0; at < triangles.length; at += 3) {
    for (let one = 0; one < 3; one += 1) {
      const vertex = triangles[at + one] as number;
      if (!fixed[vertex] || seen[vertex]) continue;
      seen[vertex] = 1;
      system.add(system.pairOf(at, one, one), [1]);
      right[0][vertex] = uv[2 * vertex] as number;
      right[1][vertex] = uv[2 * vertex + 1] as number;
    }
  }
  const factor = system.factor();
  if (!factor) return uv;
  const [u, v] = right.map((side) => system.solve(factor, side)) as [Float64Array, Float64Array];
  for (let vertex = 0; vertex < count; vertex += 1) {
    uv[2 * vertex] = u[vertex] as number;
    uv[2 * vertex + 1] = v[vertex] as number;
  }
  return uv;
}
