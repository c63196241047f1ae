import type { LaidMesh, Cut } from '../kind/blank.ts';
import { partTriangles, spacingOf } from './partTriangles.ts';
import type { Point } from '../../geometry/point.ts';

/** A vertex closer to the line than this share of the mesh's spacing counts as on it. */
const SNAP = 0.04;

/** A tip this close before an edge counts as on it, in the mesh's spacing. */
const TIP_SNAP = 0.015;

/** Least area of a triangle that a tip leaves, as a share of the triangle that it is in. */
const LEAST_SHARE = 0.01;

/** A line into the layout: from a point on its border, along a unit direction. */
export interface CutLine {
  readonly from: Point;
  readonly way: Point;
  readonly length: number;
}

/** A place where the line meets the mesh: a vertex on it, or an edge that it crosses. */
interface Meeting {
  readonly along: number;
  readonly vertex: number;
}

/**
 * Cuts a laid mesh open along a straight line of its layout, from the border inward: triangles are split where the line
 * crosses them, and the cut's vertices except the tip are doubled. Null when the line does not reach into the mesh.
 */
export function cutMesh(laid: LaidMesh, { from, way, length }: CutLine): (LaidMesh & { readonly cut: Cut }) | null {
  const { triangles } = laid.mesh;
  const positions = [...laid.mesh.positions];
  const uv = [...laid.uv];
  const spacing = spacingOf(laid);
  const snap = SNAP * spacing;
  const across: number[] = [];
  const along: number[] = [];
  for (let vertex = 0; vertex < uv.length / 2; vertex += 1) {
    const [x, y] = [(uv[2 * vertex] as number) - from[0], (uv[2 * vertex + 1] as number) - from[1]];
    const off = way[0] * y - way[1] * x;
    across.push(Math.abs(off) < snap ? 0 : off);
    along.push(way[0] * x + way[1] * y);
  }
  const near = (at: number) => at > -snap && at <= length + TIP_SNAP * spacing;
  const meetings: Meeting[] = across.flatMap((off, vertex) =>
    off === 0 && near(along[vertex] ?? NaN) ? [{ along: along[vertex] ?? 0, vertex }] : [],
  );
  const split = new Map<string, number>();
  const nameOf = (a: number, b: number) => (a < b ? `${a} ${b}` : `${b} ${a}`);
  for (let at = 0; at < triangles.length; at += 3) {
    for (let side = 0; side < 3; side += 1) {
      const [a, b] = [triangles[at + side] as number, triangles[at + ((side + 1) % 3)] as number];
      const [p, q] = [across[a] as number, across[b] as number];
      if (p * q >= 0 || split.has(nameOf(a, b))) continue;
      const f = p / (p - q);
      const where = (along[a] as number) + f * ((along[b] as number) - (along[a] as number));
      if (!near(where)) continue;
      const vertex = uv.length / 2;
      split.set(nameOf(a, b), vertex);
      for (let axis = 0; axis < 3; axis += 1)
        positions.push(
          (positions[3 * a + axis] as number) +
            f * ((positions[3 * b + axis] as number) - (positions[3 * a + axis] as number)),
        );
      for (let axis = 0; axis < 2; axis += 1)
        uv.push((uv[2 * a + axis] as number) + f * ((uv[2 * b + axis] as number) - (uv[2 * a + axis] as number)));
      across.push(0);
      along.push(where);
      meetings.push({ along: where, vertex });
    }
  }
  const path = meetings.sort((one, other) => one.along - other.along).map(({ vertex }) => vertex);
  if (path.length < 2) return null;
  const parted = partTriangles(triangles, (a, b) => split.get(nameOf(a, b)));
  const end = tipWithin(
    { triangles: parted, uv },
    { last: path.at(-1) as number, across, along },
    { from, way, length, least: snap },
  );
  if (end) {
    const vertex = uv.length / 2;
    const { corners, shares } = end;
    const mean = (list: readonly number[], step: number, axis: number) =>
      corners.reduce((sum, corner, side) => sum + (shares[side] as number) * (list[step * corner + axis] as number), 0);
    positions.push(...[0, 1, 2].map((axis) => mean(positions, 3, axis)));
    uv.push(...[0, 1].map((axis) => mean(uv, 2, axis)));
    across.push(0);
    path.push(vertex);
    partAt(
      parted,
      corners.filter((_, side) => shares[side] !== 0),
      vertex,
    );
  }
  // Triangles to the right of the line get the doubles.
  const doubles = new Map<number, number>();
  for (const vertex of path.slice(0, -1)) {
    doubles.set(vertex, uv.length / 2);
    positions.push(...positions.slice(3 * vertex, 3 * vertex + 3));
    uv.push(...uv.slice(2 * vertex, 2 * vertex + 2));
  }
  for (let at = 0; at < parted.length; at += 3) {
    const corners = parted.slice(at, at + 3);
    const side = corners.reduce((sum, vertex) => sum + (across[vertex] ?? 0), 0);
    if (side >= 0) continue;
    corners.forEach((vertex, index) => {
      parted[at + index] = doubles.get(vertex) ?? vertex;
    });
  }
  const tip = path.at(-1) as number;
  return {
    mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from(parted) },
    uv: Float64Array.from(uv),
    cut: { left: path, right: [...path.slice(0, -1).map((vertex) => doubles.get(vertex) ?? vertex), tip] },
  };
}

