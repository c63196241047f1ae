import { firedLength, wetLength } from '../../units/shrinkage.ts';
import { additionsOf, handleAngles } from '../../forms/additions.ts';
import { LIMITS, type MarkedPlace, type Target, type WallMarks } from '../../target/target.ts';

/** Length of the tick of one repeat (mm). */
export const TICK = 7;

/** Half the length of the tick at an end of a handle (mm). */
export const END_TICK = 8;

/** How many equal panels the whole wall is marked in: a whole number for each of its pieces. */
export function panelCount(panels: NonNullable<WallMarks['panels']>, girth: number, pieces: number): number {
  const wanted = 'count' in panels ? panels.count : girth / panels.width;
  // No more than may be asked for by their number.
  const most = Math.max(1, Math.floor(LIMITS.wallPanels.greatest / pieces));
  return Math.min(most, Math.max(1, Math.round(wanted / pieces))) * pieces;
}

/** The point at a fraction of the way from one point to another. */
export function between(
  a: readonly [number, number],
  b: readonly [number, number],
  f: number,
): readonly [number, number] {
  return [a[0] + f * (b[0] - a[0]), a[1] + f * (b[1] - a[1])];
}

/** The places that the design asks for, those of its lugs, and of its handles where it names none. */
export function placesOf(target: Target): readonly MarkedPlace[] {
  const places = target.marks?.places ?? [];
  const lugs = (additionsOf(target).lugs?.angles ?? []).map((at): MarkedPlace => ({ kind: 'lug', at }));
  if (!target.handle || places.some(({ kind }) => kind === 'handle')) return [...places, ...lugs];
  return [...places, ...handleAngles(target).map((at): MarkedPlace => ({ kind: 'handle', at })), ...lugs];
}

/** Where on the wall something is joined that stands out: heights of its ends (wet mm), and how the wall leans there. */
export function joinsOf(
  target: Target,
  kind: MarkedPlace['kind'],
): readonly { readonly z: number; readonly lean: number }[] {
  const { handle, lugs } = additionsOf(target);
  const { shrinkage } = target.clay;
  if (kind === 'handle' && handle)
    return [handle.curve.from, handle.curve.to].map((at) => ({
      z: wetLength(at, shrinkage),
      lean: handle.wall.leanAt(at),
    }));
  if (kind === 'lug' && lugs)
    return [lugs.top, lugs.bottom].map((z) => ({ z, lean: lugs.wall.leanAt(firedLength(z, shrinkage)) }));
  return [];
}
