import { type Fault } from '../../errors.ts';
import { isConvex } from '../../geometry/outline/arcOutline.ts';
import { drawnReach } from '../../parts/plan/plan.ts';
import type { Range } from '../../ranges.ts';
import type { PlanOutline } from '../../target/plan.ts';
import { LIMITS, SIDES_LIMITS } from '../../target/target.ts';

/** A size of a piece (mm). */
export const SIZE: Range = { above: 0, greatest: LIMITS.size.greatest };
/** A length that may be nothing (mm). */
export const CORNER: Range = { least: 0, greatest: LIMITS.size.greatest };
/** A place on either side of the middle (mm). */
export const PLACE: Range = { least: -LIMITS.size.greatest, greatest: LIMITS.size.greatest };

/** A figure with its path and range; a count must be a whole number. */
export type Ranged = readonly [key: string, value: number, range: Range, unit?: 'count'];

/** The figures of a plan outline with their paths and ranges (mm). */
export function planRanges(key: string, plan: PlanOutline): Ranged[] {
  const at = (plan.at ?? []).map((value, index): Ranged => [`${key}.at.${index}`, value, PLACE]);
  switch (plan.kind) {
    case 'circle':
      return [[`${key}.diameter`, plan.diameter, SIZE], ...at];
    case 'ellipse':
      return [[`${key}.length`, plan.length, SIZE], [`${key}.width`, plan.width, SIZE], ...at];
    case 'rounded': {
      const most = { least: 0, greatest: Math.min(plan.length, plan.width) / 2 };
      return [
        [`${key}.length`, plan.length, SIZE],
        [`${key}.width`, plan.width, SIZE],
        [`${key}.corner`, plan.corner, most],
        ...at,
      ];
    }
    case 'polygon': {
      const most = { least: 0, greatest: plan.acrossFlats / 2 };
      return [
        [`${key}.sides`, plan.sides, SIDES_LIMITS, 'count'],
        [`${key}.acrossFlats`, plan.acrossFlats, SIZE],
        [`${key}.corner`, plan.corner, most],
        ...at,
      ];
    }
    case 'drawn':
      return [
        [`${key}.points`, drawnReach(plan), SIZE],
        [`${key}.corner`, plan.corner, { least: 0, greatest: drawnReach(plan) / 4 }],
        ...(plan.grow === undefined ? [] : [[`${key}.grow`, plan.grow, PLACE] as const]),
        ...at,
      ];
  }
}

/** Why no wall stands on a drawn outline. */
export function drawnPlanFaults(path: string, plan: PlanOutline | undefined): Fault[] {
  if (plan?.kind !== 'drawn' || isConvex(plan.points)) return [];
  return [
    {
      code: 'impossible-piece',
      path: `${path}.points`,
      value: `${plan.points.length} points`,
      rule: 'must run once round, counter-clockwise, and nowhere bend inward',
    },
  ];
}
