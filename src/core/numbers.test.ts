import { root } from './numbers.ts';
import { seeded } from './seeded.ts';

describe('a root', () => {
  const SMOOTH: readonly (readonly [name: string, f: (x: number) => number, low: number, high: number, at: number])[] =
    [
      ['a line', (x) => 3 * x - 1, -4, 9, 1 / 3],
      ['a falling line', (x) => 2 - x, -1, 70, 2],
      ['a cube', (x) => x ** 3 - 8, 0, 100, 2],
      ['a flat place', (x) => (x - 1) ** 5, -3, 8, 1],
      ['a sine', Math.sin, 2, 4, Math.PI],
      ['an exponential', (x) => Math.exp(x) - 1e6, 0, 700, Math.log(1e6)],
      ['a steep end', (x) => Math.sqrt(x) - 1e-3, 0, 1, 1e-6],
      ['a pole beside it', (x) => 1 / (x - 1) - 5, 1.0001, 40, 1.2],
      ['nothing at nothing', (x) => x + x ** 3, -1, 0.7, 0],
    ];

  it.each(SMOOTH)('of %s is found to rounding', (_, f, low, high, at) => {
    const found = root(f, low, high) ?? NaN;
    const exact =
      f(found) === 0 || Math.abs(found - at) <= 4 * Number.EPSILON * Math.max(Math.abs(at), Number.MIN_VALUE);
    expect([found, exact]).toEqual([expect.closeTo(at, 12), true]);
    expect(root(f, high, low)).toBeCloseTo(at, 12);
  });

  it.each(SMOOTH.filter(([name]) => name !== 'a flat place'))('of %s takes few looks', (_, f, low, high) => {
    let looks = 0;
    root((x) => ((looks += 1), f(x)), low, high);
    expect(looks).toBeLessThan(30);
  });

  it('is the place of a jump, whatever the heights on both sides', () => {
    const random = seeded(5);
    for (let time = 0; time < 200; time += 1) {
      const at = 10 * random() - 5;
      const [below, above] = [-(10 ** (20 * random() - 10)), 10 ** (20 * random() - 10)];
      expect(root((x) => (x < at ? below : above), -7, 7)).toBeCloseTo(at, 12);
    }
  });

  it.each([
    ['low', 1, 5, 1],
    ['high', -3, 1, 1],
  ])('that is the %s end is that end', (_, low, high, at) => {
    expect(root((x) => x - 1, low, high)).toBe(at);
  });

  it('is none where both ends have the same sign', () => {
    expect([root((x) => x + 9, 0, 1), root((x) => x - 9, 0, 1)]).toEqual([null, null]);
  });
});
