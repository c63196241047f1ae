import type { Mesh } from '../mesh/mesh.ts';

/** The triangles of a mesh laid flat each by itself: areas (mm2), and the gradients of their corners' hat functions (1/mm). */
export interface RestShapes {
  readonly triangles: Uint32Array;
  readonly areas: Float64Array;
  /** Six figures of each triangle: x and y of the gradient at each corner, in the triangle's own plane. */
  readonly gradients: Float64Array;
  readonly area: number;
}

/** Each triangle in its own plane, its first side along x, seen from the side on which it runs anticlockwise. */
export function restShapes({ positions, triangles }: Mesh): RestShapes {
  const count = triangles.length / 3;
  const areas = new Float64Array(count);
  const gradients = new Float64Array(6 * count);
  let total = 0;
  for (let index = 0; index < count; index += 1) {
    const a = 3 * (triangles[3 * index] as number);
    const b = 3 * (triangles[3 * index + 1] as number);
    const c = 3 * (triangles[3 * index + 2] as number);
    let [uu, uv, vv] = [0, 0, 0];
    for (let axis = 0; axis < 3; axis += 1) {
      const from = positions[a + axis] as number;
      const u = (positions[b + axis] as number) - from;
      const v = (positions[c + axis] as number) - from;
      uu += u * u;
      uv += u * v;
      vv += v * v;
    }
    const long = Math.sqrt(uu);
    const x = uv / long;
    const y = Math.sqrt(Math.max(0, vv - x * x));
    // Corners (0, 0), (long, 0), (x, y).
    const double = long * y;
    gradients[6 * index] = -y / double;
    gradients[6 * index + 1] = (x - long) / double;
    gradients[6 * index + 2] = y / double;
    gradients[6 * index + 3] = -x / double;
    gradients[6 * index + 5] = long / double;
    areas[index] = double / 2;
    total += double / 2;
  }
  return { triangles, areas, gradients, area: total };
}

/** Triangles with a layout of their vertices, interleaved x, y. */
export interface LaidFlat {
  readonly rest: RestShapes;
  readonly uv: Float64Array;
}

/** Writes the map of a triangle from its own plane to the layout: the matrix [[a, b], [c, d]], row by row. */
export function jacobian({ rest, uv }: LaidFlat, index: number, out: Float64Array): void {
  const { triangles, gradients } = rest;
  let a = 0;
  let b = 0;
  let c = 0;
  let d = 0;
  for (let side = 0; side < 3; side += 1) {
    const vertex = 2 * (triangles[3 * index + side] as number);
    const gx = gradients[6 * index + 2 * side] as number;
    const gy = gradients[6 * index + 2 * side + 1] as number;
    a += (uv[vertex] as number) * gx;
    b += (uv[vertex] as number) * gy;
    c += (uv[vertex + 1] as number) * gx;
    d += (uv[vertex + 1] as number) * gy;
  }
  out[0] = a;
  out[1] = b;
  out[2] = c;
  out[3] = d;
}

/** Writes the principal stretches of a triangle from its own plane to the layout, the greater first; the lesser is negative where it is flipped. */
export function stretchesAt(laid: LaidFlat, index: number, out: Float64Array): void {
  jacobian(laid, index, out);
  const a = out[0] as number;
  const b = out[1] as number;
  const c = out[2] as number;
  const d = out[3] as number;
  const mean = Math.sqrt((a + d) ** 2 + (c - b) ** 2) / 2;
  const apart = Math.sqrt((a - d) ** 2 + (b + c) ** 2) / 2;
  out[0] = mean + apart;
  out[1] = mean - apart;
}
