import { hull } from '../../geometry/outline/hull.ts';
import { type Quad } from '../screen/homography.ts';
import { evenLight, lightAt, partingValue, shrunk, type GreyImage, type Pixel } from './image.ts';
import { Lens } from './lens.ts';
import { ROUNDING } from '../../numbers.ts';

/** A sheet of paper in a photograph: its corners without the lens's curve (px), in order round, and the lens. */
export interface SheetFound {
  readonly corners: Quad;
  readonly lens: Lens;
}

/** The sheet that was found, or why there is none. */
export type SheetReading =
  { readonly kind: 'sheet'; readonly sheet: SheetFound } | { readonly kind: 'refused'; readonly rule: string };

const refused = (rule: string): SheetReading => ({ kind: 'refused', rule });

/** Width of the reduced picture in which the sheet is found (px). */
const COARSE = 320;

/** Paper is brighter than this share of its light; a sheet covers at least this share of the picture. */
const PAPER = 0.8;
const LEAST_COVER = 0.12;

/** Edge search: places of a side, margin at its ends, and reach as a share of the picture's diagonal. */
const PLACES = 72;
const ENDS = 0.05;
const REACH = 0.03;

/** Greatest lens curve that is tried. */
const CURVES = 0.3;

/** Sides that scatter by more than this share of the picture's width are not edges of paper. */
const UNEVEN = 0.004;

/** The largest connected piece of a mask, as a mask, and its number of dots. */
function largestPiece(mask: Uint8Array, width: number): { piece: Uint8Array; count: number } {
  const seen = new Uint8Array(mask.length);
  let best: number[] = [];
  for (let start = 0; start < mask.length; start += 1) {
    if (!mask[start] || seen[start]) continue;
    const piece = [start];
    seen[start] = 1;
    for (let next = 0; next < piece.length; next += 1) {
      const at = piece[next] as number;
      const x = at % width;
      for (const to of [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width]) {
        if (to < 0 || to >= mask.length || !mask[to] || seen[to]) continue;
        seen[to] = 1;
        piece.push(to);
      }
    }
    if (piece.length > best.length) best = piece;
  }
  const piece = new Uint8Array(mask.length);
  for (const at of best) piece[at] = 1;
  return { piece, count: best.length };
}

/** Corners of the convex hull of a mask's dots, counter-clockwise by their coordinates. */
function hullOf(mask: Uint8Array, width: number): Pixel[] {
  const points: Pixel[] = [];
  for (let row = 0; row * width < mask.length; row += 1) {
    let [first, last] = [-1, -1];
    for (let x = 0; x < width; x += 1) if (mask[row * width + x]) [first, last] = [first < 0 ? x : first, x];
    if (first >= 0) points.push([first, row]);
    if (last > first) points.push([last, row]);
  }
  return hull(points);
}

/** The largest quadrangle with its corners on a convex line: each corner advances while the area grows. */
function largestQuad(hull: readonly Pixel[]): Quad | null {
  const count = hull.length;
  if (count < 4) return null;
  const size = (at: readonly number[]) =>
    at.reduce((sum, one, side) => {
      const [[x, y], [u, v]] = [hull[one] as Pixel, hull[at[(side + 1) % 4] as number] as Pixel];
      return sum + (x * v - u * y) / 2;
    }, 0);
  let best: readonly number[] | null = null;
  for (let from = 0; from < count; from += Math.max(1, Math.floor(count / 12))) {
    let at = [0, 1, 2, 3].map((side) => (from + Math.round((side * count) / 4)) % count);
    for (let round = 0; round < 40; round += 1) {
      const before = size(at);
      at = at.map((one, side) => {
        const own = (to: number) => size(at.map((other, index) => (index === side ? to : other)));
        return hull.reduce((most, _, to) => (own(to) > own(most) ? to : most), one);
      });
      if (size(at) <= before + ROUNDING) break;
    }
    if (!best || size(at) > size(best)) best = at;
  }
  return best && (best.map((one) => hull[one] as Pixel) as unknown as Quad);
}

/** Rough corners of the sheet (px of the picture), or why there are none. */
function roughCorners(image: GreyImage): Quad | string {
  const by = Math.max(1, Math.round(image.width / COARSE));
  const small = shrunk(image, by);
  const bright = partingValue(small.light, 1);
  const mask = new Uint8Array(small.light.length);
  small.light.forEach((value, at) => (mask[at] = value > bright ? 1 : 0));
  let found = largestPiece(mask, small.width);
  for (let round = 0; round < 4; round += 1) {
    const { piece } = found;
    const light = evenLight(small, (at) => piece[at] === 1);
    if (!light) break;
    small.light.forEach((value, at) => {
      mask[at] = value > PAPER * light.at(at % small.width, Math.floor(at / small.width)) ? 1 : 0;
    });
    found = largestPiece(mask, small.width);
  }
  if (found.count < LEAST_COVER * small.light.length)
    return 'shows no sheet of paper that is bright and large enough: fill the picture with it, on a darker table';
  const quad = largestQuad(hullOf(found.piece, small.width));
  if (!quad) return 'shows no sheet of paper with four corners';
  const edge = quad.some(([x, y]) => x < 2 || y < 2 || x > small.width - 3 || y > small.height - 3);
  if (edge) return 'does not show the whole sheet: all four corners must be in the picture';
  const middle = (value: number) => value * by + (by - 1) / 2;
  return quad.map(([x, y]) => [middle(x), middle(y)] as const) as unknown as Quad;
}

