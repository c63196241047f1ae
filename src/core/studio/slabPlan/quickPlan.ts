import type { Bench } from '../../advice/bench.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Development } from '../../piece/develop.ts';
import type { Target } from '../../target/target.ts';
import { seeded } from '../../seeded.ts';
import type { SlabNeeded } from '../../bench/slab/slabNeeded.ts';
import { planSlabs } from './planSlabs.ts';
import { DEFAULT_PLAN, groupsOf, type PlanRules } from './slabPlan.ts';

/** A slab of a plan as it is rolled and weighed. */
export function slabOf(
  { thickness, length, width }: Pick<SlabNeeded, 'thickness' | 'length' | 'width'>,
  parts: readonly string[],
  wetDensity: number,
): SlabNeeded {
  return { thickness, length, width, parts, mass: ((length * width * thickness) / 1000) * wetDensity };
}

/**
 * The slabs of one piece until a plan has been laid out for it: the plan's own first layout, on skylines of boxes, with its
 * trim. Null when a part is larger than any slab.
 */
export function quickPlan(target: Target, parts: readonly Part[], rules: PlanRules): SlabNeeded[] | null {
  if (parts.length === 0) return null;
  const groups = groupsOf([{ key: 'one', target, count: 1, parts }], rules);
  const { slabs, unfit } = planSlabs(groups, { rules, locked: [], run: { random: seeded(1), before: () => false } });
  if (unfit.length > 0) return null;
  const names = new Map(groups.flatMap((group) => group.parts.map(({ id, part }) => [id, part.id] as const)));
  return slabs.map((slab) =>
    slabOf(slab, [...new Set(slab.placements.map(({ id }) => names.get(id) ?? id))], target.clay.wetDensity),
  );
}

/** The slabs that one piece is rolled from, whatever has been laid out: the one answer to what is rolled and weighed out. */
export function slabsToRoll(
  target: Target,
  { parts, slabs }: Pick<Development, 'parts' | 'slabs'>,
  greatest: Bench['slab'],
): readonly SlabNeeded[] {
  const cut = parts.filter(({ role }) => role !== 'paper');
  return quickPlan(target, cut, { ...greatest, ...DEFAULT_PLAN }) ?? slabs;
}
