import { once, TAU } from '../numbers.ts';
import { bentSheet } from './bentSheet.ts';
import { gridOf } from './sheetGrid.ts';
import { pointsOf, type Point, type SheetForm } from './sheetForm.ts';

/** A foot under a sheet: its place on the flat sheet, and its length (fired mm). */
export interface PlacedFoot {
  readonly at: Point;
  readonly length: number;
}

/** Feet are lettered in their order: A, B, C. */
export const footLetter = (index: number) => String.fromCharCode(65 + index);

/** Feet as they are placed, and how far within them the middle of the mass stands in plan (fired mm); below 0 it tips. */
export interface Footing {
  readonly feet: readonly PlacedFoot[];
  readonly room: number;
}

/** Places that are tried for feet. */
const TRIED = 160;

/** Directions from the middle in which the outermost place is tried. */
const SECTORS = 22;

/** How far a point lies within a ring of corners (mm, positive inside), whichever way round they run. */
function roomIn(corners: readonly Point[], [x, y]: Point): number {
  const turn = Math.sign(corners.reduce((sum, [x0, y0], index) => sum + x0 * (corners[(index + 1) % corners.length]?.[1] ?? 0) - y0 * (corners[(index + 1) % corners.length]?.[0] ?? 0), 0)) || 1; // prettier-ignore
  return corners.reduce((least, [x0, y0], index) => {
    const [x1, y1] = corners[(index + 1) % corners.length] as Point;
    const long = Math.hypot(x1 - x0, y1 - y0) || 1;
    return Math.min(least, (turn * ((x1 - x0) * (y - y0) - (y1 - y0) * (x - x0))) / long);
  }, Infinity);
}

/**
 * Places three or four feet clear of edges and holes so that the middle of the mass stands as far within them as can be. A
 * foot further up the curve is longer, so that the sheet stands level. Null where there is no room for them.
 */
export function placeFeet(form: SheetForm, t: number, k: number, shrinkage: number): Footing | null {
  const known = placed(form);
  const name = `${t} ${k} ${shrinkage}`;
  if (!known.has(name)) known.set(name, newFooting(form, t, k, shrinkage));
  return known.get(name) ?? null;
}

/** A form is never changed: its feet are placed once for each slab. */
const placed = once<SheetForm, Map<string, Footing | null>>(() => new Map());

function newFooting(form: SheetForm, t: number, k: number, shrinkage: number): Footing | null {
  const { feet } = form;
  if (!feet) return null;
  const bent = bentSheet(form, t, k);
  const clear = feet.diameter / 2 / (1 - shrinkage) + t / 2;
  const lines = [form.outline, ...(form.holes ?? [])].flatMap((line) => pointsOf(line, 2));
  const step = Math.sqrt(Math.max(1, bent.area) / TRIED) * 0.8;
  const free = gridOf(form, step).filter(([x, y]) => lines.every(([u, v]) => Math.hypot(x - u, y - v) >= clear));
  const places = free.flatMap((at) => {
    const placed = bent.place(at);
    return placed ? [{ at, plan: [placed.at[0], placed.at[1]] as Point }] : [];
  });
  // The outermost place in each direction is enough to choose from.
  const outer = new Map<number, (typeof places)[number]>();
  for (const place of places) {
    const [x, y] = [place.plan[0] - bent.middle[0], place.plan[1] - bent.middle[1]];
    const sector = Math.floor(((Math.atan2(y, x) + Math.PI) / TAU) * SECTORS);
    const before = outer.get(sector);
    const far = (one: typeof place) => Math.hypot(one.plan[0] - bent.middle[0], one.plan[1] - bent.middle[1]);
    if (!before || far(place) > far(before)) outer.set(sector, place);
  }
  const tried = [...outer].sort(([one], [other]) => one - other).map(([, place]) => place);
  let best: { readonly set: typeof tried; readonly room: number } | null = null;
  const look = (set: typeof tried, from: number): void => {
    if (set.length === feet.count) {
      const room = roomIn(set.map(({ plan }) => plan), bent.middle); // prettier-ignore
      if (!best || room > best.room) best = { set, room };
      return;
    }
    for (let index = from; index < tried.length; index += 1) {
      const next = tried[index];
      if (next) look([...set, next], index + 1);
    }
  };
  look([], 0);
  const found = best as { readonly set: typeof tried; readonly room: number } | null;
  if (!found) return null;
  return {
    feet: found.set.map(({ at }) => ({ at, length: feet.height + bent.under(at) * (1 - shrinkage) })),
    room: found.room * (1 - shrinkage),
  };
}
