import { POINT_TOLERANCE, remembered, TAU } from '../numbers.ts';
import { circle, ellipse, NORMAL_TOLERANCE, roundedPolygon, turned, withHeights, type Support } from './support.ts';

/** A plan outline in the file: sizes in mm, `at` its centre, polygons with one side square to the x axis. */
export type PlanOutline =
  | { readonly kind: 'circle'; readonly diameter: number; readonly at?: readonly [number, number] }
  | {
      readonly kind: 'ellipse';
      readonly length: number;
      readonly width: number;
      readonly at?: readonly [number, number];
    }
  | {
      readonly kind: 'rounded';
      readonly length: number;
      readonly width: number;
      readonly corner: number;
      readonly at?: readonly [number, number];
    }
  | {
      readonly kind: 'polygon';
      readonly sides: number;
      readonly acrossFlats: number;
      readonly corner: number;
      readonly at?: readonly [number, number];
    };

export const PLAN_KINDS: readonly PlanOutline['kind'][] = ['circle', 'ellipse', 'rounded', 'polygon'];

function movedSupport(shape: Support, [x, y]: readonly [number, number]): Support {
  if (x === 0 && y === 0) return shape;
  return {
    h: (phi) => shape.h(phi) + x * Math.cos(phi) + y * Math.sin(phi),
    slope: (phi, side) => shape.slope(phi, side) - x * Math.sin(phi) + y * Math.cos(phi),
    flats: shape.flats,
    ...pointed(shape, (phi, [px, py]) => [px + x, py + y]),
  };
}

/** The known points of an outline, moved; nothing where they are not known. */
function pointed(
  { point }: Support,
  moved: (phi: number, at: readonly [number, number]) => readonly [number, number],
): Pick<Support, 'point'> {
  return point ? { point: (phi) => moved(phi, point(phi)) } : {};
}

function polygonCorners(sides: number, apothem: number): (readonly [number, number])[] {
  const reach = apothem / Math.cos(Math.PI / sides);
  return Array.from({ length: sides }, (_, index) => {
    const angle = (TAU * (index + 0.5)) / sides;
    return [reach * Math.cos(angle), reach * Math.sin(angle)] as const;
  });
}

/** Adds `extra` mm to the outline all round (negative: takes away), keeping its centre: sizes measured over another face. */
export function grownPlan(plan: PlanOutline, factor: number, extra = 0): PlanOutline {
  const at = plan.at && ([plan.at[0] * factor, plan.at[1] * factor] as const);
  const size = (value: number) => value * factor + 2 * extra;
  switch (plan.kind) {
    case 'circle':
      return { ...plan, diameter: size(plan.diameter), at };
    case 'ellipse':
      return { ...plan, length: size(plan.length), width: size(plan.width), at };
    case 'rounded':
      return { ...plan, length: size(plan.length), width: size(plan.width), corner: plan.corner * factor + extra, at };
    case 'polygon':
      return { ...plan, acrossFlats: size(plan.acrossFlats), corner: plan.corner * factor + extra, at };
  }
}

/** The support function of a plan outline. */
export function supportOf(plan: PlanOutline): Support {
  const at = plan.at ?? [0, 0];
  switch (plan.kind) {
    case 'circle':
      return movedSupport(circle(plan.diameter / 2), at);
    case 'ellipse':
      return movedSupport(ellipse(plan.length / 2, plan.width / 2), at);
    case 'rounded': {
      const x = plan.length / 2 - plan.corner;
      const y = plan.width / 2 - plan.corner;
      return movedSupport(roundedPolygon([[x, y], [-x, y], [-x, -y], [x, -y]], plan.corner), at); // prettier-ignore
    }
    case 'polygon':
      return movedSupport(
        roundedPolygon(polygonCorners(plan.sides, plan.acrossFlats / 2 - plan.corner), plan.corner),
        at,
      );
  }
}

/** The point of an outline with outward normal phi, from one side of a flat edge: `h n + h' n_perp` (mm). */
export function pointAt(shape: Support, phi: number, side: Station['side']): readonly [number, number] {
  if (shape.point) return shape.point(phi);
  const h = shape.h(phi);
  const slope = slopeOf(shape, { phi, side });
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
  return [h * cos - slope * sin, h * sin + slope * cos];
}

