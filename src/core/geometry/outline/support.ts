import { TAU } from '../../numbers.ts';

/** A point in the plane (mm). */
export type PlanPoint = readonly [number, number];

/** The side of a flat edge's normal on which the slope is taken. */
export type Side = 'before' | 'after';

/**
 * A convex outline by its support function: `h(phi)` is the distance from the origin to the tangent whose outward
 * normal points to phi (radians), `slope` its derivative. At the normal of a flat edge the slope jumps; `side` says
 * from which side it is taken (geometry: outlines by support function).
 *
 * The outlines are classes, not closures: they are made at every keystroke, and a browser drops the compiled code of a
 * closure as soon as nothing refers to it.
 */
export interface Support {
  h(phi: number): number;
  slope(phi: number, side: Side): number;
  /** The point with outward normal phi, where it is known without `h` and `slope`: only on outlines without flat edges. */
  point?(phi: number): PlanPoint | null;
  /** Normals of the flat edges, ascending in [0, tau). */
  readonly flats: readonly number[];
}

/** Normals closer than this count as equal (radians). */
export const NORMAL_TOLERANCE = 1e-9;

/** The angle brought into [0, tau); within rounding of a full turn it is 0. */
export function turned(phi: number): number {
  const rest = phi % TAU;
  const positive = rest < 0 ? rest + TAU : rest;
  return positive > TAU - NORMAL_TOLERANCE ? 0 : positive;
}

/** A flat edge of a polygon: its normal (radians), and the corner that follows it counter-clockwise (mm). */
interface PolygonEdge {
  readonly flat: number;
  readonly after: PlanPoint;
}

class RoundedPolygon implements Support {
  readonly flats: readonly number[];

  constructor(
    readonly edges: readonly PolygonEdge[],
    readonly radius: number,
  ) {
    const flats: number[] = [];
    for (const { flat } of edges) flats.push(flat);
    this.flats = flats;
  }

  h(phi: number): number {
    const [x, y] = this.cornerAt(phi, 'after');
    return x * Math.cos(phi) + y * Math.sin(phi) + this.radius;
  }

  slope(phi: number, side: Side): number {
    const [x, y] = this.cornerAt(phi, side);
    return y * Math.cos(phi) - x * Math.sin(phi);
  }

  private cornerAt(phi: number, side: Side): PlanPoint {
    const { edges } = this;
    const at = turned(phi);
    let found = edges[edges.length - 1];
    for (const edge of edges) {
      const past = at - edge.flat;
      if (past > NORMAL_TOLERANCE || (side === 'after' && past >= -NORMAL_TOLERANCE)) found = edge;
      else break;
    }
    return found?.after ?? [0, 0];
  }
}

function byNormal(one: PolygonEdge, other: PolygonEdge): number {
  return one.flat - other.flat;
}

/** A polygon by its corners (counter-clockwise, about the origin) grown by a radius. */
export function roundedPolygon(corners: readonly PlanPoint[], radius: number): Support {
  // Corner i lies between the normals of the edges that end and start at it.
  const edges: PolygonEdge[] = [];
  for (let index = 0; index < corners.length; index += 1) {
    const [x, y] = corners[index] as PlanPoint;
    const after = corners[(index + 1) % corners.length] as PlanPoint;
    edges.push({ flat: turned(Math.atan2(after[1] - y, after[0] - x) - Math.PI / 2), after });
  }
  return new RoundedPolygon(edges.sort(byNormal), radius);
}

/** An ellipse about the origin by its half axes along x and y (mm); with equal ones a circle. */
class Ellipse implements Support {
  readonly flats: readonly number[] = [];

  constructor(
    readonly a: number,
    readonly b: number,
  ) {}

  h(phi: number): number {
    const { a, b } = this;
    if (a === b) return a;
    const cos = Math.cos(phi);
    const sin = Math.sin(phi);
    return Math.sqrt(a * a * cos * cos + b * b * sin * sin);
  }

  slope(phi: number): number {
    const { a, b } = this;
    return a === b ? 0 : ((b * b - a * a) * Math.sin(phi) * Math.cos(phi)) / this.h(phi);
  }

  point(phi: number): PlanPoint {
    const { a, b } = this;
    const cos = Math.cos(phi);
    const sin = Math.sin(phi);
    if (a === b) return [a * cos, b * sin];
    const reach = this.h(phi);
    return [(a * a * cos) / reach, (b * b * sin) / reach];
  }
}

/** A circle about the origin (mm). */
export function circle(radius: number): Support {
  return new Ellipse(radius, radius);
}

/** An ellipse about the origin by its half axes along x and y (mm). */
export function ellipse(a: number, b: number): Support {
  return new Ellipse(a, b);
}

/** The same outline elsewhere: moved by x and y (mm). */
class Moved implements Support {
  readonly flats: readonly number[];

  constructor(
    readonly shape: Support,
    readonly by: PlanPoint,
  ) {
    this.flats = shape.flats;
  }

  h(phi: number): number {
    return this.shape.h(phi) + this.by[0] * Math.cos(phi) + this.by[1] * Math.sin(phi);
  }

  slope(phi: number, side: Side): number {
    return this.shape.slope(phi, side) - this.by[0] * Math.sin(phi) + this.by[1] * Math.cos(phi);
  }

  point(phi: number): PlanPoint | null {
    const known = this.shape.point?.(phi) ?? null;
    return known && [known[0] + this.by[0], known[1] + this.by[1]];
  }
}

/** The outline moved by x and y (mm). */
export function movedSupport(shape: Support, by: PlanPoint): Support {
  return by[0] === 0 && by[1] === 0 ? shape : new Moved(shape, by);
}
