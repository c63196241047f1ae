import type { Design } from '../../contract/api.ts';
import { targetWith } from '../../core/piece/targets.test.helper.ts';
import { shelfRows } from '../components/shelf/shelfRows.ts';
import { tableLayout, type TableThing } from './tableLayout.ts';

describe('tableLayout', () => {
  const thing = (id: string, kind: TableThing['kind'], width: number, height: number, tags = 0): TableThing => ({
    id,
    kind,
    box: { width, height },
    tags,
  });
  const tumbler = [thing('wall', 'wall', 287, 119), thing('piece', 'piece', 95, 125), thing('base', 'base', 95, 95)];
  const vase = [
    thing('wall-1', 'wall', 280, 115, 4),
    thing('wall-2', 'wall', 265, 122, 3),
    thing('piece', 'piece', 100, 178),
    thing('base', 'base', 64, 64, 1),
  ];

  it.each([
    [716, 694, tumbler],
    [374, 600, tumbler],
    [1600, 500, tumbler],
    [300, 1200, tumbler],
    [716, 694, vase],
    [374, 1000, vase],
    [374, Infinity, vase],
  ])('keeps everything on a table of %d by %d, apart from one another', (width, height, things) => {
    const { scale, at } = tableLayout(things, { width, height });
    const boxes = things.map(({ id, box }) => {
      const [x, y] = at[id] ?? [NaN, NaN];
      return { x0: x, x1: x + box.width * scale, y0: y - box.height * scale, y1: y };
    });
    for (const box of boxes) {
      expect(box.x0).toBeGreaterThanOrEqual(0);
      expect(box.x1).toBeLessThanOrEqual(width);
      expect(box.y0).toBeGreaterThanOrEqual(0);
      expect(box.y1).toBeLessThanOrEqual(height);
    }
    boxes.forEach((one, index) =>
      boxes.slice(index + 1).forEach((other) => {
        const apart = one.x1 <= other.x0 || other.x1 <= one.x0 || one.y1 <= other.y0 || other.y1 <= one.y0;
        expect(apart).toBe(true);
      }),
    );
  });
});

describe('shelfRows', () => {
  const design = (id: string, diameter: number, height: number): Design => ({
    id,
    name: id,
    target: targetWith({ form: { diameter, height } }),
    revision: 1,
    createdAt: '',
    updatedAt: '',
  });
  const many = Array.from({ length: 23 }, (_, index) => design(`d${index}`, 60 + index * 7, 40 + index * 11));

  it.each([330, 760, 1240])('stands all designs in order, none past the end of a shelf %d wide', (width) => {
    const { rows, scale } = shelfRows(many, width);
    expect(rows.flatMap(({ items }) => items).map((item) => item.design.id)).toEqual(many.map(({ id }) => id));
    for (const { items } of rows) expect(items.reduce((sum, item) => sum + item.width, 0)).toBeLessThanOrEqual(width);
    for (const { tallest } of rows) expect(tallest).toBeLessThanOrEqual(210.001);
    expect(scale).toBeGreaterThan(0);
  });

  it('leaves no lone last piece on its own shelf', () => {
    const rows = shelfRows(many.slice(0, 8), 1240).rows.map(({ items }) => items.length);
    expect(Math.max(...rows) - Math.min(...rows)).toBeLessThanOrEqual(2);
  });

  it('is empty for a bare shelf', () => {
    expect(shelfRows([], 900).rows).toEqual([]);
  });
});
