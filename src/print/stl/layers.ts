import {
  Clipper,
  ClipType,
  EndType,
  FillRule,
  JoinType,
  PolyTree64,
  type Path64,
  type Paths64,
  type Point64,
  type PolyPath64,
} from 'clipper2-ts';
import earcut from 'earcut';
import type { Mesh } from '../../core/geometry/mesh/mesh.ts';
import { PlaceIndex } from '../../core/geometry/mesh/placeIndex.ts';
import { chordPoints } from '../../core/geometry/outline/crossing.ts';
import type { Outline } from '../../core/geometry/outline/outline.ts';

/** Regions of a level plane, and solids that are built of them in layers. Lengths are whole ten-thousandths of a mm inside. */
const UNITS = 10_000;

/** How far a chord may stand off its arc (mm), and the round corner of an offset off its circle (in units). */
const SAGITTA = 0.005;
const ARC = 0.02 * UNITS;

/** Closed lines that bound a region: what is inside an odd number of them is in it. None crosses another. */
export type Region = Paths64;

/** An outline as a region. */
export function regionOf(outline: Outline): Region {
  return [chordPoints(outline, SAGITTA).map(([x, y]) => ({ x: Math.round(x * UNITS), y: Math.round(y * UNITS) }))];
}

/** A region grown by a distance all round (mm; negative shrinks it); outer corners are rounded. */
export function grown(region: Region, distance: number): Region {
  return Clipper.inflatePaths(region, distance * UNITS, JoinType.Round, EndType.Polygon, 2, ARC);
}

/** The region without its gaps that are narrower than a width (mm). */
export function withoutGaps(region: Region, width: number): Region {
  return grown(grown(region, width / 2), -width / 2);
}

/** The region without its parts that are narrower than a width (mm). */
export function withoutSlivers(region: Region, width: number): Region {
  return grown(grown(region, -width / 2), width / 2);
}

/** Area of a region (mm2). */
export function regionArea(region: Region): number {
  return polygonsOf(region).reduce((sum, lines) => sum + Math.abs(Clipper.areaPaths(lines)), 0) / UNITS ** 2;
}

/** A level layer of a solid between two heights (mm). A line that two layers share must be the same object in both. */
export interface Layer {
  readonly lines: readonly Path64[];
  readonly from: number;
  readonly to: number;
}

/** Polygons of a region, each as its outer line followed by the holes in it, turned so that the region lies to their left. */
function polygonsOf(lines: Paths64): Paths64[] {
  const tree = new PolyTree64();
  Clipper.booleanOpWithPolyTree(ClipType.Union, lines, null, tree, FillRule.EvenOdd);
  const found: Paths64[] = [];
  const lookAt = (node: PolyPath64) => {
    for (let index = 0; index < node.count; index += 1) {
      const outer = node.child(index);
      const holes = Array.from({ length: outer.count }, (_, at) => outer.child(at));
      found.push([outer, ...holes].flatMap(({ polygon }) => (polygon ? [polygon] : [])));
      holes.forEach(lookAt);
    }
  };
  lookAt(tree);
  return found;
}

/**
 * A closed solid of level layers, each of which lies on the one below it. Mm, z up; triangles are seen from outside.
 *
 * @throws Error where a region cannot be cut into triangles
 */
