import { bentSheet } from '../forms/bentSheet/bentSheet.ts';
import { placeFeet } from '../forms/bentSheet/placeFeet.ts';
import { pointsOf } from '../forms/bentSheet/sheetForm.ts';
import type { SheetForm } from '../target/sheetForm.ts';
import { wetLength } from '../units/shrinkage.ts';
import { borderOf, type Mesh } from '../geometry/mesh/mesh.ts';
import { faceMesh, isDraped, type DrapedTarget } from '../forms/mould/draped.ts';
import { bounds, type Outline } from '../geometry/outline/outline.ts';
import { circle } from '../geometry/outline/support.ts';
import { elevation } from '../piece/elevation.ts';
import type { Target } from '../target/target.ts';
import { acrossOf } from '../forms/stand/stand.ts';
import { plate, raiseAdded } from './added.ts';
import type { RaisedPart, Ribbon } from '../forms/kind/body.ts';
import { raisePiece } from './pushed.ts';
import { standingBody } from './raise.ts';
import type { Point, Point3 } from '../geometry/point.ts';

/** A flat or nearly flat face of a solid, its corners anticlockwise as seen from outside the clay. */
export interface SolidFace {
  readonly face: Ribbon['face'] | 'hole';
  readonly corners: readonly Point3[];
}

/** Straight lines once round a bent wall: enough for a drawing of a hand's size. */
const RULINGS = 48;

/** Vertices of each face of a formed slab. */
const FORMED = 180;

/** An imported mould of more triangles than this is drawn from the side only. */
export const MOST_TRIANGLES = 6000;

function ribbonFaces({ face, one, other }: Ribbon): SolidFace[] {
  return one.slice(1).map((corner, index): SolidFace => ({
    face,
    corners: [one[index] as Point3, corner, other[index + 1] as Point3, other[index] as Point3],
  }));
}

function partFaces(parts: readonly RaisedPart[]): SolidFace[] {
  return parts.flatMap(({ ribbons }) => ribbons.flatMap(ribbonFaces));
}

function vertexOf({ positions }: Mesh, index: number): Point3 {
  return [positions[3 * index] as number, positions[3 * index + 1] as number, positions[3 * index + 2] as number];
}

/** The faces of a formed side: the inside looks up. */
function meshFaces(mesh: Mesh, face: 'inside' | 'outside'): SolidFace[] {
  const { triangles } = mesh;
  const kept = (face === 'inside') === meshLooksUp(mesh);
  return Array.from({ length: triangles.length / 3 }, (_, index): SolidFace => {
    const corners = [0, 1, 2].map((corner) => vertexOf(mesh, triangles[3 * index + corner] as number));
    return { face, corners: kept ? corners : corners.reverse() };
  });
}

