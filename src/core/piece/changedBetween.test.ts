import { changedBetween } from './changedBetween.ts';
import { newTarget, type Target } from '../target/target.ts';

const CUP = newTarget('Cup');

it.each<readonly [string, Partial<Target>, readonly (readonly [string, unknown, unknown])[]]>([
  ['nothing', {}, []],
  ['one size', { form: { kind: 'cylinder', diameter: 84, height: 112 } }, [['Height', 110, 112]]],
  [
    'its clay',
    { clay: { ...CUP.clay, shrinkage: 0.124, name: 'Siding buff' } },
    [
      ['Clay', null, 'Siding buff'],
      ['Shrinkage', 0.12, 0.124],
    ],
  ],
  [
    'slab and joins',
    { slab: { ...CUP.slab, wall: 5 }, base: { join: 'inside', trim: 0 }, rim: 'level' },
    [
      ['Wall', 6, 5],
      ['Base', 'under', 'inside'],
      ['Rim', 'square', 'level'],
    ],
  ],
  ['a belly that was added', { belly: 96 }, [['Belly', null, 'added']]],
  [
    'what no row names',
    { seam: { ...CUP.seam, angle: 40 } as Target['seam'] },
    [['The drawing', 'as it was', 'changed']],
  ],
])('tells %s', (_, change, wanted) => {
  expect(changedBetween(CUP, { ...CUP, ...change }).map(({ label, before, after }) => [label, before, after])).toEqual(
    wanted,
  );
});

it('tells another form with its own sizes, and what is gone', () => {
  const taper: Target = { ...CUP, form: { kind: 'taper', rim: 90, foot: 60, height: 110 } };
  const told = changedBetween({ ...CUP, belly: 96 }, taper);
  expect(told[0]).toEqual({ label: 'Form', unit: 'plain', before: 'cylinder', after: 'taper' });
  expect(told).toContainEqual({ label: 'Belly', unit: 'plain', before: 'as it was', after: null });
  expect(told.filter(({ unit, after }) => unit === 'length' && after === 90)).toHaveLength(1);
});
