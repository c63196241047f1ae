import { solveLinear } from '../screen/homography.ts';

/** A picture in grey, row by row from its upper left; light from 0 to 1. */
export interface GreyImage {
  readonly width: number;
  readonly height: number;
  readonly light: Float32Array;
}

/** A place in a picture (px), y down. */
export type Pixel = readonly [x: number, y: number];

/** Light at a place between dots (bilinear); dots beyond the edge are those at the edge. Whole figures are the middles of dots. */
export function lightAt({ width, height, light }: GreyImage, x: number, y: number): number {
  const cx = Math.min(width - 1, Math.max(0, x));
  const cy = Math.min(height - 1, Math.max(0, y));
  const [x0, y0] = [Math.min(width - 2, Math.floor(cx)), Math.min(height - 2, Math.floor(cy))];
  const [fx, fy] = [cx - x0, cy - y0];
  const at = y0 * width + x0;
  const top = (light[at] as number) * (1 - fx) + (light[at + 1] as number) * fx;
  const low = (light[at + width] as number) * (1 - fx) + (light[at + width + 1] as number) * fx;
  return top * (1 - fy) + low * fy;
}

/** A picture reduced by a whole factor: each dot is the mean of those that it replaces. */
export function shrunk({ width, height, light }: GreyImage, by: number): GreyImage {
  const [wide, high] = [Math.floor(width / by), Math.floor(height / by)];
  const out = new Float32Array(wide * high);
  for (let y = 0; y < high; y += 1) {
    for (let x = 0; x < wide; x += 1) {
      let sum = 0;
      for (let dy = 0; dy < by; dy += 1)
        for (let dx = 0; dx < by; dx += 1) sum += light[(y * by + dy) * width + x * by + dx] as number;
      out[y * wide + x] = sum / (by * by);
    }
  }
  return { width: wide, height: high, light: out };
}

/** The threshold that separates light from dark best (Otsu 1979), for values from 0 to `most`. */
export function partingValue(values: Float32Array, most: number): number {
  const BINS = 256;
  const counts = new Float64Array(BINS);
  for (const value of values) {
    const bin = Math.min(BINS - 1, Math.max(0, Math.floor((value / most) * BINS)));
    counts[bin] = (counts[bin] as number) + 1;
  }
  const whole = values.length;
  let sum = 0;
  counts.forEach((count, bin) => (sum += count * bin));
  let [dark, darkSum, best, at] = [0, 0, -1, 0];
  for (let bin = 0; bin < BINS - 1; bin += 1) {
    dark += counts[bin] as number;
    darkSum += bin * (counts[bin] as number);
    const bright = whole - dark;
    if (dark === 0 || bright === 0) continue;
    const apart = darkSum / dark - (sum - darkSum) / bright;
    const between = dark * bright * apart * apart;
    if (between > best) [best, at] = [between, bin];
  }
  return ((at + 1) / BINS) * most;
}

/** Terms of a light that changes evenly over a picture, from -1 to 1 both ways: 1, x, y, x x, x y, y y. */
const TERMS = 6;

/** No place on a picture is darker than this share of it: what is divided by it stays finite. */
const LEAST_LIGHT = 0.02;

/** Light that falls on a plane, as a quadratic of the place: the shares of its terms. */
export class EvenLight {
  constructor(
    readonly width: number,
    readonly height: number,
    readonly shares: readonly number[],
  ) {}

  at(x: number, y: number): number {
    const [u, v] = [(2 * x) / this.width - 1, (2 * y) / this.height - 1];
    const [whole = 0, across = 0, up = 0, bowed = 0, skew = 0, bent = 0] = this.shares;
    return Math.max(LEAST_LIGHT, whole + u * (across + u * bowed + v * skew) + v * (up + v * bent));
  }
}

/** Fits the light on a plane by least squares to the chosen dots, looking at every `every`-th; null where there are too few. */
export function evenLight(
  { width, height, light }: GreyImage,
  chosen: (at: number) => boolean,
  every = 1,
): EvenLight | null {
  /** Row by row; those below the diagonal are the same as above it. */
  const sums = new Float64Array(TERMS * (TERMS + 1));
  const all = new Float64Array(TERMS + 1);
  let count = 0;
  for (let at = 0; at < light.length; at += every) {
    if (!chosen(at)) continue;
    count += 1;
    const [x, y] = [(2 * (at % width)) / width - 1, (2 * Math.floor(at / width)) / height - 1];
    all[0] = 1;
    all[1] = x;
    all[2] = y;
    all[3] = x * x;
    all[4] = x * y;
    all[5] = y * y;
    all[TERMS] = light[at] as number;
    for (let row = 0; row < TERMS; row += 1) {
      for (let column = row; column <= TERMS; column += 1) {
        const term = row * (TERMS + 1) + column;
        sums[term] = (sums[term] as number) + (all[row] as number) * (all[column] as number);
      }
    }
  }
  const rows = Array.from({ length: TERMS }, (_, row) =>
    Array.from({ length: TERMS + 1 }, (__, column) => {
      const [one, other] = column < row ? [column, row] : [row, column];
      return sums[one * (TERMS + 1) + other] as number;
    }),
  );
  const solved = count > 60 ? solveLinear(rows) : null;
  return solved ? new EvenLight(width, height, solved) : null;
}
