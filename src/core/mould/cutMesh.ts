import type { Mesh } from '../mesh/mesh.ts';

type Point = readonly [number, number];

/** A mesh and its flat layout (x, y of each vertex, mm). */
export interface LaidMesh {
  readonly mesh: Mesh;
  readonly uv: Float64Array;
}

/** Both sides of a cut as vertices from the border to the tip, which both share. */
export interface Cut {
  readonly left: readonly number[];
  readonly right: readonly number[];
}

/** A vertex nearer to the line than this part of the mesh's spacing lies on it. */
const SNAP = 0.04;

/** A tip leaves no triangle smaller than this part of the one that it lies in. */
const LEAST_SHARE = 0.01;

/** A line into the layout: from a point on its border, along a unit direction. */
export interface CutLine {
  readonly from: Point;
  readonly way: Point;
  readonly length: number;
}

function spacingOf({ mesh, uv }: LaidMesh): number {
  const { triangles } = mesh;
  let sum = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b] = [2 * (triangles[at] as number), 2 * (triangles[at + 1] as number)];
    sum += Math.hypot((uv[a] as number) - (uv[b] as number), (uv[a + 1] as number) - (uv[b + 1] as number));
  }
  return (3 * sum) / triangles.length;
}

/** A place where the line meets the mesh: a vertex on it, or an edge that it crosses. */
interface Meeting {
  readonly along: number;
  readonly vertex: number;
}

/**
 * Cuts a laid mesh open along a straight line of its layout, from the border inward: triangles are parted where the line
 * crosses them, and the cut's vertices are doubled but for its tip. Null when the line does not reach into the mesh.
 */
export function cutMesh(laid: LaidMesh, { from, way, length }: CutLine): (LaidMesh & { readonly cut: Cut }) | null {
  const { triangles } = laid.mesh;
  const positions = [...laid.mesh.positions];
  const uv = [...laid.uv];
  const snap = SNAP * spacingOf(laid);
  const across: number[] = [];
  const along: number[] = [];
  for (let vertex = 0; vertex < uv.length / 2; vertex += 1) {
    const [x, y] = [(uv[2 * vertex] as number) - from[0], (uv[2 * vertex + 1] as number) - from[1]];
    const off = way[0] * y - way[1] * x;
    across.push(Math.abs(off) < snap ? 0 : off);
    along.push(way[0] * x + way[1] * y);
  }
  const near = (at: number) => at > -snap && at <= length;
  const meetings: Meeting[] = across.flatMap((off, vertex) => (off === 0 && near(along[vertex] ?? NaN) ? [{ along: along[vertex] ?? 0, vertex }] : [])); // prettier-ignore
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
      for (let axis = 0; axis < 3; axis += 1) positions.push((positions[3 * a + axis] as number) + f * ((positions[3 * b + axis] as number) - (positions[3 * a + axis] as number))); // prettier-ignore
      for (let axis = 0; axis < 2; axis += 1) uv.push((uv[2 * a + axis] as number) + f * ((uv[2 * b + axis] as number) - (uv[2 * a + axis] as number))); // prettier-ignore
      across.push(0);
      along.push(where);
      meetings.push({ along: where, vertex });
    }
  }
  const path = meetings.sort((one, other) => one.along - other.along).map(({ vertex }) => vertex);
  if (path.length < 2) return null;
  const parted = partTriangles(triangles, (a, b) => split.get(nameOf(a, b)));
  const end = tipWithin({ triangles: parted, uv }, path.at(-1) as number, { from, way, length }, snap);
  if (end) {
    const vertex = uv.length / 2;
    for (let axis = 0; axis < 3; axis += 1) positions.push(end.corners.reduce((sum, corner, side) => sum + (end.shares[side] as number) * (positions[3 * corner + axis] as number), 0)); // prettier-ignore
    uv.push(...end.at);
    across.push(0);
    const [a, b, c] = end.corners;
    parted.splice(end.first, 3, a, b, vertex, b, c, vertex, c, a, vertex);
    path.push(vertex);
  }
  // What lies right of the line gets doubles of all but the tip.
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

/**
 * Where a cut ends within a triangle beyond the last place where it meets the mesh, as a point of the layout, the triangle's
 * corners and the share of each. Undefined when it ends so near to that place, or to a side, that it would leave a sliver.
 */
function tipWithin(
  { triangles, uv }: { triangles: readonly number[]; uv: readonly number[] },
  last: number,
  { from, way, length }: CutLine,
  snap: number,
): { at: Point; first: number; corners: [number, number, number]; shares: number[] } | undefined {
  const at: Point = [from[0] + length * way[0], from[1] + length * way[1]];
  const place = (vertex: number): Point => [uv[2 * vertex] as number, uv[2 * vertex + 1] as number];
  if (Math.hypot(at[0] - place(last)[0], at[1] - place(last)[1]) < snap) return undefined;
  const twice = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  for (let first = 0; first < triangles.length; first += 3) {
    const corners = triangles.slice(first, first + 3) as [number, number, number];
    if (!corners.includes(last)) continue;
    const [a, b, c] = corners.map(place) as [Point, Point, Point];
    const whole = twice(a, b, c);
    const shares = [twice(at, b, c) / whole, twice(a, at, c) / whole, twice(a, b, at) / whole];
    if (shares.every((share) => share > LEAST_SHARE)) return { at, first, corners, shares };
  }
  return undefined;
}

/** Triangles parted at the middle vertices of their edges, however many of their edges have one (at most two here). */
function partTriangles(triangles: Uint32Array, middle: (a: number, b: number) => number | undefined): number[] {
  const parted: number[] = [];
  for (let at = 0; at < triangles.length; at += 3) {
    const corners = [0, 1, 2].map((side) => triangles[at + side] as number) as [number, number, number];
    const middles = corners.map((corner, side) => middle(corner, corners[(side + 1) % 3] as number));
    const cut = middles.filter((vertex) => vertex !== undefined).length;
    if (cut === 0) {
      parted.push(...corners);
      continue;
    }
    // Turned so that the first edge is cut, and with two cuts the first and the second.
    const first = cut === 1 ? middles.findIndex((vertex) => vertex !== undefined) : [0, 1, 2].findIndex((side) => middles[side] !== undefined && middles[(side + 1) % 3] !== undefined); // prettier-ignore
    const [a, b, c] = [0, 1, 2].map((step) => corners[(first + step) % 3] as number) as [number, number, number];
    const p = middles[first] as number;
    if (cut === 1) {
      parted.push(a, p, c, p, b, c);
    } else {
      const q = middles[(first + 1) % 3] as number;
      parted.push(p, b, q, a, p, q, a, q, c);
    }
  }
  return parted;
}
