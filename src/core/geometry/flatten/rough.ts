import type { Factor } from '../sparse/multifrontal.ts';
import type { BlockSystem } from './blockSystem.ts';
import { energyOf } from './dirichlet.ts';
import type { RestShapes } from './restShapes.ts';

/** So much of the mean diagonal is added to the whole diagonal, which holds free motions. */
const STIFFENED = 1e-9;

/** Rounds of the rough flattening. */
const ROUGH = 14;

/** It ends when a round lowers the energy by less than this share. */
const ROUGH_GAIN = 0.05;

/** Fills a system with the stiffness of all triangles, the same in x and y. */
function assembleStiffness({ gradients, areas }: RestShapes, system: BlockSystem): void {
  const block = new Float64Array(1);
  system.clear();
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
}

/** A layout, and the right sides in x and y by vertex that its next round is solved for. */
interface Round {
  readonly uv: Float64Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/** Adds what one triangle asks for when it is turned to its best fit. */
function addTurned({ triangles, gradients, areas }: RestShapes, index: number, { uv, x, y }: Round): void {
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
    x[vertex] = (x[vertex] as number) + cos * gx - sin * gy;
    y[vertex] = (y[vertex] as number) + sin * gx + cos * gy;
  }
}

/** One round: every triangle turned to its best fit, and all of them joined again. */
function joinedAgain(
  rest: RestShapes,
  uv: Float64Array,
  { system, factor }: { readonly system: BlockSystem; readonly factor: Factor },
): Float64Array {
  const count = uv.length / 2;
  const round = { uv, x: new Float64Array(count), y: new Float64Array(count) };
  for (let index = 0; index < rest.areas.length; index += 1) addTurned(rest, index, round);
  const u = system.solve(factor, round.x);
  const v = system.solve(factor, round.y);
  const next = new Float64Array(2 * count);
  for (let vertex = 0; vertex < count; vertex += 1) {
    next[2 * vertex] = u[vertex] as number;
    next[2 * vertex + 1] = v[vertex] as number;
  }
  return next;
}

/**
 * A rough flattening (as rigid as possible): each triangle is rotated to its best fit, then one constant system joins them
 * all again. A few cheap rounds come close; the best layout without flips is returned.
 */
export function relaxed(
  rest: RestShapes,
  from: Float64Array,
  { energy, system }: { readonly energy: number; readonly system: BlockSystem },
): { uv: Float64Array; energy: number } {
  assembleStiffness(rest, system);
  system.stiffen(STIFFENED);
  const factor = system.factor();
  let best = { uv: from, energy };
  if (!factor) return best;
  let uv = from;
  for (let round = 0; round < ROUGH; round += 1) {
    uv = joinedAgain(rest, uv, { system, factor });
    const lower = energyOf(rest, uv);
    const enough = lower > (1 - ROUGH_GAIN) * best.energy && lower < best.energy;
    if (lower < best.energy) best = { uv, energy: lower };
    if (enough) break;
  }
  return best;
}
