import type { Mesh } from './mesh.ts';
import { PlaceIndex } from './placeIndex.ts';

/** An edge shorter than this share of the median is collapsed. */
const SHORT = 0.05;

/** A triangle lower than this share of its longest side is flipped into its neighbour. */
const LOW = 0.03;

/** A piece with less than this share of all triangles is a crumb. */
const CRUMB = 0.02;

/** Most rounds of cleaning. */
const ROUNDS = 8;

type Corners = [number, number, number];

/** A mesh while it is mended: its vertices, and the triangles at each. */
interface Mending {
  readonly positions: Float64Array;
  readonly triangles: Corners[];
  readonly at: Map<number, Set<number>>;
}

/** For each vertex, the first one in the same place. */
function welded({ positions }: Mesh): number[] {
  const known = new PlaceIndex();
  const first: number[] = [];
  return Array.from({ length: positions.length / 3 }, (_, vertex) => {
    const at = 3 * vertex;
    const place = known.numberNear(positions[at] as number, positions[at + 1] as number, positions[at + 2] as number);
    return (first[place] ??= vertex);
  });
}

function begin({ positions, triangles: written }: Mesh): Mending {
  const one = welded({ positions, triangles: written });
  const triangles = written.map((vertex) => one[vertex] ?? vertex);
  const seen = new Set<string>();
  const kept: Corners[] = [];
  for (let index = 0; index < triangles.length; index += 3) {
    const corners: Corners = [
      triangles[index] as number,
      triangles[index + 1] as number,
      triangles[index + 2] as number,
    ];
    const name = [...corners].sort((p, q) => p - q).join(' ');
    // A triangle that is there twice counts once; one with two corners in one place is dropped.
    if (new Set(corners).size < 3 || seen.has(name)) continue;
    seen.add(name);
    kept.push(corners);
  }
  const at = new Map<number, Set<number>>();
  kept.forEach((corners, index) =>
    corners.forEach((vertex) => at.set(vertex, (at.get(vertex) ?? new Set()).add(index))),
  );
  return { positions, triangles: kept, at };
}

const length = ({ positions }: Mending, p: number, q: number) =>
  Math.hypot(
    (positions[3 * p] as number) - (positions[3 * q] as number),
    (positions[3 * p + 1] as number) - (positions[3 * q + 1] as number),
    (positions[3 * p + 2] as number) - (positions[3 * q + 2] as number),
  );

/** Height over the longest side, as a share of it, and the corner at which that side begins. */
function lowness(mending: Mending, [a, b, c]: Corners): { readonly low: number; readonly from: 0 | 1 | 2 } {
  const sides = [length(mending, a, b), length(mending, b, c), length(mending, c, a)] as const;
  const long = Math.max(...sides);
  const half = (sides[0] + sides[1] + sides[2]) / 2;
  const area = Math.sqrt(Math.max(0, half * (half - sides[0]) * (half - sides[1]) * (half - sides[2])));
  return { low: long > 0 ? (2 * area) / (long * long) : 0, from: sides.indexOf(long) as 0 | 1 | 2 };
}

function replace({ triangles, at }: Mending, index: number, next: Corners | null): void {
  for (const vertex of triangles[index] ?? []) at.get(vertex)?.delete(index);
  if (!next) return;
  triangles[index] = next;
  for (const vertex of next) at.set(vertex, (at.get(vertex) ?? new Set()).add(index));
}

const isThere = ({ triangles, at }: Mending, index: number) => at.get(triangles[index]?.[0] ?? -1)?.has(index) ?? false;
/** The triangles that two corners share. */
const shared = ({ at }: Mending, p: number, q: number) =>
  [...(at.get(p) ?? [])].filter((index) => at.get(q)?.has(index));
const neighbours = ({ triangles, at }: Mending, vertex: number) =>
  new Set([...(at.get(vertex) ?? [])].flatMap((index) => triangles[index] ?? []).filter((one) => one !== vertex));
/** Whether a vertex is on the border: one of its edges has a single triangle. */
const onBorder = (mending: Mending, vertex: number) =>
  [...neighbours(mending, vertex)].some((one) => shared(mending, vertex, one).length === 1);

/** Collapses a short edge to one of its ends, unless the surface would touch itself. */
function collapse(mending: Mending, from: number, to: number): boolean {
  const both = shared(mending, from, to);
  const around = neighbours(mending, to);
  const common = [...neighbours(mending, from)].filter((one) => around.has(one));
  if (both.length === 0 || common.length !== both.length) return false;
  // The border must not move: it is the line that is cut.
  if (onBorder(mending, from) && !(onBorder(mending, to) && both.length === 1)) return false;
  for (const index of both) replace(mending, index, null);
  for (const index of [...(mending.at.get(from) ?? [])]) {
    const corners = mending.triangles[index] as Corners;
    replace(mending, index, corners.map((vertex) => (vertex === from ? to : vertex)) as Corners);
  }
  mending.at.delete(from);
  return true;
}

