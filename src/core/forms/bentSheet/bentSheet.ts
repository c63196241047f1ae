import { once } from '../../numbers.ts';
import { area, bounds } from '../../geometry/outline/outline.ts';
import { onMould } from './onMould.ts';
import { overCylinder } from './overCylinder.ts';
import { pointsOf } from './sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import { gridOf } from './sheetGrid.ts';
import type { Point } from '../../geometry/point.ts';

/** A point of the flat sheet on the bent neutral surface, hollow side up: x and y in plan, z upward (wet mm); and its upward normal. */
export interface Placed {
  readonly at: readonly [x: number, y: number, z: number];
  readonly normal: readonly [number, number, number];
}

/** How a sheet is bent by its cylinder or mould. */
export interface Bending {
  /** Null where the sheet reaches over the mould's rim. */
  readonly place: (point: Point) => Placed | null;
  /** Radius to which it is bent (mm); Infinity on a mould, where {@link strain} tells more. */
  readonly bendRadius: number;
  /** Greatest turn to either side over a cylinder (radians). */
  readonly wrap: number;
  /** The lowest line of a sheet over a cylinder, from end to end of the flat sheet. */
  readonly axis: readonly [Point, Point] | null;
  /** Greatest stretch and gather within the sheet (fractions); null where it only bends. */
  readonly strain: { readonly stretch: number; readonly gather: number } | null;
}

/** A sheet bent and lying hollow side up; wet mm. */
export interface BentSheet extends Bending {
  /** The whole sheet lies on the mould. */
  readonly whole: boolean;
  /** Neutral size when bent, across and along in plan, and how high its edges rise. */
  readonly width: number;
  readonly length: number;
  readonly rise: number;
  /** Flat area without its holes (mm2). */
  readonly area: number;
  /** Its centre of mass in plan. */
  readonly middle: Point;
  /** Both faces by points all over the sheet, above the table that the outer one stands on. */
  readonly outer: readonly (readonly [number, number, number])[];
  readonly inner: readonly (readonly [number, number, number])[];
  /** How far the outer face lies above the table at a point of the flat sheet; Infinity off the mould. */
  readonly under: (point: Point) => number;
}

/** Cells across the sheet's larger side for finding its centre of mass. */
const CELLS = 90;

/** Forms never change: each is bent once for each slab. */
const known = once<SheetForm, Map<string, BentSheet>>(() => new Map());

/** Bends a sheet of thickness t (wet mm) with its neutral surface at k t from the inner face. */
export function bentSheet(form: SheetForm, t: number, k: number): BentSheet {
  const list = known(form);
  const name = `${t} ${k}`;
  const found = list.get(name) ?? newBent(form, t, k);
  list.set(name, found);
  return found;
}

function bendingOf(form: SheetForm, t: number, k: number): Bending {
  const { bend } = form;
  if ('diameter' in bend) return overCylinder(form, { diameter: bend.diameter, angle: bend.angle, depth: k * t });
  const offset = bend.mould.side === 'hump' ? k * t : -(1 - k) * t;
  return onMould(form, bend.mould, { angle: bend.angle, at: { offset, thickness: t } });
}

function newBent(form: SheetForm, t: number, k: number): BentSheet {
  const bending = bendingOf(form, t, k);
  const { place } = bending;
  const flat = pointsOf(form.outline, 1);
  const [xs, ys] = [flat.map(([x]) => x), flat.map(([, y]) => y)];
  const larger = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const edge = flat.map(place);
  const border = edge.filter((placed) => placed !== null);
  const grid = gridOf(form, larger / CELLS)
    .map(place)
    .filter((placed) => placed !== null);
  const moved = ({ at: [x, y, z], normal: [nx, ny, nz] }: Placed, by: number) =>
    [x + by * nx, y + by * ny, z + by * nz] as const;
  const all = [...border, ...grid];
  const outer = all.map((placed) => moved(placed, -(1 - k) * t));
  const low = bending.axis ? -(1 - k) * t : outer.reduce((least, [, , z]) => Math.min(least, z), Infinity);
  const lifted = ([x, y, z]: readonly [number, number, number]) => [x, y, z - low] as const;
  const reach = (axis: 0 | 1) => {
    const values = border.map(({ at }) => at[axis]);
    return values.length > 0 ? Math.max(...values) - Math.min(...values) : 0;
  };
  const mean = (axis: 0 | 1) => grid.reduce((sum, { at }) => sum + at[axis], 0) / Math.max(1, grid.length);
  const lowest = bending.axis ? 0 : all.reduce((least, { at }) => Math.min(least, at[2]), Infinity);
  return {
    ...bending,
    whole: border.length === edge.length,
    width: reach(0),
    length: reach(1),
    rise: border.reduce((most, { at }) => Math.max(most, at[2] - lowest), 0),
    area: area(form.outline) - (form.holes ?? []).reduce((sum, hole) => sum + Math.abs(area(hole)), 0),
    middle: [mean(0), mean(1)],
    outer: outer.map(lifted),
    inner: all.map((placed) => lifted(moved(placed, k * t))),
    under: (point) => {
      const placed = place(point);
      return placed ? moved(placed, -(1 - k) * t)[2] - low : Infinity;
    },
  };
}

/**
 * Volume of a bent sheet as it stands (mm3), its template before it grew: over a cylinder the slab's middle lies
 * `(1/2 - k) t` outside the neutral surface, and is longer by as much; on a mould it is larger by what the faces tell.
 */
export function standingVolume(form: SheetForm, t: number, k: number): number {
  const bent = bentSheet(form, t, k);
  const { area: flat, bendRadius } = bent;
  const out = (0.5 - k) * t;
  return flat * t * (bendRadius === Infinity ? middleShare(form, bent, out) : 1 + out / bendRadius);
}

/** Cells across a sheet's larger side by which its faces are compared. */
const PATCHES = 24;

/** Area of the surface `out` mm outside the neutral surface of a sheet on a mould, over the neutral area. */
function middleShare(form: SheetForm, { place }: BentSheet, out: number): number {
  if (out === 0) return 1;
  const box = bounds(form.outline);
  const cell = Math.max(box.maxX - box.minX, box.maxY - box.minY) / PATCHES;
  let [neutral, middle] = [0, 0];
  for (const [x, y] of gridOf(form, cell)) {
    const [from, along, up] = [place([x, y]), place([x + cell, y]), place([x, y + cell])];
    if (!from || !along || !up) continue;
    // Outside is against the upward normal.
    const area = (by: number) => {
      const at = ({ at: point, normal }: Placed, axis: number) =>
        (point[axis] as number) - by * (normal[axis] as number);
      const [u, v] = [along, up].map((one) => [0, 1, 2].map((axis) => at(one, axis) - at(from, axis))) as [
        number[],
        number[],
      ];
      const [a = 0, b = 0, c = 0] = u;
      const [d = 0, e = 0, f = 0] = v;
      return Math.hypot(b * f - c * e, c * d - a * f, a * e - b * d);
    };
    neutral += area(0);
    middle += area(out);
  }
  return neutral > 0 ? middle / neutral : 1;
}
