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
  const known = new Map<string, number>();
  const positions: number[] = [];
  const triangles: number[] = [];
  const vertex = (x: number, y: number, z: number) => {
    const name = `${x} ${y} ${z}`;
    const found = known.get(name);
    if (found !== undefined) return found;
    known.set(name, positions.length / 3);
    positions.push(x / UNITS, y / UNITS, z);
    return positions.length / 3 - 1;
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
  const starts = polygon.slice(0, -1).reduce<number[]>((all, line) => [...all, (all.at(-1) ?? 0) + line.length], []);
  const points = polygon.flat();
  const cut = earcut(
    points.flatMap(({ x, y }) => [x, y]),
    starts,
  );
  const found: Triangle[] = [];
  for (let at = 0; at < cut.length; at += 3) {
    const [a, b, c] = [0, 1, 2].map((side) => points[cut[at + side] as number]) as [Point64, Point64, Point64];
    found.push(turn(a, b, c) > 0 ? [a, b, c] : [a, c, b]);
  }
  return withEveryCorner(found, polygon);
}

/** The ear cutter passes over corners that lie on a line between two others: triangles are split there. */
function withEveryCorner(triangles: readonly Triangle[], polygon: Paths64): Triangle[] {
  const name = (p: Point64, q: Point64) => `${p.x} ${p.y} ${q.x} ${q.y}`;
  const corners = polygon.flat();
  // A side is whole where another triangle walks it back, or where it is one of the polygon's own.
  const sides = new Set(triangles.flatMap(([a, b, c]) => [name(a, b), name(b, c), name(c, a)]));
  for (const line of polygon)
    for (const [at, from] of line.entries()) sides.add(name(line[(at + 1) % line.length] ?? from, from));
  const split = (triangle: Triangle): Triangle[] => {
    for (const turned of [0, 1, 2]) {
      const [a, b, c] = [0, 1, 2].map((side) => triangle[(side + turned) % 3]) as [Point64, Point64, Point64];
      if (sides.has(name(b, a))) continue;
      const between = corners.find(
        (p) => turn(a, b, p) === 0 && (p.x - a.x) * (p.x - b.x) + (p.y - a.y) * (p.y - b.y) < 0,
      );
      if (between)
        return [
          [a, between, c],
          [between, b, c],
        ].flatMap((half) => split(half as unknown as Triangle));
    }
    return [triangle];
  };
  return triangles.flatMap(split);
}
