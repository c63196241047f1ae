import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import DxfParser from 'dxf-parser';
import sharp, { type Sharp } from 'sharp';
import { readTargetText } from '../src/contract/targetSchema.ts';
import { alongEdge, bounds, edges, type Outline } from '../src/core/geometry/outline/outline.ts';
import type { Part } from '../src/core/parts/part/part.ts';
import { once } from '../src/core/numbers.ts';
import { developWhole } from '../src/core/piece/develop.ts';
import { targetsOfEveryKind } from '../src/core/piece/everyKind.test.helper.ts';
import type { Target } from '../src/core/target/target.ts';
import { pagesOf } from '../src/core/files/sheet/pages.ts';
import { sheetOf } from '../src/core/files/sheet/sheet.ts';
import { templateParts } from '../src/core/files/sheet/templateParts.ts';
import { writeTemplate, type TemplateOptions } from '../src/print/writeTemplate.ts';
import { rasteriseAll, type Raster, type ReadPage } from './pdfMeasure.ts';
import { offAt, type Point } from './rasterLine.ts';
import { stitched } from './stitched.ts';

/** Every demo piece, and 40 made-up ones of every kind. */
const DEMO = readdirSync('demo')
  .filter((file) => file.endsWith('.fawn.json'))
  .sort()
  .map((file): Target => {
    const reading = readTargetText(readFileSync(join('demo', file), 'utf8'));
    if (reading.kind === 'faults') throw new Error(`${file} cannot be read`);
    return reading.target;
  });
const TARGETS: readonly (readonly [string, Target])[] = [...DEMO, ...targetsOfEveryKind(83, 40)].map(
  (target, index) => [
    index < DEMO.length ? target.name : `made-up ${target.form.kind} ${index - DEMO.length + 1}`,
    target,
  ],
);

const folder = mkdtempSync(join(tmpdir(), 'fawn-readers-'));
afterAll(() => rmSync(folder, { recursive: true }));

const optionsOf = (target: Target): TemplateOptions => ({ name: target.name, paper: 'a4', style: { unit: 'mm' } });
const partsOf = once((target: Target) => templateParts(target, developWhole(target).parts));

/** Places along an outline (mm), well off its corners, each with the direction across it. */
const STEP = 2;
const OFF_CORNERS = 1.5;
function places(outline: Outline): { readonly at: Point; readonly across: Point }[] {
  return edges(outline).flatMap(({ length }, index) => {
    const count = Math.floor((length - 2 * OFF_CORNERS) / STEP);
    return Array.from({ length: Math.max(0, count) }, (_, step) => {
      const f = (OFF_CORNERS + STEP * (step + 0.5)) / length;
      const [[x, y], [u, v]] = [
        alongEdge(outline, index, f - 0.05 / length),
        alongEdge(outline, index, f + 0.05 / length),
      ];
      const far = Math.hypot(u - x, v - y);
      return { at: alongEdge(outline, index, f), across: [-(v - y) / far, (u - x) / far] as const };
    });
  });
}

/** Whether Debian's reader of plot files is there. */
const PLOT_READER = spawnSync('hp2xx', ['-h'], { input: '' }).error === undefined;

/** The lines of a plot file as another program draws them at true size (mm, y up, wherever it lays them). */
function plotted(plot: Buffer): Point[][] {
  const [file, out] = [join(folder, 'plot.plt'), join(folder, 'plot.svg')];
  writeFileSync(file, plot);
  execFileSync('hp2xx', ['-q', '-t', '-N', '-m', 'svg', '-f', out, file], {
    input: '',
    stdio: ['pipe', 'ignore', 'ignore'],
  });
  // Its pictures have 72 dots an inch, y down.
  const mm = (dots: string | undefined) => (Number(dots) * 25.4) / 72;
  return [...readFileSync(out, 'utf8').matchAll(/ d="([^"]+)"/g)].map(([, path = '']) =>
    [...path.matchAll(/(-?[\d.]+), (-?[\d.]+)/g)].map(([, x, y]): Point => [mm(x), -mm(y)]),
  );
}

const sides = (line: readonly Point[]) => line.slice(1).map((end, index) => [line[index] as Point, end] as const);
const lengthOf = (line: readonly Point[]) =>
  sides(line).reduce((sum, [[x, y], [u, v]]) => sum + Math.hypot(u - x, v - y), 0);
