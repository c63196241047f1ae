import { supportOf } from '../parts/plan/plan.ts';
import { checkTarget } from '../forms/checkTarget.ts';
import { develop } from './develop.ts';
import { targetsOfEveryKind } from './everyKind.test.helper.ts';
import type { Form, Target } from '../target/target.ts';
import { level } from './targets.test.helper.ts';

const inside = { size: { face: 'inside' } } as const;

describe('finished sizes', () => {
  it.each<[string, Form, Parameters<typeof level>[1], number, number]>([
    ['a triangle', { kind: 'facet', sides: 3, rim: 84, foot: 70, height: 60, fold: 'separate' }, {}, 84, 70],
    ['a pentagon', { kind: 'facet', sides: 5, rim: 84, foot: 84, height: 60, fold: 'strip' }, {}, 84, 84],
    ['a hexagon', { kind: 'facet', sides: 6, rim: 84, foot: 70, height: 60, fold: 'separate' }, {}, 84, 70],
    [
      'a loft of five sides',
      {
        kind: 'loft',
        rim: { kind: 'polygon', sides: 5, acrossFlats: 110, corner: 4, at: [8, 3] },
        foot: { kind: 'circle', diameter: 80 },
        height: 60,
      },
      {},
      110,
      80,
    ],
  ])('of %s are those that were asked for', (_, form, more, rim, foot) => {
    const { finished } = develop(level(form, more));
    expect(finished.rim).toBeCloseTo(rim, 6);
    expect(finished.foot).toBeCloseTo(foot, 6);
    expect(finished.widths.rim[0]).toBeGreaterThanOrEqual(finished.rim - 1e-6);
  });

  it('over the inside, a loft between outlines of two kinds has the floor’s length and width that were asked for', () => {
    const lofts = targetsOfEveryKind(55, 160, { kinds: ['loft'] }).map((target): Target => ({
      ...target,
      size: { ...target.size, face: 'inside' },
    }));
    let mixed = 0;
    for (const target of lofts) {
      if (target.form.kind !== 'loft' || target.base.join === 'none' || checkTarget(target).length > 0) continue;
      const { foot, rim } = target.form;
      // Of an odd polygon the width across flats is told.
      if (foot.kind === 'polygon' && foot.sides % 2 === 1) continue;
      const wide =
        foot.kind === 'circle'
          ? foot.diameter
          : foot.kind === 'polygon' || foot.kind === 'drawn'
            ? supportOf(foot).h(0) + supportOf(foot).h(Math.PI)
            : foot.length;
      const told = develop(target).finished.inside.foot;
      const by = target.size.state === 'wet' ? 1 - target.clay.shrinkage : 1;
      expect([target.form, told]).toEqual([target.form, expect.closeTo(wide * by, 2)]);
      if (foot.kind !== rim.kind) mixed += 1;
    }
    expect(mixed).toBeGreaterThan(40);
  });

  it('tell the real width of an odd polygon beside it', () => {
    const { widths } = develop(
      level({ kind: 'facet', sides: 3, rim: 84, foot: 84, height: 60, fold: 'separate' }),
    ).finished;
    expect(widths.rim[0]).toBeCloseTo(126, 6);
    expect(widths.rim[1]).toBeCloseTo(84 * Math.sqrt(3), 6);
  });

  it.each<[string, Form]>([
    ['cylinder', { kind: 'cylinder', diameter: 90, height: 80 }],
    ['taper', { kind: 'taper', rim: 120, foot: 80, height: 90 }],
    ['closing taper', { kind: 'taper', rim: 80, foot: 120, height: 90 }],
    [
      'stack',
      {
        kind: 'stack',
        profile: [
          [0, 80],
          [50, 110],
          [100, 90],
        ],
      },
    ],
    ['facets', { kind: 'facet', sides: 6, rim: 110, foot: 80, height: 90, fold: 'separate' }],
    [
      'loft',
      {
        kind: 'loft',
        rim: { kind: 'rounded', length: 130, width: 90, corner: 30 },
        foot: { kind: 'rounded', length: 90, width: 70, corner: 20 },
        height: 80,
      },
    ],
  ])('over the inside of a %s are met on the floor and at the rim', (_, form) => {
    const target: Target = level(form, inside);
    const { finished } = develop(target);
    const asked = (edge: 'rim' | 'foot'): number => {
      if (form.kind === 'cylinder') return form.diameter;
      if (form.kind === 'stack') return form.profile.at(edge === 'rim' ? -1 : 0)?.[1] ?? 0;
      if (form.kind === 'loft') return 'length' in form[edge] ? (form[edge] as { length: number }).length : 0;
      return form.kind === 'taper' || form.kind === 'facet' ? form[edge] : 0;
    };
    expect(finished.inside.foot).toBeCloseTo(asked('foot'), 6);
    expect(finished.inside.rim).toBeCloseTo(asked('rim'), 6);
    expect(finished.rim).toBeGreaterThan(finished.inside.rim);
  });
});
