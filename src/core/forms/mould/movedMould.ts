import { between, inward } from '../../geometry/outline/derived.ts';
import { turned } from '../../geometry/outline/support.ts';
import type { Point3 } from '../../geometry/point.ts';
import { onDemand, ROUNDING } from '../../numbers.ts';
import type { MouldSurface } from './mouldSurface.ts';
import { roundTable, type Bearing, type RoundTable } from './roundTable.ts';
import { tightCorners, tightRound } from './tightCorners.ts';
import { QUARTER } from './wallProfile.ts';
import { shifted, spotAt, standsOf, type EdgeEnd, type Spot } from './wallStand.ts';

/**
 * A mould's surface moved along its normals: out of the piece (mm, positive, as on a hump) or into it (as in a hollow), with
 * places once round by shares of the girth half way up.
 */
export interface MovedMould extends RoundTable {
  /** The floor's edge, where the wall begins; its lowest point where there is no floor. */
  readonly floorAt: (bearing: Bearing) => Point3;
  /** Round the floor's sharp edge, 0 to 1. */
  readonly edgeAt: (bearing: Bearing, share: number) => Point3;
  readonly wallAt: (bearing: Bearing, share: number) => Point3;
  /** Height of the floor (mm). */
  readonly floor: number;
  /** The edge is rounded by the offset. */
  readonly turning: boolean;
  /** The place whose normal points along a direction (radians): where a level line reaches farthest. */
  readonly facing: (phi: number) => Bearing;
}

/** Where between foot and rim the girth is measured: higher where the foot is a point. */
const HALF_WAY = { floored: 0.5, pointed: 0.7 };

function mixed(one: Point3, other: Point3, f: number): Point3 {
  return [one[0] + f * (other[0] - one[0]), one[1] + f * (other[1] - one[1]), one[2] + f * (other[2] - one[2])];
}

/** Turns a spot's direction between straight down (share 0) and the wall's own normal (share 1). */
function turnedDown({ place, way: [u, v, w] }: Spot, share: number): Spot {
  const lean = Math.asin(Math.min(1, -w));
  const angle = QUARTER - share * (QUARTER - lean);
  const level = Math.hypot(u, v);
  return { place, way: [(u / level) * Math.cos(angle), (v / level) * Math.cos(angle), -Math.sin(angle)] };
}

/** Moves a mould's surface along its normals by a distance (mm). */
export function movedMould(surface: MouldSurface, distance: number): MovedMould {
  const { foot, rim, depth, profile, edged } = surface;
  const middle = between(foot, rim, surface.floored ? HALF_WAY.floored : HALF_WAY.pointed);
  const { flats } = middle;
  const tight = tightCorners(rim, flats, distance);
  const standAt = standsOf(surface, tight);
  const spot = (phi: number, end: EdgeEnd, share: number) => spotAt(standAt(phi, end), depth, profile(share));
  const isFlat = (phi: number) => flats.some((flat) => turned(flat - phi + ROUNDING) < 2 * ROUNDING);
  const onBearing = ({ phi, along }: Bearing, made: (end: EdgeEnd) => Point3): Point3 =>
    isFlat(phi) ? mixed(made('before'), made('after'), along) : made('after');
  /** Share of the wall's way at which it starts: in a hollow, where its offset meets the offset floor. */
  const start = (phi: number, end: EdgeEnd) =>
    edged && distance < 0 ? (-distance * (1 + spot(phi, end, 0).way[2])) / depth : 0;
  const wallAt = (bearing: Bearing, share: number) =>
    onBearing(bearing, (end) => {
      const from = start(bearing.phi, end);
      return shifted(spot(bearing.phi, end, from + share * (1 - from)), distance);
    });
  const edgeAt = (bearing: Bearing, share: number) =>
    onBearing(bearing, (end) => shifted(turnedDown(spot(bearing.phi, end, 0), share), distance));
  const turning = edged && distance > 0;
  // The places round a mould are slow to compute, so they are computed at first use.
  const round = onDemand(() => roundTable(distance > 0 ? inward(middle, -distance) : middle, tight));
  return {
    floorAt: (bearing) => (turning ? edgeAt(bearing, 0) : wallAt(bearing, 0)),
    edgeAt,
    wallAt,
    floor: -distance,
    turning,
    facing: (phi) => {
      const corner = tightRound(tight, phi);
      return corner ? { phi: corner.from, along: 1 } : { phi, along: 0 };
    },
    bearingAt: (share) => round().bearingAt(share),
    get kept() {
      return round().kept;
    },
  };
}
