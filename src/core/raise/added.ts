import { wetLength } from '../units/shrinkage.ts';
import { radians, ROUNDING, TAU } from '../numbers.ts';
import { pointAt, stationsOf } from '../geometry/outline/stations.ts';
import { circle, type PlanPoint, type Support } from '../geometry/outline/support.ts';
import { additionsOf, handleAside, lugPoints, type MadeHandle, type MadeLugs } from '../forms/additions.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Target } from '../target/target.ts';
import type { RaisedPart, Ribbon } from '../forms/kind/body.ts';
import { plus, times, UNMOVED } from './pose.ts';
import { mapped } from './raise.ts';
import type { Point3 } from '../geometry/point.ts';

/** Clear room between what lies on the table (mm). */
const GAP = 14;

const UP: Point3 = [0, 0, 1];

/** How far parts reach from the middle of the table towards a direction, on a strip `half` mm to each side (mm). */
function reachTowards(parts: readonly RaisedPart[], [ux, uy]: Point3, half: number): number {
  let far = 0;
  for (const { ribbons } of parts) {
    for (const { one, other } of ribbons) {
      for (const [x, y] of [...one, ...other]) {
        if (Math.abs(x * uy - y * ux) <= half) far = Math.max(far, x * ux + y * uy);
      }
    }
  }
  return far;
}

function ring(shape: Support, z: number): Point3[] {
  return stationsOf(shape.flats, 120).map(({ phi, side }) => {
    const [x, y] = pointAt(shape, phi, side);
    return [x, y, z];
  });
}

/** A level plate, or a ring when `inner` is given, between two heights. */
export function plate(
  outer: Support,
  inner: Support | null,
  { from, to }: { readonly from: number; readonly to: number },
): Ribbon[] {
  const at = (shape: Support | null, z: number) =>
    shape ? ring(shape, z) : ring(outer, z).map((): Point3 => [0, 0, z]);
  const walls: Ribbon[] = [{ face: 'edge', one: ring(outer, from), other: ring(outer, to) }];
  if (inner) walls.push({ face: 'inside', one: ring(inner, to), other: ring(inner, from) });
  return [
    ...walls,
    { face: 'outside', one: at(inner, from), other: ring(outer, from) },
    { face: 'inside', one: ring(outer, to), other: at(inner, to) },
  ];
}

/**
 * A strap on its way: the curvature of its middle line grows evenly, which bends it and stretches nothing, while its upper
 * end goes from the table to its place on the wall.
 */
function raisedHandle(
  target: Target,
  {
    made,
    angle,
    flat,
    f,
  }: { readonly made: MadeHandle; readonly angle: number; readonly flat: readonly RaisedPart[]; readonly f: number },
): RaisedPart {
  const s = target.clay.shrinkage;
  const wet = (mm: number) => wetLength(mm, s);
  const { handle } = target;
  const [top, bottom] = [wet(handle?.top ?? 0), wet(handle?.bottom ?? 0)];
  const phi = radians(angle);
  const out: Point3 = [Math.cos(phi), Math.sin(phi), 0];
  const aside: Point3 = [-Math.sin(phi), Math.cos(phi), 0];
  const line = made.curve.middle.map(([reach, z]) => [wet(reach), wet(z)] as const);
  const half = made.thickness / 2;
  const off = handleAside(target, kindOf(target).standing(target), angle);
  const [[r0, z0] = [0, 0]] = line;
  const lying = [reachTowards(flat, out, Math.max(top, bottom)) + GAP, half] as const;
  let [x, z] = [lying[0] + f * (r0 - lying[0]), lying[1] + f * (z0 - lying[1])];
  let heading = 0;
  const points = line.map(([reach, height], index) => {
    const [toReach, toHeight] = line[index + 1] ?? line[index - 1] ?? [reach, height];
    const sign = index + 1 < line.length ? 1 : -1;
    const [dx, dz] = [sign * (toReach - reach), sign * (toHeight - height)];
    // Headings run from outward down and back: never up over a half turn.
    const standing = Math.atan2(dz, dx) > 1 ? Math.atan2(dz, dx) - TAU : Math.atan2(dz, dx);
    heading = f * standing;
    const at = { x, z, heading };
    if (index + 1 < line.length) {
      const step = Math.hypot(dx, dz);
      x += step * Math.cos(heading);
      z += step * Math.sin(heading);
    }
    return at;
  });
  const lowest = Math.min(...points.map((point) => point.z));
  const lift = Math.max(0, half - lowest) * (1 - f);
  const edge = (by: number, side: number) =>
    points.map((point, index): Point3 => {
      const width = top + ((bottom - top) * index) / (points.length - 1);
      const at = plus(
        times(out, point.x - by * Math.sin(point.heading)),
        UP,
        point.z + lift + by * Math.cos(point.heading),
      );
      return plus(at, aside, f * off + (side * width) / 2);
    });
  const [outerLeft, outerRight, innerLeft, innerRight] = [
    edge(half, 1),
    edge(half, -1),
    edge(-half, 1),
    edge(-half, -1),
  ];
  return {
    part: 'handle',
    neutral: null,
    ribbons: [
      { face: 'outside', one: outerLeft, other: outerRight },
      { face: 'inside', one: innerRight, other: innerLeft },
      { face: 'edge', one: innerLeft, other: outerLeft },
      { face: 'edge', one: outerRight, other: innerRight },
    ],
  };
}

