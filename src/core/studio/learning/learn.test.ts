import { learnHierarchy, type HierarchyPriors, type PieceReadings } from './hierarchy.ts';
import { learnClay, neutralFractionOf, type LearnJob } from './learn.ts';
import { madeUpClay, STUDIO } from './madeUpStudio.test.helper.ts';

const known = (firing: number, piece: number, measuring: number): HierarchyPriors => ({
  firing: { known: firing },
  piece: { known: piece },
  measuring: { known: measuring },
});
const piece = (firing: string, ...values: number[]): PieceReadings => ({
  firing,
  readings: values.map((value) => ({ value, scale: 1 })),
});

describe('a mean over firings and pieces', () => {
  it('is worked by hand where the spreads are known', () => {
    // Variances: of a piece of one reading 1 + 4 = 5, of two 1 + 2 = 3; firing a: 1 / (1/5 + 1/3) = 1.875, and 9 for the firing.
    const found = learnHierarchy([piece('a', 10), piece('a', 12, 14), piece('b', 20)], known(3, 1, 2));
    const ofA = { mean: (10 / 5 + 13 / 3) * 1.875, variance: 9 + 1.875 };
    const ofB = { mean: 20, variance: 9 + 5 };
    const weights = 1 / ofA.variance + 1 / ofB.variance;
    const mean = (ofA.mean / ofA.variance + ofB.mean / ofB.variance) / weights;
    const deviation = Math.sqrt(1 / weights);
    expect(found?.mean).toBeCloseTo(mean, 9);
    expect(found?.low).toBeCloseTo(mean - 1.959964 * deviation, 5);
    expect(found?.high).toBeCloseTo(mean + 1.959964 * deviation, 5);
    expect(found?.next.high).toBeCloseTo(mean + 1.959964 * Math.sqrt(deviation ** 2 + 9 + 1), 5);
  });

  it('is nothing of no reading', () => {
    expect(learnHierarchy([], known(1, 1, 1))).toBeNull();
    expect(learnHierarchy([piece('a')], known(1, 1, 1))).toBeNull();
  });

  it('agrees with Student’s t where only the error is not known and nearly nothing is thought of it', () => {
    // One piece of eight readings: the mean's interval is t(7) s / sqrt(8); a flat prior of the log would give it exactly.
    const values = [9.1, 10.4, 10.9, 9.7, 10.2, 11.3, 8.9, 10.1];
    const found = learnHierarchy([piece('a', ...values)], { ...known(0, 0, 1), measuring: { usual: 1 } });
    const mean = values.reduce((sum, value) => sum + value, 0) / 8;
    const s = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / 7);
    expect(found?.mean).toBeCloseTo(mean, 9);
    const half = ((found?.high ?? 0) - (found?.low ?? 0)) / 2;
    expect(half / ((2.3646 * s) / Math.sqrt(8))).toBeGreaterThan(0.9);
    expect(half / ((2.3646 * s) / Math.sqrt(8))).toBeLessThan(1.1);
  });

  it('does not change with the order of its pieces', () => {
    const pieces = [piece('a', 10, 11), piece('b', 12), piece('a', 9), piece('c', 13, 12, 12)];
    const priors: HierarchyPriors = { firing: { usual: 1 }, piece: { usual: 1 }, measuring: { usual: 1 } };
    const one = learnHierarchy(pieces, priors);
    const other = learnHierarchy([...pieces].reverse(), priors);
    expect(other?.mean).toBeCloseTo(one?.mean ?? NaN, 9);
    expect(other?.high).toBeCloseTo(one?.high ?? NaN, 6);
  });
});

describe('made-up studios of known truth', () => {
  // Three clays a studio, a hundred studios.
  const clays = Array.from({ length: 300 }, (_, index) => madeUpClay(1000 + index, true));
  const learnt = clays.map(({ job }) => learnClay(job));
  const share = (holds: (index: number) => boolean) => clays.filter((_, index) => holds(index)).length / clays.length;
  const within = (value: number, range: { low: number; high: number } | null | undefined) =>
    range !== null && range !== undefined && range.low <= value && value <= range.high;

  it('have their shrinkage in the interval in 93 to 98 of 100', () => {
    const held = share((index) => within(clays[index]?.truth.shrinkage ?? NaN, learnt[index]?.shrinkage));
    expect(held).toBeGreaterThanOrEqual(0.93);
    expect(held).toBeLessThanOrEqual(0.98);
  });

  it('have their neutral fraction in the interval in 93 to 98 of 100', () => {
    const held = share((index) => within(clays[index]?.truth.neutral ?? NaN, learnt[index]?.neutralFraction));
    expect(held).toBeGreaterThanOrEqual(0.93);
    expect(held).toBeLessThanOrEqual(0.98);
  });

  it('have intervals no wider than 1.3 times those of the exact fit to clean readings with the true spreads', () => {
    const ratios = learnt.slice(0, 100).map(({ shrinkage: own }, index) => {
      const clean = madeUpClay(1000 + index, false).job;
      const exact = learnHierarchy(readingsOf(clean), known(STUDIO.firing, STUDIO.piece, STUDIO.measuring));
      return ((own?.high ?? 0) - (own?.low ?? 0)) / ((exact?.high ?? 0) - (exact?.low ?? 0));
    });
    expect(ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.length).toBeLessThan(1.3);
  });

  it('are not moved by slips by more than half the interval', () => {
    clays.slice(0, 100).forEach((_, index) => {
      const clean = learnClay(madeUpClay(1000 + index, false).job);
      const [own, half] = [learnt[index], halfOf(learnt[index]?.shrinkage)];
      expect(Math.abs((own?.shrinkage?.mean ?? NaN) - (clean.shrinkage?.mean ?? NaN))).toBeLessThan(half);
      expect(Math.abs((own?.neutralFraction?.mean ?? NaN) - (clean.neutralFraction?.mean ?? NaN))).toBeLessThan(
        halfOf(own?.neutralFraction),
      );
    });
  });

  it('have the spreads of the caliper told within a fifth', () => {
    const mean = learnt.reduce((sum, one) => sum + (one.spread?.measuring ?? NaN), 0) / learnt.length;
    expect(mean / STUDIO.measuring).toBeGreaterThan(0.8);
    expect(mean / STUDIO.measuring).toBeLessThan(1.2);
  });
});

