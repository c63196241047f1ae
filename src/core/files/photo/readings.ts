import { planOf } from '../drawn/drawnPlans.ts';
import type { DrawnPlan } from '../../target/plan.ts';
import { hull } from '../../geometry/outline/hull.ts';
import { edges, moved, bounds, type Outline } from '../../geometry/outline/outline.ts';
import { pointsOf } from '../../forms/bentSheet/sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import { solveLinear } from '../screen/homography.ts';
import type { Pixel } from './image.ts';

/** Readings of a traced outline (mm, sweep in degrees), each with its greatest deviation. */
export interface PhotoReadings {
  readonly cutter: { readonly diameter: number; readonly off: number } | null;
  readonly arc: { readonly inner: number; readonly outer: number; readonly sweep: number; readonly off: number } | null;
  /** The outline of a rim or foot, or why no wall stands on it. */
  readonly plan: DrawnPlan | string;
  readonly sheet: Pick<SheetForm, 'outline' | 'holes'>;
}

/** An outline that deviates by more is not a circle or arc template (mm). */
const NEAR = 1;

/** Spacing of the points that a figure is fitted to (mm). */
const STEP = 1;

/** Pieces of an arc template: what turns more than this (rad) within a few mm is a corner. */
const CORNER = 0.6;

interface Circle {
  readonly middle: Pixel;
  readonly radius: number;
}

const far = ([x, y]: Pixel, [u, v]: Pixel) => Math.hypot(x - u, y - v);
const most = (all: readonly number[]) => all.reduce((greatest, one) => Math.max(greatest, one), 0);
const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length);

/** The circle through points by least squares of its equation (Kasa 1976), about their middle, so that a flat arc far away is found too. */
function circleOf(points: readonly Pixel[]): Circle | null {
  const [mx, my] = [0, 1].map((axis) => mean(points.map((point) => point[axis] as number))) as [number, number];
  const size = most(points.map((point) => far(point, [mx, my])));
  const rows = [0, 1, 2].map(() => [0, 0, 0, 0]);
  for (const point of points) {
    const [x, y] = [(point[0] - mx) / size, (point[1] - my) / size];
    const own = [x, y, 1, x * x + y * y];
    for (let row = 0; row < 3; row += 1)
      for (let column = 0; column < 4; column += 1)
        (rows[row] as number[])[column] =
          ((rows[row] as number[])[column] as number) + (own[row] as number) * (own[column] as number);
  }
  const [a = 0, b = 0, c = 0] = solveLinear(rows) ?? [];
  const square = c + (a / 2) ** 2 + (b / 2) ** 2;
  return square > 0 ? { middle: [mx + (size * a) / 2, my + (size * b) / 2], radius: size * Math.sqrt(square) } : null;
}

function cutterOf(outline: Outline): PhotoReadings['cutter'] {
  const points = pointsOf(outline, STEP);
  const circle = circleOf(points);
  if (!circle) return null;
  const off = most(points.map((point) => Math.abs(far(point, circle.middle) - circle.radius)));
  return off <= NEAR ? { diameter: 2 * circle.radius, off } : null;
}

/** The four sides of an outline between its four sharpest corners, in order round; null where it has not four. */
function foursides(outline: Outline): Pixel[][] | null {
  const points = pointsOf(outline, STEP);
  const count = points.length;
  const by = 4;
  if (count < 8 * by) return null;
  const turns = points.map((at, index) => {
    const [before, after] = [points[(index + count - by) % count] as Pixel, points[(index + by) % count] as Pixel];
    const [ax, ay, bx, by1] = [at[0] - before[0], at[1] - before[1], after[0] - at[0], after[1] - at[1]];
    return Math.atan2(ax * by1 - ay * bx, ax * bx + ay * by1);
  });
  const corners: number[] = [];
  for (const index of turns
    .map((_, at) => at)
    .sort((one, other) => (turns[other] as number) - (turns[one] as number))) {
    if ((turns[index] as number) < CORNER || corners.length === 4) break;
    if (corners.every((one) => Math.min(Math.abs(one - index), count - Math.abs(one - index)) > 2 * by))
      corners.push(index);
  }
  if (corners.length < 4) return null;
  const ends = corners.sort((one, other) => one - other);
  // A place or two at each corner belong to neither side.
  return ends.map((from, side) => {
    const to = ends[(side + 1) % 4] as number;
    const long = (to - from + count) % count;
    return Array.from({ length: Math.max(0, long - 3) }, (_, at) => points[(from + 2 + at) % count] as Pixel);
  });
}

/** An arc template: middle, outer and inner radius, and the directions of its ends (rad). */
type Arc = readonly [x: number, y: number, outer: number, inner: number, left: number, right: number];
type ArcSides = Readonly<Record<'outer' | 'inner' | 'left' | 'right', readonly Pixel[]>>;

/** Distances of the places of each side from a template (mm). */
function arcOffs(sides: ArcSides, [x, y, outer, inner, left, right]: Arc): number[] {
  const round = (side: readonly Pixel[], radius: number) => side.map((point) => far(point, [x, y]) - radius);
  const straight = (side: readonly Pixel[], at: number) =>
    side.map(([u, v]) => (v - y) * Math.cos(at) - (u - x) * Math.sin(at));
  return [
    ...round(sides.outer, outer),
    ...round(sides.inner, inner),
    ...straight(sides.left, left),
    ...straight(sides.right, right),
  ];
}

