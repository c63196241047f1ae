import type { BlockSystem } from './blockSystem.ts';
import { jacobian, type RestShapes } from './restShapes.ts';

/** The symmetric Dirichlet energy of a layout: mean of (s - 1/s)^2 over both stretches; infinite where a triangle is turned over. */
export function energyOf(rest: RestShapes, uv: Float64Array): number {
  const { areas, area } = rest;
  const own = new Float64Array(4);
  let sum = 0;
  for (let index = 0; index < areas.length; index += 1) {
    jacobian(rest, uv, index, own);
    const a = own[0] as number;
    const b = own[1] as number;
    const c = own[2] as number;
    const d = own[3] as number;
    const mean = Math.sqrt((a + d) ** 2 + (c - b) ** 2) / 2;
    const apart = Math.sqrt((a - d) ** 2 + (b + c) ** 2) / 2;
    const s1 = mean + apart;
    const s2 = mean - apart;
    if (!(s2 > 0)) return Infinity;
    sum += (areas[index] as number) * ((s1 - 1 / s1) ** 2 + (s2 - 1 / s2) ** 2);
  }
  return sum / area;
}

/**
 * Gradient, and the Hessian made positive triangle by triangle: its four eigenvectors are two stretches, a twist and a
 * shear along the principal axes, with eigenvalues in closed form (Smith, de Goes and Kim 2019).
 */
export function assemble(rest: RestShapes, uv: Float64Array, system: BlockSystem): Float64Array {
  const { triangles, gradients, areas, area } = rest;
  const own = new Float64Array(4);
  const slope = new Float64Array(uv.length);
  const modes = new Float64Array(24);
  const values = new Float64Array(4);
  const block = new Float64Array(4);
  system.clear();
  for (let index = 0; index < areas.length; index += 1) {
    jacobian(rest, uv, index, own);
    const a = own[0] as number;
    const b = own[1] as number;
    const c = own[2] as number;
    const d = own[3] as number;
    const mean = Math.sqrt((a + d) ** 2 + (c - b) ** 2) / 2;
    const apart = Math.sqrt((a - d) ** 2 + (b + c) ** 2) / 2;
    const s1 = mean + apart;
    const s2 = mean - apart;
    const a1 = Math.atan2(b + c, a - d) / 2;
    const a2 = Math.atan2(c - b, a + d) / 2;
    const cu = Math.cos(a2 + a1);
    const su = Math.sin(a2 + a1);
    const cv = Math.cos(a2 - a1);
    const sv = Math.sin(a2 - a1);
    const weight = (areas[index] as number) / area;
    const d1 = 2 * s1 - 2 / s1 ** 3;
    const d2 = 2 * s2 - 2 / s2 ** 3;
    const both = s1 ** 3 * s2 ** 3;
    values[0] = weight * (2 + 6 / s1 ** 4);
    values[1] = weight * (2 + 6 / s2 ** 4);
    values[2] = weight * Math.max(0, 2 - (2 * (s1 * s1 - s1 * s2 + s2 * s2)) / both);
    values[3] = weight * (2 + (2 * (s1 * s1 + s1 * s2 + s2 * s2)) / both);
    for (let side = 0; side < 3; side += 1) {
      const gx = gradients[6 * index + 2 * side] as number;
      const gy = gradients[6 * index + 2 * side + 1] as number;
      const wx = cv * gx - sv * gy;
      const wy = sv * gx + cv * gy;
      const at = 2 * side;
      modes[at] = cu * wx;
      modes[at + 1] = su * wx;
      modes[at + 6] = -su * wy;
      modes[at + 7] = cu * wy;
      modes[at + 12] = (-cu * wy - su * wx) * Math.SQRT1_2;
      modes[at + 13] = (-su * wy + cu * wx) * Math.SQRT1_2;
      modes[at + 18] = (cu * wy - su * wx) * Math.SQRT1_2;
      modes[at + 19] = (su * wy + cu * wx) * Math.SQRT1_2;
      const vertex = 2 * (triangles[3 * index + side] as number);
      for (let r = 0; r < 2; r += 1) {
        slope[vertex + r] = (slope[vertex + r] as number) + weight * (d1 * (modes[2 * side + r] as number) + d2 * (modes[6 + 2 * side + r] as number)); // prettier-ignore
      }
    }
    for (let one = 0; one < 3; one += 1) {
      for (let other = 0; other < 3; other += 1) {
        if (!system.keeps(3 * index, one, other)) continue;
        block.fill(0);
        for (let mode = 0; mode < 4; mode += 1) {
          const value = values[mode] as number;
          const x = value * (modes[6 * mode + 2 * one] as number);
          const y = value * (modes[6 * mode + 2 * one + 1] as number);
          const u = modes[6 * mode + 2 * other] as number;
          const v = modes[6 * mode + 2 * other + 1] as number;
          block[0] = (block[0] as number) + x * u;
          block[1] = (block[1] as number) + x * v;
          block[2] = (block[2] as number) + y * u;
          block[3] = (block[3] as number) + y * v;
        }
        system.add(3 * index, one, other, block);
      }
    }
  }
  return slope;
}
