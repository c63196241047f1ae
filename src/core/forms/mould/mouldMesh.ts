import { movedMould, type MovedMould } from './movedMould.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';
import { type MouldSurface } from './mouldSurface.ts';
import { ringMesh, ringShares, type Ring } from './ringMesh.ts';
import type { Bearing } from './roundTable.ts';
import type { Point3 } from '../../geometry/point.ts';

/** Least number of points on a ring, and of rings on a wall, so that a coarse mesh is still round. */
const LEAST_ROUND = 6;
const LEAST_ROWS = 2;

/** Most points on an arc round the floor's edge. */
const EDGE_ROWS = 4;

function apart(one: Point3, other: Point3): number {
  return Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2]);
}

/** Points closer than this share of the spacing count as one: a flat side may end in a point. */
const CLOSEST = 0.05;

function parted(places: readonly { readonly share: number; readonly point: Point3 }[], closest: number): Ring {
  const first = places[0]?.point;
  const kept = places.filter(({ point }, index) => {
    const before = places[index - 1]?.point;
    if (!before || !first) return true;
    return apart(before, point) > closest && apart(first, point) > closest;
  });
  return { shares: kept.map(({ share }) => share), points: kept.map(({ point }) => point) };
}

/** Mean length of the lines along which a mould is meshed: over the floor, round its edge, up the wall (mm). */
function waysOut(moved: MovedMould, middle: Point3): { floor: number; edge: number; wall: number } {
  const bearings = Array.from({ length: 24 }, (_, index) => moved.bearingAt(index / 24));
  const mean = (length: (bearing: Bearing) => number) =>
    bearings.reduce((sum, one) => sum + length(one), 0) / bearings.length;
  const line = (at: (share: number) => Point3) => {
    let [sum, before] = [0, at(0)];
    for (let step = 1; step <= 16; step += 1) {
      const next = at(step / 16);
      sum += apart(before, next);
      before = next;
    }
    return sum;
  };
  return {
    floor: mean((bearing) => apart(middle, moved.floorAt(bearing))),
    edge: moved.turning ? mean((bearing) => line((share) => moved.edgeAt(bearing, share))) : 0,
    wall: mean((bearing) => line((share) => moved.wallAt(bearing, share))),
  };
}

function girthOf(moved: MovedMould, at: (bearing: Bearing) => Point3): number {
  let sum = 0;
  let before = at(moved.bearingAt(0));
  for (let step = 1; step <= 96; step += 1) {
    const next = at(moved.bearingAt((step % 96) / 96));
    sum += apart(before, next);
    before = next;
  }
  return sum;
}

/**
 * Triangles of a mould's surface moved along its normals by a distance (mm, positive out of the piece): rings from the
 * middle to the rim, their points about as far apart as the rings, with the ends of flat edges among them.
 *
 * @param spacing wanted distance between neighbouring vertices (mm)
 */
export function mouldMesh(surface: MouldSurface, distance: number, spacing: number): Mesh {
  return meshOnMoved(surface, movedMould(surface, distance), spacing);
}

/** The same for a mould that is already moved. */
export function meshOnMoved(surface: MouldSurface, moved: MovedMould, spacing: number): Mesh {
  const [cx, cy] = middleOfMould(surface);
  const middle: Point3 = [cx, cy, moved.floor];
  const ways = waysOut(moved, middle);
  const ring = (at: (bearing: Bearing) => Point3, kept: readonly number[]): Ring => {
    const count = Math.max(LEAST_ROUND, Math.round(girthOf(moved, at) / spacing));
    const shares = ringShares(count, count > 3 * kept.length ? kept : []);
    return parted(
      shares.map((share) => ({ share, point: at(moved.bearingAt(share)) })),
      CLOSEST * spacing,
    );
  };
  const rings: Ring[] = [];
  if (surface.floored) {
    const rows = Math.max(1, Math.round(ways.floor / spacing));
    for (let row = 1; row <= rows; row += 1) {
      const share = row / rows;
      const at = (bearing: Bearing): Point3 => {
        const [x, y, z] = moved.floorAt(bearing);
        return [cx + share * (x - cx), cy + share * (y - cy), z];
      };
      rings.push(ring(at, moved.kept));
    }
  }
  if (moved.turning) {
    const rows = Math.max(1, Math.min(EDGE_ROWS, Math.round(ways.edge / spacing)));
    for (let row = 1; row <= rows; row += 1)
      rings.push(ring((bearing) => moved.edgeAt(bearing, row / rows), moved.kept));
  }
  const rows = Math.max(LEAST_ROWS, Math.round(ways.wall / spacing));
  const even = evenShares(moved, rows);
  for (let row = 1; row <= rows; row += 1)
    rings.push(ring((bearing) => moved.wallAt(bearing, even(row / rows)), moved.kept));
  return ringMesh(middle, rings);
}

/** The middle of the floor, or of the rim of a dome. */
export function middleOfMould({ foot, rim, floored }: MouldSurface): readonly [number, number] {
  const shape = floored ? foot : rim;
  return [(shape.h(0) - shape.h(Math.PI)) / 2, (shape.h(Math.PI / 2) - shape.h(-Math.PI / 2)) / 2];
}

/** Shares of the wall at which its rows are evenly far apart, by the wall at one place. */
function evenShares(moved: MovedMould, rows: number): (share: number) => number {
  const fine = Math.max(64, 8 * rows);
  const bearing = moved.bearingAt(0.01);
  const lengths = [0];
  let before = moved.wallAt(bearing, 0);
  for (let step = 1; step <= fine; step += 1) {
    const next = moved.wallAt(bearing, step / fine);
    lengths.push((lengths.at(-1) ?? 0) + apart(before, next));
    before = next;
  }
  const whole = lengths.at(-1) ?? 1;
  return (share) => {
    if (share >= 1) return 1;
    const wanted = share * whole;
    const index = Math.max(0, lengths.findIndex((length) => length > wanted) - 1);
    const [low = 0, high = low] = [lengths[index], lengths[index + 1]];
    return (index + (high > low ? (wanted - low) / (high - low) : 0)) / fine;
  };
}
