import { degrees, once } from '../../numbers.ts';
import { pointAt, stationsOf, UNROLL_STATIONS, type Station } from '../../geometry/outline/stations.ts';
import { inward, mergedFlats, mitred } from '../../geometry/outline/derived.ts';
import type { Side, Support } from '../../geometry/outline/support.ts';
import type { Point3 } from '../../geometry/point.ts';

/** The wall between two outlines, by the supports of its outer face at the table and at the rim. Wet mm. */
export interface LoftWall {
  readonly foot: Support;
  readonly rim: Support;
  readonly height: number;
  readonly thickness: number;
}

/** `sqrt(1 + ((h1 - h0) / H)^2)`: how much longer the wall is along the slope than upright, at a normal. */
export function slopeFactor(wall: LoftWall, phi: number): number {
  const q = (wall.rim.h(phi) - wall.foot.h(phi)) / wall.height;
  return Math.sqrt(1 + q * q);
}

/** Slope of the wall at a normal, radians, positive when it flares. */
export function slopeAt(wall: LoftWall, phi: number): number {
  return Math.atan((wall.rim.h(phi) - wall.foot.h(phi)) / wall.height);
}

const sectionsOf = once<LoftWall, Map<string, Support>>(() => new Map());

/**
 * The level section at height z of the surface `depth` mm inside the outer face: `h - depth sqrt(1 + ((h1 - h0)/H)^2)`
 * (geometry: lofts). Its slope follows by the chain rule, from each side of a flat edge. Each section is made once.
 */
export function sectionAt(wall: LoftWall, z: number, depth: number): Support {
  const known = sectionsOf(wall);
  // A straight wall is the same at every height.
  const name = wall.foot === wall.rim ? `${depth}` : `${z} ${depth}`;
  const section = known.get(name) ?? newSection(wall, z, depth);
  known.set(name, section);
  return section;
}

function newSection(wall: LoftWall, z: number, depth: number): Support {
  if (wall.foot === wall.rim) return inward(wall.foot, depth);
  return mitred(new Section(wall, z / wall.height, depth));
}

/** A level section of a wall between two outlines, at the share `f` of its height. */
class Section implements Support {
  readonly flats: readonly number[];
  // Kept, since distance and slope are asked for one after the other.
  private last = NaN;
  private low = 0;
  private high = 0;

  constructor(
    readonly wall: LoftWall,
    readonly f: number,
    readonly depth: number,
  ) {
    this.flats = mergedFlats(wall.foot, wall.rim);
  }

  h(phi: number): number {
    this.ask(phi);
    const q = (this.high - this.low) / this.wall.height;
    return (1 - this.f) * this.low + this.f * this.high - this.depth * Math.sqrt(1 + q * q);
  }

  slope(phi: number, side: Side): number {
    this.ask(phi);
    const { foot, rim, height } = this.wall;
    const q = (this.high - this.low) / height;
    const atFoot = foot.slope(phi, side);
    const atRim = rim.slope(phi, side);
    const leaned = (this.depth * q * (atRim - atFoot)) / height / Math.sqrt(1 + q * q);
    return (1 - this.f) * atFoot + this.f * atRim - leaned;
  }

  private ask(phi: number): void {
    if (phi === this.last) return;
    this.last = phi;
    this.low = this.wall.foot.h(phi);
    this.high = this.wall.rim.h(phi);
  }
}

/** A wall unrolled: its foot and rim as points in the plane, in pairs along the rulings. Mm. */
export interface UnrolledLoft extends UnrolledPairs {
  readonly stations: readonly Station[];
  /** How far each ruling runs along the level edges (mm): the section's slope at its end minus that at its start. */
  readonly along: readonly number[];
  readonly girthFoot: number;
  readonly girthRim: number;
  readonly area: number;
}

