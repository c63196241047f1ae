import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
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

/** A page with its words, and where each begins (px, y down). */
export interface ReadPage extends Raster {
  readonly words: readonly (readonly [text: string, x: number, y: number])[];
}

/** Reads a drawn page's grey values, and removes the file. */
function takeGrey(file: string): Uint8Array {
  const grey = readFileSync(file);
  rmSync(file);
  return grey;
}

/** Draws the pages of PDFs, or the first of each, in one process; the pages of each are read when they are asked for, once. */
export function rasteriseAll(files: readonly string[], { dpi = DPI, most = Infinity } = {}): (() => ReadPage[])[] {
  const folder = mkdtempSync(join(tmpdir(), 'fawn-pdf-'));
  const args = ['e2e/rasterise.mjs', String(dpi), folder, String(most), ...files];
  const pages = execFileSync(process.execPath, args, { encoding: 'utf8', maxBuffer: 2 ** 28 })
    .trim()
    .split('\n')
    .filter((line) => line.startsWith('{'))
    .map((line) => JSON.parse(line) as Omit<ReadPage, 'grey'> & { pdf: string; file: string });
  return files.map(
    (pdf) => () => pages.filter((page) => page.pdf === pdf).map((page) => ({ ...page, grey: takeGrey(page.file) })),
  );
}

/** Draws the pages of a PDF, or the first of them. */
export function rasterise(file: string, options: { readonly dpi?: number; readonly most?: number } = {}): ReadPage[] {
  return rasteriseAll([file], options)[0]?.() ?? [];
}

/** The words of each page of a PDF. */
export function wordsOf(file: string): string[] {
  const lines = execFileSync(process.execPath, ['e2e/pdfWords.mjs', file], { encoding: 'utf8' });
  return lines
    .split('\n')
    .filter((line) => line.startsWith('"'))
    .map((line) => JSON.parse(line) as string);
}

/** Middles (px) of the groups of neighbouring values for which `dark` is true, by the ink in them and just beside them. */
function middles(ink: readonly number[], dark: (at: number) => boolean): number[] {
  const found: number[] = [];
  let from = -1;
  for (let at = 0; at <= ink.length; at += 1) {
    if (at < ink.length && dark(at)) {
      if (from < 0) from = at;
    } else if (from >= 0) {
      let [sum, weight] = [0, 0];
      for (let near = Math.max(0, from - 1); near <= Math.min(ink.length - 1, at); near += 1) {
        sum += near * (ink[near] as number);
        weight += ink[near] as number;
      }
      found.push(sum / weight);
      from = -1;
    }
  }
  return found;
}

/** Upright lines over a band of rows that are dark over a share of its height: places from the left (mm). */
export function uprights(page: Raster, band: readonly [number, number], share: readonly [number, number]): number[] {
  const [top, bottom] = band.map((mm) => Math.round(mm / MM_PER_PIXEL)) as [number, number];
  const columns = Array.from({ length: page.width }, (_, x) => {
    let [count, ink] = [0, 0];
    for (let y = top; y < bottom; y += 1) {
      const grey = page.grey[y * page.width + x] ?? 255;
      if (grey < DARK) count += 1;
      ink += 255 - grey;
    }
    return { dark: count / (bottom - top), ink };
  });
  return middles(
    columns.map(({ ink }) => ink),
    (x) => {
      const { dark } = columns[x] as (typeof columns)[number];
      return dark >= share[0] && dark <= share[1];
    },
  ).map((x) => (x + 0.5) * MM_PER_PIXEL);
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
