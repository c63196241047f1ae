import { seeded } from '../seeded.ts';
import { checkTarget } from '../forms/checkTarget.ts';
import { develop } from './develop.ts';
import { targetsOfEveryKind } from './everyKind.test.helper.ts';
import { returned, type Returned } from './returned.test.helper.ts';
import { returnedLoft, strayed } from './returnedLoft.test.helper.ts';
import type { FormerForm, LoftForm, Target } from '../target/target.ts';
import { level, randomTarget } from './targets.test.helper.ts';

/** Random targets of each kind. */
const COUNT = 200;

const random = seeded(41);
const cylinders = Array.from({ length: COUNT }, () => randomTarget(random));
const formers = Array.from({ length: COUNT }, (): Target => {
  const form: FormerForm = {
    kind: 'former',
    diameter: 40 + 120 * random(),
    sleeve: 2 * random(),
    height: 40 + 160 * random(),
  };
  return { ...randomTarget(random), form };
});
/** Every second taper with its rim cut square, which is measured over the outside only. */
const tapers = targetsOfEveryKind(42, COUNT, { kinds: ['taper'] }).map((target, index): Target =>
  index % 2 === 1 && target.size.face === 'outside' ? { ...target, rim: 'square' } : target,
);

/** Wide, low bands beside steep ones, every second one with its rim cut square, with seams of every kind. */
const steep = targetsOfEveryKind(48, COUNT + 40, { kinds: ['stack'], seams: 'all' })
  .map((target, index): Target => {
    const across = () => 90 + 160 * random();
    const profile = [0, 8 + 30 * random(), 60 + 30 * random(), 100 + 60 * random()].map(
      (height) => [height, across()] as const,
    );
    return {
      ...target,
      form: { kind: 'stack', profile },
      rim: index % 2 === 1 && target.size.face === 'outside' ? 'square' : 'level',
    };
  })
  .filter(
    (target) => checkTarget(target).length === 0 && !develop(target).checks.some(({ code }) => code === 'sweep-over'),
  )
  .slice(0, COUNT);

const KINDS: readonly (readonly [string, readonly Target[]])[] = [
  ['cylinders', cylinders],
  ['formers', formers],
  ['tapers', tapers],
  ['tapers with seams that add to the wall', targetsOfEveryKind(49, COUNT, { kinds: ['taper'], seams: 'all' })],
  ['steep stacks with every seam', steep],
  ...(['stack', 'oval', 'facet', 'box'] as const).map(
    (kind, index) =>
      [kind === 'box' ? 'boxes' : `${kind}s`, targetsOfEveryKind(43 + index, COUNT, { kinds: [kind] })] as const,
  ),
];

const LOFTS = targetsOfEveryKind(47, COUNT, { kinds: ['loft'] });

const wrong = (all: readonly Returned[]) => all.filter(({ asked, got }) => !(Math.abs(got - asked) < 0.01));

describe('the cut parts rolled up give back every size that was asked for, to 0.01 mm', () => {
  it.each(KINDS)('200 %s', (_, targets) => {
    expect(targets).toHaveLength(COUNT);
    for (const target of targets)
      expect([target, wrong(returned(target, develop(target).parts))]).toEqual([target, []]);
  });

  it('and a flat wall that runs into itself, with what its seam adds, is told to stop: every other one comes back true', () => {
    const found = targetsOfEveryKind(50, 10 * COUNT, { kinds: ['stack'], seams: 'all' }).map((target) => {
      const plate: Target = {
        ...target,
        form: { kind: 'taper', rim: 90 + 160 * random(), foot: 12 + 40 * random(), height: 9 + 25 * random() },
      };
      if (checkTarget(plate).length > 0) return 'refused';
      const { parts, checks } = develop(plate);
      if (checks.some(({ code }) => code === 'sweep-over')) return 'stopped';
      return wrong(returned(plate, parts)).length === 0 ? 'true' : plate;
    });
    expect(found.filter((one) => typeof one !== 'string')).toEqual([]);
    expect(new Set(found)).toEqual(new Set(['refused', 'stopped', 'true']));
  });

  it('200 lofts, folded up', () => {
    for (const target of LOFTS)
      expect([target, wrong(returnedLoft(target, target.form as LoftForm))]).toEqual([target, []]);
  });

  it('and what is folded up for a loft is what is cut: its flat foot and rim lie on the traced line within 0.01 mm', () => {
    for (const target of LOFTS.filter((_, index) => index % 4 === 0))
      expect([target, strayed(target) < 0.01]).toEqual([target, true]);
  });

  it('and so is every loft with corners, unless they are told to be too sharp to bend', () => {
    const circle = (diameter: number) => ({ kind: 'circle', diameter }) as const;
    const square = (side: number, corner: number) => ({ kind: 'rounded', length: side, width: side, corner }) as const;
    const found = [0, 3.3, 4].flatMap((corner) =>
      [
        { rim: square(120, corner), foot: circle(80) },
        { rim: circle(120), foot: square(80, corner) },
        { rim: square(120, corner), foot: square(80, corner) },
      ].flatMap((plans) =>
        (['inside', 'outside'] as const).flatMap((face) =>
          (['inside', 'outside'] as const).map((faceUp) => {
            const form: LoftForm = { kind: 'loft', ...plans, height: 100 };
            const target = level(form, { slab: { wall: 6, base: 6, faceUp }, size: { face, state: 'wet' } });
            if (develop(target).checks.some(({ code }) => code === 'sharp-corner')) return corner < 4 ? 'told' : target;
            const back = returnedLoft(target, form).every(({ asked, got }) => Math.abs(got - asked) < 0.01);
            return back && strayed(target) < 0.01 ? 'true' : target;
          }),
        ),
      ),
    );
    expect(found.filter((one) => typeof one !== 'string')).toEqual([]);
    expect(new Set(found)).toEqual(new Set(['told', 'true']));
  });

  it.each(KINDS)('which a slab a fifth thicker than %s were developed for would not', (_, [target]) => {
    if (!target) throw new Error('there is none');
    const bare: Target = { ...target, base: { join: 'none', trim: 0 }, size: { ...target.size, face: 'inside' } };
    const thicker = { ...bare, slab: { ...bare.slab, wall: 1.2 * bare.slab.wall } };
    expect(wrong(returned(bare, develop(bare).parts))).toEqual([]);
    expect(wrong(returned(thicker, develop(bare).parts))).not.toEqual([]);
  });

  it('nor would one a fifth thicker than lofts were developed for', () => {
    for (const target of LOFTS.slice(0, 12))
      expect(wrong(returnedLoft(target, target.form as LoftForm, 1.2 * target.slab.wall))).not.toEqual([]);
  });
});
