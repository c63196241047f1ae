/** A point of a profile: height and radius (mm). */
export type ProfilePoint = readonly [height: number, radius: number];

/** The radius of a profile at a height, and how fast it widens there (mm, mm for each mm of height). */
export interface ProfileLine {
  readonly radiusAt: (z: number) => number;
  readonly slopeAt: (z: number) => number;
}

/** A cubic between two points by its slopes at both. */
function cubic([z0, r0]: ProfilePoint, [z1, r1]: ProfilePoint, from: number, to: number): ProfileLine {
  const length = z1 - z0;
  const rise = r1 - r0;
  return {
    radiusAt: (z) => {
      const u = (z - z0) / length;
      return r0 + rise * u * u * (3 - 2 * u) + length * u * (1 - u) * (from * (1 - u) - to * u);
    },
    slopeAt: (z) => {
      const u = (z - z0) / length;
      return (6 * rise * u * (1 - u)) / length + from * (1 - u) * (1 - 3 * u) + to * u * (3 * u - 2);
    },
  };
}

/**
 * The smooth line of a wall that is pushed out to a belly: two cubics that meet in it without a bend and end free of
 * curvature at both others. Where the belly is the widest place the line stands upright in it; where the piece goes on
 * widening, its slope there is the harmonic mean of both sides (Fritsch and Carlson), so that it never swings past.
 */
export function bellyLine(low: ProfilePoint, belly: ProfilePoint, high: ProfilePoint): ProfileLine {
  const below = (belly[1] - low[1]) / (belly[0] - low[0]);
  const above = (high[1] - belly[1]) / (high[0] - belly[0]);
  const slope = below * above > 0 ? (2 * below * above) / (below + above) : 0;
  const free = (chord: number) => (3 * chord - slope) / 2;
  const under = cubic(low, belly, free(below), slope);
  const over = cubic(belly, high, slope, free(above));
  const at = (z: number) => (z < belly[0] ? under : over);
  return { radiusAt: (z) => at(z).radiusAt(z), slopeAt: (z) => at(z).slopeAt(z) };
}
