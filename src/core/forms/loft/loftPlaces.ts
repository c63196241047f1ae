import { degrees, onDemand, radians, TAU, TINY } from '../../numbers.ts';
import { STATIONS } from '../../geometry/outline/planMeasures.ts';
import { pointsAt, stationsOf, type Station } from '../../geometry/outline/stations.ts';
import type { Support } from '../../geometry/outline/support.ts';
import type { LoftedPart } from '../../parts/part/loftPart.ts';
import { unrollLoft, type LoftWall } from '../../parts/wall/loft.ts';
import type { Target } from '../../target/target.ts';
import type { WallPlace } from '../kind/kind.ts';
import type { Point } from '../../geometry/point.ts';

/** Normals closer than this count as equal (radians). */
const NORMAL_NEAR = 1e-9;

/** Lengths of a line up to each of its points (mm). */
function runningLengths(line: readonly Point[]): number[] {
  const runs = new Array<number>(line.length).fill(0);
  for (let index = 1; index < line.length; index += 1) {
    const [from, to] = [line[index - 1] as Point, line[index] as Point];
    runs[index] = (runs[index - 1] as number) + Math.sqrt((to[0] - from[0]) ** 2 + (to[1] - from[1]) ** 2);
  }
  return runs;
}

/** A piece of wall by its stations and the lengths of its foot and rim up to each of them (mm). */
interface MeasuredPiece {
  readonly stations: readonly Station[];
  readonly foot: readonly number[];
  readonly rim: readonly number[];
}

/** The share of a line's length up to the place with a normal (radians): in the middle of a flat edge, and between two stations by the turn. */
function shareTo(phi: number, stations: readonly Station[], run: readonly number[]): number {
  const phiAt = (index: number) => (stations[index] as Station).phi;
  let last = 0;
  while (last + 1 < stations.length && phiAt(last + 1) <= phi + NORMAL_NEAR) last += 1;
  let first = last;
  while (first > 0 && Math.abs(phiAt(first - 1) - phi) <= NORMAL_NEAR && Math.abs(phiAt(last) - phi) <= NORMAL_NEAR)
    first -= 1;
  const [from, to] = [run[first] ?? 0, run[last] ?? 0];
  const next = stations[last + 1];
  const past =
    first === last && next ? ((phi - phiAt(last)) / (next.phi - phiAt(last))) * ((run[last + 1] ?? to) - to) : 0;
  return ((from + to) / 2 + Math.max(0, past)) / (run.at(-1) || 1);
}

/** Where angles round from the first seam are on a wall in `panels` pieces: at the normal that points that way. */
function placesOn(panels: number, measured: (piece: number) => MeasuredPiece): (angle: number) => WallPlace {
  const pieces = new Map<number, MeasuredPiece>();
  return (angle) => {
    const phi = radians(((angle % 360) + 360) % 360);
    const piece = Math.min(panels - 1, Math.floor((phi / TAU) * panels));
    const flat = pieces.get(piece) ?? measured(piece);
    pieces.set(piece, flat);
    return { piece, foot: shareTo(phi, flat.stations, flat.foot), rim: shareTo(phi, flat.stations, flat.rim) };
  };
}

/** Places on a straight wall that is cut in equally long pieces: by the length of its wrap from the seam. */
export function ovalPlaces(neutral: Support, panels: number): (angle: number) => WallPlace {
  const whole = onDemand(() => {
    const stations = stationsOf(neutral.flats, STATIONS);
    return { stations, run: runningLengths(pointsAt(neutral, stations)) };
  });
  return (angle) => {
    const { stations, run } = whole();
    const share = shareTo(radians(((angle % 360) + 360) % 360), stations, run);
    const along = Math.min(panels * (1 - TINY), Math.max(0, share * panels));
    const piece = Math.floor(along);
    return { piece, foot: along - piece, rim: along - piece };
  };
}

/** Places on the traced lines of a lofted wall: where edges lean unevenly they are not as long as the neutral ones. */
export function loftPlaces(panels: readonly LoftedPart[]) {
  return placesOn(panels.length, (piece) => {
    const { flat, traced } = panels[piece] as LoftedPart;
    return { stations: flat.stations, foot: runningLengths(traced.foot), rim: runningLengths(traced.rim) };
  });
}

/** Places on a lofted wall in pieces by their share of the whole girth, half way up the wall. */
export function loftShares(
  wall: LoftWall,
  target: Target,
  { from, placeAt }: { from: number; placeAt: (angle: number) => WallPlace },
): (share: number) => WallPlace {
  const whole = onDemand(() => {
    const depth = (1 - target.slab.neutralFraction) * wall.thickness;
    const { stations, foot, rim } = unrollLoft(wall, { from, to: wall.height, depth, start: 0, count: STATIONS });
    const [low, high] = [runningLengths(foot), runningLengths(rim)];
    return { stations, run: low.map((length, index) => (length + (high[index] ?? 0)) / 2) };
  });
  return (share) => {
    const { stations, run } = whole();
    const wanted = share * (run.at(-1) ?? 0);
    const index = Math.max(
      1,
      run.findIndex((length) => length >= wanted),
    );
    const [low, high] = [run[index - 1] ?? 0, run[index] ?? 0];
    const f = high > low ? (wanted - low) / (high - low) : 0;
    const [a, b] = [stations[index - 1]?.phi ?? 0, stations[index]?.phi ?? 0];
    return placeAt(degrees(a + f * (b - a)));
  };
}
