import { FIRED_MASS_FRACTION, firedLength } from '../clay/shrinkage.ts';
import type { Part } from '../part/part.ts';
import { additionsOf } from './additions.ts';
import { kindOf } from './kinds/kinds.ts';
import type { Target } from './target.ts';

/** What the piece will be. Volume in ml, masses in g, lengths fired mm. */
export interface Finished {
  /** Brim capacity at fired size (ml); 0 for a tube without a base, which holds nothing. */
  readonly capacityBrim: number;
  /** Mass of the parts as cut, with handles, feet and lid and without spares, and an estimate of the fired piece. */
  readonly mass: { readonly wet: number; readonly fired: number };
  /** Widest reach of the outside along the x axis, at rim and foot, and the overall height. */
  readonly rim: number;
  readonly foot: number;
  readonly height: number;
}

/** How many of a part are spares, which are no part of the finished piece. */
function sparesOf({ handle }: Target, { id }: Part): number {
  return id === 'handle' ? (handle?.spares ?? 0) : 0;
}

/**
 * Capacity from the inner faces at fired size; mass from the volume of the flat parts times wet density.
 * @param trimmed what is trimmed off the parts once they are formed (mm3)
 */
export function finished(target: Target, parts: readonly Part[], trimmed = 0): Finished {
  const { outer, rim, height, hollowVolume } = kindOf(target).standing(target);
  const s = target.clay.shrinkage;
  const holds = target.base.join === 'none' ? 0 : hollowVolume * (1 - s) ** 3;
  const { handle } = additionsOf(target);
  const pulled = target.handle?.kind === 'pulled' && handle ? handle.angles.length * handle.volume : 0;
  const volume = parts.reduce(
    (sum, part) => sum + (part.count - sparesOf(target, part)) * part.volume,
    pulled - trimmed,
  );
  const wet = (volume / 1000) * target.clay.wetDensity;
  const across = (reach: (typeof outer)[number] | undefined) => (reach ? firedLength(reach[2] - reach[1], s) : 0);
  return {
    capacityBrim: holds / 1000,
    mass: { wet, fired: wet * FIRED_MASS_FRACTION },
    rim: across(rim),
    foot: across(outer[0]),
    height: firedLength(height, s),
  };
}
