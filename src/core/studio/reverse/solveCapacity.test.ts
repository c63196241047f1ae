import { develop } from '../../piece/develop.ts';
import { roughSize } from '../../forms/roughSize.ts';
import type { Form } from '../../target/target.ts';
import { targetWith } from '../../piece/targets.test.helper.ts';
import { keepsOf } from './scaled.ts';
import { solveCapacity } from './solveCapacity.ts';

const FORMS: readonly Form[] = [
  { kind: 'cylinder', diameter: 84, height: 110 },
  { kind: 'taper', rim: 112, foot: 74, height: 78 },
  {
    kind: 'stack',
    profile: [
      [0, 56],
      [78, 92],
      [160, 44],
    ],
  },
  { kind: 'oval', length: 176, width: 112, height: 46 },
  { kind: 'facet', sides: 6, rim: 84, foot: 70, height: 92, fold: 'strip' },
  { kind: 'box', length: 128, width: 76, height: 62 },
  {
    kind: 'loft',
    rim: { kind: 'rounded', length: 170, width: 170, corner: 36 },
    foot: { kind: 'circle', diameter: 96 },
    height: 74,
  },
  { kind: 'former', diameter: 76, sleeve: 0.5, height: 104 },
];

describe('solveCapacity', () => {
  it.each(FORMS.flatMap((form) => keepsOf(form).map((keep) => [form.kind, keep, form] as const)))(
    'makes a %s hold 300 ml, %s kept',
    (_, keep, form) => {
      const solved = solveCapacity(targetWith({ form }), 300, keep);
      if (solved.kind === 'unsolved') throw new Error(solved.rule);
      expect(develop(solved.target).finished.capacityBrim).toBeCloseTo(300, 6);
      const [before, after] = [roughSize(form), roughSize(solved.target.form)];
      if (keep === 'height') expect(after.height).toBe(before.height);
      if (keep === 'width') expect([after.rim, after.foot]).toEqual([before.rim, before.foot]);
      if (keep === 'proportions') expect(after.rim / after.height).toBeCloseTo(before.rim / before.height, 9);
    },
  );

  it.each([
    ['nothing', 0, {}, /more than 0/],
    ['no number', NaN, {}, /more than 0/],
    ['more than any size', 1e12, {}, /no size works: .* no more than about \d+ ml/],
    ['anything without a base', 300, { base: { join: 'none', trim: 0 } }, /holds nothing/],
  ] as const)('says why %s cannot be had', (_, wanted, change, rule) => {
    const solved = solveCapacity(targetWith(change as Parameters<typeof targetWith>[0]), wanted, 'proportions');
    expect(solved.kind === 'unsolved' && solved.rule).toMatch(rule);
  });
});
