import { wetLength } from '../../units/shrinkage.ts';
import { once, ROUNDING, TAU } from '../../numbers.ts';
import { insideLine } from '../../geometry/outline/insideLine.ts';
import { bentSheet } from './bentSheet.ts';
import { gridOf } from './sheetGrid.ts';
import { pointsOf } from './sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import { mirrorsOf } from './sheetMirrors.ts';
import type { Point } from '../../geometry/point.ts';

/** A foot under a sheet: its place on the flat sheet, and its length (fired mm). */
export interface PlacedFoot {
  readonly at: Point;
  readonly length: number;
}

/** Letters of the feet, in order: A, B, C. */
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
  const turn =
    Math.sign(
      corners.reduce(
        (sum, [x0, y0], index) =>
          sum +
          x0 * (corners[(index + 1) % corners.length]?.[1] ?? 0) -
          y0 * (corners[(index + 1) % corners.length]?.[0] ?? 0),
        0,
      ),
    ) || 1;
  return corners.reduce((least, [x0, y0], index) => {
    const [x1, y1] = corners[(index + 1) % corners.length] as Point;
    const long = Math.hypot(x1 - x0, y1 - y0) || 1;
    return Math.min(least, (turn * ((x1 - x0) * (y - y0) - (y1 - y0) * (x - x0))) / long);
  }, Infinity);
}

/**
 * Places three or four feet clear of edges and holes so that the middle of the mass stands as far within them as can be; on a
 * sheet that is symmetrical as it is bent, symmetrically. Or takes the places given by hand. A foot further up the curve is
 * longer, so that the sheet stands level. Null where there is no room for them.
 */
export function placeFeet(
  form: SheetForm,
  { t, k, shrinkage }: { readonly t: number; readonly k: number; readonly shrinkage: number },
): Footing | null {
  const known = placed(form);
  const name = `${t} ${k} ${shrinkage}`;
  if (!known.has(name)) known.set(name, newFooting(form, { t, k, shrinkage }));
  return known.get(name) ?? null;
}

/** Forms never change: feet are placed once for each slab. */
const placed = once<SheetForm, Map<string, Footing | null>>(() => new Map());

/** A place for a foot on the flat sheet, and in plan as it is bent (wet mm). */
interface Place {
  readonly at: Point;
  readonly plan: Point;
}

/** Whether a foot that reaches so far (mm) round a place stands wholly on the sheet. */
function standsOn({ outline, holes = [] }: SheetForm) {
  const border = pointsOf(outline, 2);
  const rims = holes.map((hole) => pointsOf(hole, 2));
  const lines = [border, ...rims].flat();
  return ([x, y]: Point, reach: number) =>
    insideLine(border, [x, y]) &&
    !rims.some((rim) => insideLine(rim, [x, y])) &&
    lines.every(([u, v]) => Math.hypot(x - u, y - v) >= reach);
}

/** Half a foot across (wet mm). */
const reachOf = ({ feet }: SheetForm, shrinkage: number) => wetLength(feet?.diameter ?? 0, shrinkage) / 2;

/** The first foot placed by hand that hangs over an edge or a hole; -1 when all stand on the sheet. */
export function hangingFoot(form: SheetForm, shrinkage: number): number {
  const stands = standsOn(form);
  return (form.feet?.at ?? []).findIndex((at) => !stands(at, reachOf(form, shrinkage) - 0.5));
}

/** The outermost place in each direction from the middle: enough to choose from. */
function outermost(places: readonly Place[], middle: Point): Place[] {
  const outer = new Map<number, { readonly place: Place; readonly far: number }>();
  for (const place of places) {
    const [x, y] = [place.plan[0] - middle[0], place.plan[1] - middle[1]];
    const sector = Math.floor(((Math.atan2(y, x) + Math.PI) / TAU) * SECTORS);
    const far = Math.hypot(x, y);
    if (far > (outer.get(sector)?.far ?? -1)) outer.set(sector, { place, far });
  }
  return [...outer].sort(([one], [other]) => one - other).map(([, { place }]) => place);
}

