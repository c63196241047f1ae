import { prismoid, type Reach, type Standing } from '../kind/standing.ts';
import { circle } from '../../geometry/outline/support.ts';
import type { Face } from '../../target/face.ts';
import { smoothLine, type ProfilePoint } from '../kind/smoothLine.ts';

/** A straight-walled round piece, and the belly that it is pushed out to. Wet mm. */
export interface PushedWall {
  /** Radius over the measured face at a height, as the wall is rolled up. */
  readonly straightAt: (z: number) => number;
  /** Its thickness measured on the level (mm). */
  readonly levelAt: (z: number) => number;
  /** Heights at which the straight wall bends, from its foot to its rim. */
  readonly joints: readonly number[];
  readonly face: Face;
  readonly thickness: number;
  readonly belly: { readonly at: number; readonly radius: number };
}

/** What a wall is pushed out to, wet mm. */
export interface BellyShape {
  /** Between which heights the wall is pushed out. */
  readonly from: number;
  readonly to: number;
  readonly at: number;
  /** Radius of the outer and the inner face, and the thickness left, at a height. */
  readonly outerAt: (z: number) => number;
  readonly innerAt: (z: number) => number;
  readonly leftAt: (z: number) => number;
  /** The faces of the wall before it is pushed out. */
  readonly straight: { readonly outerAt: (z: number) => number; readonly innerAt: (z: number) => number };
  /** Where the girth grows most: height, growth as a fraction, and the thickness left there. */
  readonly most: { readonly at: number; readonly stretch: number; readonly left: number };
}

/** A joint of the profile closer to the belly than this share of the height is pushed out with it. */
const JOINT_CLEAR = 0.15;

/** Steps to each side of the belly at which the wall is drawn and measured. */
const STEPS = 24;

/** The heights at which a pushed wall is drawn: close together everywhere, the belly among them. */
export function bellyHeights({ from, at, to }: Pick<BellyShape, 'from' | 'at' | 'to'>): number[] {
  const run = (low: number, high: number) =>
    Array.from({ length: STEPS }, (_, step) => low + ((high - low) * step) / STEPS);
  return [...run(from, at), ...run(at, to), to];
}

/**
 * The wall as it is pushed out (geometry: belly): the girth at each height grows from that of the straight wall to that of
 * a smooth line through the belly, and the thickness left is `t D / B`. Null where the belly is no wider than the wall.
 */
export function bellyShape({ straightAt, levelAt, joints, face, thickness, belly }: PushedWall): BellyShape | null {
  const [foot = 0, rim = 0] = [joints[0], joints.at(-1)];
  const clear = JOINT_CLEAR * (rim - foot);
  if (!(belly.at > foot && belly.at < rim) || belly.radius <= straightAt(belly.at)) return null;
  const from = joints.filter((z) => z <= belly.at - clear).at(-1) ?? foot;
  const to = joints.find((z) => z >= belly.at + clear) ?? rim;
  const point = (z: number): ProfilePoint => [z, straightAt(z)];
  const line = smoothLine([point(from), [belly.at, belly.radius], point(to)]);
  const pushed = (z: number) => z > from && z < to;
  // A wall is pushed out, never in.
  const measuredAt = (z: number) => (pushed(z) ? Math.max(straightAt(z), line.radiusAt(z)) : straightAt(z));
  const leftAt = (z: number) => (thickness * straightAt(z)) / measuredAt(z);
  const bulged = (z: number) => pushed(z) && line.radiusAt(z) > straightAt(z);
  const levelLeft = (z: number) => (bulged(z) ? leftAt(z) * Math.hypot(1, line.slopeAt(z)) : levelAt(z));
  const faces = (measured: (z: number) => number, level: (z: number) => number) => ({
    outerAt: (z: number) => (face === 'outside' ? measured(z) : measured(z) + level(z)),
    innerAt: (z: number) => (face === 'inside' ? measured(z) : measured(z) - level(z)),
  });
  let most = { at: belly.at, stretch: 0, left: thickness };
  for (const z of bellyHeights({ from, at: belly.at, to })) {
    const stretch = measuredAt(z) / straightAt(z) - 1;
    if (stretch > most.stretch) most = { at: z, stretch, left: leftAt(z) };
  }
  return {
    from,
    to,
    at: belly.at,
    ...faces(measuredAt, levelLeft),
    straight: faces(straightAt, levelAt),
    leftAt,
    most,
  };
}

/** A standing round piece after it has been pushed out: its silhouettes, sections, mouth and hollow follow the belly. */
export function bellied(straight: Standing, shape: BellyShape): Standing {
  const within = (z: number) => z > shape.from && z < shape.to;
  const heights = bellyHeights(shape);
  const reach = (z: number, radius: number): Reach => [z, -radius, radius];
  const pushedSide = (side: readonly Reach[], radiusAt: (z: number) => number): Reach[] => {
    const low = side.filter(([z]) => z <= shape.from);
    const high = side.filter(([z]) => z >= shape.to);
    const start = low.at(-1)?.[0] ?? -Infinity;
    const middle = heights.filter((z) => z > start && z < shape.to).map((z) => reach(z, radiusAt(z)));
    return [...low, ...middle, ...high];
  };
  const section = (z: number) => {
    if (!within(z)) return straight.section(z);
    return { outer: circle(shape.outerAt(z)), inner: circle(shape.innerAt(z)) };
  };
  const outer = pushedSide(straight.outer, shape.outerAt);
  const hollow = pushedSide(straight.hollow, shape.innerAt);
  let hollowVolume = 0;
  for (let index = 1; index < hollow.length; index += 1) {
    const [[from, , low], [to, , high]] = [hollow[index - 1], hollow[index]] as [Reach, Reach];
    const between =
      to > shape.from && from < shape.to
        ? shape.innerAt
        : (z: number) => low + ((high - low) * (z - from)) / (to - from || 1);
    hollowVolume += prismoid((z) => Math.PI * between(z) ** 2, from, to);
  }
  const upper = hollow.filter(([z]) => z >= straight.height / 2).map(([, , radius]) => 2 * radius);
  const mouth = Math.min(...upper);
  const widest = 2 * Math.max(...outer.map(([, , radius]) => radius));
  return { ...straight, outer, hollow, hollowVolume, section, mouth: [mouth, mouth], across: [widest, widest] };
}