/** Distance of a place from a line of straight sides (mm). */
function offLine(line: readonly Point[], [x, y]: Point): number {
  return sides(line).reduce((least, [[x0, y0], [x1, y1]]) => {
    const [u, v] = [x1 - x0, y1 - y0];
    const share = Math.max(0, Math.min(1, ((x - x0) * u + (y - y0) * v) / (u * u + v * v || 1)));
    return Math.min(least, Math.hypot(x - x0 - share * u, y - y0 - share * v));
  }, Infinity);
}

/** Of the places of all lines: the share that is not drawn, and how far nineteen in twenty of the others are off at most (mm). */
function measured(seen: readonly (number | null | undefined)[]) {
  const found = seen.filter((off) => off !== undefined);
  if (found.length < 0.8 * seen.length) throw new Error('too much stands on the lines');
  const offs = found
    .filter((off) => off !== null)
    .map(Math.abs)
    .sort((one, other) => one - other);
  return { missing: 1 - offs.length / found.length, off: offs[Math.floor(0.95 * (offs.length - 1))] ?? Infinity };
}
const lines = ({ outline, holes = [] }: Part) => [outline, ...holes];

async function greyOf(picture: Sharp): Promise<Raster> {
  const { data, info } = await picture
    .flatten({ background: '#ffffff' })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, grey: data };
}

/** Dots a mm of the pictures that are measured. */
const DPI = 200;
const DOTS = DPI / 25.4;
/** A drawing in mm is scaled twice by the density that it is opened with: as its dots an inch, and over the usual 72. */
const DENSITY = Math.sqrt(72 * DPI);

