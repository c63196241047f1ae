import type { Fault } from '../../errors.ts';
import { LIMITS } from '../../target/target.ts';
import { rangeFaults, textFaults } from '../../ranges.ts';
import type { Placement } from '../../geometry/nest/nestJob.ts';

/** A placement that was kept; a locked one stays when the rest is laid out again. */
export interface KeptPlacement extends Placement {
  readonly locked?: boolean;
}

/** A slab of a kept plan: its parts, by thickness (mm). */
export interface KeptSlab {
  readonly thickness: number;
  readonly placements: readonly KeptPlacement[];
}

/** The slab plan of a batch, as it is kept with the design that it was begun from. Lengths mm. */
export interface KeptPlan {
  readonly name: string;
  /** Id of the design that the plan belongs to. */
  readonly design: string;
  /** Designs of the batch by their ids, and how many of each are made. */
  readonly pieces: readonly { readonly design: string; readonly count: number }[];
  readonly gap: number;
  readonly margin: number;
  readonly alongRoll: boolean;
  readonly slabs: readonly KeptSlab[];
}

/** Limits of a plan. */
export const PLAN_LIMITS = {
  count: { least: 1, greatest: 200 },
  pieces: 40,
  gap: { least: 0, greatest: 100 },
  margin: { least: 0, greatest: 200 },
  placements: 2000,
} as const;

/** Every reason why a plan cannot be kept; empty when it can. */
export function checkPlan(plan: KeptPlan): Fault[] {
  const placements = plan.slabs.reduce((sum, slab) => sum + slab.placements.length, 0);
  return [
    ...textFaults('name', plan.name, { most: LIMITS.nameLength.greatest, least: LIMITS.nameLength.least }),
    ...plan.pieces.flatMap(({ count }, index) => rangeFaults(`pieces.${index}.count`, count, PLAN_LIMITS.count)),
    ...rangeFaults('pieces', plan.pieces.length, { least: 1, greatest: PLAN_LIMITS.pieces }),
    ...rangeFaults('gap', plan.gap, PLAN_LIMITS.gap),
    ...rangeFaults('margin', plan.margin, PLAN_LIMITS.margin),
    ...rangeFaults('slabs', placements, { least: 0, greatest: PLAN_LIMITS.placements }),
  ];
}