/** Places of the steepest fall of light across a side, from the sheet outward. */
function edgePlaces(image: GreyImage, from: Pixel, to: Pixel): Pixel[] {
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [ux, uy] = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
  // The corners are counter-clockwise by their coordinates: outward is to the right.
  const [nx, ny] = [uy, -ux];
  const reach = REACH * Math.hypot(image.width, image.height);
  const places: Pixel[] = [];
  for (let place = 0; place < PLACES; place += 1) {
    const along = long * (ENDS + ((1 - 2 * ENDS) * (place + 0.5)) / PLACES);
    const [x, y] = [from[0] + along * ux, from[1] + along * uy];
    const steps = Math.ceil(2 * reach);
    const line = Array.from({ length: steps + 1 }, (_, step) => {
      const out = step - reach;
      return (
        [-1, 0, 1].reduce((sum, side) => sum + lightAt(image, x + out * nx + side * ux, y + out * ny + side * uy), 0) /
        3
      );
    });
    const fall = line.map((_, step) =>
      step < 2 || step > steps - 2
        ? 0
        : (line[step - 2] as number) +
          (line[step - 1] as number) -
          (line[step + 1] as number) -
          (line[step + 2] as number),
    );
    const best = fall.reduce((most, value, step) => (value > (fall[most] as number) ? step : most), 0);
    const [low, top, high] = [fall[best - 1] ?? 0, fall[best] ?? 0, fall[best + 1] ?? 0];
    if (top < 0.08) continue;
    const bend = low - 2 * top + high;
    const out = best - reach + (bend < 0 ? (0.5 * (low - high)) / bend : 0);
    places.push([x + out * nx, y + out * ny]);
  }
  return places;
}

/** A line n . p = d by total least squares with outliers dropped step by step, and the mean square distance of the rest (px2). */
interface FittedLine {
  readonly n: Pixel;
  readonly d: number;
  readonly spread: number;
}

function fitLine(points: readonly Pixel[]): FittedLine {
  let kept = points;
  let found: FittedLine = { n: [1, 0], d: 0, spread: Infinity };
  for (let round = 0; round < 5; round += 1) {
    const [mx, my] = [0, 1].map(
      (axis) => kept.reduce((sum, point) => sum + (point[axis] as number), 0) / kept.length,
    ) as [number, number];
    let [xx, xy, yy] = [0, 0, 0];
    for (const [x, y] of kept) {
      xx += (x - mx) ** 2;
      xy += (x - mx) * (y - my);
      yy += (y - my) ** 2;
    }
    const angle = Math.atan2(2 * xy, xx - yy) / 2;
    const n: Pixel = [-Math.sin(angle), Math.cos(angle)];
    const d = n[0] * mx + n[1] * my;
    const far = ([x, y]: Pixel) => Math.abs(n[0] * x + n[1] * y - d);
    const sorted = kept.map(far).sort((one, other) => one - other);
    const median = sorted[Math.floor(sorted.length / 2)] ?? 0;
    found = { n, d, spread: kept.reduce((sum, point) => sum + far(point) ** 2, 0) / kept.length };
    const next = points.filter((point) => far(point) <= Math.max(0.6, 3 * median));
    if (next.length < PLACES / 4) break;
    kept = next;
  }
  return found;
}

function meeting(one: FittedLine, other: FittedLine): Pixel {
  const cross = one.n[0] * other.n[1] - one.n[1] * other.n[0];
  return [(one.d * other.n[1] - other.d * one.n[1]) / cross, (one.n[0] * other.d - other.n[0] * one.d) / cross];
}

/** The curve of the lens that makes the sides straightest, and the lines then. */
function straighten(image: GreyImage, sides: readonly (readonly Pixel[])[]): { lens: Lens; lines: FittedLine[] } {
  const at = (curve: number) => {
    const lens = new Lens(image.width, image.height, curve);
    const lines = sides.map((points) => fitLine(points.map((point) => lens.straight(point))));
    return { lens, lines, spread: lines.reduce((sum, { spread }) => sum + spread, 0) };
  };
  let [low, high] = [-CURVES, CURVES];
  let best = at(0);
  for (let round = 0; round < 6; round += 1) {
    const step = (high - low) / 10;
    for (let index = 0; index <= 10; index += 1) {
      const found = at(low + index * step);
      if (found.spread < best.spread) best = found;
    }
    [low, high] = [best.lens.curve - step, best.lens.curve + step];
  }
  return best;
}

/**
 * Finds the sheet of paper in a photograph: bright on a darker table. Its sides are looked for from rough corners, which may be
 * given (px), and made straight together, which tells the curve of the lens.
 */
export function findSheet(image: GreyImage, given?: Quad): SheetReading {
  const rough = given ? against(given) : roughCorners(image);
  if (typeof rough === 'string') return refused(rough);
  const sides = rough.map((from, side) => edgePlaces(image, from, rough[(side + 1) % 4] as Pixel));
  if (sides.some((places) => places.length < PLACES / 3)) {
    if (!given)
      return refused(
        'shows a sheet whose edges cannot be told from the table: lay it on something darker, without a shadow over its edge',
      );
    return { kind: 'sheet', sheet: { corners: rough, lens: new Lens(image.width, image.height, 0) } };
  }
  const { lens, lines } = straighten(image, sides);
  if (lines.some(({ spread }) => Math.sqrt(spread) > UNEVEN * image.width))
    return refused('shows a sheet whose edges are not straight: lay it flat');
  const corners = lines.map((line, side) => meeting(lines[(side + 3) % 4] as FittedLine, line)) as unknown as Quad;
  return { kind: 'sheet', sheet: { corners, lens } };
}

/** Corners in counter-clockwise order by their coordinates, as the others are. */
function against(quad: Quad): Quad {
  const size = quad.reduce((sum, [x, y], at) => {
    const [u, v] = quad[(at + 1) % 4] as Pixel;
    return sum + x * v - u * y;
  }, 0);
  return size > 0 ? quad : ([...quad].reverse() as unknown as Quad);
}