/** The same outline that works each normal out only once: the same stations are asked for again and again. */
export function rememberedSupport(shape: Support): Support {
  const heights = new Map<number, number>();
  const slopes = { before: new Map<number, number>(), after: new Map<number, number>() };
  const points = new Map<number, readonly [number, number]>();
  const once = <T>(known: Map<number, T>, phi: number, work: () => T): T => {
    const found = known.get(phi);
    if (found !== undefined) return found;
    const value = work();
    known.set(phi, value);
    return value;
  };
  return {
    flats: shape.flats,
    h: (phi) => once(heights, phi, () => shape.h(phi)),
    slope: (phi, side) => once(slopes[side], phi, () => shape.slope(phi, side)),
    ...(shape.point && { point: (phi: number) => once(points, phi, () => pointAt(shape, phi, 'after')) }),
  };
}

/** The outline moved inward by d mm (negative: outward): `h - d`, corners sharper than d staying sharp. */
export function inward(shape: Support, d: number): Support {
  if (d === 0) return shape;
  const moved = withHeights(shape, (phi) => shape.h(phi) - d);
  return mitred({ ...moved, ...pointed(shape, (phi, [x, y]) => [x - d * Math.cos(phi), y - d * Math.sin(phi)]) });
}

/** Where the lines of two tangents meet (mm). */
function crossing(shape: Support, one: number, other: number): readonly [number, number] {
  const [h, g] = [shape.h(one), shape.h(other)];
  const sine = Math.sin(other - one);
  return [(h * Math.sin(other) - g * Math.sin(one)) / sine, (g * Math.cos(one) - h * Math.cos(other)) / sine];
}

/**
 * Mends an offset that has gone past the radius of a corner: between two flat edges whose joining arc has turned over,
 * the outline is the point where the edges' lines meet, as in a mitred frame.
 */
export function mitred(shape: Support): Support {
  const { flats } = shape;
  if (flats.length === 0) return shape;
  const corners = flats.map((from, index) => {
    const to = from + turned((flats[(index + 1) % flats.length] ?? from) - from);
    if (to - from <= NORMAL_TOLERANCE || to - from >= Math.PI) return null;
    const start = pointAt(shape, from, 'after');
    const end = pointAt(shape, to, 'before');
    const middle = (from + to) / 2;
    const forward = (start[0] - end[0]) * Math.sin(middle) + (end[1] - start[1]) * Math.cos(middle);
    return forward < 0 ? { from, to, at: crossing(shape, from, to) } : null;
  });
  const sharp = corners.filter((corner) => corner !== null);
  if (sharp.length === 0) return shape;
  const cornerAt = (phi: number, side: 'before' | 'after') =>
    sharp.find(({ from, to }) => {
      const along = turned(phi - from + NORMAL_TOLERANCE) - NORMAL_TOLERANCE;
      if (Math.abs(along) <= NORMAL_TOLERANCE) return side === 'after';
      if (Math.abs(along - (to - from)) <= NORMAL_TOLERANCE) return side === 'before';
      return along > 0 && along < to - from;
    });
  return {
    flats,
    h: (phi) => {
      const corner = cornerAt(phi, 'after');
      return corner ? corner.at[0] * Math.cos(phi) + corner.at[1] * Math.sin(phi) : shape.h(phi);
    },
    slope: (phi, side) => {
      const corner = cornerAt(phi, side);
      return corner ? corner.at[1] * Math.cos(phi) - corner.at[0] * Math.sin(phi) : shape.slope(phi, side);
    },
  };
}

/** Whether an outline is flat edges and sharp corners alone. */
export function isSharp(shape: Support): boolean {
  const { flats } = shape;
  return (
    flats.length > 2 &&
    flats.every((from, index) => {
      const [x0, y0] = pointAt(shape, from, 'after');
      const [x1, y1] = pointAt(shape, flats[(index + 1) % flats.length] ?? from, 'before');
      return Math.hypot(x1 - x0, y1 - y0) < POINT_TOLERANCE;
    })
  );
}

/** Stations once round: about `count`, or the corners alone of an outline that is nothing but flat edges. */
export function stationsAround(shape: Support, count: number, start = 0): readonly Station[] {
  return stationsOf(shape.flats, isSharp(shape) ? 1 : count, start);
}

/** The outline grown by d mm all round; where flat edges alone enclose it, its corners stay sharp. */
export function outwardSharp(shape: Support, d: number): Support {
  const { flats } = shape;
  if (!isSharp(shape)) return inward(shape, -d);
  const grown = withHeights(shape, (phi) => shape.h(phi) + d);
  return roundedPolygon(flats.map((from, index) => crossing(grown, from, flats[(index + 1) % flats.length] ?? from)), 0); // prettier-ignore
}

