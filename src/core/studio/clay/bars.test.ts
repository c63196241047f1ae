import { seeded } from '../../seeded.ts';
import { barFigures, firedBetween, knownShrinkage, outlierOf, shrinkageFigure, type ShrinkBar } from './bars.ts';
import { studentT, withinT } from './studentT.ts';

const bar = (fired: number, more: Partial<ShrinkBar> = {}): ShrinkBar => ({ wet: 100, fired, run: 'any', ...more });

describe('Student’s t', () => {
  // Printed tables.
  it.each([
    [0.95, 1, 12.706],
    [0.95, 2, 4.303],
    [0.95, 3, 3.182],
    [0.95, 4, 2.776],
    [0.95, 9, 2.262],
    [0.95, 10, 2.228],
    [0.95, 30, 2.042],
    [0.95, 120, 1.98],
    [0.99, 5, 4.032],
    [0.99, 1, 63.657],
    [0.5, 7, 0.711],
  ])('within %d, %d degrees of freedom: %d', (share, freedom, t) => {
    expect(studentT(share, freedom)).toBeCloseTo(t, 3);
    expect(withinT(studentT(share, freedom), freedom)).toBeCloseTo(share, 10);
  });

  it.each([
    [0.95, 0],
    [0.95, 2.5],
    [1, 4],
    [0, 4],
  ])('refuses %d with %d', (share, freedom) => {
    expect(() => studentT(share, freedom)).toThrow(RangeError);
  });
});

describe('shrink bars', () => {
  it('give mean, deviation and interval worked by hand', () => {
    // 0.12, 0.124, 0.116, 0.122: mean 0.1205, s 0.0034157, t(3) 3.1824, half width 0.0054352.
    const figure = shrinkageFigure([0.12, 0.124, 0.116, 0.122]);
    expect(figure?.mean).toBeCloseTo(0.1205, 12);
    expect(figure?.deviation).toBeCloseTo(0.0034157, 7);
    expect(figure?.interval?.[0]).toBeCloseTo(0.1205 - 0.0054352, 6);
    expect(figure?.interval?.[1]).toBeCloseTo(0.1205 + 0.0054352, 6);
  });

  it('of one bar have a mean and no interval, of none nothing', () => {
    expect(shrinkageFigure([0.12])).toEqual({ count: 1, mean: 0.12, deviation: null, interval: null });
    expect(shrinkageFigure([])).toBeNull();
    expect(barFigures([]).total).toEqual({ dry: null, bisque: null, fired: null });
  });

  it('compose step by step to the total', () => {
    const { total, step } = barFigures([{ wet: 100, dry: 94, bisque: 93.2, fired: 88, run: 'any' }]);
    const left = (['dry', 'bisque', 'fired'] as const).reduce(
      (rest, state) => rest * (1 - (step[state]?.mean ?? NaN)),
      1,
    );
    expect(1 - left).toBeCloseTo(total.fired?.mean ?? NaN, 12);
    expect(step.bisque?.mean).toBeCloseTo(1 - 93.2 / 94, 12);
  });

  it('hold the true mean in about 95 of 100 intervals', () => {
    const random = seeded(5);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let held = 0;
    for (let time = 0; time < 2000; time += 1) {
      const [low, high] = shrinkageFigure(Array.from({ length: 5 }, () => 0.12 + 0.004 * normal()))?.interval ?? [1, 0];
      if (low <= 0.12 && 0.12 <= high) held += 1;
    }
    expect(held / 2000).toBeGreaterThan(0.935);
    expect(held / 2000).toBeLessThan(0.965);
  });

  it('mark the one that does not belong, and only then', () => {
    expect(outlierOf([0.12, 0.121, 0.119, 0.12, 0.16])).toBe(4);
    expect(outlierOf([0.12, 0.121, 0.119, 0.122, 0.118])).toBeNull();
    expect(outlierOf([0.12, 0.3])).toBeNull();
    expect(outlierOf([0.12, 0.12, 0.12])).toBeNull();
    const bars = [bar(80, { aside: true }), bar(88), bar(88.1), bar(87.9), bar(88), bar(84)];
    expect(barFigures(bars).outlier).toBe(5);
    expect(barFigures(bars).total.fired?.count).toBe(5);
  });

  it('tell along the roll from across', () => {
    const { along, across } = barFigures([
      bar(88, { run: 'along' }),
      bar(88.4, { run: 'across' }),
      bar(88.6, { run: 'across' }),
    ]);
    expect(along?.mean).toBeCloseTo(0.12, 9);
    expect(across?.mean).toBeCloseTo(0.115, 9);
  });
});

describe('the shrinkage to work with', () => {
  it('is the bars’, and without any what was written down', () => {
    const clay = { shrinkage: 0.13, basis: 'maker' } as const;
    expect(knownShrinkage({ ...clay, bars: [] })).toEqual({ shrinkage: 0.13, interval: null, from: 'maker' });
    expect(knownShrinkage({ ...clay, bars: [bar(88), bar(88)] })).toEqual({
      shrinkage: expect.closeTo(0.12, 12),
      interval: [expect.closeTo(0.12, 12), expect.closeTo(0.12, 12)],
      from: 'bars',
    });
  });

  it('is what was learned from pieces, once that is accepted', () => {
    const learnt = { shrinkage: 0.124, low: 0.122, high: 0.126 };
    expect(knownShrinkage({ shrinkage: 0.13, basis: 'maker', bars: [bar(88)], learnt })).toEqual({
      shrinkage: 0.124,
      interval: [0.122, 0.126],
      from: 'pieces',
    });
  });

  it('carries its interval to a finished size: 84 mm, between 83.2 and 84.8', () => {
    const [low, high] = firedBetween(84, 0.12, [0.1116, 0.1284]);
    expect(low).toBeCloseTo((84 / 0.88) * (1 - 0.1284), 9);
    expect(high).toBeCloseTo((84 / 0.88) * (1 - 0.1116), 9);
    expect([low.toFixed(1), high.toFixed(1)]).toEqual(['83.2', '84.8']);
  });
});
