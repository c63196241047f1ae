import { ROUNDING } from '../../../core/numbers.ts';
import type { Blank } from '../../../core/forms/kind/blank.ts';

/** Gradient of the figures at each vertex, along u and v of the flat blank: the mean of its triangles, weighted by area. */
function slopesOf({ mesh: { triangles }, uv }: Pick<Blank, 'mesh' | 'uv'>, values: Float64Array): Float64Array {
  const slopes = new Float64Array(uv.length);
  const areas = new Float64Array(uv.length / 2);
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [triangles[at] as number, triangles[at + 1] as number, triangles[at + 2] as number];
    const [x, y] = [uv[2 * a] as number, uv[2 * a + 1] as number];
    const [ux, uy] = [(uv[2 * b] as number) - x, (uv[2 * b + 1] as number) - y];
    const [vx, vy] = [(uv[2 * c] as number) - x, (uv[2 * c + 1] as number) - y];
    const [q, r] = [(values[b] as number) - (values[a] as number), (values[c] as number) - (values[a] as number)];
    const whole = ux * vy - uy * vx;
    const area = Math.abs(whole);
    if (area < ROUNDING) continue;
    const side = Math.sign(whole);
    for (const vertex of [a, b, c]) {
      slopes[2 * vertex] = (slopes[2 * vertex] as number) + side * (q * vy - r * uy);
      slopes[2 * vertex + 1] = (slopes[2 * vertex + 1] as number) + side * (r * ux - q * vx);
      areas[vertex] = (areas[vertex] as number) + area;
    }
  }
  for (let at = 0; at < slopes.length; at += 1) {
    const area = areas[at >> 1] as number;
    slopes[at] = area > 0 ? (slopes[at] as number) / area : 0;
  }
  return slopes;
}

/**
 * How far figures at the vertices of a flat blank rise over the straight line in the middle of each triangle's sides (from
 * its first vertex to its second, to its third, and back), so that lines of equal height run on smoothly from triangle to
 * triangle: a cubic between two vertices with their slopes passes its middle at `(s0 - s1) d / 8` over the straight one.
 */
export function bowsOf(blank: Pick<Blank, 'mesh' | 'uv'>, values: Float64Array): Float64Array {
  const {
    mesh: { triangles },
    uv,
  } = blank;
  const slopes = slopesOf(blank, values);
  const bows = new Float64Array(triangles.length);
  for (let at = 0; at < triangles.length; at += 1) {
    const from = triangles[at] as number;
    const to = triangles[at % 3 === 2 ? at - 2 : at + 1] as number;
    let bow = 0;
    for (const axis of [0, 1]) {
      const along = (uv[2 * to + axis] as number) - (uv[2 * from + axis] as number);
      bow += (((slopes[2 * from + axis] as number) - (slopes[2 * to + axis] as number)) * along) / 8;
    }
    // At most the difference of the ends; otherwise contours would ring a single vertex that is slightly off.
    const most = Math.abs((values[to] as number) - (values[from] as number)) / 4;
    bows[at] = Math.max(-most, Math.min(most, bow));
  }
  return bows;
}
