import { chanceOfDifference, shareOf } from './shares.ts';

describe('a share of few', () => {
  // Printed tables of exact limits.
  it.each([
    [3, 7, 0.099, 0.8159],
    [0, 5, 0, 0.5218],
    [5, 5, 0.4782, 1],
    [1, 16, 0.0016, 0.3023],
    [50, 100, 0.3983, 0.6017],
    [0, 0, 0, 1],
  ])('%d of %d lies between %d and %d', (count, of, low, high) => {
    const share = shareOf(count, of);
    expect(share.low).toBeCloseTo(low, 4);
    expect(share.high).toBeCloseTo(high, 4);
  });

  // 3 of 4 cups against 1 of 4: 34/70; the others by hand from the hypergeometric.
  it.each([
    [[3, 4], [1, 4], 34 / 70],
    [[4, 4], [0, 4], 2 / 70],
    [[0, 3], [0, 9], 1],
    [[2, 2], [0, 3], 1 / 10],
  ] as const)('%j against %j comes by chance in %d', ([count, of], [other, all], chance) => {
    expect(chanceOfDifference({ count, of }, { count: other, of: all })).toBeCloseTo(chance, 9);
  });
});
