import type { Page } from '../src/core/files/sheet/pages.ts';
import type { ReadPage } from './pdfMeasure.ts';
import { offAt, type Point } from './rasterLine.ts';

/** A page on which a part is drawn, whole or not, and where a place of the part (mm, y up) is seen on it (px). */
export interface Tile {
  readonly raster: ReadPage;
  readonly px: (at: Point) => Point;
}

/** A joining mark's name stands so far right of its cross and above it (mm). */
const NAME_AT = 1.2;
const MARK = /^(?:[A-Z]\d+|\d+[A-Z])[ab]$/;

/** How far from the middle of a cross its arms are looked at (mm): clear of the other arm and of what is written. */
const ARMS = [-3.4, -2.4, 2.4, 3.4];

/** Two marks of one join lie equally far apart on both pages, but for the dots (mm). */
const AGREE = 0.1;

/** The middles of the joining marks of a page, by their names (mm from its lower left corner, y up). */
function marksOf(raster: ReadPage, dots: number): Map<string, Point> {
  const px = ([x, y]: Point): Point => [x * dots - 0.5, raster.height - y * dots - 0.5];
  const found = new Map<string, Point>();
  for (const [name, left, top] of raster.words) {
    if (!MARK.test(name)) continue;
    const [x, y] = [left / dots - NAME_AT, (raster.height - top) / dots - NAME_AT];
    const mean = (offs: readonly (number | null | undefined)[]) => {
      const seen = offs.filter((off): off is number => typeof off === 'number');
      return seen.reduce((sum, off) => sum + off, 0) / seen.length;
    };
    const dx = mean(ARMS.map((up) => offAt(raster, { px, at: [x, y + up], across: [1, 0] })));
    const dy = mean(ARMS.map((right) => offAt(raster, { px, at: [x + right, y], across: [0, 1] })));
    if (Number.isFinite(dx + dy)) found.set(name, [x + dx, y + dy]);
  }
  return found;
}

/**
 * The pages of a part joined as a potter joins them, mark on mark: only where the part lies on the first of them is taken from
 * the plan. `dots` a mm. Throws where two marks of one join do not agree, or a page has none.
 */
export function stitched(
  id: string,
  {
    pages,
    rasters,
    dots,
  }: { readonly pages: readonly Page[]; readonly rasters: readonly ReadPage[]; readonly dots: number },
): Tile[] {
  const tiles = pages.flatMap(({ parts }, index) => {
    const raster = rasters[index] as ReadPage;
    return parts
      .filter((part) => part.id === id)
      .map(({ dx, dy }) => ({ raster, plan: [dx, dy] as Point, marks: marksOf(raster, dots) }));
  });
  const [first] = tiles;
  if (!first) return [];
  const laid = new Map([[first, first.plan]]);
  for (let changed = true; changed;) {
    changed = false;
    for (const tile of tiles) {
      if (laid.has(tile)) continue;
      // Its place by each mark that it shares with a page that is laid.
      const said = [...laid].flatMap(([{ marks }, [dx, dy]]) =>
        [...tile.marks].flatMap(([name, [x, y]]): Point[] => {
          const there = marks.get(name);
          return there ? [[dx + x - there[0], dy + y - there[1]]] : [];
        }),
      );
      if (said.length === 0) continue;
      const [xs, ys] = [said.map(([x]) => x), said.map(([, y]) => y)];
      for (const all of [xs, ys]) {
        if (Math.max(...all) - Math.min(...all) > AGREE) throw new Error(`${id}: two joining marks do not agree`);
      }
      const middle = (all: readonly number[]) => (Math.max(...all) + Math.min(...all)) / 2;
      laid.set(tile, [middle(xs), middle(ys)]);
      changed = true;
    }
  }
  if (laid.size < tiles.length) throw new Error(`${id}: a page has no joining marks`);
  return [...laid].map(([{ raster }, [dx, dy]]) => ({
    raster,
    px: ([x, y]) => [(x + dx) * dots - 0.5, raster.height - (y + dy) * dots - 0.5],
  }));
}