/** Flips the longest side of a low triangle into its neighbour, or removes the triangle where that side is on the border. */
function turnOver(mending: Mending, index: number): boolean {
  const corners = mending.triangles[index] as Corners;
  const { low, from } = lowness(mending, corners);
  const [p, q, r] = [corners[from], corners[(from + 1) % 3], corners[(from + 2) % 3]] as Corners;
  const [other] = shared(mending, p, q).filter((one) => one !== index);
  if (other === undefined) {
    // The corner opposite the long side becomes part of the border, unless it already is.
    if (onBorder(mending, r)) return false;
    replace(mending, index, null);
    return true;
  }
  const s = (mending.triangles[other] as Corners).find((vertex) => vertex !== p && vertex !== q);
  if (s === undefined || s === r || shared(mending, r, s).length > 0) return false;
  const [one, two]: [Corners, Corners] = [
    [p, s, r],
    [s, q, r],
  ];
  if (Math.min(lowness(mending, one).low, lowness(mending, two).low) <= low) return false;
  replace(mending, index, one);
  replace(mending, other, two);
  return true;
}

/** The largest piece, when all others are crumbs; else all of them. */
function withoutCrumbs({ triangles, at }: Mending, alive: readonly number[]): readonly number[] {
  const piece = new Map<number, number>();
  const sizes: number[] = [];
  for (const start of alive) {
    if (piece.has(start)) continue;
    const queue = [start];
    piece.set(start, sizes.length);
    let size = 0;
    for (let next = queue.pop(); next !== undefined; next = queue.pop()) {
      size += 1;
      for (const vertex of triangles[next] as Corners)
        for (const index of at.get(vertex) ?? []) {
          if (piece.has(index)) continue;
          piece.set(index, sizes.length);
          queue.push(index);
        }
    }
    sizes.push(size);
  }
  const largest = sizes.indexOf(Math.max(...sizes));
  const crumbs = sizes.every((size, index) => index === largest || size < CRUMB * alive.length);
  return crumbs ? alive.filter((index) => piece.get(index) === largest) : alive;
}

/**
 * A mesh without the usual dirt of files: double triangles, edges and triangles far thinner than the rest, crumbs, unused
 * vertices. They are not part of the mould, but would show as strain. A sound mesh is returned unchanged.
 */
export function cleanMesh(mesh: Mesh): Mesh {
  const mending = begin(mesh);
  const alive = () => mending.triangles.map((_, index) => index).filter((index) => isThere(mending, index));
  for (let round = 0; round < ROUNDS; round += 1) {
    let mended = 0;
    const lengths = alive().flatMap((index) => {
      const [a, b, c] = mending.triangles[index] as Corners;
      return [length(mending, a, b), length(mending, b, c), length(mending, c, a)];
    });
    const middling = lengths.sort((one, other) => one - other)[lengths.length >> 1] ?? 0;
    for (const index of alive()) {
      if (!isThere(mending, index)) continue;
      const [a, b, c] = mending.triangles[index] as Corners;
      const short = (
        [
          [a, b],
          [b, c],
          [c, a],
        ] as const
      ).find(([p, q]) => length(mending, p, q) < SHORT * middling);
      if (short && (collapse(mending, short[0], short[1]) || collapse(mending, short[1], short[0]))) mended += 1;
    }
    for (const index of alive()) {
      if (
        isThere(mending, index) &&
        lowness(mending, mending.triangles[index] as Corners).low < LOW &&
        turnOver(mending, index)
      )
        mended += 1;
    }
    if (mended === 0) break;
  }
  return packed(mending, withoutCrumbs(mending, alive()));
}

/** The remaining mesh, without unused vertices. */
function packed({ positions, triangles }: Mending, kept: readonly number[]): Mesh {
  const names = new Map<number, number>();
  const corners = kept.flatMap((index) => triangles[index] as Corners);
  const used = [...new Set(corners)].sort((one, other) => one - other);
  used.forEach((vertex, index) => names.set(vertex, index));
  return {
    positions: Float64Array.from(
      used.flatMap((vertex) => [0, 1, 2].map((axis) => positions[3 * vertex + axis] as number)),
    ),
    triangles: Uint32Array.from(corners.map((vertex) => names.get(vertex) as number)),
  };
}
