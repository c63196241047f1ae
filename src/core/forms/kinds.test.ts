import { develop } from '../piece/develop.ts';
import { explain } from '../piece/explain/explain.ts';
import type { FigureId } from './kind/step.ts';
import { level } from '../piece/targets.test.helper.ts';
import { standingBody } from '../raise/raise.ts';
import { keepsOf, scaledForm } from '../studio/reverse/scaled.ts';
import { FORM_KINDS, type Form, type FormKind, type Target } from '../target/target.ts';
import { checkTarget } from './checkTarget.ts';
import { formOfKind } from './formOfKind.ts';
import { formSizes } from './formSizes.ts';
import { KINDS } from './kinds.ts';
import { roughSize } from './roughSize.ts';
import { usedSeam } from './usedSeam.ts';

const tumbler: Form = { kind: 'cylinder', diameter: 84, height: 110 };
/** One of every kind but the mould that is read from a file. */
const forms = FORM_KINDS.filter((kind) => kind !== 'mesh').map((kind) => [kind, formOfKind(kind, tumbler)] as const);
const targets = forms.map(([kind, form]) => [kind, level(form)] as const);

describe('the list of kinds', () => {
  it('has every kind once, each with words of its own', () => {
    expect(Object.keys(KINDS).sort()).toEqual([...FORM_KINDS].sort());
    const words = Object.values(KINDS).map((kind) => kind.words);
    expect(new Set(words.map(({ title }) => title)).size).toBe(FORM_KINDS.length);
    for (const { title, why, piece } of words) {
      expect(title).toBe(title.trim());
      expect(why).toMatch(/^[A-Z].*\.$/);
      expect(piece).toMatch(/^[a-z ]+$/);
    }
  });

  it.each(forms)('refuses each figure of a %s that is out of its range, by its own path', (kind, form) => {
    const { ranges } = KINDS[kind];
    for (const [path, value, range, unit] of ranges(form)) {
      const size = formSizes(form).find(({ key }) => key === path);
      if (!size) continue;
      const wrong = [
        range.greatest + 1,
        range.above ?? (range.least ?? 0) - 1,
        NaN,
        ...(unit === 'count' ? [value + 0.5] : []),
      ];
      for (const figure of wrong)
        expect([path, checkTarget(level(size.put(figure))).map((fault) => fault.path)]).toEqual([
          path,
          expect.arrayContaining([`form.${path}`]) as string[],
        ]);
    }
  });

  it.each(forms)('names the sizes of a %s once each, and as the file does', (_, form) => {
    const sizes = formSizes(form);
    expect(new Set(sizes.map(({ key }) => key)).size).toBe(sizes.length);
    expect(new Set(sizes.map(({ label }) => label)).size).toBe(sizes.length);
    for (const { key, value, put } of sizes) {
      expect(Number.isFinite(value)).toBe(true);
      const found = key
        .split('.')
        .reduce<unknown>((one, part) => (one as Record<string, unknown> | undefined)?.[part], put(value));
      if (typeof found === 'number') expect(found).toBeCloseTo(value, 9);
    }
  });

  it.each(forms.filter(([kind]) => KINDS[kind].edges?.(formOfKind(kind, tumbler))))(
    'keeps rim and foot of a %s as they are asked for',
    (kind, form) => {
      const edges = KINDS[kind].edges?.(form);
      const valueOf = (one: Form, path = '') => formSizes(one).find(({ key }) => key.startsWith(path))?.value;
      expect(keepsOf(form)).toEqual(expect.arrayContaining(['rim', 'foot']));
      for (const edge of ['rim', 'foot'] as const) {
        const grown = scaledForm(form, 1.2, edge);
        const other = edge === 'rim' ? 'foot' : 'rim';
        expect(valueOf(grown, edges?.[edge])).toBeCloseTo(valueOf(form, edges?.[edge]) ?? NaN, 9);
        expect(valueOf(grown, edges?.[other])).toBeCloseTo(1.2 * (valueOf(form, edges?.[other]) ?? NaN), 9);
        expect(roughSize(grown).height).toBeCloseTo(1.2 * roughSize(form).height, 9);
      }
    },
  );

  it.each(targets)('makes a new %s that develops, weighs something and stands as its traits say', (kind, target) => {
    const { traits, standing, body } = KINDS[kind];
    const { parts, finished, slabs } = develop(target);
    expect(parts.length).toBeGreaterThan(0);
    expect(finished.mass.wet).toBeGreaterThan(0);
    expect(slabs.flatMap((slab) => slab.parts).sort()).toEqual(parts.map(({ id }) => id).sort());
    const { section, across, height } = standing(target);
    if (traits.round)
      for (const share of [0.2, 0.5, 0.8]) {
        const { outer } = section(share * height);
        for (const turn of [0.3, 1, 2.2, 4]) expect(outer.h(turn)).toBeCloseTo(outer.h(0), 6);
      }
    if (traits.round) expect(across[0]).toBeCloseTo(across[1], 6);
    if (traits.panels) expect(parts.every(({ outline }) => outline.every(([, , bulge]) => bulge === 0))).toBe(true);
    if (body) expect(standingBody(target).height).toBeCloseTo(height, 6);
    else expect(() => standingBody(target)).toThrow(RangeError);
    expect(traits.seam === true || KINDS[kind].seams !== undefined).toBe(body !== undefined);
  });

  const FIGURES: readonly FigureId[] = [
    'cutLength',
    'cutHeight',
    'slant',
    'panelFoot',
    'panelRim',
    'panelWidest',
    'girthRim',
    'arcRim',
    'slot',
    'sweep',
  ];
  it.each(targets)(
    'works the figures of a %s that it measures out, and no figure that it does not have',
    (kind, target) => {
      const developed = develop(target);
      const own = KINDS[kind].figures?.(target.form, developed.numbers) ?? [];
      for (const { id, label, mm } of own) {
        expect(label).not.toBe('');
        expect(mm).toBeGreaterThan(0);
        const steps = explain(id, { target, developed });
        expect(steps.length).toBeGreaterThan(0);
      }
      for (const id of FIGURES)
        for (const { rule, gives } of explain(id, { target, developed })) {
          expect(rule).not.toBe('');
          expect(
            gives.every(
              (word) => typeof word === 'string' || Object.values(word).every((value) => Number.isFinite(value)),
            ),
          ).toBe(true);
        }
    },
  );

  it.each<[FormKind, Target['seam'], boolean]>([
    ['facet', { kind: 'lap', overlap: 10, panels: 1 }, true],
    ['facet', { kind: 'bevel', angle: 45, panels: 1 }, false],
    ['box', { kind: 'butt', panels: 1 }, false],
    ['box', { kind: 'cut-in-place', margin: 15, panels: 1 }, true],
    ['gores', { kind: 'bevel', angle: 45, panels: 1 }, false],
    ['gores', { kind: 'half-lap', overlap: 10, panels: 1 }, true],
    ['gores', { kind: 'butt', panels: 3 }, true],
    ['taper', { kind: 'lap', overlap: 10, panels: 3 }, false],
  ])('says on a %s whether %j is left out: %s', (kind, seam, left) => {
    const { checks } = develop(level(formOfKind(kind, tumbler), { seam }));
    expect(checks.some(({ code }) => code === 'seam-unused')).toBe(left);
    const target = level(formOfKind(kind, tumbler), { seam });
    // What is cut is what is said: a seam that is left out is a butt.
    const own = KINDS[kind].seams?.(target.form).kinds.includes(seam.kind) !== false;
    expect(usedSeam(target)).toEqual(own ? seam : { kind: 'butt', panels: 1 });
  });
});
