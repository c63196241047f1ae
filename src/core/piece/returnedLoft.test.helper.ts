import { forward } from '../geometry/outline/forward.ts';
import { edgeAt, vertexAt, type Outline, type Vertex } from '../geometry/outline/outline.ts';
import { once } from '../numbers.ts';
import type { DrawnPlan, PlanOutline } from '../target/plan.ts';
import { stationsOf } from '../geometry/outline/stations.ts';
import { mergedFlats } from '../geometry/outline/derived.ts';
import { raise, standingBody } from '../raise/raise.ts';
import { develop } from './develop.ts';
import { wallOf } from '../forms/loft/loft.ts';
import { footMeasuredAt, leanOf, wetOf, type Returned } from './returned.test.helper.ts';
import type { LoftForm, Target } from '../target/target.ts';
import type { Point, Point3 } from '../geometry/point.ts';

/** How far one side of a drawn outline reaches towards a direction: to an end of it, or to its arc where that looks there. */
function arcReach([x, y, bulge]: Vertex, [u, v]: Vertex, phi: number): number {
  const ends = Math.max(x * Math.cos(phi) + y * Math.sin(phi), u * Math.cos(phi) + v * Math.sin(phi));
  if (bulge < 1e-9) return ends;
  const chord = Math.hypot(u - x, v - y);
  const radius = (chord * (1 + bulge * bulge)) / (4 * bulge);
  const looks = Math.atan2(v - y, u - x) - Math.PI / 2;
  const off = Math.abs(Math.atan2(Math.sin(phi - looks), Math.cos(phi - looks)));
  if (off > 2 * Math.atan(bulge)) return ends;
  const deep = radius - (bulge * chord) / 2;
  const [cx, cy] = [(x + u) / 2 - deep * Math.cos(looks), (y + v) / 2 - deep * Math.sin(looks)];
  return cx * Math.cos(phi) + cy * Math.sin(phi) + radius;
}

/** Directions in which a drawn outline is cut smaller, beside those of its straight sides. */
const CUTS = 360;

/** The points that lie inside a drawn outline by its corner radius or more: the plane, cut off once for each direction. */
const shrunk = once(({ points, corner }: DrawnPlan): readonly Point[] => {
  const reach = (phi: number) =>
    Math.max(...points.map((vertex, index) => arcReach(vertex, vertexAt(points, index + 1), phi)));
  let left: Point[] = [
    [-1e4, -1e4],
    [1e4, -1e4],
    [1e4, 1e4],
    [-1e4, 1e4],
  ];
  const straight = points.map(([x, y], index) => {
    const [u, v] = vertexAt(points, index + 1);
    return Math.atan2(v - y, u - x) - Math.PI / 2;
  });
  for (const phi of [...straight, ...Array.from({ length: CUTS }, (_, cut) => (2 * Math.PI * cut) / CUTS)]) {
    const [cos, sin, most] = [Math.cos(phi), Math.sin(phi), reach(phi) - corner];
    const over = left.map(([x, y]) => x * cos + y * sin - most);
    if (!over.some((by) => by > 0)) continue;
    left = left.flatMap(([x, y], index): Point[] => {
      const next = (index + 1) % left.length;
      const [a, b] = [over[index] as number, over[next] as number];
      const [u, v] = left[next] as Point;
      const crossing: Point[] = a > 0 !== b > 0 ? [[x + (a / (a - b)) * (u - x), y + (a / (a - b)) * (v - y)]] : [];
      return a > 0 ? crossing : [[x, y], ...crossing];
    });
  }
  return left;
});

/** Distance from the middle to the tangent of a plan outline, straight from what it is. */
export function reachOf(plan: PlanOutline, phi: number): number {
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
  const [x, y] = plan.at ?? [0, 0];
  const own = () => {
    switch (plan.kind) {
      case 'circle':
        return plan.diameter / 2;
      case 'ellipse':
        return Math.hypot((plan.length / 2) * cos, (plan.width / 2) * sin);
      case 'rounded': {
        const { length, width, corner: r } = plan;
        return r + (length / 2 - r) * Math.abs(cos) + (width / 2 - r) * Math.abs(sin);
      }
      case 'polygon': {
        const step = (2 * Math.PI) / plan.sides;
        const reach = (plan.acrossFlats / 2 - plan.corner) / Math.cos(step / 2);
        const corners = Array.from({ length: plan.sides }, (_, index) => reach * Math.cos(phi - (index + 0.5) * step));
        return plan.corner + Math.max(...corners);
      }
      case 'drawn':
        return (
          shrunk(plan).reduce((far, [px, py]) => Math.max(far, px * cos + py * sin), -Infinity) +
          plan.corner +
          (plan.grow ?? 0)
        );
    }
  };
  return own() + x * cos + y * sin;
}

/** How far points reach towards a direction. */
const reaching = (points: readonly Point3[], phi: number) =>
  points.reduce((far, [x, y]) => Math.max(far, x * Math.cos(phi) + y * Math.sin(phi)), -Infinity);

/** Straight lines that a lofted wall is folded along, once round, and those at which it is measured afterwards. */
const RULINGS = 240;
const MEASURED = 16;

/** Straight lines by which its flat face is drawn, to be laid on the traced line. */
const DRAWN = 600;

const sidesOf = once((outline: Outline) => outline.map((_, index) => edgeAt(outline, index)));

