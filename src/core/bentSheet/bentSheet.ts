import { once, radians, TAU } from '../numbers.ts';
import { alongEdge, area, edges, type Outline } from '../outline/outline.ts';
import { insideLine } from './insideLine.ts';

type Point = readonly [number, number];

/** Feet under a bent sheet that lies hollow side up: how many, and how long the shortest would be (fired mm). */
export interface SheetFeet {
  readonly count: 3 | 4;
  readonly height: number;
  readonly diameter: number;
}

/** A flat sheet of any outline, bent over a cylinder. The outline is the wanted one, flat and wet, its inside up (mm). */
export interface SheetForm {
  readonly kind: 'sheet';
  readonly outline: Outline;
  readonly holes?: readonly Outline[];
  /** Lines that are drawn or scored, not cut: veins. */
  readonly lines?: readonly (readonly Point[])[];
  /** Across the cylinder as it measures today, and its axis, degrees anticlockwise from the x axis. */
  readonly bend: { readonly diameter: number; readonly angle: number };
  readonly feet?: SheetFeet;
  /** How much longer the sheet became when it was smoothed by hand (measured over drawn length): the template is made smaller by it. */
  readonly grew?: number;
}

/** Limits of a sheet's figures (mm, degrees, counts). */
export const SHEET_LIMITS = {
  place: { least: -2500, greatest: 2500 },
  points: { least: 2, greatest: 400 },
  holes: { greatest: 40 },
  lines: { greatest: 80 },
  diameter: { above: 0, greatest: 2000 },
  angle: { least: 0, greatest: 180 },
  grew: { least: 0.8, greatest: 1.3 },
  footHeight: { least: 1, greatest: 100 },
  footAcross: { least: 3, greatest: 60 },
} as const;

/** Further round than this from the lowest line the sheet would close over the cylinder (radians). */
export const MOST_WRAP = 1.5;

/** Points on an outline, about `step` mm apart. */
export function pointsOf(outline: Outline, step: number): Point[] {
  return edges(outline).flatMap(({ length }, index) => {
    const count = Math.max(1, Math.ceil(length / step));
    return Array.from({ length: count }, (_, at) => alongEdge(outline, index, at / count));
  });
}

/** A sheet bent over its cylinder, hollow side up: u across the axis, v along it, z above the lowest line of the neutral surface (wet mm). */
export interface BentSheet {
  readonly neutralRadius: number;
  /** The outline's own frame about its middle: u across, v along the cylinder's axis. */
  readonly across: (point: Point) => Point;
  readonly back: (place: Point) => Point;
  /** Greatest turn to either side (radians). */
  readonly wrap: number;
  /** Neutral size when bent: across and along the axis in plan, and how high its edges rise. */
  readonly width: number;
  readonly length: number;
  readonly rise: number;
  /** Flat area without its holes (mm2). */
  readonly area: number;
  /** The middle of its mass in plan. */
  readonly middle: Point;
}

/** Points of a grid inside the sheet, off its holes. */
function gridOf(form: SheetForm, step: number): Point[] {
  const line = pointsOf(form.outline, step);
  const holes = (form.holes ?? []).map((hole) => pointsOf(hole, step));
  const [xs, ys] = [line.map(([x]) => x), line.map(([, y]) => y)];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const columns = Math.max(1, Math.floor((x1 - x0) / step));
  const rows = Math.max(1, Math.floor((y1 - y0) / step));
  return Array.from({ length: (columns + 1) * (rows + 1) }, (_, index): Point => [
    x0 + ((index % (columns + 1)) + 0.5) * step,
    y0 + (Math.floor(index / (columns + 1)) + 0.5) * step,
  ]) // prettier-ignore
    .filter((point) => insideLine(line, point) && !holes.some((hole) => insideLine(hole, point)));
}

/** Cells across the sheet's larger side when its middle is looked for. */
const CELLS = 90;

