import { develop } from '../piece/develop.ts';
import { checkTarget } from '../piece/checkTarget.ts';
import { newTarget, type Target } from '../piece/target.ts';
import { circle } from '../outline/shapes.ts';
import { bentSheet, narrowest, placeFeet, scaledSheet, type SheetForm } from './bentSheet.ts';

const RECTANGLE = [[-60, -20, 0], [60, -20, 0], [60, 20, 0], [-60, 20, 0]] as const; // prettier-ignore
const sheet = (change: Partial<SheetForm> = {}): Target & { readonly form: SheetForm } => ({
  ...newTarget('sheet'),
  slab: { wall: 4, base: 4, neutralFraction: 0.5, faceUp: 'inside' },
  form: { kind: 'sheet', outline: RECTANGLE, bend: { diameter: 96, angle: 90 }, ...change },
});

describe('bent sheets', () => {
  it.each([
    [0, 40, 120],
    [90, 120, 40],
  ])('with the axis at %d degrees are as wide and high as the formulas say', (angle, wide, long) => {
    const bent = bentSheet(sheet({ bend: { diameter: 96, angle } }).form, 4, 0.5);
    expect(bent.neutralRadius).toBe(50);
    expect(bent.width).toBeCloseTo(2 * 50 * Math.sin(wide / 100), 9);
    expect(bent.rise).toBeCloseTo(50 * (1 - Math.cos(wide / 100)), 9);
    expect(bent.length).toBeCloseTo(long, 9);
    expect(bent.area).toBeCloseTo(4800, 9);
    expect(Math.hypot(...bent.middle)).toBeLessThan(0.5);
  });

  it('go back from a place across and along the axis to the flat sheet', () => {
    const bent = bentSheet(sheet({ bend: { diameter: 96, angle: 33 } }).form, 4, 0.5);
    for (const point of [
      [3, 7],
      [-40, 12],
      [55, -18],
    ] as const) {
      // prettier-ignore
      const [x, y] = bent.back(bent.across(point));
      expect(Math.hypot(x - point[0], y - point[1])).toBeLessThan(1e-9);
    }
  });

  it.each([3, 4] as const)('stand on %d feet, longer up the curve, with the middle well within them', (count) => {
    const target = sheet({ feet: { count, height: 6, diameter: 10 } });
    const footing = placeFeet(target.form, 4, 0.5, 0.12);
    expect(footing?.feet).toHaveLength(count);
    expect(footing?.room).toBeGreaterThan(3);
    for (const { at, length } of footing?.feet ?? []) {
      expect(Math.abs(at[0])).toBeLessThan(60 - 5 / 0.88);
      expect(length).toBeCloseTo(6 + 52 * (1 - Math.cos(at[0] / 50)) * 0.88, 6);
    }
    expect(develop(target).checks.map(({ code }) => code)).toContain('sheet-stands');
  });

  it('tell a thin bridge, a narrow tip and a sheet that rocks', () => {
    const hole = circle(12).map(([x, y, bulge]) => [x + 50, y, bulge] as const);
    expect(narrowest(sheet({ holes: [hole] }).form, 4).bridge).toBeCloseTo(4, 1);
    const codes = (change: Partial<SheetForm>) => develop(sheet(change)).checks.map(({ code }) => code);
    expect(codes({ holes: [hole] })).toEqual(expect.arrayContaining(['sheet-bridge', 'sheet-rocks']));
    const sliver = [[0, -60, 0.08], [0, 60, 0.08]] as const; // prettier-ignore
    expect(codes({ outline: sliver })).toContain('sheet-tip');
    expect(codes({})).not.toContain('sheet-tip');
  });

  it('are cut with their holes, smaller by what they grow', () => {
    const hole = circle(20);
    const plain = develop(sheet({ holes: [hole] })).parts[0];
    expect(plain?.holes).toHaveLength(1);
    expect(plain?.volume).toBeCloseTo((4800 - 100 * Math.PI) * 4, 4);
    const grown = develop(sheet({ holes: [hole], grew: 1.05 })).parts[0];
    expect(grown?.outline[1]?.[0]).toBeCloseTo(60 / 1.05, 9);
    expect(grown?.volume).toBeCloseTo(((4800 - 100 * Math.PI) * 4) / 1.05 ** 2, 4);
    expect(scaledSheet(sheet().form, 2).outline[2]).toEqual([120, 40, 0]);
  });

  it.each([
    ['an outline that crosses itself', { outline: [[0, 0, 0], [80, 80, 0], [80, 0, 0], [0, 70, 0], [-40, 40, 0]] }, 'form.outline'],
    ['one that runs clockwise', { outline: [...RECTANGLE].reverse() }, 'form.outline'],
    ['a bottle that it would close round', { bend: { diameter: 30, angle: 90 } }, 'form.bend.diameter'],
    ['one point', { outline: [[0, 0, 0]] }, 'form.outline'],
    ['far places', { outline: [[0, 0, 0], [9000, 0, 0], [0, 90, 0]] }, 'form.outline.1.0'],
  ] as const)('refuse %s', (_, change, path) => {
    expect(checkTarget(sheet(change as Partial<SheetForm>)).map((fault) => fault.path)).toContain(path);
  }); // prettier-ignore
});