/** A level plate between an upper and an under outline of as many points. */
function slab(upper: readonly Point3[], under: readonly Point3[]): Ribbon[] {
  const closed = (points: readonly Point3[]) => [...points, points[0] as Point3];
  const middle = (points: readonly Point3[]) => {
    const at = times(
      points.reduce((sum, point) => plus(sum, point), [0, 0, 0] as Point3),
      1 / points.length,
    );
    return closed(points).map(() => at);
  };
  return [
    { face: 'edge', one: closed(under), other: closed(upper) },
    { face: 'outside', one: middle(under), other: closed(under) },
    { face: 'inside', one: closed(upper), other: middle(upper) },
  ];
}

/** An outline resampled to as many points as another. */
const ROUND = 120;

/** Points evenly along a closed line: two lines with as many points are joined by ribbons. */
function evenly(points: readonly PlanPoint[]): PlanPoint[] {
  const closed = [...points, points[0] as PlanPoint];
  const steps = points.map(([x, y], index) =>
    Math.hypot((closed[index + 1]?.[0] ?? 0) - x, (closed[index + 1]?.[1] ?? 0) - y),
  );
  const whole = steps.reduce((sum, step) => sum + step, 0);
  let [index, passed] = [0, 0];
  return Array.from({ length: ROUND }, (_, at): PlanPoint => {
    const wanted = (whole * at) / ROUND;
    while (index < steps.length - 1 && passed + (steps[index] ?? 0) < wanted) {
      passed += steps[index] ?? 0;
      index += 1;
    }
    const share = (wanted - passed) / (steps[index] || 1);
    const [ax, ay] = closed[index] as PlanPoint;
    const [bx, by] = closed[index + 1] as PlanPoint;
    return [ax + share * (bx - ax), ay + share * (by - ay)];
  });
}

/** One of two lugs, which stays level on its way from the table to the wall. */
function raisedLug(
  made: MadeLugs,
  { which, flat, f }: { readonly which: number; readonly flat: readonly RaisedPart[]; readonly f: number },
): RaisedPart {
  const thick = made.top - made.bottom;
  const upper = evenly(lugPoints(made, which));
  const under = evenly(lugPoints(made, which, 'under'));
  const phi = radians(made.angles[which] ?? 0);
  const away: Point3 = [Math.cos(phi), Math.sin(phi), 0];
  const reach = reachTowards(flat, away, 2 * thick) + GAP + thick;
  const [ox, oy] = (which === 0 ? made.figures : made.opposite).origin;
  const shift = (1 - f) * Math.max(0, reach - Math.hypot(ox, oy));
  const at = (points: readonly PlanPoint[], z: number) => points.map(([x, y]): Point3 => plus([x, y, z], away, shift));
  const low = f * made.bottom;
  return { part: 'lug', neutral: null, ribbons: slab(at(upper, low + thick), at(under, low)) };
}

