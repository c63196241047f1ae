import type { Face } from '../target/face.ts';
import type { Seam } from '../target/seam.ts';
import type { Point2 } from './pose.ts';
import type { Point3 } from '../geometry/point.ts';

/** A bent wall as it stands, by pairs of points of its neutral surface along its rulings, seen from above anticlockwise. Wet mm. */
export interface BentWall {
  readonly kind: 'bent';
  /** The flat part that it is cut as. */
  readonly part: string;
  readonly lows: readonly Point3[];
  readonly highs: readonly Point3[];
  /** Lean of foot and rim at each ruling, degrees as seen with the inside face up. */
  readonly footLeans: readonly number[];
  readonly rimLeans: readonly number[];
  /** Where rulings do not stand square to the level edges: the way out in plan at each of them (radians). */
  readonly normals?: readonly number[];
  readonly thickness: number;
  readonly neutralFraction: number;
  /** How the two ends are cut; null where they are cut straight down. */
  readonly seam: Seam | null;
  /** Ends that a section has cut through, which show the slab and no seam. */
  readonly sectioned?: readonly ('first' | 'last')[];
  /** Bands are counted from below. */
  readonly band: number;
}

/** A flat panel as it stands, by the corners of its faces: foot left, foot right, rim right, rim left, seen from outside. */
export interface StandingPanel {
  readonly outer: readonly Point3[];
  readonly inner: readonly Point3[];
}

/** Panels that are cut in one piece, folded along the edges of their outer faces; a separate panel is a chain of one. */
export interface PanelChain {
  readonly kind: 'panels';
  readonly part: string;
  readonly panels: readonly StandingPanel[];
}

/** The base by the outlines of its under and upper face, each as seen from above anticlockwise. Wet mm. */
export interface BasePlate {
  readonly under: readonly Point2[];
  readonly top: readonly Point2[];
  readonly thickness: number;
}

/** A whole piece as it stands, wet, the table at z = 0. */
export interface Body {
  readonly walls: readonly (BentWall | PanelChain)[];
  readonly base: BasePlate | null;
  readonly height: number;
  readonly faceUp: Face;
}

/** A strip of surface between two lines with the same number of points. */
export interface Ribbon {
  readonly face: 'inside' | 'outside' | 'edge' | 'cut';
  readonly one: readonly Point3[];
  readonly other: readonly Point3[];
}

/** A part on its way up: its surface, and the neutral lines that do not stretch (bent walls only). */
export interface RaisedPart {
  readonly part: string;
  readonly ribbons: readonly Ribbon[];
  readonly neutral: { readonly foot: readonly Point3[]; readonly rim: readonly Point3[] } | null;
}
