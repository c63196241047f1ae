import { BULGE_TOLERANCE, TAU, TURN_TOLERANCE } from '../../numbers.ts';
import { edgeAt, type Outline, type Vertex } from './outline.ts';
import { turned, NORMAL_TOLERANCE, type PlanPoint, type Side, type Support } from './support.ts';

/** Most that a line may turn back where two pieces meet and still count as convex (radians): rounding. */
export const KINK_TOLERANCE = 0.004;

/** Corners that turn by less are part of a curve (radians). */
const SHARP = 0.02;

/** A piece of a convex outline by its normals: the arc, or the corner of radius 0, that begins at a normal (radians). */
interface ArcPiece {
  readonly from: number;
  readonly centre: PlanPoint;
  readonly radius: number;
}

/** The outward normals at both ends of an edge (radians) of a counter-clockwise outline. */
function normalsOf([x0, y0, bulge]: Vertex, [x1, y1]: Vertex): readonly [number, number] {
  const middle = Math.atan2(y1 - y0, x1 - x0) - Math.PI / 2;
  const half = Math.abs(bulge) < BULGE_TOLERANCE ? 0 : 2 * Math.atan(bulge);
  return [middle - half, middle + half];
}

/** The angle brought between minus and plus half a turn. */
const between = (angle: number) => turned(angle + Math.PI) - Math.PI;

/** How far an outline turns at its corners, each where its edge begins, and along its edges (radians). */
function turnsOf(outline: Outline): { readonly corners: readonly number[]; readonly along: readonly number[] } {
  const count = outline.length;
  const ends = outline.map((vertex, index) => normalsOf(vertex, outline[(index + 1) % count] as Vertex));
  const corners = ends.map(([start], index) => between(start - (ends[(index + count - 1) % count]?.[1] ?? 0)));
  return { corners, along: ends.map(([start, end]) => end - start) };
}

/** How far an outline turns at each of its corners (radians), 0 where two pieces run on into one another. */
export const cornerTurns = (outline: Outline): readonly number[] => turnsOf(outline).corners;

/** A line that turns by more than this at a point has a corner there (radians); by less, it is a curve drawn as short lines. */
export const CORNER = 0.2;

/** Whether an outline has sharp corners. */
export const hasCorners = (outline: Outline): boolean => turnsOf(outline).corners.some((turn) => turn >= CORNER);

/** Whether an outline goes round once, counter-clockwise, and never turns back. */
export function isConvex(outline: Outline): boolean {
  const { corners, along } = turnsOf(outline);
  if (corners.some((turn) => turn < -KINK_TOLERANCE) || along.some((turn) => turn < 0)) return false;
  const whole = [...corners, ...along].reduce((sum, turn) => sum + turn, 0);
  return Math.abs(whole - TAU) < TURN_TOLERANCE;
}

/** A convex outline of lines and arcs. */
class ArcOutline implements Support {
  readonly flats: readonly number[];
  private readonly from: Float64Array;

  constructor(
    readonly pieces: readonly ArcPiece[],
    flats: readonly number[],
  ) {
    this.flats = flats;
    this.from = Float64Array.from(pieces, (piece) => piece.from);
  }

  h(phi: number): number {
    const { centre, radius } = this.pieceAt(phi, 'after');
    return centre[0] * Math.cos(phi) + centre[1] * Math.sin(phi) + radius;
  }

  slope(phi: number, side: Side): number {
    const [x, y] = this.pieceAt(phi, side).centre;
    return y * Math.cos(phi) - x * Math.sin(phi);
  }

  /** The last piece that begins at or before a normal. */
  private pieceAt(phi: number, side: Side): ArcPiece {
    const { from, pieces } = this;
    const at = turned(phi) + (side === 'after' ? NORMAL_TOLERANCE : -NORMAL_TOLERANCE);
    let [low, high] = [0, from.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((from[middle] as number) <= at) low = middle + 1;
      else high = middle;
    }
    return pieces[(low + pieces.length - 1) % pieces.length] as ArcPiece;
  }
}

/**
 * The support of a convex outline of lines and arcs (mm, about the origin). Its flat normals include both ends of each sharp
 * corner: a wall that is moved inward past a corner is mitred there.
 */
export function arcOutline(outline: Outline): Support {
  const count = outline.length;
  const { corners } = turnsOf(outline);
  const pieces: ArcPiece[] = [];
  const flats = new Set<number>();
  outline.forEach((vertex, index) => {
    const next = outline[(index + 1) % count] as Vertex;
    const before = outline[(index + count - 1) % count] as Vertex;
    const [start, end] = normalsOf(vertex, next);
    const corner = corners[index] as number;
    const [, reached] = normalsOf(before, vertex);
    if (corner > NORMAL_TOLERANCE) pieces.push({ from: turned(reached), centre: [vertex[0], vertex[1]], radius: 0 });
    if (corner > SHARP) [reached, start].forEach((normal) => flats.add(turned(normal)));
    const { centre, radius } = edgeAt(outline, index);
    // Where the line turns back slightly, a flat edge before or after must not be lost.
    const from = corner < 0 ? reached : start;
    if (centre && end - start > NORMAL_TOLERANCE) pieces.push({ from: turned(from), centre, radius });
    else flats.add(turned(start));
  });
  const ordered = [...flats].sort((one, other) => one - other);
  return new ArcOutline(
    pieces.sort((one, other) => one.from - other.from),
    ordered.filter((flat, at) => at === 0 || flat - (ordered[at - 1] as number) > NORMAL_TOLERANCE),
  );
}
