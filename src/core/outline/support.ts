import { TAU } from '../numbers.ts';

/**
 * A convex outline by its support function: `h(phi)` is the distance from the origin to the tangent whose outward
 * normal points to phi (radians), `slope` its derivative. At the normal of a flat edge the slope jumps; `side` says
 * from which side it is taken (geometry: outlines by support function).
 */
export interface Support {
  readonly h: (phi: number) => number;
  readonly slope: (phi: number, side: 'before' | 'after') => number;
  /** The point with outward normal phi, where it is known without `h` and `slope`: only on outlines without flat edges. */
  readonly point?: (phi: number) => readonly [number, number];
  /** Normals of the flat edges, ascending in [0, tau). */
  readonly flats: readonly number[];
}

/** Two normals nearer than this are one (radians). */
export const NORMAL_TOLERANCE = 1e-9;

/** Angle brought into [0, tau); a rounding below a full turn is 0. */
export function turned(phi: number): number {
  const rest = phi % TAU;
  const positive = rest < 0 ? rest + TAU : rest;
  return positive > TAU - NORMAL_TOLERANCE ? 0 : positive;
}

/** The outline with other distances of its tangents, which its points follow. */
export function withHeights({ slope, flats }: Support, h: Support['h']): Support {
  return { h, slope, flats };
}

/** A polygon by its corners (counter-clockwise, about the origin) grown by a radius. */
export function roundedPolygon(corners: readonly (readonly [number, number])[], radius: number): Support {
  // Corner i lies between the normals of the edges that end and start at it.
  const normals = corners.map(([x, y], index) => {
    const [toX, toY] = corners[(index + 1) % corners.length] ?? [x, y];
    return { flat: turned(Math.atan2(toY - y, toX - x) - Math.PI / 2), after: corners[(index + 1) % corners.length] };
  });
  const sorted = normals.sort((one, other) => one.flat - other.flat);
  const flats = sorted.map(({ flat }) => flat);
  const cornerAt = (phi: number, side: 'before' | 'after'): readonly [number, number] => {
    const at = turned(phi);
    let found = sorted[sorted.length - 1];
    for (const normal of sorted) {
      const past = at - normal.flat;
      if (past > NORMAL_TOLERANCE || (side === 'after' && past >= -NORMAL_TOLERANCE)) found = normal;
      else break;
    }
    return found?.after ?? [0, 0];
  };
  return {
    h: (phi) => {
      const [x, y] = cornerAt(phi, 'after');
      return x * Math.cos(phi) + y * Math.sin(phi) + radius;
    },
    slope: (phi, side) => {
      const [x, y] = cornerAt(phi, side);
      return y * Math.cos(phi) - x * Math.sin(phi);
    },
    flats,
  };
}

/** A circle about the origin (mm). */
export function circle(radius: number): Support {
  return {
    h: () => radius,
    slope: () => 0,
    point: (phi) => [radius * Math.cos(phi), radius * Math.sin(phi)],
    flats: [],
  };
}

/** An ellipse about the origin by its half axes along x and y (mm). */
export function ellipse(a: number, b: number): Support {
  const h = (cos: number, sin: number) => Math.sqrt(a * a * cos * cos + b * b * sin * sin);
  return {
    h: (phi) => h(Math.cos(phi), Math.sin(phi)),
    slope: (phi) => {
      const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
      return ((b * b - a * a) * sin * cos) / h(cos, sin);
    },
    point: (phi) => {
      const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
      const reach = h(cos, sin);
      return [(a * a * cos) / reach, (b * b * sin) / reach];
    },
    flats: [],
  };
}
