import { EdgeMap } from '../../geometry/mesh/mesh.ts';
import type { LaidMesh, Cut } from '../kind/blank.ts';
import { listOf, partTriangles, spacingOf } from './partTriangles.ts';
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

/** A mesh that is being cut: lists that grow, with how far each vertex lies to the left of the line and along it (mm). */
interface Opening {
  readonly positions: number[];
  readonly uv: number[];
  readonly across: number[];
  readonly along: number[];
}

function openingOf({ mesh, uv }: LaidMesh, { from, way }: CutLine, snap: number): Opening {
  const across: number[] = [];
  const along: number[] = [];
  for (let at = 0; at < uv.length; at += 2) {
    const [x, y] = [(uv[at] as number) - from[0], (uv[at + 1] as number) - from[1]];
    const off = way[0] * y - way[1] * x;
    across.push(Math.abs(off) < snap ? 0 : off);
    along.push(way[0] * x + way[1] * y);
  }
  return { positions: listOf(mesh.positions), uv: listOf(uv), across, along };
}

/** Appends a vertex on the line, the mean of others by their shares; returns its index. */
function addOnLine(
  { positions, uv, across, along }: Opening,
  vertices: readonly number[],
  shares: readonly number[],
): number {
  const mean = (list: readonly number[], step: number, axis: number) =>
    vertices.reduce((sum, vertex, at) => sum + (shares[at] as number) * (list[step * vertex + axis] as number), 0);
  positions.push(mean(positions, 3, 0), mean(positions, 3, 1), mean(positions, 3, 2));
  uv.push(mean(uv, 2, 0), mean(uv, 2, 1));
  along.push(mean(along, 1, 0));
  return across.push(0) - 1;
}

/** Appends a vertex on every edge that the line crosses within its length. */
function splitEdges(triangles: Uint32Array, opening: Opening, within: (along: number) => boolean): EdgeMap {
  const { across, along } = opening;
  const splits = new EdgeMap(across.length);
  for (let at = 0; at < triangles.length; at += 1) {
    const [a, b] = [triangles[at] as number, triangles[at % 3 === 2 ? at - 2 : at + 1] as number];
    const [p, q] = [across[a] as number, across[b] as number];
    if (p * q >= 0 || splits.get(a, b) !== undefined) continue;
    const f = p / (p - q);
    const where = (along[a] as number) + f * ((along[b] as number) - (along[a] as number));
    if (within(where)) splits.set(a, b, addOnLine(opening, [a, b], [1 - f, f]));
  }
  return splits;
}

/** Doubles the vertices of a path except its tip, and gives the doubles to the triangles to the right of the line; returns the path's other side. */
function openAlong(path: readonly number[], triangles: number[], { positions, uv, across }: Opening): number[] {
  const doubles = new Map<number, number>();
  const doubled = path.slice(0, -1).map((vertex) => {
    const double = uv.length / 2;
    doubles.set(vertex, double);
    positions.push(...positions.slice(3 * vertex, 3 * vertex + 3));
    uv.push(...uv.slice(2 * vertex, 2 * vertex + 2));
    return double;
  });
  const off = (at: number) => across[triangles[at] as number] ?? 0;
  for (let at = 0; at < triangles.length; at += 3) {
    if (off(at) + off(at + 1) + off(at + 2) >= 0) continue;
    for (let corner = at; corner < at + 3; corner += 1) {
      const vertex = triangles[corner] as number;
      triangles[corner] = doubles.get(vertex) ?? vertex;
    }
  }
  return [...doubled, ...path.slice(-1)];
}

/**
 * Cuts a laid mesh open along a straight line of its layout, from the border inward: triangles are split where the line
 * crosses them, and the cut's vertices except the tip are doubled. Null when the line does not reach into the mesh.
 */
export function cutMesh(laid: LaidMesh, line: CutLine): (LaidMesh & { readonly cut: Cut }) | null {
  const spacing = spacingOf(laid);
  const snap = SNAP * spacing;
  const opening = openingOf(laid, line, snap);
  const { positions, uv, across, along } = opening;
  const within = (at: number) => at > -snap && at <= line.length + TIP_SNAP * spacing;
  const splits = splitEdges(laid.mesh.triangles, opening, within);
  const placeOf = (vertex: number) => along[vertex] ?? 0;
  const path = [...across.keys()]
    .filter((vertex) => across[vertex] === 0 && within(placeOf(vertex)))
    .sort((one, other) => placeOf(one) - placeOf(other));
  if (path.length < 2) return null;
  const triangles = partTriangles(laid.mesh.triangles, splits);
  const end = tipWithin({ triangles, uv }, { last: path.at(-1) as number, across, along }, { ...line, least: snap });
  if (end) {
    const tip = addOnLine(opening, end.corners, end.shares);
    path.push(tip);
    partAt(
      triangles,
      end.corners.filter((_, side) => end.shares[side] !== 0),
      tip,
    );
  }
  const right = openAlong(path, triangles, opening);
  return {
    mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) },
    uv: Float64Array.from(uv),
    cut: { left: path, right },
  };
}

/** Splits triangles at a new vertex: the one with all three corners, or those with both ends of a side. */
function partAt(triangles: number[], corners: readonly number[], vertex: number): void {
  for (let first = triangles.length - 3; first >= 0; first -= 3) {
    if (!corners.every((corner) => hasCorner(triangles, first, corner))) continue;
    const own = triangles.slice(first, first + 3);
    const parts = own.map((_, side) => [own[side] as number, own[(side + 1) % 3] as number] as const);
    // A side that contains the vertex makes no triangle with it.
    const kept = corners.length === 3 ? parts : parts.filter((side) => !side.every((end) => corners.includes(end)));
    triangles.splice(first, 3, ...kept.flatMap(([a, b]) => [a, b, vertex]));
  }
}

function hasCorner(triangles: readonly number[], first: number, vertex: number): boolean {
  return triangles[first] === vertex || triangles[first + 1] === vertex || triangles[first + 2] === vertex;
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
    if (!hasCorner(triangles, first, last)) continue;
    const corners = triangles.slice(first, first + 3) as [number, number, number];
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