/** Whether the triangles of a mesh are anticlockwise as seen from above, on the whole. */
function meshLooksUp(mesh: Mesh): boolean {
  let plan = 0;
  for (let at = 0; at < mesh.triangles.length; at += 3) {
    const [[ax, ay], [bx, by], [cx, cy]] = [0, 1, 2].map((corner) =>
      vertexOf(mesh, mesh.triangles[at + corner] as number),
    ) as [Point3, Point3, Point3];
    plan += (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
  }
  return plan > 0;
}

/** The border of a mesh, anticlockwise as seen from above. */
function rimOf(mesh: Mesh): Point3[] {
  const rim = (borderOf(mesh) ?? []).map((vertex) => vertexOf(mesh, vertex));
  const plan = rim.reduce((sum, [x, y], index) => {
    const [nx, ny] = rim[(index + 1) % rim.length] as Point3;
    return sum + x * ny - nx * y;
  }, 0);
  return plan < 0 ? rim.reverse() : rim;
}

/** The edge between the two faces of a formed slab: each point of one border beside the nearest of the other, in turn. */
function rimFaces(inner: readonly Point3[], outer: readonly Point3[]): SolidFace[] {
  const turn = ([x, y]: Point3) => Math.atan2(y, x);
  const from = (line: readonly Point3[]) => {
    const first = line.reduce((least, point, index) => (turn(point) < turn(line[least] as Point3) ? index : least), 0);
    return [...line.slice(first), ...line.slice(0, first)];
  };
  const [near, far] = [from(inner), from(outer)];
  const faces: SolidFace[] = [];
  let [i, j] = [0, 0];
  const at = (line: readonly Point3[], index: number) => line[index % line.length] as Point3;
  while (i < near.length || j < far.length) {
    const inwards = j >= far.length || (i < near.length && (i + 1) / near.length <= (j + 1) / far.length);
    const third = inwards ? at(near, i + 1) : at(far, j + 1);
    faces.push({ face: 'edge', corners: [at(far, j), third, at(near, i)] });
    if (inwards) i += 1;
    else j += 1;
  }
  return faces;
}

function formedFaces(target: DrapedTarget): SolidFace[] {
  const [inner, outer] = [faceMesh(target, 'inner', FORMED), faceMesh(target, 'outer', FORMED)];
  return [...meshFaces(outer, 'outside'), ...meshFaces(inner, 'inside'), ...rimFaces(rimOf(inner), rimOf(outer))];
}

/** The strip of a stand: its outline from the side, as wide as the strip. */
function stripFaces(target: Target): SolidFace[] {
  if (target.form.kind !== 'stand') return [];
  const { outer, added } = elevation(target, 'wet');
  const half = acrossOf(target.form) / (1 - target.clay.shrinkage) / 2;
  return [outer, ...added].flatMap((outline: Outline) => {
    const points = pointsOf(outline, 2);
    const line = (y: number) => [...points, points[0] as Point].map(([x, z]): Point3 => [x, y, z]);
    return [
      { face: 'cut' as const, corners: line(-half).slice(1) },
      { face: 'cut' as const, corners: line(half).slice(1).reverse() },
      ...ribbonFaces({ face: 'outside', one: line(half), other: line(-half) }),
    ];
  });
}

/** Rings from the middle of a sheet to its outline. */
const SHEET_RINGS = 4;

/** Feet of a sheet, each from the table to its under face. */
function sheetFeet({ slab, clay }: Target, form: SheetForm, side: 1 | -1): SolidFace[] {
  const { wall: t, neutralFraction: k } = slab;
  const bent = bentSheet(form, t, k);
  return (placeFeet(form, { t, k, shrinkage: clay.shrinkage })?.feet ?? []).flatMap(({ at, length }) => {
    const [x = 0, y = 0] = bent.place(at)?.at ?? [];
    const foot = circle(wetLength(form.feet?.diameter ?? 0, clay.shrinkage) / 2);
    const shift = (points: readonly Point3[]) =>
      points.map((point): Point3 => [point[0] + side * x, point[1] + y, point[2]]);
    return plate(foot, null, { from: 0, to: wetLength(length, clay.shrinkage) }).flatMap(({ face, one, other }) =>
      ribbonFaces({ face, one: shift(one), other: shift(other) }),
    );
  });
}

function sheetFaces(target: Target, form: SheetForm): SolidFace[] {
  const { wall: t, neutralFraction: k } = target.slab;
  // The plan of a sheet over a cylinder is seen from below: x across its axis, y along it.
  const side = 'diameter' in form.bend ? -1 : 1;
  const { place, under } = bentSheet(form, t, k);
  const { minX, minY, maxX, maxY } = bounds(form.outline);
  const [cx, cy] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const anticlockwise = (points: Point[]) =>
    points.reduce((sum, [x, y], index) => {
      const [nx, ny] = points[(index + 1) % points.length] as Point;
      return sum + x * ny - nx * y;
    }, 0) > 0
      ? points
      : points.reverse();
  const border = anticlockwise(pointsOf(form.outline, Math.max(2, (maxX - minX) / 24)));
  const middle = place([cx, cy]);
  // The outer face lies (1 - k) t below the neutral surface.
  const low = (middle?.at[2] ?? 0) - (1 - k) * t * (middle?.normal[2] ?? 1);
  const lift = under([cx, cy]) - low + wetLength(form.feet?.height ?? 0, target.clay.shrinkage);
  const on = ([x, y]: Point, by: number): Point3 | null => {
    const placed = place([x, y]);
    if (!placed) return null;
    const { at, normal } = placed;
    return [side * (at[0] + by * normal[0]), at[1] + by * normal[1], at[2] + by * normal[2] + lift];
  };
  const ring = (share: number, by: number) =>
    border.map(([x, y]) => on([cx + share * (x - cx), cy + share * (y - cy)], by));
  const band = (face: Ribbon['face'], one: readonly (Point3 | null)[], other: readonly (Point3 | null)[]) =>
    one.flatMap((point, index): SolidFace[] => {
      const next = (index + 1) % one.length;
      const corners = [point, one[next], other[next], other[index]];
      return corners.every((corner) => corner) ? [{ face, corners: corners as Point3[] }] : [];
    });
  const [upper, lower] = [k * t, -(1 - k) * t];
  const rings = Array.from(
    { length: SHEET_RINGS },
    (_, index) => [index / SHEET_RINGS, (index + 1) / SHEET_RINGS] as const,
  );
  const holes = (form.holes ?? []).flatMap((hole): SolidFace[] => {
    const corners = anticlockwise(pointsOf(hole, 2)).map((point) => on(point, upper));
    return corners.every((corner) => corner) ? [{ face: 'hole', corners: corners as Point3[] }] : [];
  });
  return [
    ...rings.flatMap(([from, to]) => band('inside', ring(to, upper), ring(from, upper))),
    ...rings.flatMap(([from, to]) => band('outside', ring(from, lower), ring(to, lower))),
    ...band('edge', ring(1, lower), ring(1, upper)),
    ...holes,
    ...sheetFeet(target, form, side),
  ];
}

/**
 * The finished piece by the faces of its clay, wet mm, standing on z = 0, its first seam towards the x axis; null for an
 * imported mould of too many triangles.
 */
export function solidFaces(target: Target): readonly SolidFace[] | null {
  const { form } = target;
  if (form.kind === 'mesh' && form.triangles.length > MOST_TRIANGLES) return null;
  if (isDraped(target)) return formedFaces(target);
  if (form.kind === 'stand') return stripFaces(target);
  if (form.kind === 'sheet') return sheetFaces(target, form);
  const body = standingBody(target, RULINGS);
  return partFaces(raiseAdded(target, { raised: raisePiece(target, body, 1), flat: [], f: 1 }));
}