const distance = (one: Point3, other: Point3) =>
  Math.sqrt((one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2 + (one[2] - other[2]) ** 2);

/** The point at the given distances from two points, on the left of the line from the first to the second. */
function apex(
  a: readonly [number, number],
  b: readonly [number, number],
  { fromA, fromB }: { readonly fromA: number; readonly fromB: number },
): readonly [number, number] {
  const base = Math.sqrt((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2);
  const ux = (b[0] - a[0]) / base;
  const uy = (b[1] - a[1]) / base;
  // Measured from the nearer point, so that the error at a needle's tip is at most its own width.
  const nearB = fromB < fromA;
  const [near, far] = nearB ? [fromB, fromA] : [fromA, fromB];
  const off = (near * near - far * far + base * base) / (2 * base);
  const aside = Math.sqrt(Math.max(0, near * near - off * off));
  const along = nearB ? base - off : off;
  return [a[0] + along * ux - aside * uy, a[1] + along * uy + aside * ux];
}

/** Points of a ruled surface in the plane, in pairs along the rulings (mm). */
export interface UnrolledPairs {
  readonly foot: readonly (readonly [number, number])[];
  readonly rim: readonly (readonly [number, number])[];
}

/** Which diagonal a strip between two rulings is folded along: the longer side carries the first triangle. */
export function footFirst(footStep: number, rimStep: number): boolean {
  return footStep >= rimStep;
}

/** Lays pairs of points flat, triangle by triangle: every length along foot, rim, rulings and diagonals is kept. */
export function unrollPairs(lows: readonly Point3[], highs: readonly Point3[]): UnrolledPairs {
  const foot: (readonly [number, number])[] = [[0, 0]];
  const rim: (readonly [number, number])[] = [[0, distance(lows[0] as Point3, highs[0] as Point3)]];
  for (let index = 1; index < lows.length; index += 1) {
    const [l0, l1] = [lows[index - 1], lows[index]] as [Point3, Point3];
    const [h0, h1] = [highs[index - 1], highs[index]] as [Point3, Point3];
    const f0 = foot[index - 1] as readonly [number, number];
    const r0 = rim[index - 1] as readonly [number, number];
    const footStep = distance(l0, l1);
    const rimStep = distance(h0, h1);
    let f1: readonly [number, number];
    let r1: readonly [number, number];
    // Keeps a cone's tip from making a needle of zero width.
    if (footFirst(footStep, rimStep)) {
      f1 = footStep === 0 ? f0 : apex(r0, f0, { fromA: distance(h0, l1), fromB: footStep });
      r1 = rimStep === 0 ? r0 : apex(r0, f1, { fromA: rimStep, fromB: distance(h1, l1) });
    } else {
      r1 = apex(r0, f0, { fromA: rimStep, fromB: distance(l0, h1) });
      f1 = footStep === 0 ? f0 : apex(r1, f0, { fromA: distance(h1, l1), fromB: footStep });
    }
    foot.push(f1);
    rim.push(r1);
  }
  return { foot, rim };
}

/**
 * Where a flat edge at one end of the wall meets a point at the other, a parallel surface turns over slightly at its edge.
 * Points that would run backward are pooled with those before them, at their mean or at the end of the line. The line then
 * only runs forward, and keeps its signed length, which is what Cauchy's integral of the support gives.
 */
function untwisted(line: readonly Point3[], stations: readonly Station[]): readonly Point3[] {
  const count = line.length;
  /** The pools so far: first point and mean of each; a pool ends where the next begins, the last one at the current point. */
  const first = new Int32Array(count);
  const x = new Float64Array(count);
  const y = new Float64Array(count);
  let pools = 0;
  for (let index = 0; index < count; index += 1) {
    const [px, py] = line[index] as Point3;
    first[pools] = index;
    x[pools] = px;
    y[pools] = py;
    pools += 1;
    for (; pools > 1; pools -= 1) {
      const [one, next] = [pools - 2, pools - 1];
      const from = first[next] as number;
      const phi = ((stations[from - 1] as Station).phi + (stations[from] as Station).phi) / 2;
      const [dx, dy] = [(x[next] as number) - (x[one] as number), (y[next] as number) - (y[one] as number)];
      if (dy * Math.cos(phi) - dx * Math.sin(phi) >= 0) break;
      const begin = first[one] as number;
      const share = (index - from + 1) / (index - begin + 1);
      const pinned = begin === 0 ? line[0] : index === count - 1 ? line[index] : undefined;
      x[one] = pinned ? pinned[0] : (x[one] as number) + share * dx;
      y[one] = pinned ? pinned[1] : (y[one] as number) + share * dy;
    }
  }
  if (pools === count) return line;
  const found: Point3[] = [];
  for (let pool = 0; pool < pools; pool += 1) {
    const [from, to] = [first[pool] as number, pool + 1 < pools ? (first[pool + 1] as number) : count];
    const at: Point3 = [x[pool] as number, y[pool] as number, (line[from] as Point3)[2]];
    for (let index = from; index < to; index += 1) found.push(at);
  }
  return found;
}

/** The points at both ends of a wall's rulings, in pairs, and how far each ruling runs along the level edges (mm). */
interface RulingPairs {
  readonly lows: readonly Point3[];
  readonly highs: readonly Point3[];
  readonly along: readonly number[];
}

/** The points of a section at stations, in space (mm). */
function levelLine(
  wall: LoftWall,
  { z, depth, stations }: { readonly z: number; readonly depth: number; readonly stations: readonly Station[] },
): Point3[] {
  const section = sectionAt(wall, z, depth);
  const points: Point3[] = [];
  for (const { phi, side } of stations) {
    const [x, y] = pointAt(section, phi, side);
    points.push([x, y, z]);
  }
  return points;
}

/** The pairs of points along a wall's rulings, `depth` mm inside its outer face, between two heights (mm). */
export function rulingPairs(
  wall: LoftWall,
  span: { from: number; to: number; depth: number },
  stations: readonly Station[],
): RulingPairs {
  const lows = levelLine(wall, { z: span.from, depth: span.depth, stations });
  const highs = levelLine(wall, { z: span.to, depth: span.depth, stations });
  // A section's slope is its point's share along the tangent.
  const along: number[] = [];
  for (let index = 0; index < stations.length; index += 1) {
    const { phi } = stations[index] as Station;
    const [[x0, y0], [x1, y1]] = [lows[index], highs[index]] as [Point3, Point3];
    along.push((y1 - y0) * Math.cos(phi) - (x1 - x0) * Math.sin(phi));
  }
  return { lows: untwisted(lows, stations), highs: untwisted(highs, stations), along };
}

/**
 * Unrolls the surface `depth` mm inside the outer face between two heights, ruling by ruling from the normal `start`
 * (radians). Points with the same normal share one tangent plane, so each strip between two rulings is flat to second
 * order; chords are lengthened to their arcs by the turn of the normal.
 */
export function unrollLoft(
  wall: LoftWall,
  span: { from: number; to: number; depth: number; start: number; sweep?: number; count?: number },
): UnrolledLoft {
  const stations = stationsOf(mergedFlats(wall.foot, wall.rim), span.count ?? UNROLL_STATIONS, {
    start: span.start,
    sweep: span.sweep,
  });
  const { lows, highs, along } = rulingPairs(wall, span, stations);
  let [girthFoot, girthRim, area] = [0, 0, 0];
  for (let index = 1; index < stations.length; index += 1) {
    const [from, to] = [stations[index - 1], stations[index]] as [Station, Station];
    const turn = to.phi - from.phi;
    const arc = turn === 0 ? 1 : turn / 2 / Math.sin(turn / 2);
    const footStep = distance(lows[index - 1] as Point3, lows[index] as Point3);
    const rimStep = distance(highs[index - 1] as Point3, highs[index] as Point3);
    girthFoot += footStep * arc;
    girthRim += rimStep * arc;
    const slope = slopeFactor(wall, (from.phi + to.phi) / 2);
    area += ((footStep + rimStep) / 2) * arc * (span.to - span.from) * slope;
  }
  return { stations, along, ...unrollPairs(lows, highs), girthFoot, girthRim, area };
}

/** Least and greatest lean of a level edge along the wall, degrees, and where. Signed as the wall's slope. */
export function slopeRange(wall: LoftWall): { readonly least: number; readonly greatest: number } {
  const slopes = stationsOf(mergedFlats(wall.foot, wall.rim), 360).map(({ phi }) => degrees(slopeAt(wall, phi)));
  return { least: Math.min(...slopes), greatest: Math.max(...slopes) };
}
