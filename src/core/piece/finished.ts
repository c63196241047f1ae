import { FIRED_MASS_FRACTION, firedLength } from '../units/shrinkage.ts';
import type { Part } from '../parts/part/part.ts';
import { additionsOf } from '../forms/additions.ts';
import { kindOf } from '../forms/kinds.ts';
import { acrossOf, type Reach } from '../forms/kind/standing.ts';
import type { PlanOutline } from '../target/plan.ts';
import type { Target } from '../target/target.ts';
import { toWet } from '../forms/kind/wetSize.ts';

/** What the piece will be. Volume in ml, masses in g, lengths fired mm. */
export interface Finished {
  /** Brim capacity at fired size (ml); 0 for a tube without a base, which holds nothing. */
  readonly capacityBrim: number;
  /** Mass of the parts as cut, with handles, feet and lid and without spares, and an estimate of the fired piece. */
  readonly mass: { readonly wet: number; readonly fired: number };
  /** Wet mass of what is cut away once the piece is formed: margins, trim, spare (g). */
  readonly cutAway: number;
  /** Across the outside at rim and foot along the x axis, as it is asked for (across flats where the number of sides is odd), and the overall height. */
  readonly rim: number;
  readonly foot: number;
  readonly height: number;
  /** Across the inside alike: at the rim, and on the floor. */
  readonly inside: { readonly rim: number; readonly foot: number };
  /** The room that the outside takes along and across the x axis, at rim and foot. */
  readonly widths: { readonly rim: readonly [number, number]; readonly foot: readonly [number, number] };
}

/** How many of a part are spares, which are no part of the finished piece. */
function sparesOf({ handle }: Target, { id }: Part): number {
  return id === 'handle' ? (handle?.spares ?? 0) : 0;
}

/** Rim and foot that are polygons of an odd number of sides, which are measured across flats: where their middle lies (wet mm). */
function acrossFlats(target: Target): Partial<Record<'rim' | 'foot', { readonly at: number }>> {
  const { form } = target;
  if (form.kind === 'facet') return form.sides % 2 === 1 ? { rim: { at: 0 }, foot: { at: 0 } } : {};
  if (form.kind !== 'loft') return {};
  const odd = (plan: PlanOutline) =>
    plan.kind === 'polygon' && plan.sides % 2 === 1 && { at: toWet(plan.at?.[0] ?? 0, target) };
  const [rim, foot] = [odd(form.rim), odd(form.foot)];
  return { ...(rim && { rim }), ...(foot && { foot }) };
}

/** What a piece holds to the brim once it is fired (ml); 0 for a tube without a base. */
export function finishedCapacity(target: Target): number {
  if (target.base.join === 'none') return 0;
  return (kindOf(target).standing(target).hollowVolume * (1 - target.clay.shrinkage) ** 3) / 1000;
}

/**
 * Capacity from the inner faces at fired size; mass from the volume of the flat parts times wet density.
 * @param trimmed what is trimmed off the parts once they are formed (mm3)
 */
export function finished(target: Target, parts: readonly Part[], trimmed = 0): Finished {
  const { outer, rim, hollow, height, section } = kindOf(target).standing(target);
  const s = target.clay.shrinkage;
  const { handle, lumps } = additionsOf(target);
  const whole = lumps.reduce((sum, lump) => sum + (lump.id !== 'pulled-handle' ? lump.count * lump.volume : 0), 0);
  const pulled = target.handle?.kind === 'pulled' && handle ? handle.angles.length * handle.volume : 0;
  const volume = parts.reduce(
    (sum, part) => sum + (part.count - sparesOf(target, part)) * part.volume,
    pulled + whole - trimmed,
  );
  const wet = (volume / 1000) * target.clay.wetDensity;
  const twice = acrossFlats(target);
  const across = (edge: 'rim' | 'foot', reach: Reach | undefined) => {
    if (!twice[edge] || !reach) return reach ? firedLength(reach[2] - reach[1], s) : 0;
    return firedLength(2 * (reach[2] - twice[edge].at), s);
  };
  const widths = (z: number) => acrossOf(section(z).outer).map((width) => firedLength(width, s)) as [number, number];
  return {
    capacityBrim: finishedCapacity(target),
    mass: { wet, fired: wet * FIRED_MASS_FRACTION },
    cutAway: target.form.kind === 'sheet' ? 0 : (trimmed / 1000) * target.clay.wetDensity,
    rim: across('rim', rim),
    foot: across('foot', outer[0]),
    height: firedLength(height, s),
    inside: { rim: across('rim', hollow.at(-1)), foot: across('foot', hollow[0]) },
    widths: { rim: widths(height), foot: widths(0) },
  };
}
