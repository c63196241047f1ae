import type { Raster } from './pdfMeasure.ts';

/** A place in a drawing (mm, y up) or in a picture of it (px, y down). */
export type Point = readonly [number, number];

/** How dark a picture is at a place (px), between its dots. */
function ink({ width, height, grey }: Raster, [x, y]: Point): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const dot = (u: number, v: number) =>
    u < 0 || v < 0 || u >= width || v >= height ? 0 : 255 - (grey[v * width + u] as number);
  const [f, g] = [x - left, y - top];
  return (
    (1 - g) * ((1 - f) * dot(left, top) + f * dot(left + 1, top)) +
    g * ((1 - f) * dot(left, top + 1) + f * dot(left + 1, top + 1))
  );
}

/** How far to each side a line is looked for, and in what steps (mm). */
const LOOKED = 0.8;
const FINE = 0.05;
/** A cut line and the dots that it touches are no wider than this (mm). */
const WIDEST = 0.65;

/**
 * How far a drawn line lies from a place that it should go through (mm, across it). Null where none is drawn near it, undefined
 * where something crosses it.
 */
export function offAt(
  raster: Raster,
  { px, at, across }: { readonly px: (at: Point) => Point; readonly at: Point; readonly across: Point },
): number | null | undefined {
  const steps = Math.round((2 * LOOKED) / FINE);
  const row = Array.from({ length: steps + 1 }, (_, step) => {
    const far = FINE * step - LOOKED;
    return ink(raster, px([at[0] + far * across[0], at[1] + far * across[1]]));
  });
  const top = row.reduce(
    (best, dark, step) =>
      dark > (row[best] as number) + 1 ||
      (Math.abs(dark - (row[best] as number)) <= 1 && Math.abs(step - steps / 2) < Math.abs(best - steps / 2))
        ? step
        : best,
    0,
  );
  if ((row[top] as number) < 60) return null;
  let [from, to] = [top, top];
  while (from > 0 && (row[from - 1] as number) > 0.35 * (row[top] as number)) from -= 1;
  while (to < steps && (row[to + 1] as number) > 0.35 * (row[top] as number)) to += 1;
  // Another line or a word stands in the way.
  if (FINE * (to - from) > WIDEST) return undefined;
  let [sum, weight] = [0, 0];
  for (let step = from; step <= to; step += 1) {
    sum += step * (row[step] as number);
    weight += row[step] as number;
  }
  return FINE * (sum / weight) - LOOKED;
}
