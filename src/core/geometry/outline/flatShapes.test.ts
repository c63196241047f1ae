import { area, bounds, edgeAt, validateOutline } from './outline.ts';
import { insetPolygon } from './polygon.ts';
import { sectorOutline } from './sector.ts';

describe('sectorOutline', () => {
  it.each([
    ['a flare', 274.67, 409.09, 98.62],
    ['a closing wall', 409.09, 274.67, 98.62],
    ['a shallow one', 281, 281.5, 119],
    ['nearly a whole disc', 60, 500, 71],
  ])('of %s keeps both arcs, the slant and the area', (_, foot, rim, slant) => {
    const outline = sectorOutline({ foot, rim, slant, left: 0, right: 0 });
    expect(validateOutline(outline)).toEqual([]);
    expect([0, 1, 2, 3].map((edge) => edgeAt(outline, edge).length)).toEqual(
      [foot, slant, rim, slant].map((length) => expect.closeTo(length, 6)),
    );
    expect(area(outline)).toBeCloseTo(((foot + rim) / 2) * slant, 4);
    expect(edgeAt(outline, 2).radius - edgeAt(outline, 0).radius).toBeCloseTo(Math.sign(rim - foot) * slant, 5);
  });

  it('runs into a rectangle without a jump as the growth goes to nothing', () => {
    const plain = bounds(sectorOutline({ foot: 281, rim: 281, slant: 119, left: 0, right: 0 }));
    for (const growth of [1e-15, 1e-12, 1e-9, 1e-6, 1e-4]) {
      const box = bounds(sectorOutline({ foot: 281, rim: 281 + growth, slant: 119, left: 0, right: 0 }));
      for (const key of ['minX', 'minY', 'maxX', 'maxY'] as const) expect(box[key]).toBeCloseTo(plain[key], 3);
    }
  });

  it('draws an arc of a kilometre as a line', () => {
    const nearly = sectorOutline({ foot: 281, rim: 281.02, slant: 119, left: 0, right: 0 });
    expect(nearly.every(([, , bulge]) => bulge === 0)).toBe(true);
  });

  it('adds a lap as a strip of even width', () => {
    const lapped = sectorOutline({ foot: 270, rim: 400, slant: 100, left: 0, right: 10 });
    const plain = sectorOutline({ foot: 270, rim: 400, slant: 100, left: 0, right: 0 });
    expect(area(lapped) - area(plain)).toBeGreaterThan(0.97 * 10 * 100);
    expect(area(lapped) - area(plain)).toBeLessThan(1.03 * 10 * 100);
    const [a, b] = [lapped[1], lapped[2]] as [readonly number[], readonly number[]];
    const [c, d] = [plain[1], plain[2]] as [readonly number[], readonly number[]];
    const along = (p: readonly number[], q: readonly number[]) =>
      Math.atan2((q[1] ?? 0) - (p[1] ?? 0), (q[0] ?? 0) - (p[0] ?? 0));
    expect(along(a, b)).toBeCloseTo(along(c, d), 9);
  });
});

describe('insetPolygon', () => {
  const square = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ] as const;

  it.each([
    [[0, 0, 0, 0], 100],
    [[1, 1, 1, 1], 64],
    [[-1, -1, -1, -1], 144],
    [[2, 0, 0, 0], 80],
    [[0, 3, 0, -1], 80],
  ])('moves each edge by its own distance %j', (insets, wanted) => {
    expect(area(insetPolygon(square, insets))).toBeCloseTo(wanted, 9);
  });

  it('keeps corners between edges in one line', () => {
    const flat = [
      [0, 0],
      [5, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ] as const;
    expect(area(insetPolygon(flat, [1, 1, 1, 1, 1]))).toBeCloseTo(64, 9);
  });
});
