import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const DPI = 300;
const MM_PER_PIXEL = 25.4 / DPI;
const DARK = 150;

/** A page as grey values, one byte a pixel. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly grey: Uint8Array;
}

/** Draws the pages of a PDF at {@link DPI}. */
export function rasterise(file: string): Raster[] {
  const folder = mkdtempSync(join(tmpdir(), 'fawn-pdf-'));
  const lines = execFileSync(process.execPath, ['e2e/rasterise.mjs', file, String(DPI), folder], { encoding: 'utf8' });
  return lines
    .trim()
    .split('\n')
    .filter((line) => line.startsWith('{'))
    .map((line) => JSON.parse(line) as { width: number; height: number; file: string })
    .map((page) => ({ ...page, grey: readFileSync(page.file) }));
}

/** The words of each page of a PDF. */
export function wordsOf(file: string): string[] {
  const lines = execFileSync(process.execPath, ['e2e/pdfWords.mjs', file], { encoding: 'utf8' });
  return lines
    .split('\n')
    .filter((line) => line.startsWith('"'))
    .map((line) => JSON.parse(line) as string);
}

/** Middles (px) of the groups of neighbouring values for which `dark` is true. */
function middles(length: number, dark: (at: number) => boolean): number[] {
  const found: number[] = [];
  let from = -1;
  for (let at = 0; at <= length; at += 1) {
    if (at < length && dark(at)) {
      if (from < 0) from = at;
    } else if (from >= 0) {
      found.push((from + at - 1) / 2);
      from = -1;
    }
  }
  return found;
}

/** Upright lines over a band of rows that are dark over a share of its height: places from the left (mm). */
export function uprights(page: Raster, band: readonly [number, number], share: readonly [number, number]): number[] {
  const [top, bottom] = band.map((mm) => Math.round(mm / MM_PER_PIXEL)) as [number, number];
  const darkness = Array.from({ length: page.width }, (_, x) => {
    let count = 0;
    for (let y = top; y < bottom; y += 1) if ((page.grey[y * page.width + x] ?? 255) < DARK) count += 1;
    return count / (bottom - top);
  });
  return middles(page.width, (x) => {
    const dark = darkness[x] ?? 0;
    return dark >= share[0] && dark <= share[1];
  }).map((x) => (x + 0.5) * MM_PER_PIXEL);
}

/** Lengths (mm) of the level lines longer than `least` mm below a height on the page (mm from the top). */
export function levels(page: Raster, below: number, least: number): number[] {
  const runs: { y: number; length: number }[] = [];
  for (let y = Math.round(below / MM_PER_PIXEL); y < page.height; y += 1) {
    let run = 0;
    for (let x = 0; x <= page.width; x += 1) {
      if (x < page.width && (page.grey[y * page.width + x] ?? 255) < DARK) run += 1;
      else {
        if (run * MM_PER_PIXEL > least) runs.push({ y, length: run * MM_PER_PIXEL });
        run = 0;
      }
    }
  }
  return runs.filter(({ y }, index) => y - (runs[index - 1]?.y ?? -9) > 3).map(({ length }) => length);
}
