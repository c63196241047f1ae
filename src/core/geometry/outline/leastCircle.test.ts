import { seeded } from '../../seeded.ts';
import { leastCircle } from './leastCircle.ts';

describe('the least circle round some points', () => {
  it.each<[string, (readonly [number, number])[], number]>([
    ['one point', [[3, 4]], 0],
    [
      'two points',
      [
        [0, 0],
        [6, 8],
      ],
      5,
    ],
    [
      'a square',
      [
        [0, 0],
        [84, 0],
        [84, 84],
        [0, 84],
      ],
      42 * Math.SQRT2,
    ],
    [
      'a flat triangle, by its long side',
      [
        [0, 0],
        [10, 0],
        [5, 1],
      ],
      5,
    ],
    [
      'points in line',
      [
        [0, 0],
        [1, 1],
        [4, 4],
        [2, 2],
      ],
      2 * Math.SQRT2,
    ],
    [
      'a point given twice',
      [
        [1, 1],
        [1, 1],
        [1, 3],
      ],
      1,
    ],
  ])('of %s', (_, points, radius) => {
    expect(leastCircle(points).radius).toBeCloseTo(radius, 9);
  });

  it('holds every point, and any smaller one fails to, for 300 clouds', () => {
    const random = seeded(15);
    for (let round = 0; round < 300; round += 1) {
      const points = Array.from(
        { length: 3 + Math.floor(random() * 40) },
        () => [random() * 100, random() * 60] as const,
      );
      const { at, radius } = leastCircle(points);
      const far = points.map(([x, y]) => Math.hypot(x - at[0], y - at[1]));
      expect(Math.max(...far)).toBeLessThanOrEqual(radius * (1 + 1e-9));
      // The points on the border leave no half turn free, so that no shift of the circle helps.
      const turns = points
        .filter((_, index) => (far[index] as number) > radius - 1e-7)
        .map(([x, y]) => Math.atan2(y - at[1], x - at[0]))
        .sort((one, other) => one - other);
      const gaps = turns.map((turn, index) =>
        index === 0 ? turn - (turns.at(-1) as number) + 2 * Math.PI : turn - (turns[index - 1] as number),
      );
      expect(Math.max(...gaps)).toBeLessThanOrEqual(Math.PI + 1e-6);
    }
  });
});
