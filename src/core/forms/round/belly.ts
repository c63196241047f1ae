import { bellyDiameter, bellyHeight } from '../../target/belly.ts';
import { bellied, bellyShape, type BellyShape, type PushedWall } from './bellied.ts';
import { shortValue, type Fault } from '../../errors.ts';
import { once } from '../../numbers.ts';
import { radiusInside } from '../../parts/wall/cone.ts';
import type { Standing } from '../kind/standing.ts';
import type { FormKind, Target } from '../../target/target.ts';
import { wetPiece } from './wetPiece.ts';
import { toWet } from '../kind/wetSize.ts';
import { conesOf, type Cone } from './bands.ts';

/** The forms of this family. */
const ROUND: readonly FormKind[] = ['cylinder', 'former', 'taper', 'stack'];

/** The wall as it is rolled up: the radius over its measured face, the heights at which it bends, and its overall height. */
function straightWall(
  target: Target,
): Pick<PushedWall, 'straightAt' | 'levelAt' | 'joints'> & { readonly height: number } {
  const { slab, base, form, size } = target;
  if (form.kind === 'cylinder' || form.kind === 'former') {
    const { outside, inside, floor, height } = wetPiece(target);
    const radius = (size.face === 'inside' ? inside : outside) / 2;
    return { straightAt: () => radius, levelAt: () => slab.wall, joints: [floor, height], height };
  }
  const cones = conesOf(target);
  const top = cones.at(-1) as Cone;
  const coneAt = (z: number) => cones.find(({ to }) => z <= to) ?? top;
  const depth = size.face === 'inside' ? slab.wall : 0;
  // A square rim slants: the wall is pushed out as far up as both its faces reach.
  const slanted = target.rim === 'square' ? slab.wall * Math.abs(Math.sin(top.line.halfAngle)) : 0;
  const floor = base.join === 'none' ? 0 : slab.base;
  return {
    straightAt: (z) => radiusInside(coneAt(z).line, z, depth),
    levelAt: (z) => slab.wall / Math.cos(coneAt(z).line.halfAngle),
    joints: [floor, ...cones.slice(1).map(({ from }) => from), top.to - slanted],
    height: top.to,
  };
}

/** What the target's wall is pushed out to; null where it has no belly, or one that is no wider than the wall. */
export const bellyOf = once((target: Target): BellyShape | null => {
  const { belly, slab, size } = target;
  if (belly === undefined || !ROUND.includes(target.form.kind)) return null;
  const { height, ...wall } = straightWall(target);
  const at = typeof belly === 'number' ? bellyHeight(belly, height) : toWet(belly.at, target);
  const radius = toWet(bellyDiameter(belly), target) / 2;
  return bellyShape({ ...wall, face: size.face, thickness: slab.wall, belly: { at, radius } });
});

/** The standing piece with its belly, if it has one. */
export function pushedOut(target: Target, straight: Standing): Standing {
  const shape = bellyOf(target);
  return shape ? bellied(straight, shape) : straight;
}

/** A belly above the rim or within the base is refused. */
export function bellyFaults(target: Target): Fault[] {
  const { belly } = target;
  if (typeof belly !== 'object') return [];
  const { joints } = straightWall(target);
  const at = toWet(belly.at, target);
  if (at > (joints[0] ?? 0) && at < (joints.at(-1) ?? 0)) return [];
  const rule = 'must lie between the floor and the rim';
  return [{ code: 'impossible-piece', path: 'belly.at', value: shortValue(belly.at), rule }];
}
