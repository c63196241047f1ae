import { develop } from '../../piece/develop.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { targetsOfEveryKind } from '../../piece/everyKind.test.helper.ts';
import { level, targetWith } from '../../piece/targets.test.helper.ts';
import type { Target } from '../../target/target.ts';
import { textWidth } from './roomForWords.ts';
import { sheetOf } from './sheet.ts';
import { EDGE_WORDS, leanWords, sizeWords } from './words.ts';

const SMALL: readonly Target[] = [
  level({ kind: 'cylinder', diameter: 22, height: 30 }, { slab: { wall: 3, base: 3 } }),
  level({ kind: 'facet', sides: 12, rim: 60, foot: 48, height: 40, fold: 'separate' }, { slab: { wall: 3, base: 3 } }),
  level(
    { kind: 'box', length: 60, width: 24, height: 20 },
    { slab: { wall: 3, base: 3 }, base: { join: 'mitre', trim: 0 } as never },
  ),
];

describe('a sheet without page breaks', () => {
  it('tells every lean of every part, beside it where there is no room, for 200 pieces of every kind and small ones', () => {
    const targets = [...SMALL, ...targetsOfEveryKind(11, 200)].filter((target) => checkTarget(target).length === 0);
    expect(targets.length).toBeGreaterThan(180);
    for (const target of targets) {
      const sheet = sheetOf(target.name, develop(target).parts, { style: { unit: 'mm' } });
      for (const { part, drawing } of sheet.parts) {
        const texts = drawing.flatMap((item) => (item.kind === 'text' ? [item] : []));
        for (const lean of part.leans) {
          const words = `${EDGE_WORDS[lean.edge]}: ${leanWords(lean)}`;
          expect(texts.filter(({ text }) => text === words).length).toBeGreaterThan(0);
        }
        for (const { text, at, size, anchor } of texts) {
          if (anchor === 'start') expect(at[0] + textWidth(text, size)).toBeLessThanOrEqual(sheet.width + 1e-6);
        }
      }
    }
  });

  it('gives the base of a box two sizes, and a disc one', () => {
    const base = (target: Target) => develop(target).parts.find(({ id }) => id === 'base');
    const box = base(level({ kind: 'box', length: 88, width: 88, height: 40 }));
    expect(box && sizeWords(box, { unit: 'mm' })).toBe('100.0 × 100.0 mm');
    const disc = base(targetWith());
    expect(disc && sizeWords(disc, { unit: 'mm' })).toBe('95.5 mm across');
  });
});
