import { mixtureQuantile, normalBelow } from './normal.ts';

describe('the normal distribution', () => {
  // Printed tables.
  it.each([
    [0, 0.5],
    [1, 0.841344746],
    [-1.959963985, 0.025],
    [2.575829304, 0.995],
    [-4, 3.1671e-5],
    [8, 1],
    [-8, 0],
  ])('is below %d with a chance of %d', (x, chance) => {
    expect(Math.abs(normalBelow(x) - chance)).toBeLessThan(2e-7);
  });
});

describe('a quantile of a mixture', () => {
  it.each([
    ['of one part is its own', [{ weight: 3, mean: 10, deviation: 2 }], 0.975, 10 + 1.959963985 * 2],
    [
      'between two like parts lies half-way',
      [
        { weight: 1, mean: -5, deviation: 1 },
        { weight: 1, mean: 5, deviation: 1 },
      ],
      0.5,
      0,
    ],
    [
      'of two parts, one of them exact, is the exact one where that has the share',
      [
        { weight: 1, mean: 0, deviation: 1 },
        { weight: 8, mean: 3, deviation: 0 },
      ],
      0.5,
      3,
    ],
    ['of exact parts is the only value', [{ weight: 1, mean: 4, deviation: 0 }], 0.025, 4],
  ])('%s', (_, parts, share, value) => {
    expect(Math.abs(mixtureQuantile(parts, share) - value)).toBeLessThan(3e-6);
  });
});