/** Distance from a point to a traced line (mm). */
function offLine(outline: Outline, [x, y]: Point): number {
  return sidesOf(outline).reduce((least, { from: [x0, y0], to: [x1, y1], centre, radius }) => {
    const [u, v] = [x1 - x0, y1 - y0];
    const share = ((x - x0) * u + (y - y0) * v) / (u * u + v * v);
    if (share < 0 || share > 1) return Math.min(least, Math.hypot(x - x0, y - y0), Math.hypot(x - x1, y - y1));
    const off = centre
      ? Math.hypot(x - centre[0], y - centre[1]) - radius
      : ((x - x0) * v - (y - y0) * u) / Math.hypot(u, v);
    return Math.min(least, Math.abs(off));
  }, Infinity);
}

/** A line turned and moved so that it runs from one point to another. */
function laidOn(line: readonly Point3[], from: Point, to: Point): Point[] {
  const [[x0, y0], [x1, y1]] = [line[0] as Point3, line.at(-1) as Point3];
  const turn = Math.atan2(to[1] - from[1], to[0] - from[0]) - Math.atan2(y1 - y0, x1 - x0);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return line.map(([x, y]) => [from[0] + (x - x0) * cos - (y - y0) * sin, from[1] + (x - x0) * sin + (y - y0) * cos]);
}

/** Only every so many points of a line are laid on the traced one. */
const EVERY = 24;

/** A line with the loops taken out that it runs where it turns on less than it was moved in: no clay lies in them. */
function withoutLoops(line: readonly Point[]): Point[] {
  const at = (index: number) => line[Math.max(0, Math.min(line.length - 1, index))] as Point;
  const directions = line.map((_, index): Point => {
    const [[x, y], [u, v]] = [at(index - EVERY), at(index + EVERY)];
    return [u - x, v - y];
  });
  return forward(line, directions) as Point[];
}

/**
 * How far a loft's flat walls that will be folded up are from the parts as they are cut (mm): the foot and the rim of the face
 * that lies up, laid on the traced line by their ends. The seam is cut square, since a bevel moves both ends of a face alike.
 */
export function strayed(target: Target): number {
  const square: Target = { ...target, seam: { kind: 'butt', panels: target.seam.panels } };
  const { parts } = develop(square);
  const { faceUp } = target.slab;
  const off = raise(standingBody(square, DRAWN), 0).flatMap(({ part, ribbons }) => {
    const cut = parts.find(({ id }) => id === part);
    const face = ribbons.find((one) => one.face === faceUp);
    if (!cut || !face || part === 'base') return [];
    const [foot, rim] = faceUp === 'inside' ? [face.other, face.one] : [face.one, face.other];
    return (
      [
        [foot, leanOf(cut, 'foot')],
        [rim, leanOf(cut, 'rim')],
      ] as const
    ).flatMap(([line, { edge, from, to }]) => {
      const ends = [vertexAt(cut.outline, from), vertexAt(cut.outline, to)].map(([x, y]): Point => [x, y]);
      // The outline runs along the foot and back along the rim; with the inside up both turn round.
      const forward = (edge === 'foot') === (faceUp === 'outside');
      const [first, last] = (forward ? ends : ends.reverse()) as [Point, Point];
      return withoutLoops(laidOn(line, first, last))
        .filter((_, index) => index % EVERY === 0)
        .map((at) => offLine(cut.outline, at));
    });
  });
  return off.length > 0 ? Math.max(...off) : NaN;
}

/**
 * The neutral surface of the flat parts, folded up without stretching, and half a slab laid outside or inside of it: every
 * tangent plane moves out along its own normal. `rolled` is the thickness of the slab that is used (mm).
 */
export function returnedLoft(target: Target, form: LoftForm, rolled = target.slab.wall): Returned[] {
  const wet = wetOf(target);
  const k = target.slab.neutralFraction;
  const walls = raise(standingBody(target, RULINGS), 1).flatMap(({ neutral }) => neutral ?? []);
  const [feet, rims] = [walls.flatMap(({ foot }) => foot), walls.flatMap(({ rim }) => rim)];
  const [from, to] = [feet[0]?.[2] ?? NaN, rims[0]?.[2] ?? NaN];
  const out = target.size.face === 'outside' ? (1 - k) * rolled : -k * rolled;
  const wall = wallOf(target);
  // Measured where a ruling stands, its tangent touches the folded wall in a corner of it, which is exact.
  const stations = stationsOf(mergedFlats(wall.foot, wall.rim), RULINGS, {
    start: 0,
    sweep: (2 * Math.PI) / target.seam.panels,
  });
  const directions = stations.filter((_, index) => index % (RULINGS / MEASURED) === 0).map(({ phi }) => phi);
  // Outlines of one kind go on under the floor; of others only the length and width of the floor are as asked (finished.test).
  const alike =
    form.rim.kind === form.foot.kind &&
    form.rim.kind !== 'ellipse' &&
    form.rim.kind !== 'drawn' &&
    !(form.rim.kind === 'polygon' && form.foot.kind === 'polygon' && form.rim.sides !== form.foot.sides);
  const measuredAt = footMeasuredAt(target);
  const measured = alike || measuredAt === 0;
  const around = directions.flatMap((phi): Returned[] => {
    const [low, high] = [reaching(feet, phi), reaching(rims, phi)];
    const rise = (high - low) / (to - from);
    const moved = out * Math.hypot(1, rise);
    return [
      { what: `rim towards ${phi.toFixed(1)}`, asked: reachOf(form.rim, phi), got: (high + moved) / wet },
      ...(measured
        ? [
            {
              what: `foot towards ${phi.toFixed(1)}`,
              asked: reachOf(form.foot, phi),
              got: (low + (measuredAt - from) * rise + moved) / wet,
            },
          ]
        : []),
    ];
  });
  return [{ what: 'height', asked: form.height, got: to / wet }, ...around];
}
