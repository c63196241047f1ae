import { seeded } from '../../seeded.ts';
import { smoothLine, type ProfilePoint } from './smoothLine.ts';

const random = seeded(411);
const between = (low: number, high: number) => low + random() * (high - low);

/** Points of rising height, at most 30 mm apart. */
function profile(count: number): ProfilePoint[] {
  let z = 0;
  return Array.from({ length: count }, (_, index) => {
    if (index > 0) z += between(5, 30);
    return [z, between(20, 80)] as const;
  });
}
const profiles = Array.from({ length: 120 }, (_, index) => profile(2 + (index % 7)));

describe('a smooth line', () => {
  it('runs through its points and never swings past one', () => {
    for (const points of profiles) {
      const { radiusAt } = smoothLine(points);
      for (const [z, r] of points) expect(radiusAt(z)).toBeCloseTo(r, 9);
      points.slice(1).forEach(([z, r], index) => {
        const [z0, r0] = points[index] as ProfilePoint;
        const inside = Array.from({ length: 21 }, (_, step) => radiusAt(z0 + ((z - z0) * step) / 20));
        expect(Math.max(...inside)).toBeLessThanOrEqual(Math.max(r, r0) + 1e-9);
        expect(Math.min(...inside)).toBeGreaterThanOrEqual(Math.min(r, r0) - 1e-9);
      });
    }
  });

  it('has the slope and the turn that its radii say, without a bend at a point', () => {
    const step = 1e-5;
    for (const points of profiles) {
      const { radiusAt, slopeAt, turnAt } = smoothLine(points);
      for (const [index, [z]] of points.entries()) {
        expect(slopeAt(z - 1e-9)).toBeCloseTo(slopeAt(z + 1e-9), 5);
        const [next] = points[index + 1] ?? [z + 10];
        const middle = (z + next) / 2;
        expect(slopeAt(middle)).toBeCloseTo((radiusAt(middle + step) - radiusAt(middle - step)) / (2 * step), 5);
        expect(turnAt(middle)).toBeCloseTo((slopeAt(middle + step) - slopeAt(middle - step)) / (2 * step), 4);
      }
    }
  });

  it('stands upright where it is widest and narrowest, and goes on straight beyond its ends', () => {
    for (const points of profiles) {
      const { radiusAt, slopeAt, turnAt } = smoothLine(points);
      points.slice(1, -1).forEach(([z, r], index) => {
        const [[, before], [, after]] = [points[index], points[index + 2]] as [ProfilePoint, ProfilePoint];
        if ((r - before) * (after - r) <= 0) expect(slopeAt(z)).toBeCloseTo(0, 9);
        else expect(Math.sign(slopeAt(z))).toBe(Math.sign(after - before));
      });
      const [low, high] = [points[0] as ProfilePoint, points.at(-1) as ProfilePoint];
      for (const [end, way] of [
        [low, -1],
        [high, 1],
      ] as const) {
        const slope = slopeAt(end[0] + way * 3);
        expect(turnAt(end[0] + way * 3)).toBe(0);
        expect(radiusAt(end[0] + way * 7)).toBeCloseTo(end[1] + way * 7 * slope, 9);
        expect(slopeAt(end[0])).toBeCloseTo(slope, 9);
      }
    }
  });

  it.each([
    [
      'two points',
      [
        [0, 30],
        [50, 40],
      ],
    ],
    [
      'points in a row',
      [
        [0, 30],
        [10, 32],
        [35, 37],
        [50, 40],
      ],
    ],
  ] as [string, ProfilePoint[]][])('through %s is straight', (_, points) => {
    const { radiusAt, slopeAt, turnAt } = smoothLine(points);
    for (const z of [-5, 0, 4, 10, 22, 35, 49, 60]) {
      expect(radiusAt(z)).toBeCloseTo(30 + z / 5, 9);
      expect(slopeAt(z)).toBeCloseTo(0.2, 9);
      expect(turnAt(z)).toBeCloseTo(0, 9);
    }
  });
});
