import type { Design } from '../../../contract/api.ts';
import { randomTarget } from '../../../core/piece/targets.test.helper.ts';
import { portraitSize } from '../../../core/raise/portraitSize.ts';
import { seeded } from '../../../core/seeded.ts';
import { shelfRows } from './shelfRows.ts';

const random = seeded(41);
const designsOf = (count: number): Design[] =>
  Array.from({ length: count }, (_, index) => ({
    id: String(index),
    name: `Piece ${index}`,
    target: randomTarget(random),
    revision: 1,
    createdAt: '',
    updatedAt: '',
  }));

describe.each([320, 390, 768, 1024, 1440])('a shelf %i px wide', (width) => {
  it.each([1, 2, 3, 7, 20, 60])('has room for %i pieces, in order and at one scale', (count) => {
    const designs = designsOf(count);
    const { rows, scale } = shelfRows(designs, width);
    expect(rows.flatMap(({ items }) => items.map(({ design }) => design))).toEqual(designs);
    for (const { items, tallest } of rows) {
      const sizes = items.map(({ design }) => portraitSize(design.target));
      expect(items.reduce((sum, item) => sum + item.width, 0)).toBeLessThanOrEqual(width);
      expect(tallest).toBeCloseTo(scale * Math.max(...sizes.map(({ height }) => height)), 9);
      expect(tallest).toBeLessThanOrEqual(210 + 1e-9);
      items.forEach((item, index) => {
        expect(item.width).toBeGreaterThanOrEqual(Math.min(width, 172) - 1);
        expect(item.width).toBeGreaterThanOrEqual(Math.floor(scale * (sizes[index]?.width ?? 0)));
      });
    }
  });
});

describe('the rows of a shelf', () => {
  it('need no more boards than places that are filled one after another', () => {
    for (const width of [390, 1024]) {
      const designs = designsOf(23);
      const { rows } = shelfRows(designs, width);
      const narrow = Math.floor(width / 172);
      expect(rows.length).toBeLessThanOrEqual(designs.length);
      expect(Math.max(...rows.map(({ items }) => items.length))).toBeLessThanOrEqual(Math.max(1, narrow));
    }
  });

  it('are none of no pieces', () => {
    expect(shelfRows([], 800).rows.flatMap(({ items }) => items)).toEqual([]);
  });
});
