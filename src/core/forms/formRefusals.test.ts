import type { PlanOutline } from '../target/plan.ts';
import { develop } from '../piece/develop.ts';
import type { Form } from '../target/target.ts';
import { level } from '../piece/targets.test.helper.ts';

describe('refusals', () => {
  const loft = (rim: PlanOutline): Form => ({ kind: 'loft', rim, foot: { kind: 'circle', diameter: 80 }, height: 80 });
  const outline = [
    [-60, -40, 0],
    [60, -40, 0],
    [60, 40, 0],
    [-60, 40, 0],
  ] as const;
  const hole = (x: number, y: number, across: number) =>
    [
      [x + across / 2, y, 1],
      [x - across / 2, y, 1],
    ] as const;
  const sheet = (holes: readonly ReturnType<typeof hole>[]): Form => ({
    kind: 'sheet',
    outline,
    holes,
    bend: { diameter: 140, angle: 0 },
  });
  it.each<[string, Form, string, RegExp]>([
    [
      'a profile that does not start on the table',
      {
        kind: 'stack',
        profile: [
          [5, 60],
          [90, 80],
        ],
      },
      'form.profile.0.0',
      /start at height 0/,
    ],
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
    [
      'a plate whose square rim would lie under its floor',
      { kind: 'taper', rim: 260, foot: 120, height: 10 },
      'form.height',
      /too low for a rim cut square/,
    ],
    ['a hole through the outline of a sheet', sheet([hole(55, 0, 12)]), 'form.holes.0', /runs through the outline/],
    ['a hole outside of a sheet', sheet([hole(90, 0, 12)]), 'form.holes.0', /outside the sheet/],
    ['a hole through another', sheet([hole(0, 0, 12), hole(8, 0, 12)]), 'form.holes.1', /runs into hole 1/],
    ['a hole within another', sheet([hole(0, 0, 24), hole(2, 0, 6)]), 'form.holes.1', /runs into hole 1/],
    ['two sides', { kind: 'facet', sides: 2, rim: 80, foot: 80, height: 90, fold: 'strip' }, 'form.sides', /3 to 24/],
    ['half a side', { kind: 'facet', sides: 4.5, rim: 80, foot: 80, height: 90, fold: 'strip' }, 'form.sides', /whole/],
    [
      'a corner rounder than the outline',
      loft({ kind: 'rounded', length: 60, width: 40, corner: 30 }),
      'form.rim.corner',
      /0 to 20/,
    ],
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
      develop(level(form, form.kind === 'taper' ? { rim: 'square' } : {}));
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