/** Steps by which slopes are found: of places and radii, and of angles. */
const SLOPE_STEP = { mm: 1e-3, radians: 1e-6 } as const;

/** The template closest to all sides together, by Gauss-Newton steps from a first one. */
function fitted(sides: ArcSides, first: Arc): Arc {
  let arc = [...first];
  for (let step = 0; step < 6; step += 1) {
    const offs = arcOffs(sides, arc as unknown as Arc);
    const slopes = arc.map((value, at) => {
      const by = at < 4 ? SLOPE_STEP.mm : SLOPE_STEP.radians;
      const moved = arcOffs(sides, arc.map((one, other) => (other === at ? value + by : one)) as unknown as Arc);
      return moved.map((off, index) => (off - (offs[index] as number)) / by);
    });
    const dot = (one: readonly number[], other: readonly number[]) =>
      one.reduce((sum, value, at) => sum + value * (other[at] as number), 0);
    const moves = solveLinear(slopes.map((one) => [...slopes.map((other) => dot(one, other)), -dot(one, offs)]));
    if (!moves) break;
    arc = arc.map((value, at) => value + (moves[at] as number));
  }
  return arc as unknown as Arc;
}

/** Two sides that face one another are arcs about one middle, the others lie on its radii. */
function arcOf(outline: Outline): PhotoReadings['arc'] {
  const sides = foursides(outline);
  if (!sides || sides.some((side) => side.length < 4)) return null;
  const found = [0, 1].flatMap((first) => {
    const [one, end, other, start] = [0, 1, 2, 3].map((step) => sides[(first + step) % 4] as Pixel[]) as [
      Pixel[],
      Pixel[],
      Pixel[],
      Pixel[],
    ];
    const long = one.length >= other.length ? one : other;
    const circle = circleOf(long);
    if (!circle) return [];
    const { middle } = circle;
    const radius = (side: readonly Pixel[]) => mean(side.map((point) => far(point, middle)));
    const [outer, inner] = [radius(long), radius(long === one ? other : one)];
    if (inner >= outer) return [];
    // Angles from the middle of the long side, so that none runs over the half turn.
    const [mx, my] = long[long.length >> 1] as Pixel;
    const zero = Math.atan2(my - middle[1], mx - middle[0]);
    const angle = ([x, y]: Pixel) => {
      const turned = Math.atan2(y - middle[1], x - middle[0]) - zero;
      return Math.atan2(Math.sin(turned), Math.cos(turned));
    };
    const all = { outer: long, inner: long === one ? other : one, left: end, right: start };
    const found = fitted(all, [
      middle[0],
      middle[1],
      outer,
      inner,
      zero + mean(end.map(angle)),
      zero + mean(start.map(angle)),
    ]);
    const off = most(arcOffs(all, found).map(Math.abs));
    const [, , wide, narrow, left, right] = found;
    // Straight sides taken for arcs may give no finite template.
    if (!found.every(Number.isFinite)) return [];
    return [{ inner: narrow, outer: wide, sweep: (Math.abs(left - right) * 180) / Math.PI, off }];
  });
  const [best] = found.sort((one, other) => one.off - other.off);
  // A straight card is an arc of a very long radius.
  return best && best.off <= NEAR && best.sweep > 3 ? best : null;
}

/** An outline turned about the origin (rad). */
function turnedBy(outline: Outline, turn: number): Outline {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return outline.map(([x, y, bulge]) => [x * cos - y * sin, x * sin + y * cos, bulge] as const);
}

/** The turn (rad) by which the least box round an outline lies square, its longer side along x: one of its sides lies along the hull. */
function turnToSquare(outline: Outline): number {
  const corners = hull(pointsOf(outline, STEP));
  const boxes = corners.map(([x, y], index) => {
    const [u, v] = corners[(index + 1) % corners.length] as Pixel;
    const turn = -Math.atan2(v - y, u - x);
    const { minX, minY, maxX, maxY } = bounds(turnedBy(outline, turn));
    const [wide, high] = [maxX - minX, maxY - minY];
    return { area: wide * high, turn: wide >= high ? turn : turn + Math.PI / 2 };
  });
  const least = boxes.reduce((best, box) => (box.area < best.area ? box : best), boxes[0] ?? { area: 0, turn: 0 });
  // The smaller rotation, so that an almost square outline is hardly turned.
  return Math.atan(Math.tan(least.turn));
}

/** The readings of a traced outline. */
export function photoReadings(traced: Outline, tracedHoles: readonly Outline[]): PhotoReadings {
  // It may be at an angle on the paper: its longer side is turned along x.
  const turn = turnToSquare(traced);
  const [outline, holes] = [turnedBy(traced, turn), tracedHoles.map((hole) => turnedBy(hole, turn))];
  const { minX, minY, maxX, maxY } = bounds(outline);
  const [dx, dy] = [-(minX + maxX) / 2, -(minY + maxY) / 2];
  const sheet = {
    outline: moved(outline, dx, dy),
    ...(holes.length > 0 && { holes: holes.map((hole) => moved(hole, dx, dy)) }),
  };
  const whole = holes.length === 0 && edges(outline).length > 1;
  return { cutter: whole ? cutterOf(outline) : null, arc: whole ? arcOf(outline) : null, plan: planOf(outline), sheet };
}
