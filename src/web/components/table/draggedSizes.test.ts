import { DEFAULT_HANDLE } from '../../../core/target/handle.ts';
import { formOfKind } from '../../../core/forms/formOfKind.ts';
import { formSizes } from '../../../core/forms/formSizes.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import { level } from '../../../core/piece/targets.test.helper.ts';
import { FORM_KINDS, type Form } from '../../../core/target/target.ts';
import { draggedSizes } from './draggedSizes.ts';

const tumbler: Form = { kind: 'cylinder', diameter: 84, height: 110 };
const forms = FORM_KINDS.filter((kind) => kind !== 'mesh').map((kind) => [kind, formOfKind(kind, tumbler)] as const);

/** What is dragged on a form: which way, at which share of its height. */
const HANDLES: readonly (readonly [Form, readonly (readonly [key: string, axis: string, share: number])[]])[] = [
  [
    tumbler,
    [
      ['diameter', 'across', 0.5],
      ['height', 'up', 1],
    ],
  ],
  [
    { kind: 'taper', rim: 100, foot: 60, height: 90 },
    [
      ['rim', 'across', 1],
      ['foot', 'across', 0],
      ['height', 'up', 1],
    ],
  ],
  [
    { kind: 'oval', length: 176, width: 112, height: 46 },
    [
      ['length', 'across', 1],
      ['height', 'up', 1],
    ],
  ],
  [
    {
      kind: 'stack',
      profile: [
        [0, 60],
        [40, 90],
        [100, 50],
      ],
    },
    [
      ['profile.0.1', 'across', 0],
      ['profile.1.0', 'up', 0.4],
      ['profile.1.1', 'across', 0.4],
      ['profile.2.0', 'up', 1],
      ['profile.2.1', 'across', 1],
    ],
  ],
  [
    {
      kind: 'gores',
      strips: 8,
      profile: [
        [0, 60],
        [30, 90],
        [120, 50],
      ],
    },
    [
      ['profile.0.1', 'across', 0],
      ['profile.1.0', 'up', 0.25],
      ['profile.1.1', 'across', 0.25],
      ['profile.2.0', 'up', 1],
      ['profile.2.1', 'across', 1],
    ],
  ],
  [
    { kind: 'gores', strips: 8, ball: 168, foot: 84, height: 88 },
    [
      ['ball', 'across', 0.5],
      ['foot', 'across', 0],
      ['height', 'up', 1],
    ],
  ],
];

describe('sizes that are dragged on the drawing', () => {
  it.each(HANDLES)('of %j are those at its foot, its rim and between', (form, wanted) => {
    const found = draggedSizes(level(form)).map(({ size, axis, at }) => [
      size.key,
      axis,
      'height' in at ? at.height : NaN,
    ]);
    expect(found).toEqual(wanted);
  });

  it.each(forms)('of a %s are its own, at places within the drawing, and twice as fast across', (_, form) => {
    const sizes = formSizes(form);
    for (const { size, axis, at, factor, fired } of draggedSizes(level(form))) {
      expect(sizes.find(({ key }) => key === size.key)?.value).toBe(size.value);
      expect(Math.abs(factor)).toBe(axis === 'across' ? 2 : 1);
      if ('height' in at) {
        expect(at.height).toBeGreaterThanOrEqual(0);
        expect(at.height).toBeLessThanOrEqual(1);
        expect(at.reach).toBe(axis === 'across' ? 'right' : 'middle');
      }
      expect(fired).toBe(size.key === 'roll');
    }
  });

  it('of a handle are at its ends and where it stands out most', () => {
    const target = { ...level(tumbler), handle: DEFAULT_HANDLE };
    const bare = draggedSizes(level(tumbler)).length;
    const grips = draggedSizes(target).slice(bare);
    expect(grips.map(({ size }) => size.key)).toEqual(['handle.below', 'handle.projection', 'handle.drop']);
    const { grips: drawn } = elevation(target, 'fired');
    const points = grips.map(({ at }) => ('point' in at ? at.point : null));
    expect(points).toEqual([drawn?.upper, drawn?.crest, drawn?.lower]);
    // Further down is more, and further out is more.
    expect(grips.map(({ factor }) => factor)).toEqual([-1, 1, -1]);
    expect(grips.every(({ fired }) => fired)).toBe(true);
  });
});
