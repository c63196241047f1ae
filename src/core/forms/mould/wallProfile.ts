import type { MouldForm } from '../../target/mouldForm.ts';

/** A point of the wall's profile: shares out and up, and their derivatives. */
export interface ProfileStep {
  readonly out: number;
  readonly up: number;
  readonly outBy: number;
  readonly upBy: number;
}

/** The wall at a share of its way, 0 at the floor and 1 at the rim. */
export type WallProfile = (share: number) => ProfileStep;

/** A quarter of a turn (radians). */
export const QUARTER = Math.PI / 2;

const straight: WallProfile = (share) => ({ out: share, up: share, outBy: 1, upBy: 1 });

const curved: WallProfile = (share) => ({
  out: Math.sin(QUARTER * share),
  up: 1 - Math.cos(QUARTER * share),
  outBy: QUARTER * Math.cos(QUARTER * share),
  upBy: QUARTER * Math.sin(QUARTER * share),
});

const sShaped: WallProfile = (share) => ({
  out: share,
  up: (1 - Math.cos(Math.PI * share)) / 2,
  outBy: 1,
  upBy: (Math.PI * Math.sin(Math.PI * share)) / 2,
});

/** The profile of a spherical cap that rises `depth` over a radius. */
function domeProfile(radius: number, depth: number): WallProfile {
  const sphere = (radius * radius) / (2 * depth) + depth / 2;
  const whole = Math.acos(1 - depth / sphere);
  return (share) => {
    const angle = share * whole;
    return {
      out: (sphere * Math.sin(angle)) / radius,
      up: (sphere * (1 - Math.cos(angle))) / depth,
      outBy: (sphere * Math.cos(angle)) / radius,
      upBy: (sphere * Math.sin(angle)) / depth,
    };
  };
}

/** A drawn profile, its corners rounded by a curve through its points. */
function drawnProfile(points: readonly (readonly [number, number])[]): WallProfile {
  const last = points.length - 1;
  const at = (index: number) => points[Math.max(0, Math.min(last, index))] ?? [0, 0];
  const slope = (index: number, axis: 0 | 1) => {
    const [low, high] = [Math.max(0, index - 1), Math.min(last, index + 1)];
    return (at(high)[axis] - at(low)[axis]) / (high - low);
  };
  return (share) => {
    const along = share * last;
    const index = Math.min(last - 1, Math.floor(along));
    const f = along - index;
    const hermite = (axis: 0 | 1): readonly [value: number, by: number] => {
      const [p, q, m, n] = [at(index)[axis], at(index + 1)[axis], slope(index, axis), slope(index + 1, axis)];
      const a = 2 * p - 2 * q + m + n;
      const b = 3 * q - 3 * p - 2 * m - n;
      return [((a * f + b) * f + m) * f + p, (3 * a * f + 2 * b) * f + m];
    };
    const [out, outBy] = hermite(0);
    const [up, upBy] = hermite(1);
    return { out, up, outBy, upBy };
  };
}
/** The profile of a mould's wall; a dome's rim is as large as a circle of `radius` (mm). */
export function profileOf(
  {
    wall,
    depth,
    profile = [
      [0, 0],
      [1, 1],
    ],
  }: MouldForm,
  radius: number,
): WallProfile {
  switch (wall) {
    case 'straight':
      return straight;
    case 'curved':
      return curved;
    case 's':
      return sShaped;
    case 'dome':
      return domeProfile(radius, depth);
    case 'drawn':
      return drawnProfile(profile);
  }
}
