import { FINGER, type Handle } from '../../target/handle.ts';

/** A point beside the piece: distance from its middle line, and height over the table (mm). */
export type SidePoint = readonly [reach: number, height: number];

/** The outside of the wall on the side of the handle, fired mm: how far it reaches at a height, and its lean (radians, flaring positive). */
export interface HandleWall {
  readonly reachAt: (height: number) => number;
  readonly leanAt: (height: number) => number;
  /** Height of the outer edge of the rim. */
  readonly rim: number;
}

/** A finger as it lies in the handle: its middle (fired mm); it is {@link FINGER} thick. */
export type FingerPlace = SidePoint;

/** A handle seen from the side. Fired mm. */
export interface HandleCurve {
  /** The middle line from the upper to the lower end. */
  readonly middle: readonly SidePoint[];
  /** Its faces, away from the piece and towards the fingers. */
  readonly outer: readonly SidePoint[];
  readonly inner: readonly SidePoint[];
  /** Length of the middle line, and how far its direction turns (radians). */
  readonly length: number;
  readonly turning: number;
  /** Least radius of the middle line. */
  readonly leastRadius: number;
  /** Heights of the middles of its upper and its lower end. */
  readonly from: number;
  readonly to: number;
  /** Where the fingers lie with most room, and that room. */
  readonly fingers: readonly FingerPlace[];
  readonly room: number;
}

/** Fullness of each half of the line: 0.552 would be a quarter of an ellipse; a strap stands fuller. */
const FULLNESS = 0.66;

/** Points of each half of the line. */
const STEPS = 64;

type Cubic = readonly [SidePoint, SidePoint, SidePoint, SidePoint];

/** Point, first and second derivative of a cubic. */
function cubicAt([a, b, c, d]: Cubic, t: number): { at: SidePoint; d1: SidePoint; d2: SidePoint } {
  const u = 1 - t;
  const each = (f: (axis: 0 | 1) => number): SidePoint => [f(0), f(1)];
  return {
    at: each((i) => u * u * u * a[i] + 3 * u * u * t * b[i] + 3 * u * t * t * c[i] + t * t * t * d[i]),
    d1: each((i) => 3 * (u * u * (b[i] - a[i]) + 2 * u * t * (c[i] - b[i]) + t * t * (d[i] - c[i]))),
    d2: each((i) => 6 * (u * (c[i] - 2 * b[i] + a[i]) + t * (d[i] - 2 * c[i] + b[i]))),
  };
}

/** Simpson's rule over a cubic's speed: its length (mm). */
function lengthOf(cubic: Cubic): number {
  let sum = 0;
  for (let step = 0; step <= STEPS; step += 1) {
    const weight = step === 0 || step === STEPS ? 1 : step % 2 === 1 ? 4 : 2;
    sum += weight * Math.hypot(...cubicAt(cubic, step / STEPS).d1);
  }
  return sum / (3 * STEPS);
}

/** The two halves of the middle line: off the wall square to it, straight down at the crest, square onto the wall again. */
function halves(
  handle: Handle,
  wall: HandleWall,
  { thickness, drop }: { readonly thickness: number; readonly drop: number },
): readonly [Cubic, Cubic] {
  const from = wall.rim - handle.below - thickness / 2;
  const to = from - drop;
  const crest = from - handle.crest * drop;
  const start: SidePoint = [wall.reachAt(from), from];
  const end: SidePoint = [wall.reachAt(to), to];
  const widest: SidePoint = [wall.reachAt(crest) + handle.projection - thickness / 2, crest];
  const off = (height: number): SidePoint => [Math.cos(wall.leanAt(height)), -Math.sin(wall.leanAt(height))];
  const half = (at: SidePoint): Cubic => {
    const [ex, ez] = off(at[1]);
    const out = FULLNESS * (widest[0] - at[0]);
    const rise = FULLNESS * (at[1] - widest[1]);
    return [at, [at[0] + out * ex, at[1] + out * ez], [widest[0], widest[1] + rise], widest];
  };
  const [a, b, c, d] = half(end);
  return [half(start), [d, c, b, a]];
}

