import type { PlanOutline } from '../outline/plan.ts';
import { develop } from './develop.ts';
import type { Form } from './target.ts';
import { level } from './targets.test.helper.ts';

describe('refusals', () => {
  const loft = (rim: PlanOutline): Form => ({ kind: 'loft', rim, foot: { kind: 'circle', diameter: 80 }, height: 80 });
  it.each<[string, Form, string, RegExp]>([
    ['a profile that does not start on the table', { kind: 'stack', profile: [[5, 60], [90, 80]] }, 'form.profile.0.0', /start at height 0/], // prettier-ignore
    [
      'a profile that goes down',
      {
        kind: 'stack',
        profile: [
          [0, 60],
          [90, 80],
          [80, 90],
        ],
      },
      'form.profile.2.0',
      /higher/,
    ],
    ['a rim narrower than the wall', { kind: 'taper', rim: 8, foot: 80, height: 90 }, 'slab.wall', /nothing inside/],
    ['two sides', { kind: 'facet', sides: 2, rim: 80, foot: 80, height: 90, fold: 'strip' }, 'form.sides', /3 to 24/],
    ['half a side', { kind: 'facet', sides: 4.5, rim: 80, foot: 80, height: 90, fold: 'strip' }, 'form.sides', /whole/],
    ['a corner rounder than the outline', loft({ kind: 'rounded', length: 60, width: 40, corner: 30 }), 'form.rim.corner', /0 to 20/], // prettier-ignore
    [
      'an oval thinner than its walls',
      { kind: 'oval', length: 90, width: 8, height: 60 },
      'slab.wall',
      /nothing inside|curve/,
    ],
    [
      'a box lower than its base',
      { kind: 'box', length: 90, width: 60, height: 3 },
      'form.height',
      /higher than the base/,
    ],
    [
      'a sleeve less than nothing',
      { kind: 'former', diameter: 75, sleeve: -1, height: 90 },
      'form.sleeve',
      /0 to 5000/,
    ],
  ])('refuses %s', (_, form, path, rule) => {
    try {
      develop(level(form));
    } catch (error) {
      const { faults } = error as { faults: { path: string; rule: string }[] };
      expect(faults).toEqual(
        expect.arrayContaining([expect.objectContaining({ path, rule: expect.stringMatching(rule) })]),
      );
      return;
    }
    throw new Error('it was developed');
  });
});
