import type { Cut } from '../kind/blank.ts';
import type { Outline } from '../../geometry/outline/outline.ts';
import { mirrored } from '../../geometry/outline/outline.ts';
import type { Lean } from '../../parts/part/lean.ts';
import { leanWord } from '../../parts/part/lean.ts';
import { arcLine } from '../../geometry/outline/arcLine.ts';
import type { Point } from '../../geometry/point.ts';

/** The border of a flat blank in stretches: along the rim, and the two sides of each dart, all in one direction round. */
export interface BlankStretch {
  readonly kind: 'rim' | 'dart-in' | 'dart-out';
  /** Which of the cuts it is a side of. */
  readonly cut?: number;
  readonly points: readonly Point[];
}

/** Divides a border (vertices once round) into rim and dart sides; it begins at a dart where there is one. */
export function stretchesOf(border: readonly number[], cuts: readonly Cut[], uv: Float64Array): BlankStretch[] {
  const place = (vertex: number): Point => [uv[2 * vertex] as number, uv[2 * vertex + 1] as number];
  if (cuts.length === 0) return [{ kind: 'rim', points: [...border, border[0] as number].map(place) }];
  const at = new Map(border.map((vertex, index) => [vertex, index]));
  // The border runs anticlockwise: into a dart along the side that ends at its tip, and out along the other.
  const sides = cuts
    .map(({ left, right }, cut) => {
      const [a, b] = [at.get(left[0] ?? -1) ?? 0, at.get(right[0] ?? -1) ?? 0];
      const tip = at.get(left.at(-1) ?? -1) ?? 0;
      const ahead = (from: number, to: number) => (to - from + border.length) % border.length;
      return ahead(a, tip) < ahead(tip, a) && ahead(a, tip) <= left.length
        ? { cut, mouth: a, into: left, out: [...right].reverse(), end: b }
        : { cut, mouth: b, into: right, out: [...left].reverse(), end: a };
    })
    .sort((one, other) => one.mouth - other.mouth);
  return sides.flatMap(({ cut, into, out, end }, index): BlankStretch[] => {
    const next = sides[(index + 1) % sides.length]?.mouth ?? end;
    const steps = (next - end + border.length) % border.length || border.length;
    const rim = Array.from({ length: steps + 1 }, (_, step) => border[(end + step) % border.length] as number);
    return [
      { kind: 'dart-in', cut, points: into.map(place) },
      { kind: 'dart-out', cut, points: out.map(place) },
      { kind: 'rim', points: rim.map(place) },
    ];
  });
}

/** A stretch's points moved outward by a distance (mm), without those that would be closer to the line than that. */
function movedOut(points: readonly Point[], by: number, ends: 'open' | 'closed'): Point[] {
  const last = points.length - 1;
  const at = (index: number) =>
    points[ends === 'closed' ? (index + last) % last : Math.max(0, Math.min(last, index))] as Point;
  const moved = points.map(([x, y], index): Point => {
    const [p, q] = [at(index - 1), at(index + 1)];
    const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
    const long = Math.hypot(dx, dy) || 1;
    return [x + (by * dy) / long, y - (by * dx) / long];
  });
  return clearOf(moved, points, Math.abs(by) - 0.05);
}

/** Row stride of the cells: more than any blank has. */
const CELLS_UP = 1 << 24;

/** The points that are further than a distance (mm) from all of the others, found by cells of that size. */
function clearOf(points: readonly Point[], others: readonly Point[], distance: number): Point[] {
  if (distance <= 0) return [...points];
  const cell = (value: number) => Math.floor(value / distance);
  const named = (across: number, up: number) => across * CELLS_UP + up;
  const cells = new Map<number, Point[]>();
  for (const other of others) {
    const name = named(cell(other[0]), cell(other[1]));
    const there = cells.get(name);
    if (there) there.push(other);
    else cells.set(name, [other]);
  }
  const around = [-1, 0, 1];
  return points.filter(([u, v]) =>
    around.every((across) =>
      around.every((up) =>
        (cells.get(named(cell(u) + across, cell(v) + up)) ?? []).every(
          ([x, y]) => (u - x) * (u - x) + (v - y) * (v - y) > distance * distance,
        ),
      ),
    ),
  );
}

/** The line from a to b continued beyond b (mm). */
function onward(a: Point, b: Point, by: number): Point {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [b[0] + (by * (b[0] - a[0])) / long, b[1] + (by * (b[1] - a[1])) / long];
}