/** Fingers stacked against the wall, at the height where they have most room to the handle. */
function layFingers(
  count: number,
  wall: HandleWall,
  { inner, from, to }: { readonly inner: readonly SidePoint[]; readonly from: number; readonly to: number },
) {
  const r = FINGER / 2;
  const at = (middle: number): SidePoint[] =>
    Array.from({ length: count }, (_, index) => {
      const height = middle + (index - (count - 1) / 2) * FINGER;
      return [wall.reachAt(height) + r / Math.cos(wall.leanAt(height)), height];
    });
  const roomOf = (fingers: readonly SidePoint[]) => {
    let least = Infinity;
    for (const [x, z] of fingers) for (const [u, v] of inner) least = Math.min(least, (u - x) ** 2 + (v - z) ** 2);
    return Math.sqrt(least) - r;
  };
  // The room has one maximum between both ends.
  let [low, high] = [to, from];
  for (let step = 0; step < 16; step += 1) {
    const [one, other] = [low + (high - low) * 0.382, low + (high - low) * 0.618];
    if (roomOf(at(one)) < roomOf(at(other))) low = one;
    else high = other;
  }
  const fingers = at((low + high) / 2);
  // A finger above or below the opening is not in it: it counts as having no room.
  const within = fingers.every(([, z]) => z < from && z > to);
  return { fingers, room: within ? roomOf(fingers) : -r };
}

function curveOf(
  handle: Handle,
  wall: HandleWall,
  { thickness, drop }: { readonly thickness: number; readonly drop: number },
): HandleCurve {
  const cubics = halves(handle, wall, { thickness, drop });
  const points = cubics.flatMap((cubic, index) =>
    Array.from({ length: STEPS + 1 - index }, (_, step) => cubicAt(cubic, (step + index) / STEPS)),
  );
  const moved = (by: number) =>
    points.map(({ at, d1 }): SidePoint => {
      const speed = Math.hypot(...d1);
      // The line runs away from the wall and down: its outer side lies to the left.
      return [at[0] - (by * d1[1]) / speed, at[1] + (by * d1[0]) / speed];
    });
  const inner = moved(-thickness / 2);
  const [first = [1, 0], last = [-1, 0]] = [points[0]?.d1, points.at(-1)?.d1];
  const heading = ([x, z]: SidePoint) => Math.atan2(z, x);
  const leastRadius = points.reduce((least, { d1, d2 }) => {
    const cross = Math.abs(d1[0] * d2[1] - d1[1] * d2[0]);
    return cross > 0 ? Math.min(least, Math.hypot(...d1) ** 3 / cross) : least;
  }, Infinity);
  const from = wall.rim - handle.below - thickness / 2;
  return {
    middle: points.map(({ at }) => at),
    outer: moved(thickness / 2),
    inner,
    length: lengthOf(cubics[0]) + lengthOf(cubics[1]),
    // Clockwise from leaving the wall to meeting it again.
    turning: (heading(first) - heading(last) + 4 * Math.PI) % (2 * Math.PI),
    leastRadius,
    from,
    to: from - drop,
    ...layFingers(handle.fingers, wall, { inner, from: from - thickness / 2, to: from - drop + thickness / 2 }),
  };
}

/** Drops are tried up to the room of this many more fingers. */
const MOST_SPARE = 3;

/** Step of the drops that are tried (mm). */
const DROP_STEP = 0.5;

/** The least drop that leaves the fingers their room (mm); what they need in line where the handle stands out too little. */
function dropFor(handle: Handle, wall: HandleWall, thickness: number): number {
  const bare = handle.fingers * FINGER + thickness;
  const at = (step: number) => Math.ceil(bare / DROP_STEP + step) * DROP_STEP;
  const enough = (step: number) => curveOf(handle, wall, { thickness, drop: at(step) }).room >= handle.clearance;
  let [low, high] = [0, (MOST_SPARE * FINGER) / DROP_STEP];
  if (!enough(high)) return at(Math.round((2 * handle.clearance) / DROP_STEP));
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (enough(middle)) high = middle;
    else low = middle + 1;
  }
  return at(low);
}

/** A handle on a wall as it stands finished; `thickness` is its own, fired mm. */
export function handleCurve(handle: Handle, wall: HandleWall, thickness: number): HandleCurve {
  return curveOf(handle, wall, { thickness, drop: handle.drop ?? dropFor(handle, wall, thickness) });
}
