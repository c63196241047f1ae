import { ANGLE_TOLERANCE, STRAIGHT_RADIUS } from '../../numbers.ts';
import { moved, type Outline } from './outline.ts';
import { rectangle } from './shapes.ts';

/** A ring sector as a flat cone wall has it. Lengths mm. */
export interface Sector {
  /** Lengths of the foot's and the rim's arc. */
  readonly foot: number;
  readonly rim: number;
  /** Distance from foot to rim along the wall. */
  readonly slant: number;
  /** Widths of the strips added along the left and the right end, parallel to them; negative: taken off. */
  readonly left: number;
  readonly right: number;
}

/** An arc of the sector: its left and right end, and the bulge from left to right. */
interface Arc {
  readonly left: readonly [number, number];
  readonly right: readonly [number, number];
  readonly bulge: number;
}

/**
 * One arc of the sector about the axis x = 0. `height` is where its middle lies; `curl` is 1 when the arcs' centre lies
 * below (a flare) and -1 above. The length may be a little of a very large circle: nothing is divided by a small angle.
 */
function arcOf(
  length: number,
  radius: number,
  { height, curl, ends: { left, right } }: { readonly height: number; readonly curl: 1 | -1; readonly ends: Sector },
): Arc {
  const half = length / radius / 2;
  const reach = (added: number) => half + Math.asin(Math.max(-1, Math.min(1, added / radius)));
  const [start, end] = [reach(left), reach(right)];
  const at = (angle: number) =>
    [radius * Math.sin(angle), height - curl * 2 * radius * Math.sin(angle / 2) ** 2] as const;
  const bulge = radius >= STRAIGHT_RADIUS ? 0 : -curl * Math.tan((start + end) / 4);
  return { left: at(-start), right: at(end), bulge };
}

/**
 * The outline of a ring sector with its foot towards smaller y: its axis at x = 0, the middle of the foot at y = 0, the
 * left foot corner first. With both arcs growing alike it runs smoothly into a rectangle; arcs of a radius of
 * {@link STRAIGHT_RADIUS} and more are straight lines.
 */
export function sectorOutline(sector: Sector): Outline {
  const { foot, rim, slant, left, right } = sector;
  const growth = rim - foot;
  const curl = growth >= 0 ? 1 : -1;
  const sweep = Math.abs(growth) / slant;
  if (sweep < ANGLE_TOLERANCE) return moved(rectangle(foot + left + right, slant), -foot / 2 - left, 0);
  const footArc = arcOf(foot, foot / sweep, { height: 0, curl, ends: sector });
  const rimArc = arcOf(rim, rim / sweep, { height: slant, curl, ends: sector });
  return [
    [...footArc.left, footArc.bulge],
    [...footArc.right, 0],
    [...rimArc.right, -rimArc.bulge],
    [...rimArc.left, 0],
  ];
}

/** How much of the arcs the strips at both ends take (mm): a strip as wide as `left` takes a little more of a tight arc. */
export function sectorEnds({ foot, rim, slant, left, right }: Sector) {
  const sweep = Math.abs(rim - foot) / slant;
  const along = (length: number) => {
    const radius = length / sweep;
    const taken = (strip: number) =>
      sweep < ANGLE_TOLERANCE || radius >= STRAIGHT_RADIUS ? strip : radius * Math.asin(strip / radius);
    return { left: taken(left), right: taken(right) };
  };
  return { foot: along(foot), rim: along(rim) };
}

/**
 * The wider of both arcs' sweeps with the strips at the ends (radians): past a full turn the flat part overlaps itself.
 * 0 for a straight strip, Infinity where a strip is wider than an arc's radius: no line beside the end meets that arc.
 */
export function sectorSweep(sector: Sector): number {
  const { foot, rim, slant, left, right } = sector;
  const sweep = Math.abs(rim - foot) / slant;
  if (sweep < ANGLE_TOLERANCE) return 0;
  const least = Math.min(foot, rim) / sweep;
  if (!(least > 0) || Math.max(left, right) >= least) return Infinity;
  return sweep + Math.asin(Math.max(-1, left / least)) + Math.asin(Math.max(-1, right / least));
}

/** Area of a ring sector (mm2): the mean of both arcs times the slant, also where it runs over itself past a full turn. */
export function sectorArea({ foot, rim, slant, left, right }: Sector): number {
  return ((foot + rim) / 2 + left + right) * slant;
}
