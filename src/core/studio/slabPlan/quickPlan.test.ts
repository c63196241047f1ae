import { DEFAULT_BENCH } from '../../advice/bench.ts';
import { develop } from '../../piece/develop.ts';
import { seeded } from '../../seeded.ts';
import { targetWith } from '../../piece/targets.test.helper.ts';
import { quickPlan } from './quickPlan.ts';
import { planSlabs } from './planSlabs.ts';
import { DEFAULT_PLAN, planGroups } from './slabPlan.ts';

describe('the slabs of one piece until they are laid out', () => {
  const rules = { ...DEFAULT_BENCH.slab, ...DEFAULT_PLAN };

  it('are the plan’s own first layout, with its trim', () => {
    const target = targetWith({ slab: { wall: 6, base: 8 } });
    const quick = quickPlan(target, develop(target).parts, rules) ?? [];
    const run = { random: seeded(1), before: () => false };
    const { slabs } = planSlabs(planGroups([{ key: 'one', target, count: 1 }], rules), { rules, locked: [], run });
    expect(quick.map(({ length, width, thickness }) => ({ length, width, thickness }))).toEqual(
      slabs.map(({ length, width, thickness }) => ({ length, width, thickness })),
    );
    expect(quick.map(({ parts }) => parts)).toEqual([['base'], ['wall']]);
    for (const { length, width, thickness, mass } of quick)
      expect(mass).toBeCloseTo(((length * width * thickness) / 1000) * 1.95, 9);
  });

  it('are none where a part is larger than any slab', () => {
    const target = targetWith();
    expect(quickPlan(target, develop(target).parts, { ...rules, length: 120, width: 100 })).toBeNull();
  });
});
