import { alongEdge, area, edgeLength, type Outline } from '../../geometry/outline/outline.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import {
  bentEdge,
  droppedPoint,
  edgeCount,
  lineNames,
  movedPoint,
  sheetLine,
  splitEdge,
  withLine,
  withNew,
  type LineName,
} from './sheetLines.ts';

const BOX: Outline = [
  [-40, -20, 0],
  [40, -20, 0.3],
  [40, 20, 0],
  [-40, 20, -0.1],
];
const FORM: SheetForm = { kind: 'sheet', outline: BOX, bend: { diameter: 90, angle: 0 } };
const whole = { vertices: BOX, closed: true };
const girth = (outline: Outline) => outline.reduce((sum, _, index) => sum + edgeLength(outline, index), 0);

describe('drawing on a sheet', () => {
  it.each([0, 1, 2, 3])('a new point on edge %d changes neither area nor girth', (edge) => {
    const split = splitEdge(whole, edge);
    expect(split).toHaveLength(5);
    expect(area(split)).toBeCloseTo(area(BOX), 9);
    expect(girth(split)).toBeCloseTo(girth(BOX), 9);
  });

  it.each([
    [0, [3, -31]],
    [0, [0, -9]],
    [1, [55, 0]],
    [3, [-44, 2]],
  ] as const)('edge %d drawn to %p has its arc as far out there', (edge, to) => {
    const bent = bentEdge(whole, edge, to);
    const [x0, y0] = bent[edge] ?? [0, 0];
    const [x1, y1] = bent[(edge + 1) % 4] ?? [0, 0];
    const off = ([x, y]: readonly [number, number]) =>
      ((x1 - x0) * (y - y0) - (y1 - y0) * (x - x0)) / Math.hypot(x1 - x0, y1 - y0);
    expect(off(alongEdge(bent, edge, 0.5))).toBeCloseTo(off(to), 9);
  });

  it('an edge drawn next to its chord is straight, and none is steeper than it can be followed', () => {
    expect(bentEdge(whole, 1, [40.2, 3])[1]?.[2]).toBe(0);
    expect(bentEdge(whole, 1, [900, 0])[1]?.[2]).toBe(1.5);
  });

  it('points are moved and taken off, but two stay', () => {
    expect(movedPoint(whole, 1, [50, -25])[1]).toEqual([50, -25, 0.3]);
    expect(droppedPoint(whole, 0)).toHaveLength(3);
    expect(droppedPoint({ vertices: BOX.slice(0, 2), closed: true }, 0)).toBeNull();
    expect(droppedPoint({ vertices: BOX.slice(0, 2), closed: false }, 0)).toBeNull();
    expect([edgeCount(whole), edgeCount({ vertices: BOX, closed: false })]).toEqual([4, 3]);
  });

  it.each(['hole', 'line'] as const)(
    'a new %s lies within the sheet, is named, changed and taken off again',
    (kind) => {
      const first = withNew(FORM, kind);
      const { form, name } = withNew(first.form, kind);
      expect(lineNames(form)).toHaveLength(3);
      expect(name).toEqual({ kind, index: 1 });
      for (const one of lineNames(form).slice(1)) {
        for (const [x, y] of sheetLine(form, one)?.vertices ?? [])
          expect(Math.max(Math.abs(x) / 40, Math.abs(y) / 20)).toBeLessThan(1);
      }
      const line = sheetLine(form, name);
      const moved = line && withLine(form, name, movedPoint(line, 0, [7, 8]));
      expect(moved && sheetLine(moved, name)?.vertices[0]?.slice(0, 2)).toEqual([7, 8]);
      const gone = withLine(withLine(form, name, null), { kind, index: 0 }, null);
      expect(gone).toEqual(FORM);
      expect(sheetLine(FORM, name)).toBeNull();
    },
  );

  it('the outline is never taken off', () => {
    const outline: LineName = { kind: 'outline' };
    expect(withLine(FORM, outline, null)).toBe(FORM);
    expect(sheetLine(withLine(FORM, outline, splitEdge(whole, 2)), outline)?.vertices).toHaveLength(5);
  });
});