/** The blank with its margin: the rim moved outward, and the sides of darts run on to meet it. */
export function withMargin(stretches: readonly BlankStretch[], margin: number): BlankStretch[] {
  if (margin === 0) return [...stretches];
  const closed = stretches.length === 1;
  return stretches.map(({ kind, points }, index) => {
    const [first, second] = [points[0] as Point, points[1] as Point];
    const [before, last] = [points.at(-2) as Point, points.at(-1) as Point];
    if (kind === 'dart-in') return { kind, points: [onward(second, first, margin), ...points] };
    if (kind === 'dart-out') return { kind, points: [...points, onward(before, last, margin)] };
    if (closed) {
      const out = movedOut(points.slice(0, -1).concat([first]), margin, 'closed');
      return { kind, points: [...out.slice(0, -1), out[0] as Point] };
    }
    const side = stretches[(index - 1 + stretches.length) % stretches.length]?.points ?? [];
    const next = stretches[(index + 1) % stretches.length]?.points ?? [];
    const start = onward(side.at(-2) as Point, first, margin);
    const end = onward(next[1] as Point, last, margin);
    const middle = movedOut(points, margin, 'open')
      .slice(1, -1)
      .filter((point) => apart(point, start) > margin / 8 && apart(point, end) > margin / 8);
    return { kind, points: [start, ...middle, end] };
  });
}

function apart(one: Point, other: Point): number {
  return Math.hypot(one[0] - other[0], one[1] - other[1]);
}

/** A blank's outline with the leans of its darts, as seen with the inside up. */
export interface BlankLine {
  readonly outline: Outline;
  readonly underside: Outline;
  readonly leans: readonly Lean[];
}

/**
 * The line that a knife follows: arcs and straight pieces within a tenth of a millimetre of the flattened border. Each dart
 * leans as a seam does, one side under the other.
 *
 * @param lean degrees from straight down of a dart's sides, 0 for a butt join
 * @param thickness of the slab (mm), which the lean runs through
 */
export function blankLine(stretches: readonly BlankStretch[], lean: number, thickness: number): BlankLine {
  const run = thickness * Math.tan((lean * Math.PI) / 180);
  const shifted = stretches.map(({ kind, points }): readonly Point[] => {
    if (kind === 'rim' || run === 0) return points;
    // Both sides lean the same way through the slab; towards the tip the lean runs out.
    const by = kind === 'dart-in' ? -run : run;
    const tip = (kind === 'dart-in' ? points.at(-1) : points[0]) as Point;
    const moved = movedAlong(points, by);
    return moved.map((point, index): Point => {
      const from = points[index] as Point;
      const share = Math.min(1, apart(from, tip) / (2 * run));
      return [from[0] + share * (point[0] - from[0]), from[1] + share * (point[1] - from[1])];
    });
  });
  const outline: Outline[number][] = [];
  const underside: Outline[number][] = [];
  const leans: Lean[] = [];
  stretches.forEach(({ kind, points }, index) => {
    const from = outline.length;
    outline.push(...arcLine(points));
    const under = shifted[index] as readonly Point[];
    const next = shifted[(index + 1) % shifted.length]?.[0];
    // The rim's underside runs between the ends of the moved sides.
    const before = shifted[(index - 1 + shifted.length) % shifted.length]?.at(-1);
    const whole =
      kind === 'rim' && stretches.length > 1 && next && before ? [before, ...under.slice(1, -1), next] : under;
    underside.push(...arcLine(whole));
    if (kind !== 'rim' && lean !== 0) {
      const signed = kind === 'dart-in' ? -lean : lean;
      leans.push({
        edge: kind === 'dart-in' ? 'dart-left' : 'dart-right',
        from,
        to: outline.length,
        lean: signed,
        word: leanWord(signed),
      });
    }
  });
  return { outline, underside, leans: leans.map((one) => ({ ...one, to: one.to % outline.length })) };
}

function movedAlong(points: readonly Point[], by: number): Point[] {
  const last = points.length - 1;
  return points.map(([x, y], index): Point => {
    const [p, q] = [points[Math.max(0, index - 1)], points[Math.min(last, index + 1)]] as [Point, Point];
    const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
    const long = Math.hypot(dx, dy) || 1;
    return [x + (by * dy) / long, y - (by * dx) / long];
  });
}

/** A dart's side by its name when it is seen from the other face. */
const OTHER_SIDE: Partial<Record<Lean['edge'], Lean['edge']>> = {
  'dart-left': 'dart-right',
  'dart-right': 'dart-left',
};

/** The same line seen from the other face: mirrored, leans reversed. */
export function turnedOver({ outline, underside, leans }: BlankLine): BlankLine {
  const count = outline.length;
  const turnedAt = (index: number) => (count - (index % count)) % count;
  return {
    outline: mirrored(outline),
    underside: mirrored(underside),
    leans: leans.map((one) => ({
      ...one,
      edge: OTHER_SIDE[one.edge] ?? one.edge,
      from: turnedAt(one.to),
      to: turnedAt(one.from),
      lean: -one.lean,
      word: leanWord(-one.lean),
    })),
  };
}
