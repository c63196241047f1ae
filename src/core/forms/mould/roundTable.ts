import { ROUNDING, TAU, TINY } from '../../numbers.ts';
import { pointAt } from '../../geometry/outline/stations.ts';
import { turned, type Support } from '../../geometry/outline/support.ts';
import { isTight, type TightCorner } from './tightCorners.ts';

/** A place round a mould: the normal of its outline, and how far along a flat edge (0 to 1; 0 where it is round). */
export interface Bearing {
  readonly phi: number;
  readonly along: number;
}

/** Places once round, by shares of a girth. */
export interface RoundTable {
  readonly bearingAt: (share: number) => Bearing;
  /** The ends of flat edges. */
  readonly kept: readonly number[];
}

/** Steps in which the girth is measured for the places round a mould. */
const ROUND_STEPS = 1440;

/** Places by shares of an outline's girth. What lies within a mitred corner has no length. */
export function roundTable(shape: Support, tight: readonly TightCorner[]): RoundTable {
  const rows: { readonly share: number; readonly bearing: Bearing }[] = [];
  const { flats } = shape;
  const breaks = flats.length > 0 ? flats : [0];
  const kept: number[] = [];
  let length = 0;
  const add = (by: number, bearing: Bearing) => {
    length += by;
    rows.push({ share: length, bearing });
  };
  breaks.forEach((from, index) => {
    const next = breaks[(index + 1) % breaks.length] ?? from;
    const to = from + (turned(next - from) || TAU);
    if (flats.length > 0) {
      const [x0, y0] = pointAt(shape, from, 'before');
      const [x1, y1] = pointAt(shape, from, 'after');
      kept.push(length);
      add(0, { phi: from, along: 0 });
      add(Math.hypot(x1 - x0, y1 - y0), { phi: from, along: 1 });
      kept.push(length);
    } else add(0, { phi: from, along: 0 });
    if (isTight(tight, from)) return;
    const steps = Math.max(1, Math.ceil((ROUND_STEPS * (to - from)) / TAU));
    let [x, y] = pointAt(shape, from, 'after');
    for (let step = 1; step <= steps; step += 1) {
      const phi = from + ((to - from) * step) / steps;
      const [nextX, nextY] = pointAt(shape, phi, step === steps ? 'before' : 'after');
      // The start of the next flat edge is the end of this curve.
      const last = step === steps && flats.length > 0;
      add(Math.hypot(nextX - x, nextY - y), last ? { phi: next, along: 0 } : { phi, along: 0 });
      [x, y] = [nextX, nextY];
    }
  });
  const bearingAt = (share: number): Bearing => {
    const wanted = Math.max(0, Math.min(1, share)) * length;
    let [low, high] = [0, rows.length - 1];
    while (high - low > 1) {
      const half = (low + high) >> 1;
      if ((rows[half]?.share ?? 0) <= wanted) low = half;
      else high = half;
    }
    const [one, other] = [rows[low], rows[high]];
    if (!one || !other) return { phi: 0, along: 0 };
    const f = other.share > one.share ? (wanted - one.share) / (other.share - one.share) : 0;
    if (f < ROUNDING) return one.bearing;
    if (f > 1 - ROUNDING) return other.bearing;
    if (one.bearing.phi === other.bearing.phi)
      return { phi: one.bearing.phi, along: one.bearing.along + f * (other.bearing.along - one.bearing.along) };
    const by = turned(other.bearing.phi - one.bearing.phi) || TAU;
    return { phi: turned(one.bearing.phi + f * (by > Math.PI ? by - TAU : by)), along: 0 };
  };
  const shares = kept.map((at) => at / length);
  return { bearingAt, kept: [...new Set(shares)].filter((share) => share < 1 - TINY) };
}
