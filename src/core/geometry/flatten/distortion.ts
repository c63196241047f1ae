import { stretchesAt, type RestShapes } from './restShapes.ts';

/** Principal stretches of each triangle from the formed surface to the flat one, greatest first: two figures each, negative where it is turned over. */
export function stretches(rest: RestShapes, uv: Float64Array): Float64Array {
  const count = rest.areas.length;
  const own = new Float64Array(4);
  const laid = { rest, uv };
  const found = new Float64Array(2 * count);
  for (let index = 0; index < count; index += 1) {
    stretchesAt(laid, index, own);
    found[2 * index] = own[0] as number;
    found[2 * index + 1] = own[1] as number;
  }
  return found;
}

/** How far a flat layout is from the formed surface. */
export interface Distortion {
  /** Area-weighted mean of s1^2 + s2^2 + 1/s1^2 + 1/s2^2 - 4, both scaled to equal area. */
  readonly distortion: number;
  /** Principal stretches from flat to formed: what the clay must do. */
  readonly stretchMin: number;
  readonly stretchMax: number;
}

/** Measures a layout without flips; infinite where a triangle is flipped. */
export function distortionOf(rest: RestShapes, uv: Float64Array): Distortion {
  const found = stretches(rest, uv);
  const count = rest.areas.length;
  let flat = 0;
  for (let index = 0; index < count; index += 1) {
    flat += (rest.areas[index] as number) * (found[2 * index] as number) * (found[2 * index + 1] as number);
  }
  const square = flat / rest.area;
  let [sum, least, greatest] = [0, Infinity, 0];
  for (let index = 0; index < count; index += 1) {
    const s1 = found[2 * index] as number;
    const s2 = found[2 * index + 1] as number;
    if (!(s2 > 0)) return { distortion: Infinity, stretchMin: NaN, stretchMax: NaN };
    sum += (rest.areas[index] as number) * ((s1 * s1 + s2 * s2) / square + square / (s1 * s1) + square / (s2 * s2) - 4);
    least = Math.min(least, 1 / s1);
    greatest = Math.max(greatest, 1 / s2);
  }
  // Rounding can make a distortion of 0 slightly negative.
  return { distortion: Math.max(0, sum / rest.area), stretchMin: least, stretchMax: greatest };
}
