import { writePhrase } from '../units/phrase.ts';
import { checkTarget } from './checkTarget.ts';
import { develop } from '../piece/develop.ts';
import { planReach } from '../parts/plan/plan.ts';
import { formOfKind } from './formOfKind.ts';
import { formSizes } from './formSizes.ts';
import { roughSize, sizePhrase } from './roughSize.ts';
import { FORM_KINDS, type Form } from '../target/target.ts';
import { level } from '../piece/targets.test.helper.ts';

const tumbler: Form = { kind: 'cylinder', diameter: 84, height: 110 };
/** A mould from a file begins with its file. */
const BEGUN = FORM_KINDS.filter((kind) => kind !== 'mesh');
/** What a tool, a device or a flat outline decides has no height of its own to keep. */
const OWN_HEIGHT: readonly string[] = ['mould', 'stand', 'sheet'];
const forms = BEGUN.map((kind) => [kind, formOfKind(kind, tumbler)] as const);

describe('the sizes of a form', () => {
  it.each(forms)('of a %s can each be changed alone', (_, form) => {
    for (const size of formSizes(form)) {
      const changed = size.put(size.value + 1);
      const others = formSizes(changed).filter(({ key }) => key !== size.key);
      expect(formSizes(changed).find(({ key }) => key === size.key)?.value).toBe(size.value + 1);
      expect(others.map(({ value }) => value)).toEqual(
        formSizes(form)
          .filter(({ key }) => key !== size.key)
          .map(({ value }) => value),
      );
      expect(formSizes(form).find(({ key }) => key === size.key)?.value).toBe(size.value);
    }
  });

  it.each(forms.flatMap(([kind, form]) => BEGUN.map((to) => [kind, to, form] as const)))(
    'let a %s become a %s that can be made, about as high',
    (_, to, form) => {
      const other = formOfKind(to, form);
      expect(other.kind).toBe(to);
      expect(checkTarget(level(other))).toEqual([]);
      if (OWN_HEIGHT.includes(to)) return;
      expect(roughSize(other).height).toBeCloseTo(roughSize(form).height, 9);
    },
  );

  it.each([
    [tumbler, '84.0 × 110.0 mm'],
    [{ kind: 'taper', rim: 120, foot: 80, height: 90 }, '120.0 / 80.0 × 90.0 mm'],
    [{ kind: 'oval', length: 150, width: 100, height: 60 }, '150.0 × 100.0 × 60.0 mm'],
    [
      {
        kind: 'stack',
        profile: [
          [0, 56],
          [78, 92],
          [160, 44],
        ],
      },
      '44.0 / 56.0 × 160.0 mm',
    ],
  ] as const)('of %j read %s', (form, words) => {
    expect(writePhrase(sizePhrase(form), { unit: 'mm' })).toBe(words);
  });

  it.each([
    [{ kind: 'circle', diameter: 80 }, 80],
    [{ kind: 'ellipse', length: 90, width: 60 }, 90],
    [{ kind: 'polygon', sides: 5, acrossFlats: 70, corner: 4 }, 70],
  ] as const)('of the plan %j reach %d across', (plan, across) => {
    expect(planReach(plan)).toBe(across);
  });

  it('of every kind keep their order of rim and foot in the standing piece', () => {
    for (const [, form] of forms) {
      const { finished } = develop(level(form));
      const { rim, foot } = roughSize(form);
      if (form.kind !== 'former')
        expect(Math.sign(finished.rim - finished.foot + 1e-9)).toBe(Math.sign(rim - foot + 1e-9));
    }
  });
});
