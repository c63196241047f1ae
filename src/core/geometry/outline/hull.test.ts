import { seeded } from '../../seeded.ts';
import { hull, hullReach } from './hull.ts';
import type { Point } from '../point.ts';

const turn = ([x0, y0]: Point, [x1, y1]: Point, [x2, y2]: Point) => (x1 - x0) * (y2 - y0) - (y1 - y0) * (x2 - x0);

describe('hull', () => {
  it('holds every point, turns left at each corner, and is made of the points themselves', () => {
    const random = seeded(11);
    for (let round = 0; round < 40; round += 1) {
      const points = Array.from({ length: 3 + Math.floor(600 * random()) }, (): Point => [
        Math.round(60 * random()),
        Math.round(30 * random()),
      ]);
      const corners = hull(points);
      corners.forEach((corner, index) => {
        const [next, after] = [1, 2].map((step) => corners[(index + step) % corners.length] as Point) as [Point, Point];
        if (corners.length > 2) expect(turn(corner, next, after)).toBeGreaterThan(0);
        expect(Math.min(...points.map((point) => turn(corner, next, point)))).toBeGreaterThanOrEqual(0);
        expect(points).toContain(corner);
      });
    }
  });

  it('reaches towards every direction as far as the furthest point', () => {
    const random = seeded(12);
    const faults: string[] = [];
    for (let round = 0; round < 40; round += 1) {
      const points = Array.from({ length: 3 + Math.floor(300 * random()) }, (): Point => [
        Math.round(60 * random()) - 20,
        Math.round(30 * random()),
      ]);
      const reach = hullReach(hull(points));
      for (let step = -40; step < 80; step += 1) {
        const phi = (step * Math.PI) / 20;
        const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
        const furthest = Math.max(...points.map(([x, y]) => x * cos + y * sin));
        if (!(Math.abs(reach(phi) - furthest) < 5e-10)) faults.push(`${phi}: ${reach(phi)}, not ${furthest}`);
      }
    }
    expect(faults).toEqual([]);
    expect(hullReach([])(1)).toBe(-Infinity);
  });

  it.each([
    ['nothing', [], 0],
    ['one point', [[3, 4]], 1],
    [
      'two points',
      [
        [3, 4],
        [5, 6],
      ],
      2,
    ],
    [
      'a square with its middle',
      [
        [0, 0],
        [4, 0],
        [4, 4],
        [0, 4],
        [2, 2],
      ],
      4,
    ],
  ] as [string, Point[], number][])('of %s has so many corners', (_, points, count) => {
    expect(hull(points)).toHaveLength(count);
  });
});
