import { TAU } from '../../numbers.ts';
import { pointAt, stationsOf } from '../../geometry/outline/stations.ts';
import { mergedFlats } from '../../geometry/outline/derived.ts';
import type { Support } from '../../geometry/outline/support.ts';
import type { Face } from '../../target/face.ts';
import type { Seam } from '../../target/seam.ts';
import type { Point, Point3 } from '../../geometry/point.ts';

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

/** A row of a strip: radius, height and slope of its neutral surface, and how far along the middle line it lies (mm, radians). */
export interface StripRow {
  readonly radius: number;
  readonly z: number;
  readonly slope: number;
  readonly along: number;
}

/** A strip as it stands, bent along its middle and across it, by rows of its neutral surface from foot to rim. Wet mm, radians. */
export interface StripWall {
  readonly kind: 'strip';
  readonly part: string;
  readonly rows: readonly StripRow[];
  /** Where its middle stands round from the first seam, and how far round a whole strip reaches. */
  readonly turn: number;
  readonly sweep: number;
  /** Between which angles about its middle it is there: less than its sweep where a section cuts it. */
  readonly from: number;
  readonly to: number;
  /** Degrees as seen with the inside face up. */
  readonly footLean: number;
  readonly rimLean: number;
  readonly thickness: number;
  readonly neutralFraction: number;
  readonly seam: Seam;
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
  readonly under: readonly Point[];
  readonly top: readonly Point[];
  readonly thickness: number;
}

/** A whole piece as it stands, wet, the table at z = 0. */
export interface Body {
  readonly walls: readonly (BentWall | PanelChain | StripWall)[];
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

/** Rulings once round: three degrees each, which no eye sees. */
export const RULINGS = 120;

/** A ring of points about the axis. */
export function ring(radius: number, count = RULINGS): Point[] {
  return Array.from({ length: count }, (_, index) => {
    const angle = (TAU * index) / count;
    return [radius * Math.cos(angle), radius * Math.sin(angle)] as const;
  });
}

/** Points of two outlines with the same normals, each once round. */
export function platePoints(under: Support, top: Support): { readonly under: Point[]; readonly top: Point[] } {
  const stations = stationsOf(mergedFlats(under, top), RULINGS).slice(0, -1);
  const line = (shape: Support) => stations.map(({ phi, side }) => pointAt(shape, phi, side));
  return { under: line(under), top: line(top) };
}

/** The rows of a strip whose faces both lie between its level ends: nearer to them a slanting slab would reach past the cut. */
export function rowsBetween(
  rows: readonly StripRow[],
  { thickness, neutralFraction: k }: Pick<StripWall, 'thickness' | 'neutralFraction'>,
): StripRow[] {
  const [low, high] = [rows[0]?.z ?? 0, rows.at(-1)?.z ?? 0];
  return rows.filter(({ z, slope }, index) => {
    const reach = Math.max(k, 1 - k) * thickness * Math.abs(Math.sin(slope));
    return index === 0 || index === rows.length - 1 || (z - reach > low && z + reach < high);
  });
}
