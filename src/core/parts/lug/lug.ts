import { degrees, LENGTH_TOLERANCE } from '../../numbers.ts';
import { area, mirrored, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import { pointAt, stationsOf, type Station } from '../../geometry/outline/stations.ts';
import type { Support } from '../../geometry/outline/support.ts';
import { leanWord, turnedLean, type Lean } from '../part/lean.ts';
import type { Face } from '../../target/face.ts';
import type { Part } from '../part/part.ts';

/** Stations in the half turn that faces a lug. */
const STATIONS = 48;

/** Ends closer than this count as one (mm). */
const ONE = 1e-9;

/** A place on the wall in a lug's frame: x along the wall, to the right when looking outward; y outward. */
interface Seen {
  readonly x: number;
  readonly y: number;
  readonly phi: number;
}

/** Points of a plan in the frame of a lug at `origin` that faces along phi. */
function seenFrom(phi: number, origin: readonly [number, number]) {
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
  return ([px, py]: readonly [number, number], at: number): Seen => {
    const [dx, dy] = [px - origin[0], py - origin[1]];
    return { x: dx * sin - dy * cos, y: dx * cos + dy * sin, phi: at };
  };
}

/** The point with a given x between two neighbours on the wall: along a flat, or by its normal on a curve. */
function placeAt(
  x: number,
  { from, to, onCurve }: { readonly from: Seen; readonly to: Seen; readonly onCurve: (phi: number) => Seen },
): Seen {
  if (Math.abs(to.phi - from.phi) < ONE) {
    const share = (x - from.x) / (to.x - from.x);
    return { x, y: from.y + share * (to.y - from.y), phi: from.phi };
  }
  let [low, high] = [from.phi, to.phi];
  for (let step = 0; step < 50; step += 1) {
    const middle = (low + high) / 2;
    if (onCurve(middle).x > x) low = middle;
    else high = middle;
  }
  return { ...onCurve((low + high) / 2), x };
}

/** The wall's outline from x = -half to half in a lug's frame; null where the wall is not as wide as that. */
function joinLine(
  plan: Support,
  { phi, half, origin }: { readonly phi: number; readonly half: number; readonly origin: readonly [number, number] },
): Seen[] | null {
  const see = seenFrom(phi, origin);
  const at = (normal: number, side: Station['side']) => see(pointAt(plan, normal, side), normal);
  // x falls as the normal rises.
  const all = stationsOf(plan.flats, 2 * STATIONS, { start: phi - Math.PI / 2, sweep: Math.PI }).map((one) =>
    at(one.phi, one.side),
  );
  const [first, last] = [all[0], all.at(-1)];
  if (!first || !last || first.x < half || last.x > -half) return null;
  const on = (normal: number) => at(normal, 'middle');
  const cut = (x: number) => {
    const index = Math.max(
      1,
      all.findIndex((place) => place.x <= x),
    );
    return placeAt(x, { from: all[index - 1] as Seen, to: all[index] as Seen, onCurve: on });
  };
  // A circle is one arc.
  const round = plan.flats.length === 0 && [1, 2.5].every((turn) => Math.abs(plan.h(phi + turn) - plan.h(phi)) < ONE);
  if (round) return [cut(-half), cut(half)];
  const between = all.filter(({ x }) => x < half - ONE && x > -half + ONE);
  const line = [cut(half), ...between, cut(-half)].reverse();
  // A corner has many normals: take the last, from which the line continues.
  return line.filter(({ x, y }, index) => {
    const next = line[index + 1];
    return !next || Math.hypot(next.x - x, next.y - y) > LENGTH_TOLERANCE;
  });
}

/** The outline of an ear on a line: straight sides, and round where it stands out. */
function earOutline(line: readonly Seen[], half: number, out: number): Outline {
  const found: Vertex[] = line.map(({ x, y, phi }, index) => {
    const next = line[index + 1];
    return [x, y, next ? -Math.tan(Math.abs(next.phi - phi) / 4) : 0];
  });
  const radius = Math.min(half, out);
  const quarter = Math.tan(Math.PI / 8);
  const outer: Vertex[] = [
    [half, out - radius, quarter],
    [half - radius, out, 0],
    [radius - half, out, quarter],
    [-half, out - radius, 0],
  ];
  const apart = ([ax, ay]: Vertex, [bx, by]: Vertex) => Math.hypot(ax - bx, ay - by) > LENGTH_TOLERANCE;
  for (const vertex of outer) {
    const last = found.at(-1);
    if (last && !apart(last, vertex)) found.pop();
    found.push(vertex);
  }
  const [start] = found;
  if (start && !apart(found.at(-1) as Vertex, start)) found.pop();
  return found;
}

/** A lug as it is cut. Wet mm. */
export interface CutLug {
  /** Level outlines of the wall at its upper and under face. */
  readonly upper: Support;
  readonly under: Support;
  /** The direction that it faces (radians). */
  readonly phi: number;
  readonly width: number;
  readonly out: number;
  readonly thickness: number;
  readonly faceUp: Face;
}

/** A lug in its own frame: x along the wall, to the right when looking outward; y outward from `origin` on the wall. */
export interface LugFigures {
  readonly part: Part;
  readonly upper: Outline;
  readonly under: Outline;
  readonly origin: readonly [number, number];
}

/** The template of a lug, hollowed to the wall that it stands on; null where the wall is not as wide as the lug. */
export function cutLug({ upper, under, phi, width, out, thickness, faceUp }: CutLug): LugFigures | null {
  const half = width / 2;
  const [ax, ay] = pointAt(upper, phi, 'before');
  const [bx, by] = pointAt(upper, phi, 'after');
  const origin = [(ax + bx) / 2, (ay + by) / 2] as const;
  const [above, below] = [joinLine(upper, { phi, half, origin }), joinLine(under, { phi, half, origin })];
  if (!above || !below) return null;
  const faces = { upper: earOutline(above, half, out), under: earOutline(below, half, out) };
  if (!(out > Math.max(...[...above, ...below].map(({ y }) => y)))) return null;
  const inset = upper.h(phi) - under.h(phi);
  const lean = degrees(Math.atan2(inset, thickness));
  const seen = faceUp === 'inside' ? lean : turnedLean(lean);
  const outside = faceUp === 'outside';
  const outline = outside ? mirrored(faces.under) : faces.upper;
  // Turned over, the outline begins with the other end of the edge that is joined.
  const [from, to] = outside ? [outline.length - below.length + 1, 0] : [0, above.length - 1];
  const join: Lean = { edge: 'foot', from, to, lean: seen, word: leanWord(seen) };
  return {
    part: {
      id: 'lug',
      role: 'lug',
      name: 'Lug',
      count: 2,
      thickness,
      faceUp,
      outline,
      underside: outside ? mirrored(faces.upper) : faces.under,
      leans: [join],
      marks: [],
      volume: ((area(faces.upper) + area(faces.under)) / 2) * thickness,
    },
    ...faces,
    origin,
  };
}