function mixed(
  [x0, y0]: readonly [number, number],
  [x1, y1]: readonly [number, number],
  f: number,
): readonly [number, number] {
  return [(1 - f) * x0 + f * x1, (1 - f) * y0 + f * y1];
}

/** The outline at the share `f` of the way from one to another: the section of the hull of both. */
export function between(one: Support, other: Support, f: number): Support {
  if (one === other) return one;
  const { point } = other;
  return {
    ...(point && pointed(one, (phi, [x, y]) => mixed([x, y], point(phi), f))),
    h: (phi) => (1 - f) * one.h(phi) + f * other.h(phi),
    slope: (phi, side) => (1 - f) * one.slope(phi, side) + f * other.slope(phi, side),
    flats: mergedFlats(one, other),
  };
}

/** Flat normals of both outlines, each once. */
export function mergedFlats(one: Support, other: Support): number[] {
  const all = [...one.flats, ...other.flats].sort((first, second) => first - second);
  return all.filter((flat, index) => index === 0 || flat - (all[index - 1] ?? 0) > NORMAL_TOLERANCE);
}

/** A place on an outline: its normal, and which end of a flat edge, or its middle. */
export interface Station {
  readonly phi: number;
  readonly side: 'before' | 'middle' | 'after';
}

/** The slope of a support at a station; in the middle of a flat edge it is the mean of both ends. */
export function slopeOf(shape: Support, { phi, side }: Station): number {
  if (side !== 'middle') return shape.slope(phi, side);
  return (shape.slope(phi, 'before') + shape.slope(phi, 'after')) / 2;
}

/**
 * Stations once round from `start` (radians), about `count` of them evenly spread, with both sides of every flat edge.
 * The last one stands at `start + sweep`, which closes the ring when the sweep is a full turn. What starts or ends
 * on a flat edge does so in its middle.
 */
export function stationsOf(flats: readonly number[], count: number, start = 0, sweep = TAU): readonly Station[] {
  if (flats.length > 0) return newStations(flats, count, start, sweep);
  return remembered(smooth, `${count} ${start} ${sweep}`, () => newStations(flats, count, start, sweep), KEPT);
}

/** Stations of outlines without flat edges are the same for all of them. */
const smooth = new Map<string, readonly Station[]>();
const KEPT = 40;

function newStations(flats: readonly number[], count: number, start: number, sweep: number): readonly Station[] {
  const breaks = flats.map((flat) => start + turned(flat - start)).sort((one, other) => one - other);
  const end = start + sweep;
  const cuts = [start, ...breaks.filter((phi) => phi > start + NORMAL_TOLERANCE && phi < end - NORMAL_TOLERANCE), end];
  const found: Station[] = [];
  const onFlat = (phi: number) =>
    flats.some((flat) => Math.abs(turned(flat - phi + Math.PI) - Math.PI) <= NORMAL_TOLERANCE);
  if (onFlat(start)) found.push({ phi: start, side: 'middle' });
  cuts.slice(0, -1).forEach((from, index) => {
    const to = cuts[index + 1] ?? end;
    const steps = 2 * Math.max(1, Math.ceil((count * (to - from)) / TAU / 2));
    for (let step = 0; step <= steps; step += 1) {
      const side = step === steps ? 'before' : 'after';
      found.push({ phi: step === steps ? to : from + ((to - from) * step) / steps, side });
    }
  });
  if (onFlat(end)) found.push({ phi: end, side: 'middle' });
  return found;
}

/** Stations for unrolling, where strips are taken as flat: holds lines in the flat to 0.001 mm. */
export const UNROLL_STATIONS = 720;

/** A floor within a rim: this part of it across. */
const FLOOR_SHARE = 0.75;

/** The usual floor of a mould with this rim: the same outline at three quarters of its size. */
export function planShrunk(rim: PlanOutline): PlanOutline {
  const by = (mm: number) => FLOOR_SHARE * mm;
  if (rim.kind === 'circle') return { ...rim, diameter: by(rim.diameter) };
  if (rim.kind === 'polygon') return { ...rim, acrossFlats: by(rim.acrossFlats), corner: by(rim.corner) };
  const sized = { ...rim, length: by(rim.length), width: by(rim.width) };
  return sized.kind === 'rounded' ? { ...sized, corner: by(sized.corner) } : sized;
}

/** Greatest reach across a plan, along its longer side (mm). */
export function planReach(plan: PlanOutline): number {
  if (plan.kind === 'circle') return plan.diameter;
  return plan.kind === 'polygon' ? plan.acrossFlats : plan.length;
}
