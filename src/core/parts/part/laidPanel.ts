import { radians } from '../../numbers.ts';
import type { PlaceOnPart } from './panelPart.ts';

/**
 * A flat panel of the standing wall, in the part that it is cut as. Its own frame is its outer face as seen from outside:
 * x to the right from the middle of its foot, which is anticlockwise as seen from above, y up its slant. Wet mm, degrees.
 */
export interface LaidPanel {
  /** Id of the part that it is cut as, and which of its copies, or of the panels of a strip, it is, from 0. */
  readonly part: string;
  readonly copy: number;
  /** Direction of its outward normal in the plan. */
  readonly faces: number;
  /** Distance of its foot and of its rim from the axis, along that direction. */
  readonly reach: { readonly foot: number; readonly rim: number };
  readonly foot: number;
  readonly rim: number;
  readonly slant: number;
  /** Leans of its edges as seen with the inside up; 0 where it is folded and not cut. */
  readonly leans: { readonly foot: number; readonly rim: number; readonly left: number; readonly right: number };
  /** How deep the face that lies up is under the outer one: nothing or the slab. */
  readonly depth: number;
  readonly place: PlaceOnPart;
}

/** Half the width of a panel's outer face at a height up its slant (mm). */
export function halfWidth({ foot, rim, slant }: LaidPanel, y: number): number {
  return (foot + ((rim - foot) * y) / slant) / 2;
}

/** The heights up the slant between which the face that lies up reaches (mm). */
export function heightsUp({ slant, leans, depth }: LaidPanel): { readonly low: number; readonly high: number } {
  return { low: depth * Math.tan(radians(leans.foot)), high: slant - depth * Math.tan(radians(leans.rim)) };
}

/** A distance from the middle of a panel brought on to the face that lies up, at a height up the slant (mm). */
export function withinPanel(panel: LaidPanel, x: number, y: number): number {
  const { foot, rim, slant, leans, depth } = panel;
  const half = halfWidth(panel, y);
  const along = Math.hypot(slant, (rim - foot) / 2) / slant;
  const inset = (lean: number) => depth * Math.tan(radians(lean)) * along;
  return Math.min(half - inset(leans.right), Math.max(-half + inset(leans.left), x));
}
