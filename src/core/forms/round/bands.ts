import { coneBase, coneLine, neutralRim, type ConeLine } from '../../parts/wall/cone.ts';
import type { RoundBase } from '../../parts/wall/roundBase.ts';
import { LENGTH_TOLERANCE, degrees } from '../../numbers.ts';
import type { Target } from '../../target/target.ts';
import { measuredFrom, toWet } from '../kind/wetSize.ts';

/** One cone of a round piece: its outer line, and the wet heights between which it stands. */
export interface Cone {
  readonly line: ConeLine;
  readonly from: number;
  readonly to: number;
}

/** The wet profile: heights, and radii over the measured face. */
function profileOf(target: Target): (readonly [height: number, radius: number])[] {
  const { form } = target;
  if (form.kind === 'taper') {
    return [
      [0, toWet(form.foot, target) / 2],
      [toWet(form.height, target), toWet(form.rim, target) / 2],
    ];
  }
  if (form.kind !== 'stack') return [];
  const points = form.profile.map(([height, across]) => [toWet(height, target), toWet(across, target) / 2] as const);
  // Neighbouring bands of one angle are one band.
  return points.filter((point, index) => {
    const before = points[index - 1];
    const after = points[index + 1];
    if (!before || !after) return true;
    const bend = (point[1] - before[1]) * (after[0] - point[0]) - (after[1] - point[1]) * (point[0] - before[0]);
    return Math.abs(bend) > LENGTH_TOLERANCE * LENGTH_TOLERANCE * (after[0] - before[0]) ** 2;
  });
}

/** The cones from below; only the highest ends in the rim, every joint is level. */
export function conesOf(target: Target): Cone[] {
  const profile = profileOf(target);
  const last = profile.length - 2;
  return profile.slice(0, -1).map(([from, foot], index) => {
    const [to, rim] = profile[index + 1] ?? [from, foot];
    const start = index === 0 ? measuredFrom(target) : from;
    const line = coneLine({
      rim,
      foot,
      height: to - start,
      wall: target.slab.wall,
      face: target.size.face,
      rimCut: index === last ? target.rim : 'level',
    });
    // The line is kept by its radius at the table, so that all cones share one height.
    return { line: { ...line, radius: line.radius - start * Math.tan(line.halfAngle) }, from, to };
  });
}

/** One band of the wall on its neutral surface: heights (wet mm), and leans of its edges (degrees, inside up). */
export interface RoundBand extends Cone {
  readonly footLean: number;
  readonly rimLean: number;
}

/** The bands from below as they are cut, and the base that the lowest one is joined with. */
export function bandsOf(target: Target): { readonly bands: readonly RoundBand[]; readonly foot: RoundBase } {
  const { slab, base, rim } = target;
  const { wall: t, neutralFraction: k } = slab;
  const cones = conesOf(target);
  const foot = coneBase((cones[0] as Cone).line, base, { wall: t, floor: slab.base, neutralFraction: k });
  const bands = cones.map(({ line, from, to }, index): RoundBand => {
    const last = index === cones.length - 1;
    const level = degrees(line.halfAngle);
    return {
      line,
      from: index === 0 ? foot.start : from,
      to: last ? neutralRim(line, to, { rim, wall: t, k }) : to,
      footLean: index === 0 ? foot.footLean : -level,
      rimLean: last && rim === 'square' ? 0 : level,
    };
  });
  return { bands, foot };
}

/** Angle of a band's first seam (degrees): every second band is turned by half a piece, so that no two seams stand in line. */
export function seamTurn(band: number, panels: number): number {
  return (band % 2) * (180 / panels);
}