export function layered(layers: readonly Layer[]): Mesh {
  const known = new PlaceIndex();
  const positions: number[] = [];
  const triangles: number[] = [];
  const vertex = (x: number, y: number, z: number) => {
    const found = known.numberOf(x, y, z);
    if (3 * found === positions.length) positions.push(x / UNITS, y / UNITS, z);
    return found;
  };
  const level = (lines: Paths64, z: number, looks: 'up' | 'down') => {
    for (const polygon of polygonsOf(lines)) {
      for (const [a, b, c] of trianglesOf(polygon)) {
        const [p, q, r] = [vertex(a.x, a.y, z), vertex(b.x, b.y, z), vertex(c.x, c.y, z)];
        triangles.push(p, ...(looks === 'up' ? [q, r] : [r, q]));
      }
    }
  };
  layers.forEach((layer, index) => {
    const below = layers[index - 1];
    const above = layers[index + 1];
    if (!below) level([...layer.lines], layer.from, 'down');
    level(
      layer.lines
        .filter((line) => !above?.lines.includes(line))
        .concat(above?.lines.filter((line) => !layer.lines.includes(line)) ?? []),
      layer.to,
      'up',
    );
    for (const line of polygonsOf([...layer.lines]).flat()) {
      line.forEach((from, at) => {
        const to = line[(at + 1) % line.length] ?? from;
        const [a, b] = [vertex(from.x, from.y, layer.from), vertex(to.x, to.y, layer.from)];
        const [c, d] = [vertex(to.x, to.y, layer.to), vertex(from.x, from.y, layer.to)];
        triangles.push(a, b, c, a, c, d);
      });
    }
  });
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}

type Triangle = readonly [Point64, Point64, Point64];

const turn = (a: Point64, b: Point64, c: Point64): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

/** Triangles of a polygon with holes, seen from above; every corner of the polygon is a corner of each triangle that it touches. */
function trianglesOf(polygon: Paths64): Triangle[] {
  const points = polygon.flat();
  const starts: number[] = [];
  for (let line = 0, from = 0; line < polygon.length; from += polygon[line]?.length ?? 0, line += 1) starts.push(from);
  const cut = earcut(
    points.flatMap(({ x, y }) => [x, y]),
    starts.slice(1),
  );
  const found: Corners[] = [];
  for (let at = 0; at < cut.length; at += 3) {
    const [a, b, c] = [cut[at], cut[at + 1], cut[at + 2]] as [number, number, number];
    const left = turn(points[a] as Point64, points[b] as Point64, points[c] as Point64) > 0;
    found.push(left ? [a, b, c] : [a, c, b]);
  }
  return withEveryCorner(found, { points, starts }).map(([a, b, c]): Triangle => [
    points[a] as Point64,
    points[b] as Point64,
    points[c] as Point64,
  ]);
}

/** Corners of a triangle, by their places in a list of points. */
type Corners = readonly [number, number, number];

/** The ear cutter passes over corners that lie on a line between two others: triangles are split there. */
function withEveryCorner(
  triangles: readonly Corners[],
  { points, starts }: { readonly points: readonly Point64[]; readonly starts: readonly number[] },
): Corners[] {
  const known = new PlaceIndex();
  /** Points that lie at one place have one number. */
  const places = points.map(({ x, y }) => known.numberOf(x, y, 0));
  const side = (from: number, to: number) => (places[from] as number) * points.length + (places[to] as number);
  // A side is whole where another triangle walks it back, or where it is one of the polygon's own.
  const sides = new Set<number>();
  for (const [a, b, c] of triangles) sides.add(side(a, b)).add(side(b, c)).add(side(c, a));
  for (const [line, start] of starts.entries()) {
    const end = starts[line + 1] ?? points.length;
    for (let at = start; at < end; at += 1) sides.add(side(at + 1 < end ? at + 1 : start, at));
  }
  const between = (from: number, to: number): number => {
    const [a, b] = [points[from] as Point64, points[to] as Point64];
    return points.findIndex((p) => turn(a, b, p) === 0 && (p.x - a.x) * (p.x - b.x) + (p.y - a.y) * (p.y - b.y) < 0);
  };
  const split = (triangle: Corners): Corners[] => {
    for (const turned of [0, 1, 2]) {
      const [a, b, c] = [0, 1, 2].map((at) => triangle[(at + turned) % 3]) as [number, number, number];
      const at = sides.has(side(b, a)) ? -1 : between(a, b);
      if (at >= 0) return [...split([a, at, c]), ...split([at, b, c])];
    }
    return [triangle];
  };
  return triangles.flatMap(split);
}
