import { once } from '../../numbers.ts';
import { roundBase, type RoundBase } from '../../parts/wall/roundBase.ts';
import type { GoresForm } from '../../target/goresForm.ts';
import type { Seam } from '../../target/seam.ts';
import type { Target } from '../../target/target.ts';
import { smoothLine } from '../kind/smoothLine.ts';
import { measuredFrom, toWet } from '../kind/wetSize.ts';
import { ballSide, lineSide, type Side } from './side.ts';

/** A wall of gores as it stands, wet mm: its side, and how far outside the measured face its faces lie. */
export interface GoreWall {
  readonly side: Side;
  readonly outer: number;
  readonly inner: number;
  readonly neutral: number;
  readonly height: number;
  readonly floor: number;
}

/** The form of a target that is known to be of gores. */
export function goresOf({ form }: Target): GoresForm {
  if (form.kind !== 'gores') throw new TypeError(`a ${form.kind} has no gores`);
  return form;
}

/** The side of the measured face, and the height of the rim. */
function sideOf(target: Target): { readonly side: Side; readonly height: number } {
  const form = goresOf(target);
  const low = measuredFrom(target);
  if ('ball' in form) {
    const [radius, foot] = [toWet(form.ball, target) / 2, toWet(form.foot, target) / 2];
    const middle = low + Math.sqrt(Math.max(0, radius ** 2 - foot ** 2));
    return { side: ballSide(radius, middle), height: toWet(form.height, target) };
  }
  const points = form.profile.map(
    ([height, across], index) => [index === 0 ? low : toWet(height, target), toWet(across, target) / 2] as const,
  );
  const heights = points.map(([z]) => z);
  return { side: lineSide(smoothLine(points), heights), height: heights.at(-1) ?? 0 };
}

/** The wall that the target asks for. */
export const goreWall = once((target: Target): GoreWall => {
  const { slab, size, base } = target;
  const outer = size.face === 'outside' ? 0 : slab.wall;
  const inner = outer - slab.wall;
  return {
    ...sideOf(target),
    outer,
    inner,
    neutral: inner + slab.neutralFraction * slab.wall,
    floor: base.join === 'none' ? 0 : slab.base,
  };
});

/** Radius of the surface `out` mm outside the measured face at a height (mm); NaN where it does not reach it. */
export function radiusAt({ side }: GoreWall, z: number, out: number): number {
  return side.at(side.uAt(z, out), out).radius;
}

/** The base disc, and where the wall starts. */
export function goreBase(target: Target): RoundBase {
  const wall = goreWall(target);
  const faces = {
    outer: (z: number) => radiusAt(wall, z, wall.outer),
    inner: (z: number) => radiusAt(wall, z, wall.inner),
    slopeAt: (z: number) => wall.side.at(wall.side.uAt(z, wall.neutral), wall.neutral).slope,
  };
  const { slab, base } = target;
  return roundBase(faces, base, { wall: slab.wall, floor: slab.base, neutralFraction: slab.neutralFraction });
}

/** Where the neutral surface of the wall begins and ends, as places on its side. */
export function goreSpan(target: Target): { readonly from: number; readonly to: number } {
  const { side, neutral, height } = goreWall(target);
  return { from: side.uAt(goreBase(target).start, neutral), to: side.uAt(height, neutral) };
}

/** How the strips meet: bevelled, or cut straight down where another seam is asked for. */
export function goreSeam({ seam }: Target): Seam {
  return seam.kind === 'bevel' ? { ...seam, panels: 1 } : { kind: 'butt', panels: 1 };
}