/** Bands of a ball from its lowest to its highest point. */
const BANDS = 16;

function ball(across: number): Ribbon[] {
  const radius = across / 2;
  const round = (band: number): Point3[] => {
    const up = -Math.PI / 2 + (Math.PI * band) / BANDS;
    return ring(circle(Math.max(radius * Math.cos(up), ROUNDING)), radius * (1 + Math.sin(up)));
  };
  return Array.from({ length: BANDS }, (_, band): Ribbon => ({
    face: 'edge',
    one: round(band),
    other: round(band + 1),
  }));
}

function moved(part: RaisedPart, at: Point3): RaisedPart {
  return mapped(part, { ...UNMOVED, at });
}

/**
 * Handles, lugs, pads and lid on their way from the table (0) to the piece (1), and the piece itself, which its pads lift. The
 * lid goes as a whole, its flange joined. Wet mm.
 *
 * @param raised the raised parts of the piece, and the same as they lie flat
 */
export function raiseAdded(
  target: Target,
  {
    raised,
    flat,
    f,
  }: { readonly raised: readonly RaisedPart[]; readonly flat: readonly RaisedPart[]; readonly f: number },
): RaisedPart[] {
  const added = additionsOf(target);
  const { handle, lugs, feet, lid } = target;
  if (!handle && !lugs && !feet && !lid) return [...raised];
  const { height } = kindOf(target).standing(target);
  const lift = f * (feet?.thickness ?? 0);
  const whole = raised.map((part) => (lift > 0 ? moved(part, [0, 0, lift]) : part));
  if (added.handle) {
    for (const angle of added.handle.angles) {
      whole.push(moved(raisedHandle(target, { made: added.handle, angle, flat, f }), [0, 0, lift]));
    }
  }
  for (const which of added.lugs ? [0, 1] : []) {
    whole.push(moved(raisedLug(added.lugs as MadeLugs, { which, flat, f }), [0, 0, lift]));
  }
  if (lid && added.lid) {
    const { plate: top, side } = added.lid;
    const depth = wetLength(lid.depth, target.clay.shrinkage);
    const away: Point3 = [Math.SQRT1_2, -Math.SQRT1_2, 0];
    const reach = reachTowards(flat, away, added.lid.across / 2) + GAP + added.lid.across / 2;
    const { rim } = kindOf(target).standing(target);
    const on: Point3 = [(rim[1] + rim[2]) / 2, 0, target.slab.base];
    const knob = added.knob
      ? ball(added.knob.across).map(({ face, one, other }) => ({
          face,
          one: one.map((point) => plus(point, on)),
          other: other.map((point) => plus(point, on)),
        }))
      : [];
    // On the table it stands on its flange.
    const z = (1 - f) * depth + f * (height + lift);
    whole.push({
      part: 'lid',
      neutral: null,
      ribbons: [
        ...plate(top, null, { from: 0, to: target.slab.base }),
        ...plate(side.outer, side.inner, { from: -depth, to: 0 }),
        ...knob,
      ].map(({ face, one, other }) => {
        const at = (points: readonly Point3[]) =>
          points.map((point) => plus(plus(point, away, (1 - f) * reach), UP, z));
        return { face, one: at(one), other: at(other) };
      }),
    });
  }
  if (feet) {
    const radius = wetLength(feet.diameter, target.clay.shrinkage) / 2;
    const pad = circle(radius);
    for (const [index, [px, py]] of added.feet.entries()) {
      const away: Point3 = [-Math.SQRT1_2, -Math.SQRT1_2, 0];
      const reach = reachTowards(flat, away, 3 * radius) + GAP + radius + index * (2 * radius + GAP);
      const lying = times(away, reach);
      whole.push({
        part: 'foot',
        neutral: null,
        ribbons: plate(pad, null, { from: 0, to: feet.thickness }).map(({ face, one, other }) => {
          const to: Point3 = [lying[0] + f * (px - lying[0]), lying[1] + f * (py - lying[1]), 0];
          return { face, one: one.map((point) => plus(point, to)), other: other.map((point) => plus(point, to)) };
        }),
      });
    }
  }
  return whole;
}