describe('files as readers of other makers see them', () => {
  it.each(TARGETS)('%s: SVG and PNG drawn, the developed lines within 0.2 mm', async (_, target) => {
    const parts = partsOf(target);
    const sheet = sheetOf(target.name, parts, { style: { unit: 'mm' } });
    const svg = await writeTemplate(parts, 'svg', optionsOf(target));
    const png = await writeTemplate(parts, 'png', { ...optionsOf(target), dpi: DPI });
    for (const picture of [
      sharp(svg, { density: DENSITY, limitInputPixels: false }),
      sharp(png, { limitInputPixels: false }),
    ]) {
      const raster = await greyOf(picture);
      const found = sheet.parts.flatMap(({ part, dx, dy }) =>
        lines(part).flatMap((outline) =>
          places(outline).map(({ at, across }) =>
            offAt(raster, {
              px: ([x, y]) => [(x + dx) * DOTS - 0.5, (sheet.height - y - dy) * DOTS - 0.5],
              at,
              across,
            }),
          ),
        ),
      );
      const { missing, off } = measured(found);
      expect(found.length).toBeGreaterThan(20);
      expect([missing < 0.01, off < 0.2, missing, off]).toEqual([true, true, missing, off]);
    }
  });

  /** The pages of each target's PDF, drawn by one process. */
  let drawings: ReadonlyMap<string, () => ReadPage[]>;
  beforeAll(async () => {
    const files = TARGETS.map((_, index) => join(folder, `pages-${index}.pdf`));
    for (const [index, [, target]] of TARGETS.entries())
      writeFileSync(files[index] as string, await writeTemplate(partsOf(target), 'pdf', optionsOf(target)));
    const drawn = rasteriseAll(files, { dpi: DPI });
    drawings = new Map(TARGETS.map(([name], index) => [name, drawn[index] as () => ReadPage[]]));
  });

  it.each(TARGETS)(
    '%s: PDF drawn, its pages joined by their marks, the developed lines within 0.2 mm',
    (name, target) => {
      const parts = partsOf(target);
      const pages = pagesOf(parts, optionsOf(target));
      const rasters = drawings.get(name)?.() ?? [];
      expect(rasters).toHaveLength(pages.length);
      for (const part of parts) {
        const tiles = stitched(part.id, { pages, rasters, dots: DOTS });
        // Each place is on one page at least; where it is on two, both are right.
        const found = lines(part).flatMap((outline) =>
          places(outline).map(({ at, across }) => {
            const seen = tiles.map(({ raster, px }) => offAt(raster, { px, at, across })).filter((off) => off !== null);
            const clear = seen.filter((off) => off !== undefined);
            return clear.length > 0 ? Math.max(...clear.map(Math.abs)) : seen.length > 0 ? undefined : null;
          }),
        );
        if (found.length < 10) continue;
        const { missing, off } = measured(found);
        expect([part.id, missing < 0.02, off < 0.2, missing, off]).toEqual([part.id, true, true, missing, off]);
      }
    },
  );

  it.each(TARGETS)('%s: DXF, every corner and arc within 0.01 mm', async (_, target) => {
    const parts = partsOf(target);
    const sheet = sheetOf(target.name, parts, { style: { unit: 'mm' } });
    const text = (await writeTemplate(parts, 'dxf', optionsOf(target))).toString('latin1');
    const entities = new DxfParser().parseSync(text)?.entities as unknown as {
      layer: string;
      vertices: { x: number; y: number; bulge?: number }[];
    }[];
    const cut = entities.filter(({ layer }) => layer === 'CUT').map(({ vertices }) => vertices);
    const wanted = sheet.parts.flatMap(({ part, dx, dy }) =>
      lines(part).map((outline) => outline.map(([x, y, bulge]) => [x + dx, y + dy, bulge] as const)),
    );
    expect(cut).toHaveLength(wanted.length);
    for (const outline of wanted) {
      const same = cut.find(
        (vertices) =>
          vertices.length === outline.length &&
          vertices.every(({ x, y, bulge = 0 }, index) => {
            const [u, v, b] = outline[index] as readonly [number, number, number];
            return Math.hypot(x - u, y - v) < 0.01 && Math.abs(bulge - b) < 1e-4;
          }),
      );
      expect([outline.length, same !== undefined]).toEqual([outline.length, true]);
    }
  });

  (PLOT_READER ? it : it.skip).each(TARGETS)('%s: plot file, every line within 0.1 mm', async (_, target) => {
    const parts = partsOf(target);
    const sheet = sheetOf(target.name, parts, { style: { unit: 'mm' } });
    const drawn = plotted(await writeTemplate(parts, 'plt', optionsOf(target)));
    const wanted = sheet.parts.flatMap(({ part, dx, dy }) =>
      lines(part).map((outline) => outline.map(([x, y, bulge]) => [x + dx, y + dy, bulge] as const)),
    );
    // Their reader moves the drawing to the corner of its picture.
    const [left, low] = [0, 1].map((axis) => Math.min(...drawn.flat().map((point) => point[axis as 0 | 1]))) as [
      number,
      number,
    ];
    const least = (side: 'minX' | 'minY') => Math.min(...wanted.map((outline) => bounds(outline)[side]));
    const put = ([x, y]: Point): Point => [x - left + least('minX'), y - low + least('minY')];
    const placed = drawn.map((line) => line.map(put));
    const off = wanted.flatMap((outline) =>
      places(outline).map(({ at }) => Math.min(...placed.map((line) => offLine(line, at)))),
    );
    expect(off.length).toBeGreaterThan(20);
    expect([target.name, Math.max(...off) < 0.1]).toEqual([target.name, true]);
    const long = placed.reduce((sum, line) => sum + lengthOf(line), 0);
    const girth = wanted.reduce(
      (sum, outline) => sum + edges(outline).reduce((whole, { length }) => whole + length, 0),
      0,
    );
    expect(Math.abs(long / girth - 1)).toBeLessThan(0.001);
  });

  it('would see a file that is drawn a hundredth too large', async () => {
    const [, target] = TARGETS[0] as readonly [string, Target];
    const parts = partsOf(target);
    const sheet = sheetOf(target.name, parts, { style: { unit: 'mm' } });
    const raster = await greyOf(
      sharp(await writeTemplate(parts, 'svg', optionsOf(target)), { density: 1.005 * DENSITY }),
    );
    const found = sheet.parts.flatMap(({ part, dx, dy }) =>
      lines(part).flatMap((outline) =>
        places(outline).map(({ at, across }) =>
          offAt(raster, { px: ([x, y]) => [(x + dx) * DOTS - 0.5, (sheet.height - y - dy) * DOTS - 0.5], at, across }),
        ),
      ),
    );
    const { missing, off } = measured(found);
    expect(missing > 0.05 || off > 0.2).toBe(true);
  });
});
