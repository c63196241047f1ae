import type { BlockSystem } from './blockSystem.ts';
import { energyOf } from './dirichlet.ts';
import type { RestShapes } from './restShapes.ts';

/** So much of the mean diagonal is added to the whole diagonal, which holds free motions. */
const STIFFENED = 1e-9;

/** Rounds of the rough flattening. */
const ROUGH = 14;

/** It ends when a round lowers the energy by less than this share. */
const ROUGH_GAIN = 0.05;

/**
 * A rough flattening (as rigid as possible): each triangle is rotated to its best fit, then one constant system joins them
 * all again. A few cheap rounds come close; the best layout without flips is returned.
 */
export function relaxed(
  rest: RestShapes,
  from: Float64Array,
  { energy, system }: { readonly energy: number; readonly system: BlockSystem },
): { uv: Float64Array; energy: number } {
  const { triangles, gradients, areas } = rest;
  const count = from.length / 2;
  system.clear();
  const block = new Float64Array(1);
  for (let index = 0; index < areas.length; index += 1) {
    for (let one = 0; one < 3; one += 1) {
      for (let other = 0; other < 3; other += 1) {
        const g = 6 * index + 2 * one;
        const h = 6 * index + 2 * other;
        block[0] =
          (areas[index] as number) *
          ((gradients[g] as number) * (gradients[h] as number) +
            (gradients[g + 1] as number) * (gradients[h + 1] as number));
        system.add(system.pairOf(3 * index, one, other), block);
      }
    }
  }
  system.stiffen(STIFFENED);
  const factor = system.factor();
  let best = { uv: from, energy };
  if (!factor) return best;
  let uv = from;
  for (let round = 0; round < ROUGH; round += 1) {
    const right = [new Float64Array(count), new Float64Array(count)] as const;
    for (let index = 0; index < areas.length; index += 1) {
      let cosine = 0;
      let sine = 0;
      for (let side = 0; side < 3; side += 1) {
        const vertex = 2 * (triangles[3 * index + side] as number);
        const gx = gradients[6 * index + 2 * side] as number;
        const gy = gradients[6 * index + 2 * side + 1] as number;
        cosine += (uv[vertex] as number) * gx + (uv[vertex + 1] as number) * gy;
        sine += (uv[vertex + 1] as number) * gx - (uv[vertex] as number) * gy;
      }
      const long = Math.sqrt(cosine * cosine + sine * sine) || 1;
      const cos = ((areas[index] as number) * cosine) / long;
      const sin = ((areas[index] as number) * sine) / long;
      for (let side = 0; side < 3; side += 1) {
        const vertex = triangles[3 * index + side] as number;
        const gx = gradients[6 * index + 2 * side] as number;
        const gy = gradients[6 * index + 2 * side + 1] as number;
        right[0][vertex] = (right[0][vertex] as number) + cos * gx - sin * gy;
        right[1][vertex] = (right[1][vertex] as number) + sin * gx + cos * gy;
      }
    }
    const u = system.solve(factor, right[0]);
    const v = system.solve(factor, right[1]);
    const next = new Float64Array(2 * count);
    for (let vertex = 0; vertex < count; vertex += 1) {
      next[2 * vertex] = u[vertex] as number;
      next[2 * vertex + 1] = v[vertex] as number;
    }
    uv = next;
    const lower = energyOf(rest, uv);
    const enough = lower > (1 - ROUGH_GAIN) * best.energy && lower < best.energy;
    if (lower < best.energy) best = { uv, energy: lower };
    if (enough) break;
  }
  return best;
}
