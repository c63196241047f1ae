import { develop } from '../../../core/piece/develop.ts';
import { targetsOfEveryKind } from '../../../core/piece/everyKind.test.helper.ts';
import { explain } from '../../../core/piece/explain/explain.ts';
import { level, targetWith } from '../../../core/piece/targets.test.helper.ts';
import { tracedEdge } from '../../../core/forms/kind/tracedSteps.ts';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import type { Form, Target } from '../../../core/target/target.ts';
import { writePhrase } from '../../../core/units/phrase.ts';
import { figuresToMeasure, finishedFigures, type Figure } from './figures.ts';

const measured = (target: Target, scale: 'g' | 'lb' = 'g') => figuresToMeasure(target, develop(target), scale);
const lengthOf = ({ phrase }: Figure) => {
  const [first] = phrase;
  return typeof first === 'object' && 'mmPlain' in first ? first.mmPlain : NaN;
};
const figureOf = (target: Target, id: string, band?: number) =>
  measured(target).find((one) => one.id === id && one.band === band);

describe('the figures to measure', () => {
  it.each<[string, Target, readonly string[]]>([
    ['a tumbler', targetWith(), ['Wrap', 'Wall height', 'Base across', 'Slant runs', 'Slab', 'Weigh out']],
    [
      'a lapped tumbler',
      targetWith({ seam: { kind: 'lap', overlap: 12, panels: 1 } }),
      ['Wrap, with overlap', 'Wall height', 'Base across', 'Slab', 'Weigh out'],
    ],
    [
      'a tumbler in two pieces',
      targetWith({ seam: { kind: 'butt', panels: 2 } }),
      ['Each of 2 walls', 'Wall height', 'Base across', 'Slab', 'Weigh out'],
    ],
    [
      'a cup',
      level({ kind: 'taper', rim: 112, foot: 74, height: 78 }),
      ['Rim radius', 'Foot radius', 'Sweep', 'Slant height', 'Base across', 'Base, underside', 'Slab', 'Weigh out'],
    ],
    [
      'a salt box',
      level({ kind: 'facet', sides: 6, rim: 84, foot: 84, height: 92, fold: 'separate' }),
      ['Panel, rim', 'Panel, foot', 'Slant height', 'Side mitre', 'Base across', 'Slab', 'Weigh out'],
    ],
    [
      'a fruit bowl',
      level({ kind: 'gores', strips: 12, ball: 168, foot: 84, height: 88 }),
      [
        'Each of 12 strips, widest',
        'Along its middle',
        'At the foot',
        'At the rim',
        'Base across',
        'Base, underside',
        'Slab',
        'Weigh out',
      ],
    ],
  ])('of %s are named as they are taken', (_, target, labels) => {
    const plain = {
      ...target,
      seam:
        target.seam.kind === 'bevel' && target.form.kind !== 'cylinder'
          ? { kind: 'butt' as const, panels: 1 }
          : target.seam,
    };
    const found = measured(plain).map(({ label }) => label);
    expect(found.map((label) => (label.startsWith('Slab for') ? 'Slab' : label))).toEqual(labels);
  });

  it('are each there once, with words, a figure that can be written in any unit, and how they came about', () => {
    let [explained, all] = [0, 0];
    for (const target of targetsOfEveryKind(511, 98)) {
      const developed = develop(target);
      const figures = figuresToMeasure(target, developed, 'g');
      const keys = figures.map(({ id, band, label }) => `${id} ${band ?? ''} ${label}`);
      expect(new Set(keys).size).toBe(keys.length);
      for (const figure of figures) {
        all += 1;
        if (explain(figure.id, { target, developed, band: figure.band ?? 0 }).length > 0) explained += 1;
        for (const unit of ['mm', 'cm', 'inch'] as const)
          expect(writePhrase(figure.phrase, { unit })).not.toMatch(/NaN|undefined|Infinity/);
      }
    }
    expect(explained / all).toBeGreaterThan(0.6);
  });

  it('are the very lines that are traced', () => {
    for (const target of targetsOfEveryKind(512, 60, { kinds: ['taper', 'facet'] })) {
      const { parts } = develop(target);
      const wall = parts.find(({ role }) => role !== 'base');
      if (!wall) throw new Error('no wall');
      if (target.form.kind === 'taper') {
        const rim = figureOf(target, 'arcRim', 0);
        if (rim) expect(lengthOf(rim)).toBeCloseTo(tracedEdge(wall, 'rim').radius, 9);
      }
      const base = parts.find(({ role }) => role === 'base');
      const across = base && bounds(base.outline);
      const shown = measured(target).find(({ label }) => label === 'Base across');
      expect(shown === undefined).toBe(base === undefined);
      if (shown && across) expect(lengthOf(shown)).toBeCloseTo(across.maxX - across.minX, 9);
    }
  });

  it('add up what each slab and lump weighs, rounded up as a bench scale shows it', () => {
    for (const [scale, unit] of [
      ['g', 10],
      ['lb', 453.59237 / 32],
    ] as const)
      for (const target of targetsOfEveryKind(513, 28)) {
        const { slabs } = develop(target);
        const weighed = measured(target, scale).find(({ id }) => id === 'weighOut');
        const grams =
          weighed?.phrase.map((word) => (typeof word === 'object' && 'grams' in word ? word.grams : 0))[0] ?? NaN;
        const bare = slabs.reduce((sum, { mass }) => sum + mass, 0);
        expect(grams).toBeGreaterThanOrEqual(bare - 1e-9);
        expect(grams - bare).toBeLessThanOrEqual(slabs.length * unit + 1e-6);
      }
  });
});

describe('the figures of the finished piece', () => {
  it.each<[string, Form, readonly string[]]>([
    [
      'a tumbler',
      { kind: 'cylinder', diameter: 84, height: 110 },
      ['capacityBrim', 'insideRim', 'insideFoot', 'massFired'],
    ],
    [
      'a fruit bowl',
      { kind: 'gores', strips: 12, ball: 168, foot: 84, height: 88 },
      ['capacityBrim', 'insideRim', 'insideFoot', 'massFired'],
    ],
  ])('of %s say what it holds, its inside and its weight', (_, form, ids) => {
    expect(finishedFigures(develop(level(form))).map(({ id }) => id)).toEqual(ids);
  });

  it('are in order: the rim is as wide as it holds, and it weighs less fired than wet', () => {
    for (const target of targetsOfEveryKind(514, 42)) {
      const developed = develop(target);
      const grams = finishedFigures(developed).find(({ id }) => id === 'massFired')?.phrase[0];
      expect(typeof grams === 'object' && 'grams' in grams && grams.grams < developed.finished.mass.wet).toBe(true);
    }
  });
});
