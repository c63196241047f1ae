import { convexOutline } from '../files/drawn/convexOutline.ts';
import { planOutline } from '../geometry/outline/curve.ts';
import type { Outline } from '../geometry/outline/outline.ts';
import { scaledDrawn, drawnReach, supportOf } from '../parts/plan/plan.ts';
import type { DrawnPlan, PlanOutline } from '../target/plan.ts';
import { checkTarget } from '../forms/checkTarget.ts';
import { develop } from './develop.ts';
import { targetsOfEveryKind } from './everyKind.test.helper.ts';
import { footMeasuredAt } from './returned.test.helper.ts';
import { returnedLoft, strayed } from './returnedLoft.test.helper.ts';
import type { LoftForm, Target } from '../target/target.ts';

/** The same outline as if it had been drawn: about the middle of its box, and lying where it lay. */
function drawn(plan: PlanOutline): DrawnPlan {
  const shape = supportOf(plan);
  const reading = convexOutline(planOutline(shape));
  if (reading.kind === 'refused') throw new Error(reading.rule);
  const middle = (phi: number) => (shape.h(phi) - shape.h(phi + Math.PI)) / 2;
  return { kind: 'drawn', points: reading.points, corner: 0, at: [middle(0), middle(Math.PI / 2)] };
}

const HALF = Math.tan(Math.PI / 8);
/** Outlines that no figures describe: curves that run on into one another, and curves that end in a corner. */
const FREE: readonly (readonly [string, Outline])[] = [
  [
    'egg',
    [
      [0, -30, HALF],
      [30, 0, Math.tan(Math.atan2(50, 30) / 4)],
      [0, 50, Math.tan(Math.atan2(50, 30) / 4)],
      [-30, 0, HALF],
    ],
  ],
  [
    'half round',
    [
      [-50, -20, 0],
      [50, -20, 1],
    ],
  ],
  [
    'leaf',
    [
      [-60, 0, 0.5],
      [60, 0, 0.5],
    ],
  ],
  [
    'drop',
    [
      [0, -60, 0],
      [40, 0, 0.9],
      [-40, 0, 0],
    ],
  ],
  [
    'quarter',
    [
      [-40, -40, 0],
      [40, -40, HALF],
      [-40, 40, 0],
    ],
  ],
];
const free = (outline: Outline, across: number): DrawnPlan => {
  const reading = convexOutline(outline);
  if (reading.kind === 'refused') throw new Error(reading.rule);
  const plan: DrawnPlan = { kind: 'drawn', points: reading.points, corner: 0 };
  return { ...scaledDrawn(plan, across / drawnReach(plan)), corner: 14 };
};

const LOFTS = targetsOfEveryKind(61, 24, { kinds: ['loft'] });
const with_ = (target: Target, change: (form: LoftForm) => Partial<LoftForm>): Target => ({
  ...target,
  form: { ...(target.form as LoftForm), ...change(target.form as LoftForm) },
});

describe('a wall on outlines that were drawn', () => {
  it('is the wall on the same outlines by their figures', () => {
    // On a floor a foot goes on below it as its own kind does.
    const plain = LOFTS.filter((target) => footMeasuredAt(target) === 0);
    expect(plain.length).toBeGreaterThan(8);
    for (const target of plain) {
      const own = develop(target).numbers as unknown as Record<string, number>;
      const found = develop(with_(target, ({ rim, foot }) => ({ rim: drawn(rim), foot: drawn(foot) })))
        .numbers as unknown as Record<string, number>;
      for (const [key, value] of Object.entries(own))
        expect([target, key, found[key]]).toEqual([target, key, expect.closeTo(value, key === 'area' ? -1 : 1)]);
    }
  });

  it.each(FREE)('rolled up again gives back the %s that was asked for, to 0.02 mm', (_, outline) => {
    let made = 0;
    LOFTS.forEach((target, index) => {
      const wanted = with_(target, ({ rim, foot }) => {
        const plans = { rim: free(outline, drawnReach(free(outline, 130))), foot: free(outline, 90 + index) };
        return index % 3 === 0 ? plans : index % 3 === 1 ? { rim: plans.rim, foot } : { rim, foot: plans.foot };
      });
      if (checkTarget(wanted).length > 0) return;
      made += 1;
      const wrong = returnedLoft(wanted, wanted.form as LoftForm).filter(
        ({ asked, got }) => !(Math.abs(got - asked) < 0.02),
      );
      expect([wanted.form, wanted.size, wanted.base, wrong]).toEqual([wanted.form, wanted.size, wanted.base, []]);
      if (index % 4 === 0) expect([wanted, strayed(wanted) < 0.02]).toEqual([wanted, true]);
    });
    expect(made).toBeGreaterThan(16);
  });
});