const halfOf = (range: { low: number; high: number } | null | undefined) =>
  ((range?.high ?? 0) - (range?.low ?? 0)) / 2;

function readingsOf({ bars, pieces }: LearnJob): PieceReadings[] {
  const value = ({ wet, fired }: { wet: number; fired: number }) => 1 - fired / wet;
  return [
    ...bars.map((bar): PieceReadings => ({ firing: 'bars', readings: [{ value: value(bar), scale: 1 / bar.wet }] })),
    ...pieces.map(({ firing, lines }): PieceReadings => ({
      firing,
      readings: lines.map((line) => ({ value: value(line), scale: Math.hypot(1, line.fired / line.wet) / line.wet })),
    })),
  ];
}

describe('what is set aside', () => {
  const clean: LearnJob = {
    bars: [],
    pieces: ['a', 'a', 'a', 'b', 'b', 'b'].map((firing, index) => ({
      firing,
      lines: [
        { wet: 96 + index, fired: (96 + index) * 0.88 + 0.1 * (index % 3) },
        { wet: 120, fired: 120 * 0.88 - 0.1 * (index % 2) },
      ],
    })),
  };

  it('is nothing of a clean table', () => expect(learnClay(clean).setAside).toEqual([]));

  it('is the slip of 48 for 84, and only that', () => {
    const pieces = clean.pieces.map((one, index) =>
      index === 2 ? { ...one, lines: [{ wet: 96, fired: 48.4 }, ...one.lines.slice(1)] } : one,
    );
    const found = learnClay({ bars: [], pieces });
    expect(found.setAside).toEqual([{ piece: 2, line: 0, wet: 96, fired: 48.4 }]);
    expect(found.shrinkage?.mean).toBeCloseTo(learnClay(clean).shrinkage?.mean ?? NaN, 3);
  });

  it('is a bar, a whole piece and a wrap where those are off', () => {
    const odd = {
      firing: 'a',
      lines: [
        { wet: 100, fired: 80 },
        { wet: 120, fired: 96.1 },
      ],
    };
    const bars = [
      { wet: 100, fired: 88 },
      { wet: 100, fired: 88.1 },
      { wet: 100, fired: 70 },
    ];
    const wraps = [95.9, 96.1, 96, 95.8, 96.2, 90].map((outside) => ({ length: 282.7, thickness: 6, outside }));
    const pieces = [
      ...clean.pieces.map((one, index) => ({ ...one, wrap: wraps[index] as (typeof wraps)[number] })),
      odd,
    ];
    const { setAside } = learnClay({ bars, pieces });
    expect(setAside).toContainEqual({ bar: 2, wet: 100, fired: 70 });
    expect(setAside).toContainEqual({ piece: 6, line: 0, wet: 100, fired: 80 });
    expect(setAside).toContainEqual({ piece: 6, line: 1, wet: 120, fired: 96.1 });
    expect(setAside).toContainEqual({ piece: 5, wrap: wraps[5] });
  });
});

describe('the neutral fraction of one wall', () => {
  // 6 mm slab, neutral diameter 90: outside 96 by a half, 97.2 by 0.4.
  it.each([
    [96, 0.5],
    [97.2, 0.4],
    [94.8, 0.6],
  ])('outside %d gives %d', (outside, fraction) => {
    expect(neutralFractionOf({ length: 90 * Math.PI, thickness: 6, outside })).toBeCloseTo(fraction, 12);
  });

  it('is null where no wall was wrapped, and the shrinkage where no length was measured', () => {
    const wrap = { length: 282.7, thickness: 6, outside: 96 };
    expect(learnClay({ bars: [{ wet: 100, fired: 88 }], pieces: [] }).neutralFraction).toBeNull();
    expect(learnClay({ bars: [], pieces: [{ firing: 'a', lines: [], wrap }] }).shrinkage).toBeNull();
  });
});
