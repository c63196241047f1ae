import { radians, ROUNDING, STRAIGHT_RADIUS } from '../../numbers.ts';
import { area, bounds, moved, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import { vectorLength, type Point } from '../../geometry/point.ts';
import { leanWord, turnedLean, type Lean } from '../../parts/part/lean.ts';
import type { Part } from '../../parts/part/part.ts';
import { seamLetter } from '../../parts/part/seamLetter.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import type { Face } from '../../target/face.ts';
import type { Seam } from '../../target/seam.ts';
import { lengthAlong, sumAlong, type Side } from './side.ts';

/** A strip on its neutral surface: its side between two places, how many go round, and how its edges are cut (wet mm, degrees inside up). */
export interface Strip {
  readonly side: Side;
  readonly neutral: number;
  readonly from: number;
  readonly to: number;
  readonly strips: number;
  readonly footLean: number;
  readonly rimLean: number;
  readonly thickness: number;
  readonly neutralFraction: number;
  readonly seam: Seam;
  readonly faceUp: Face;
}

/** Places along a strip where its edge is drawn: arcs between them leave less than a thousandth of a mm. */
const PLACES = 32;

/** Newton's steps to the corner of a layer. */
const MEETING_STEPS = 20;

/** Step by which the direction of the edge is found, as a share of the strip. */
const NEARBY = 1e-5;

/** For a smaller angle its series is truer than the quotient (radians). */
const SMALL_ANGLE = 1e-4;

/** The sine of an angle over the angle. */
const sinc = (angle: number) => (Math.abs(angle) < SMALL_ANGLE ? 1 - (angle * angle) / 6 : Math.sin(angle) / angle);

/** A level circle laid flat about the strip's middle line: half its arc and half its angle (mm, radians). */
function levelArc({ side, neutral, strips }: Strip, u: number): { along: number; angle: number } {
  const { radius, slope } = side.at(u, neutral);
  return { along: (Math.PI * radius) / strips, angle: (Math.PI * Math.sin(slope)) / strips };
}

/** The end of that arc: how far it lies from the middle line, and below the arc's middle (mm). */
function arcEnd({ along, angle }: { along: number; angle: number }): { half: number; drop: number } {
  return { half: along * sinc(angle), drop: along * Math.sin(angle / 2) * sinc(angle / 2) };
}

/** How fast the right edge of the flat strip runs across and along for each step of the side's parameter. */
function edgeSpeed(strip: Strip, u: number): Point {
  const step = NEARBY * (strip.to - strip.from);
  const [before, after] = [arcEnd(levelArc(strip, u - step)), arcEnd(levelArc(strip, u + step))];
  return [
    (after.half - before.half) / (2 * step),
    strip.side.speedAt(u, strip.neutral) - (after.drop - before.drop) / (2 * step),
  ];
}

/** What the edges of a strip must do as it is bent across (mm, and a fraction of their flat length). */
export interface EdgeStrain {
  /** How much longer each edge is flat than on the piece. */
  readonly excess: number;
  /** The most that a short run of an edge gathers. */
  readonly most: number;
}

/**
 * The strain along the edges of a strip: its middle line and every level circle keep their length, so that the edge alone is
 * longer flat than standing. Where the side is straight the wall is part of a cone, and nothing strains.
 */
export function edgeStrain(strip: Strip): EdgeStrain {
  const { side, neutral, from, to } = strip;
  const flatSpeed = (u: number) => vectorLength(...edgeSpeed(strip, u));
  const excess = sumAlong(side, { from, to, rate: (u) => flatSpeed(u) - side.speedAt(u, neutral) });
  const shares = Array.from({ length: 4 * PLACES + 1 }, (_, place) => {
    const u = from + ((to - from) * place) / (4 * PLACES);
    return 1 - side.speedAt(u, neutral) / flatSpeed(u);
  });
  const most = Math.max(0, ...shares);
  return { excess, most };
}

/** How a layer is cut: leans of foot and rim as seen on it (degrees), and how far its sides lie outside the neutral ones (mm). */
interface LayerCut {
  readonly foot: number;
  readonly rim: number;
  readonly left: number;
  readonly right: number;
}

/** A place on the right edge of a flat strip, `by` mm outside it, and its direction (radians from the x axis). */
function edgePlace(strip: Strip, u: number, by: number): { readonly at: Point; readonly way: number } {
  const { half, drop } = arcEnd(levelArc(strip, u));
  const [across, along] = edgeSpeed(strip, u);
  const fast = vectorLength(across, along);
  const y = lengthAlong(strip.side, strip.neutral, { from: strip.from, to: u }) - drop;
  return { at: [half + (by * along) / fast, y - (by * across) / fast], way: Math.atan2(along, across) };
}

/** A level end of a layer: its distance from the end of the neutral surface, up the strip, is the same all along (mm). */
interface LevelEnd {
  /** How far a point lies beyond it, up the strip. */
  readonly past: (point: Point) => number;
  /** How far round the arc's middle a point lies (radians, positive where the arc is round a middle below). */
  readonly angleOf: (point: Point) => number;
}

function levelEnd(strip: Strip, u: number, up: number): LevelEnd {
  const { angle, along } = levelArc(strip, u);
  const y = lengthAlong(strip.side, strip.neutral, { from: strip.from, to: u });
  const radius = along / angle;
  if (!(Math.abs(radius) < STRAIGHT_RADIUS)) return { past: (point) => point[1] - y - up, angleOf: () => 0 };
  const [centre, sign] = [y - radius, Math.sign(radius)];
  return {
    past: (point) => sign * vectorLength(point[0], point[1] - centre) - radius - up,
    angleOf: (point) => Math.atan2(sign * point[0], sign * (point[1] - centre)),
  };
}

/** Where the edge `by` mm outside the strip's own meets a level end, as a place on the side. */
function meeting(
  strip: Strip,
  { u, by, end }: { readonly u: number; readonly by: number; readonly end: LevelEnd },
): number {
  let at = u;
  for (let step = 0; step < MEETING_STEPS; step += 1) {
    const off = end.past(edgePlace(strip, at, by).at);
    if (Math.abs(off) < ROUNDING) break;
    at -= off / strip.side.speedAt(at, strip.neutral);
  }
  return at;
}

/** One edge of a layer from foot to rim, `by` mm outside the strip's own: its points, each with the bulge to the next. */
function edgeOf(strip: Strip, by: number, ends: { readonly foot: LevelEnd; readonly rim: LevelEnd }): Vertex[] {
  const [low, high] = [
    meeting(strip, { u: strip.from, by, end: ends.foot }),
    meeting(strip, { u: strip.to, by, end: ends.rim }),
  ];
  const close = (high - low) / (2 * PLACES);
  const stops = [low, ...strip.side.joints.filter((u) => u > low + close && u < high - close), high];
  const places = stops.flatMap((stop, index) => {
    const next = stops[index + 1];
    if (next === undefined) return [stop];
    const count = Math.max(2, Math.round((PLACES * (next - stop)) / (high - low)));
    return Array.from({ length: count }, (_, step) => stop + ((next - stop) * step) / count);
  });
  const edge = places.map((u) => edgePlace(strip, u, by));
  return edge.map(({ at, way }, index): Vertex => [at[0], at[1], Math.tan(((edge[index + 1]?.way ?? way) - way) / 4)]);
}

/** The strip on the surface `rise` mm above its neutral one as it lies; its middle line begins at (0, 0) on the neutral one. */
function layer(strip: Strip, rise: number, cut: LayerCut): Outline {
  const inset = (lean: number) => rise * Math.tan(radians(lean));
  const foot = levelEnd(strip, strip.from, inset(cut.foot));
  const rim = levelEnd(strip, strip.to, -inset(cut.rim));
  const [right, left] = [cut.right, cut.left].map((by) => edgeOf(strip, by, { foot, rim })) as [Vertex[], Vertex[]];
  const last = right.length - 1;
  const place = ([x, y]: Vertex): Point => [x, y];
  const levelBulge = (end: LevelEnd, index: number) =>
    Math.tan((end.angleOf(place(right[index] as Vertex)) + end.angleOf(place(left[index] as Vertex))) / 4);
  const [footBulge, rimBulge] = [-levelBulge(foot, 0), levelBulge(rim, last)];
  return [
    [-(left[0] as Vertex)[0], (left[0] as Vertex)[1], footBulge],
    ...right.map(([x, y, bulge], index): Vertex => [x, y, index < last ? bulge : rimBulge]),
    ...left
      .slice(1)
      .map(([x, y], index): Vertex => [-x, y, (left[index] as Vertex)[2]])
      .reverse(),
  ];
}

/** Both faces of the strip as it lies: their height over the neutral surface, and how they are cut. */
function facesOf({ thickness: t, neutralFraction: k, faceUp, seam, ...strip }: Strip) {
  const seen = (lean: number) => (faceUp === 'inside' ? lean : turnedLean(lean));
  const { run } = seamAllowance(seam, t);
  const cut = { foot: seen(strip.footLean), rim: seen(strip.rimLean), left: 0, right: 0 };
  // Both sides slant the same way through the slab: one spreads as the other tucks.
  return { up: faceUp === 'inside' ? k * t : (1 - k) * t, cut, hidden: { ...cut, left: -run, right: run } };
}

/** The flat strip as it lies with `faceUp` up, foot towards smaller y; all strips of a piece are alike. */
export function stripPart(strip: Strip): Part {
  const { thickness: t, faceUp, seam, strips } = strip;
  const { up, cut, hidden } = facesOf(strip);
  const traced = layer(strip, up, cut);
  const under = layer(strip, up - t, hidden);
  const areaAt = (rise: number) => area(layer(strip, rise, cut));
  const box = bounds(traced);
  const placed = (outline: Outline) => moved(outline, -box.minX, -box.minY);
  const outline = placed(traced);
  const { lean: side } = seamAllowance(seam, t);
  const rim = outline.length / 2;
  const lean = (
    edge: Lean['edge'],
    { from, to, angle }: { readonly from: number; readonly to: number; readonly angle: number },
  ): Lean => ({
    edge,
    from,
    to,
    lean: angle,
    word: leanWord(angle),
  });
  const middle = (inset: number) => up * Math.tan(radians(inset));
  const length = lengthAlong(strip.side, strip.neutral, { from: strip.from, to: strip.to });
  const [low, high] = [middle(cut.foot) - box.minY, length - middle(cut.rim) - box.minY];
  const half: Point = [-box.minX, (low + high) / 2];
  return {
    id: 'gore',
    role: 'wall',
    name: 'Strip',
    count: strips,
    thickness: t,
    faceUp,
    outline,
    underside: placed(under),
    leans: [
      lean('foot', { from: 0, to: 1, angle: cut.foot }),
      lean('right', { from: 1, to: rim, angle: side }),
      lean('rim', { from: rim, to: rim + 1, angle: cut.rim }),
      lean('left', { from: rim + 1, to: 0, angle: turnedLean(side) }),
    ],
    marks: [
      { kind: 'line', name: 'centre', from: [-box.minX, low], to: [-box.minX, high] },
      seamLetter(outline, { end: { rim, foot: 1 }, middle: half, text: 'A' }),
      seamLetter(outline, { end: { rim: rim + 1, foot: 0 }, middle: half, text: 'A' }),
    ],
    volume: (t * (areaAt(up) + 4 * areaAt(up - t / 2) + areaAt(up - t))) / 6,
  };
}
