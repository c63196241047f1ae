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
  const x0 = Math.min(width - 2, Math.floor(cx));
  const y0 = Math.min(height - 2, Math.floor(cy));
  const fx = cx - x0;
  const fy = cy - y0;
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

/** Terms of a light that changes evenly over a picture, from -1 to 1 both ways, as powers of x and y: 1, x, y, x x, x y, y y. */
const TERMS = [
  [0, 0],
  [1, 0],
  [0, 1],
  [2, 0],
  [1, 1],
  [0, 2],
] as const;

/** Powers from 0 to 4 occur in products of two terms. */
const POWERS = 5;

/** Fewer dots than this do not tell how light changes. */
const LEAST_DOTS = 60;

/** No place on a picture is darker than this share of it: what is divided by it stays finite. */
const LEAST_LIGHT = 0.02;

/** Shares of the terms, in their order. */
type Shares = Readonly<Record<'whole' | 'across' | 'up' | 'bowed' | 'skew' | 'bent', number>>;

/** Light that falls on a plane, as a quadratic of the place. */
export class EvenLight {
  constructor(
    readonly width: number,
    readonly height: number,
    readonly shares: Shares,
  ) {}

  at(x: number, y: number): number {
    const u = (2 * x) / this.width - 1;
    const v = (2 * y) / this.height - 1;
    const { whole, across, up, bowed, skew, bent } = this.shares;
    return Math.max(LEAST_LIGHT, whole + u * (across + u * bowed + v * skew) + v * (up + v * bent));
  }
}

/** Adds a row's sums of x^i, all at one y, to sums of x^i y^j. */
function addRow(sums: Float64Array, row: readonly number[], y: number): void {
  row.forEach((sum, i) => {
    for (let j = 0, power = 1; j < POWERS; j += 1, power *= y) {
      sums[POWERS * i + j] = (sums[POWERS * i + j] as number) + sum * power;
    }
  });
}

/** Fits the light on a plane by least squares to the chosen dots, looking at every `every`-th; null where there are too few. */
export function evenLight(
  { width, height, light }: GreyImage,
  chosen: (at: number) => boolean,
  every = 1,
): EvenLight | null {
  /** Sums over the chosen dots: of x^i y^j at 5 i + j, and of their light times that. */
  const sums = new Float64Array(POWERS * POWERS);
  const lights = new Float64Array(POWERS * POWERS);
  for (let row = 0, at = 0; row < height; row += 1) {
    let [s0, s1, s2, s3, s4, l0, l1, l2] = [0, 0, 0, 0, 0, 0, 0, 0];
    for (; at < (row + 1) * width; at += every) {
      if (!chosen(at)) continue;
      const x = (2 * (at - row * width)) / width - 1;
      const value = light[at] as number;
      s0 += 1;
      s1 += x;
      s2 += x * x;
      s3 += x * x * x;
      s4 += x * x * x * x;
      l0 += value;
      l1 += value * x;
      l2 += value * x * x;
    }
    const y = (2 * row) / height - 1;
    addRow(sums, [s0, s1, s2, s3, s4], y);
    addRow(lights, [l0, l1, l2], y);
  }
  const rows = TERMS.map(([i, j]) => [
    ...TERMS.map(([k, l]) => sums[POWERS * (i + k) + j + l] as number),
    lights[POWERS * i + j] as number,
  ]);
  const solved = (sums[0] as number) > LEAST_DOTS ? solveLinear(rows) : null;
  if (!solved) return null;
  const [whole = 0, across = 0, up = 0, bowed = 0, skew = 0, bent = 0] = solved;
  return new EvenLight(width, height, { whole, across, up, bowed, skew, bent });
}
