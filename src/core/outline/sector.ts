import { ANGLE_TOLERANCE, STRAIGHT_RADIUS } from '../numbers.ts';
import { moved, type Outline } from './outline.ts';
import { rectangle } from './shapes.ts';

/** A ring sector as a flat cone wall has it. Lengths mm. */
export interface Sector {
  /** Lengths of the foot's and the rim's arc. */
  readonly foot: number;
  readonly rim: number;
  /** Distance from foot to rim along the wall. */
  readonly slant: number;
  /** Width of a strip added along the right end, parallel to it. */
  readonly added: number;
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
function arcOf(length: number, radius: number, height: number, curl: 1 | -1, added: number): Arc {
  const half = length / radius / 2;
  const end = half + Math.asin(Math.min(1, added / radius));
  const at = (angle: number) =>
    [radius * Math.sin(angle), height - curl * 2 * radius * Math.sin(angle / 2) ** 2] as const;
  const bulge = radius >= STRAIGHT_RADIUS ? 0 : -curl * Math.tan((half + end) / 4);
  return { left: at(-half), right: at(end), bulge };
}

/**
 * The outline of a ring sector with its foot towards smaller y: its axis at x = 0, the middle of the foot at y = 0, the
 * left foot corner first. With both arcs growing alike it runs smoothly into a rectangle; arcs of a radius of
 * {@link STRAIGHT_RADIUS} and more are straight lines.
 */
export function sectorOutline({ foot, rim, slant, added }: Sector): Outline {
  const growth = rim - foot;
  const curl = growth >= 0 ? 1 : -1;
  const sweep = Math.abs(growth) / slant;
  if (sweep < ANGLE_TOLERANCE) return moved(rectangle(foot + added, slant), -foot / 2, 0);
  const footArc = arcOf(foot, foot / sweep, 0, curl, added);
  const rimArc = arcOf(rim, rim / sweep, slant, curl, added);
  return [
    [...footArc.left, footArc.bulge],
    [...footArc.right, 0],
    [...rimArc.right, -rimArc.bulge],
    [...rimArc.left, 0],
  ];
}
