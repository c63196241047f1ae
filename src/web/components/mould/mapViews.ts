import type { Blank } from '../../../core/forms/kind/blank.ts';

/** A vertex on the screen (px), and how near it is to the eye. */
export interface Projected {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly near: Float64Array;
  readonly scale: number;
  readonly middle: readonly [number, number];
}

interface View {
  readonly width: number;
  readonly height: number;
  /** Room to be left at each side (px). */
  readonly air: number;
}

/** Places on the plane of the picture (mm), changed into places on the screen. */
function fitted(
  u: Float64Array,
  v: Float64Array,
  { near, view: { width, height, air } }: { readonly near: Float64Array; readonly view: View },
): Projected {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let index = 0; index < u.length; index += 1) {
    const across = u[index] as number;
    const up = v[index] as number;
    if (across < x0) x0 = across;
    if (across > x1) x1 = across;
    if (up < y0) y0 = up;
    if (up > y1) y1 = up;
  }
  const scale = Math.max(0.05, Math.min((width - 2 * air) / (x1 - x0), (height - 2 * air) / (y1 - y0)));
  const middle = [(x0 + x1) / 2, (y0 + y1) / 2] as const;
  for (let index = 0; index < u.length; index += 1) {
    u[index] = width / 2 + scale * ((u[index] as number) - middle[0]);
    v[index] = height / 2 - scale * ((v[index] as number) - middle[1]);
  }
  return { x: u, y: v, near, scale, middle };
}

/** The flat blank seen from above. */
export function flatView({ uv }: Blank, view: View): Projected {
  const count = uv.length / 2;
  const [u, v] = [new Float64Array(count), new Float64Array(count)];
  for (let vertex = 0; vertex < count; vertex += 1) {
    u[vertex] = uv[2 * vertex] as number;
    v[vertex] = uv[2 * vertex + 1] as number;
  }
  return fitted(u, v, { near: new Float64Array(count), view });
}

/** The formed piece seen from a side, turned round and up (degrees). */
export function formedView(
  { mesh }: Blank,
  view: View,
  { round, up }: { readonly round: number; readonly up: number },
): Projected {
  const { positions } = mesh;
  const count = positions.length / 3;
  const [c, s] = [Math.cos((round * Math.PI) / 180), Math.sin((round * Math.PI) / 180)];
  const [ce, se] = [Math.cos((up * Math.PI) / 180), Math.sin((up * Math.PI) / 180)];
  const [u, v, near] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  for (let vertex = 0; vertex < count; vertex += 1) {
    const x = positions[3 * vertex] as number;
    const y = positions[3 * vertex + 1] as number;
    const z = positions[3 * vertex + 2] as number;
    const away = -s * x + c * y;
    u[vertex] = c * x + s * y;
    v[vertex] = away * se + z * ce;
    near[vertex] = -away * ce + z * se;
  }
  return fitted(u, v, { near, view });
}

/** Triangles in the order in which they are painted: what lies behind first. */
export function paintOrder({ mesh }: Blank, { near }: Projected, flat: boolean): Uint32Array {
  const { triangles } = mesh;
  const order = new Uint32Array(triangles.length / 3);
  for (let index = 0; index < order.length; index += 1) order[index] = index;
  if (flat) return order;
  const depth = new Float64Array(order.length);
  for (let at = 0; at < triangles.length; at += 1) {
    const index = Math.floor(at / 3);
    depth[index] = (depth[index] as number) + (near[triangles[at] as number] as number);
  }
  return behindFirst(depth);
}

/** Number of depth steps for sorting triangles. */
const DEPTHS = 1 << 16;

/** Indices by ascending depth, by a counting sort: a comparing sort is too slow while a piece is turned. */
function behindFirst(depth: Float64Array): Uint32Array {
  let [least, greatest] = [Infinity, -Infinity];
  for (const one of depth) {
    if (one < least) least = one;
    if (one > greatest) greatest = one;
  }
  const per = greatest > least ? (DEPTHS - 1) / (greatest - least) : 0;
  const step = (index: number) => Math.floor(((depth[index] as number) - least) * per);
  const from = new Uint32Array(DEPTHS + 1);
  for (let index = 0; index < depth.length; index += 1) from[step(index) + 1] = (from[step(index) + 1] as number) + 1;
  for (let at = 1; at <= DEPTHS; at += 1) from[at] = (from[at] as number) + (from[at - 1] as number);
  const order = new Uint32Array(depth.length);
  for (let index = 0; index < depth.length; index += 1) {
    const at = step(index);
    order[from[at] as number] = index;
    from[at] = (from[at] as number) + 1;
  }
  return order;
}

/** The figures of a blank at a place on the screen; null beside it. */
export function figuresAt(
  blank: Blank,
  seen: Projected,
  { order, px, py }: { readonly order: Uint32Array; readonly px: number; readonly py: number },
) {
  const { triangles } = blank.mesh;
  for (let at = order.length - 1; at >= 0; at -= 1) {
    const index = order[at] as number;
    const [a, b, c] = [0, 1, 2].map((side) => triangles[3 * index + side] as number) as [number, number, number];
    const [x0, y0] = [seen.x[a] as number, seen.y[a] as number];
    const [ux, uy] = [(seen.x[b] as number) - x0, (seen.y[b] as number) - y0];
    const [vx, vy] = [(seen.x[c] as number) - x0, (seen.y[c] as number) - y0];
    const whole = ux * vy - uy * vx;
    if (whole === 0) continue;
    const f = ((px - x0) * vy - (py - y0) * vx) / whole;
    const g = (ux * (py - y0) - uy * (px - x0)) / whole;
    if (f < 0 || g < 0 || f + g > 1) continue;
    const mix = (values: Float64Array) =>
      (1 - f - g) * (values[a] as number) + f * (values[b] as number) + g * (values[c] as number);
    return {
      stretch: mix(blank.strain.stretch),
      gather: mix(blank.strain.gather),
      thickness: mix(blank.strain.thickness),
    };
  }
  return null;
}
