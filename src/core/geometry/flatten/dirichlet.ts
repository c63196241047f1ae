import type { BlockSystem } from './blockSystem.ts';
import { jacobian, stretchesAt, type RestShapes } from './restShapes.ts';

/** The symmetric Dirichlet energy of a layout: mean of (s - 1/s)^2 over both stretches; infinite where a triangle is flipped. */
export function energyOf(rest: RestShapes, uv: Float64Array): number {
  const { areas, area } = rest;
  const own = new Float64Array(4);
  const laid = { rest, uv };
  let sum = 0;
  for (let index = 0; index < areas.length; index += 1) {
    stretchesAt(laid, index, own);
    const s1 = own[0] as number;
    const s2 = own[1] as number;
    if (!(s2 > 0)) return Infinity;
    sum += (areas[index] as number) * ((s1 - 1 / s1) ** 2 + (s2 - 1 / s2) ** 2);
  }
  return sum / area;
}

/**
 * Gradient, and the Hessian made positive triangle by triangle: its four eigenvectors are two stretches, a twist and a
 * shear along the principal axes, with eigenvalues in closed form (Smith, de Goes and Kim 2019).
 *
 * @param system receives the Hessian; without it only the gradient is computed
 */
export function assemble(rest: RestShapes, uv: Float64Array, system: BlockSystem | null): Float64Array {
  const { triangles, gradients, areas, area } = rest;
  const own = new Float64Array(4);
  const slope = new Float64Array(uv.length);
  /** The modes by corner, and the same multiplied by their eigenvalues; room for one block. */
  const modes = new Float64Array(24);
  const scaled = new Float64Array(24);
  const work = { modes, scaled, block: new Float64Array(4) };
  const laid = { rest, uv };
  system?.clear();
  for (let index = 0; index < areas.length; index += 1) {
    jacobian(laid, index, own);
    const a = own[0] as number;
    const b = own[1] as number;
    const c = own[2] as number;
    const d = own[3] as number;
    const twoMean = Math.sqrt((a + d) ** 2 + (c - b) ** 2);
    const twoApart = Math.sqrt((a - d) ** 2 + (b + c) ** 2);
    const s1 = (twoMean + twoApart) / 2;
    const s2 = (twoMean - twoApart) / 2;
    const { cosine: c1, sine: z1 } = halved(a - d, b + c, twoApart);
    const { cosine: c2, sine: z2 } = halved(a + d, c - b, twoMean);
    const cu = c2 * c1 - z2 * z1;
    const su = z2 * c1 + c2 * z1;
    const cv = c2 * c1 + z2 * z1;
    const sv = z2 * c1 - c2 * z1;
    const weight = (areas[index] as number) / area;
    const cube1 = s1 * s1 * s1;
    const cube2 = s2 * s2 * s2;
    const d1 = weight * (2 * s1 - 2 / cube1);
    const d2 = weight * (2 * s2 - 2 / cube2);
    for (let side = 0; side < 3; side += 1) {
      const gx = gradients[6 * index + 2 * side] as number;
      const gy = gradients[6 * index + 2 * side + 1] as number;
      const wx = cv * gx - sv * gy;
      const wy = sv * gx + cv * gy;
      const at = 8 * side;
      modes[at] = cu * wx;
      modes[at + 1] = su * wx;
      modes[at + 2] = -su * wy;
      modes[at + 3] = cu * wy;
      modes[at + 4] = (-cu * wy - su * wx) * Math.SQRT1_2;
      modes[at + 5] = (-su * wy + cu * wx) * Math.SQRT1_2;
      modes[at + 6] = (cu * wy - su * wx) * Math.SQRT1_2;
      modes[at + 7] = (su * wy + cu * wx) * Math.SQRT1_2;
      const vertex = 2 * (triangles[3 * index + side] as number);
      slope[vertex] = (slope[vertex] as number) + d1 * (modes[at] as number) + d2 * (modes[at + 2] as number);
      slope[vertex + 1] =
        (slope[vertex + 1] as number) + d1 * (modes[at + 1] as number) + d2 * (modes[at + 3] as number);
    }
    if (!system) continue;
    const cubes = cube1 * cube2;
    const stretch1 = weight * (2 + 6 / (cube1 * s1));
    const stretch2 = weight * (2 + 6 / (cube2 * s2));
    const twist = weight * Math.max(0, 2 - (2 * (s1 * s1 - s1 * s2 + s2 * s2)) / cubes);
    const shear = weight * (2 + (2 * (s1 * s1 + s1 * s2 + s2 * s2)) / cubes);
    for (let at = 0; at < 24; at += 8) {
      scaled[at] = stretch1 * (modes[at] as number);
      scaled[at + 1] = stretch1 * (modes[at + 1] as number);
      scaled[at + 2] = stretch2 * (modes[at + 2] as number);
      scaled[at + 3] = stretch2 * (modes[at + 3] as number);
      scaled[at + 4] = twist * (modes[at + 4] as number);
      scaled[at + 5] = twist * (modes[at + 5] as number);
      scaled[at + 6] = shear * (modes[at + 6] as number);
      scaled[at + 7] = shear * (modes[at + 7] as number);
    }
    addHessian(system, index, work);
  }
  return slope;
}

/** Adds the blocks of one triangle: sums over its four modes. */
function addHessian(
  system: BlockSystem,
  index: number,
  {
    modes,
    scaled,
    block,
  }: { readonly modes: Float64Array; readonly scaled: Float64Array; readonly block: Float64Array },
): void {
  for (let one = 0; one < 3; one += 1) {
    const from = 8 * one;
    for (let other = 0; other < 3; other += 1) {
      const pair = system.pairOf(3 * index, one, other);
      if (!system.keeps(pair)) continue;
      const to = 8 * other;
      let xx = 0;
      let xy = 0;
      let yx = 0;
      let yy = 0;
      for (let mode = 0; mode < 8; mode += 2) {
        const x = scaled[from + mode] as number;
        const y = scaled[from + mode + 1] as number;
        const u = modes[to + mode] as number;
        const v = modes[to + mode + 1] as number;
        xx += x * u;
        xy += x * v;
        yx += y * u;
        yy += y * v;
      }
      block[0] = xx;
      block[1] = xy;
      block[2] = yx;
      block[3] = yy;
      system.addTwo(pair, block);
    }
  }
}

/** Cosine and sine of half a vector's angle; of angle 0 for a vector of length 0. */
function halved(x: number, y: number, length: number): { readonly cosine: number; readonly sine: number } {
  if (!(length > 0)) return { cosine: 1, sine: 0 };
  // The greater one by the root, the other from their product, which avoids cancellation.
  const greater = Math.sqrt((1 + Math.abs(x) / length) / 2);
  const other = y / (2 * length * greater);
  if (x >= 0) return { cosine: greater, sine: other };
  return { cosine: Math.abs(other), sine: y < 0 ? -greater : greater };
}
