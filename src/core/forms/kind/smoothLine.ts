/** A point of a profile: height and radius (mm). */
export type ProfilePoint = readonly [height: number, radius: number];

/** The radius of a profile at a height, how fast it widens there, and how that changes (mm, mm for each mm, 1/mm). */
export interface ProfileLine {
  readonly radiusAt: (z: number) => number;
  readonly slopeAt: (z: number) => number;
  readonly turnAt: (z: number) => number;
}

/** A cubic between two points by its slopes at both. */
function cubic(
  [z0, r0]: ProfilePoint,
  [z1, r1]: ProfilePoint,
  { from, to }: { readonly from: number; readonly to: number },
): ProfileLine {
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
    turnAt: (z) => {
      const u = (z - z0) / length;
      return ((6 * rise * (1 - 2 * u)) / length + from * (6 * u - 4) + to * (6 * u - 2)) / length;
    },
  };
}

/** A straight line through a point. */
function straight([z0, r0]: ProfilePoint, slope: number): ProfileLine {
  return { radiusAt: (z) => r0 + slope * (z - z0), slopeAt: () => slope, turnAt: () => 0 };
}

/**
 * A smooth line through points of rising height: cubics that meet without a bend, end free of curvature, and go on straight.
 * At its widest and narrowest points it stands upright; elsewhere its slope is the harmonic mean of both sides (Fritsch and
 * Carlson), so that it never swings past a point.
 */
export function smoothLine(points: readonly ProfilePoint[]): ProfileLine {
  const chords = points.slice(1).map(([z, r], index) => {
    const [z0, r0] = points[index] as ProfilePoint;
    return (r - r0) / (z - z0);
  });
  const inner = chords.slice(1).map((above, index) => {
    const below = chords[index] as number;
    return below * above > 0 ? (2 * below * above) / (below + above) : 0;
  });
  const free = (chord = 0, next?: number) => (next === undefined ? chord : (3 * chord - next) / 2);
  const slopes = [free(chords[0], inner[0]), ...inner, free(chords.at(-1), inner.at(-1))];
  const [first, last] = [points[0] as ProfilePoint, points.at(-1) as ProfilePoint];
  const pieces = [
    straight(first, slopes[0] as number),
    ...chords.map((_, index) =>
      cubic(points[index] as ProfilePoint, points[index + 1] as ProfilePoint, {
        from: slopes[index] as number,
        to: slopes[index + 1] as number,
      }),
    ),
    straight(last, slopes.at(-1) as number),
  ];
  const at = (z: number) => {
    const next = points.findIndex(([height]) => z < height);
    return pieces[next < 0 ? pieces.length - 1 : next] as ProfileLine;
  };
  return {
    radiusAt: (z) => at(z).radiusAt(z),
    slopeAt: (z) => at(z).slopeAt(z),
    turnAt: (z) => at(z).turnAt(z),
  };
}
