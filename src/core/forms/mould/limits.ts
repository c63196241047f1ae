import { DEFAULT_STIFFNESS } from '../../target/target.ts';
import type { DrapedTarget } from './draped.ts';
import { STRAIN_LIMITS, type StrainLimits } from '../../target/mouldForm.ts';

/** The limits that hold for a draped target: its own, or those of its clay's stiffness. */
export function limitsOf({ form, clay }: DrapedTarget): StrainLimits {
  return form.limits ?? STRAIN_LIMITS[clay.stiffness ?? DEFAULT_STIFFNESS];
}

/** Whether a slab does no more than its clay takes (fractions). */
export function withinLimits(most: StrainLimits, limits: StrainLimits): boolean {
  return most.stretch <= limits.stretch && most.gather <= limits.gather;
}