/** Every choice of `count` items from a list. */
function choices<T>(all: readonly T[], count: number): T[][] {
  if (count === 0) return [[]];
  return all.flatMap((one, index) => choices(all.slice(index + 1), count - 1).map((rest) => [one, ...rest]));
}

/** Sets of feet that are symmetrical, on a symmetrical sheet; none on another. */
function mirroredSets(
  form: SheetForm,
  {
    places,
    middle,
    near,
  }: {
    readonly places: readonly Place[];
    readonly middle: Point;
    readonly near: { readonly step: number; readonly apart: number; readonly take: (at: Point) => Place[] };
  },
): Place[][] {
  const mirrors = mirrorsOf(form);
  const count = form.feet?.count ?? 0;
  const distinct = (set: readonly Place[]) =>
    set.every((one, index) =>
      set.slice(index + 1).every((other) => Math.hypot(one.at[0] - other.at[0], one.at[1] - other.at[1]) > near.apart),
    );
  const tried = outermost(places, middle);
  const [first, second] = mirrors;
  if (count === 4 && first && second) {
    const sets = tried.map((place) => {
      const over = first.image(place.at);
      return [place, ...[over, second.image(over), second.image(place.at)].flatMap(near.take)];
    });
    const whole = sets.filter((set) => set.length === 4 && distinct(set));
    if (whole.length > 0) return whole;
  }
  return mirrors.flatMap((mirror) => {
    const pairs = tried
      .map((place) => [place, ...near.take(mirror.image(place.at))])
      .filter((pair) => pair.length === 2 && distinct(pair));
    const singles = outermost(mirror.along(near.step).flatMap(near.take), middle);
    const sets =
      count === 3
        ? pairs.flatMap((pair) => singles.map((single) => [...pair, single]))
        : choices(pairs, 2).map((two) => two.flat());
    return sets.filter(distinct);
  });
}

function newFooting(
  form: SheetForm,
  { t, k, shrinkage }: { readonly t: number; readonly k: number; readonly shrinkage: number },
): Footing | null {
  const { feet } = form;
  if (!feet) return null;
  const bent = bentSheet(form, t, k);
  const placeAt = (at: Point): Place[] => {
    const placed = bent.place(at);
    return placed ? [{ at, plan: [placed.at[0], placed.at[1]] }] : [];
  };
  const roomOf = (set: readonly Place[]) =>
    roomIn(
      round(set, bent.middle).map(({ plan }) => plan),
      bent.middle,
    );
  const footing = (set: readonly Place[]): Footing => ({
    feet: set.map(({ at }) => ({ at, length: feet.height + bent.under(at) * (1 - shrinkage) })),
    room: roomOf(set) * (1 - shrinkage),
  });
  if (feet.at) {
    const set = feet.at.flatMap(placeAt);
    return set.length === feet.at.length ? footing(set) : null;
  }
  const stands = standsOn(form);
  const clear = reachOf(form, shrinkage) + t / 2;
  const step = Math.sqrt(Math.max(1, bent.area) / TRIED) * 0.8;
  const take = (at: Point) => (stands(at, clear) ? placeAt(at) : []);
  const places = gridOf(form, step).flatMap(take);
  const mirrored = mirroredSets(form, {
    places,
    middle: bent.middle,
    near: { step: step / 2, apart: 2 * clear, take },
  });
  const sets = mirrored.length > 0 ? mirrored : choices(outermost(places, bent.middle), feet.count);
  let best: { readonly set: readonly Place[]; readonly room: number } | null = null;
  for (const set of sets) {
    const room = roomOf(set);
    if (!best || room > best.room + ROUNDING) best = { set, room };
  }
  return best && footing(round(best.set, bent.middle));
}

/** Feet in their order round the middle, the first beyond the direction of -x. */
function round(set: readonly Place[], [mx, my]: Point): Place[] {
  const turn = ({ plan: [x, y] }: Place) => Math.atan2(y - my, x - mx);
  return [...set].sort((one, other) => turn(one) - turn(other));
}