/** Bends a sheet over its cylinder: `Rn = R + k t`, plan width `Rn sin(u / Rn)`, rise `Rn (1 - cos(u / Rn))` (geometry: bent sheets). */
export function bentSheet(form: SheetForm, t: number, k: number): BentSheet {
  const neutralRadius = form.bend.diameter / 2 + k * t;
  const angle = radians(form.bend.angle);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const line = pointsOf(form.outline, 1);
  const turned = line.map(([x, y]): Point => [y * cos - x * sin, x * cos + y * sin]);
  const [us, vs] = [turned.map(([u]) => u), turned.map(([, v]) => v)];
  const [u0, u1, v0, v1] = [Math.min(...us), Math.max(...us), Math.min(...vs), Math.max(...vs)];
  const [uMiddle, vMiddle] = [(u0 + u1) / 2, (v0 + v1) / 2];
  const across = ([x, y]: Point): Point => [y * cos - x * sin - uMiddle, x * cos + y * sin - vMiddle];
  const back = ([u, v]: Point): Point => [(v + vMiddle) * cos - (u + uMiddle) * sin, (u + uMiddle) * cos + (v + vMiddle) * sin]; // prettier-ignore
  const wrap = (u1 - u0) / 2 / neutralRadius;
  const grid = gridOf(form, Math.max(u1 - u0, v1 - v0) / CELLS).map(across);
  const sums = grid.reduce(([u, v], [a, b]) => [u + neutralRadius * Math.sin(a / neutralRadius), v + b] as const, [0, 0] as Point); // prettier-ignore
  return {
    neutralRadius,
    across,
    back,
    wrap,
    width: 2 * neutralRadius * Math.sin(Math.min(Math.PI / 2, wrap)),
    length: v1 - v0,
    rise: neutralRadius * (1 - Math.cos(wrap)),
    area: area(form.outline) - (form.holes ?? []).reduce((sum, hole) => sum + Math.abs(area(hole)), 0),
    middle: [sums[0] / Math.max(1, grid.length), sums[1] / Math.max(1, grid.length)],
  };
}

/** A foot under a sheet: its place on the flat sheet, and its length (fired mm). */
export interface PlacedFoot {
  readonly at: Point;
  readonly length: number;
}

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
  const places = free.map((at) => {
    const [u, v] = bent.across(at);
    return { at, plan: [bent.neutralRadius * Math.sin(u / bent.neutralRadius), v] as Point, turn: u / bent.neutralRadius }; // prettier-ignore
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
  const under = bent.neutralRadius + (1 - k) * t;
  return {
    feet: found.set.map(({ at, turn }) => ({
      at,
      length: feet.height + under * (1 - Math.cos(turn)) * (1 - shrinkage),
    })),
    room: found.room * (1 - shrinkage),
  };
}

/** The outline scaled about its origin: bulges stay. */
export function scaledOutline(outline: Outline, factor: number): Outline {
  return outline.map(([x, y, bulge]) => [x * factor, y * factor, bulge]);
}

/** The sheet with all its lines scaled, so that it is as long as wanted. */
export function scaledSheet(form: SheetForm, factor: number): SheetForm {
  return {
    ...form,
    outline: scaledOutline(form.outline, factor),
    ...(form.holes && { holes: form.holes.map((hole) => scaledOutline(hole, factor)) }),
    ...(form.lines && { lines: form.lines.map((line) => line.map(([x, y]) => [x * factor, y * factor] as const)) }),
  };
}

/** Least distance between a hole and the outline or another hole (mm), and how near two sides of the sheet come to one another. */
export function narrowest(form: SheetForm, t: number): { readonly bridge: number; readonly tip: number } {
  const step = Math.max(1, t / 3);
  const outline = pointsOf(form.outline, step);
  const holes = (form.holes ?? []).map((hole) => pointsOf(hole, step));
  const gap = (one: readonly Point[], other: readonly Point[]) => one.reduce((least, [x, y]) => other.reduce((most, [u, v]) => Math.min(most, Math.hypot(x - u, y - v)), least), Infinity); // prettier-ignore
  const bridges = holes.flatMap((hole, index) => [gap(hole, outline), ...holes.slice(index + 1).map((other) => gap(hole, other))]); // prettier-ignore
  // Two places of the outline that are far apart along it, by more than a sound tip is long.
  const far = Math.ceil((6 * t) / step);
  let tip = Infinity;
  outline.forEach(([x, y], index) => {
    for (let at = index + far; at < outline.length && index + outline.length - at >= far; at += 1) {
      const [u, v] = outline[at] as Point;
      tip = Math.min(tip, Math.hypot(x - u, y - v));
    }
  });
  return { bridge: Math.min(Infinity, ...bridges), tip };
}
