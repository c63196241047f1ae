import { bounds } from '../geometry/outline/outline.ts';
import type { Part } from '../parts/part/part.ts';
import type { Target } from '../target/target.ts';

/** The wet piece that comes out when the cut parts are bent and joined (mm). */
export interface RolledUp {
  readonly outside: number;
  readonly inside: number;
  readonly height: number;
}

const TAN = (degrees: number) => Math.tan((degrees * Math.PI) / 180);

/**
 * Bends traced parts without using how they were developed: from the outline of the face that lies up and the written leans
 * to the neutral line, the neutral line closed to a ring, then half the slab outward.
 */
export function rollUp(target: Target, parts: readonly Pick<Part, 'id' | 'outline' | 'leans'>[]): RolledUp {
  const { wall: t, base: tb, neutralFraction: k, faceUp } = target.slab;
  const wall = parts.find(({ id }) => id === 'wall');
  const disc = parts.find(({ id }) => id === 'base');
  if (!wall) throw new Error('there is no wall to roll up');
  const box = bounds(wall.outline);
  const { seam } = target;
  const doubled = 'overlap' in seam ? seam.overlap : 'margin' in seam ? 2 * seam.margin : 0;
  const ring = seam.panels * (box.maxX - box.minX - doubled);
  const neutral = ring / Math.PI;

  const footLean = wall.leans.find(({ edge }) => edge === 'foot')?.lean ?? 0;
  const toUpper = faceUp === 'inside' ? k * t : (1 - k) * t;
  const neutralHeight = box.maxY - box.minY + toUpper * TAN(footLean);
  // Outer edge of the foot: past the neutral line by what the slant gains on the way out.
  const outward = (faceUp === 'inside' ? 1 : -1) * TAN(footLean) * (1 - k) * t;
  const outerHeight = neutralHeight + outward;

  const stands = target.base.join === 'under' || target.base.join === 'skirt';
  if (disc && target.base.join !== 'skirt') {
    const size = bounds(disc.outline);
    const lean = disc.leans[0]?.lean ?? 0;
    const upperIsOuter = faceUp === 'outside';
    const under = size.maxX - size.minX + (upperIsOuter ? 0 : 2 * tb * TAN(lean));
    const expected =
      (target.base.join === 'inside' ? neutral - 2 * k * t : neutral + 2 * (1 - k) * t) + 2 * target.base.trim;
    if (Math.abs(under - expected) > 0.001)
      throw new Error(`the base of ${under} does not meet the wall of ${expected}`);
  }
  return {
    outside: neutral + 2 * (1 - k) * t,
    inside: neutral - 2 * k * t,
    height: outerHeight + (stands ? tb : 0),
  };
}