/** Splits triangles at a new vertex: the one with all three corners, or those with both ends of a side. */
function partAt(triangles: number[], corners: readonly number[], vertex: number): void {
  for (let first = triangles.length - 3; first >= 0; first -= 3) {
    const own = triangles.slice(first, first + 3);
    if (!corners.every((corner) => own.includes(corner))) continue;
    const parts = own.map((_, side) => [own[side] as number, own[(side + 1) % 3] as number] as const);
    // A side that contains the vertex makes no triangle with it.
    const kept = corners.length === 3 ? parts : parts.filter((side) => !side.every((end) => corners.includes(end)));
    triangles.splice(first, 3, ...kept.flatMap(([a, b]) => [a, b, vertex]));
  }
}

/** Where a cut ends: the corners of a triangle that it ends in, and the share of each, one of them 0 when it ends on a side. */
interface Tip {
  readonly corners: readonly [number, number, number];
  readonly shares: readonly number[];
}

/**
 * Where a cut ends beyond the last place where it meets the mesh: on the way to the next vertex when that lies on the line,
 * else within a triangle or on its side. Undefined when it ends so near to a corner that it would leave a sliver.
 */
function tipWithin(
  { triangles, uv }: { triangles: readonly number[]; uv: readonly number[] },
  { last, across, along }: { last: number; across: readonly number[]; along: readonly number[] },
  { from, way, length, least }: CutLine & { readonly least: number },
): Tip | undefined {
  if (length - (along[last] ?? 0) < least) return undefined;
  const at: Point = [from[0] + length * way[0], from[1] + length * way[1]];
  const place = (vertex: number): Point => [uv[2 * vertex] as number, uv[2 * vertex + 1] as number];
  const twice = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  let within: Tip | undefined;
  for (let first = 0; first < triangles.length; first += 3) {
    const corners = triangles.slice(first, first + 3) as [number, number, number];
    if (!corners.includes(last)) continue;
    const next = corners.find((corner) => across[corner] === 0 && (along[corner] ?? 0) > length);
    if (next !== undefined) {
      const share = (length - (along[last] ?? 0)) / ((along[next] ?? 0) - (along[last] ?? 0));
      return { corners, shares: corners.map((corner) => (corner === next ? share : corner === last ? 1 - share : 0)) };
    }
    const [a, b, c] = corners.map(place) as [Point, Point, Point];
    const whole = twice(a, b, c);
    const shares = [twice(at, b, c) / whole, twice(a, at, c) / whole, twice(a, b, at) / whole];
    const inner = shares.map((share) => (share > LEAST_SHARE ? share : 0));
    const sum = inner.reduce((total, share) => total + share, 0);
    if (shares.every((share) => share >= -LEAST_SHARE) && inner.filter(Boolean).length > 1) {
      within = { corners, shares: inner.map((share) => share / sum) };
    }
  }
  return within;
}
