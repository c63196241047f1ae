import { seeded } from '../../../core/seeded.ts';
import { closeGrips, nearerBy } from './closeGrips.ts';

const FINGER = 44;
const random = seeded(19);

describe('points that stand closer than a finger is wide', () => {
  it('are one grip: every point is in one group, and no two groups are closer than a finger', () => {
    for (let run = 0; run < 50; run += 1) {
      const places = Array.from(
        { length: 1 + Math.floor(60 * random()) },
        () => [390 * random(), 300 * random()] as const,
      );
      const groups = closeGrips(places, FINGER);
      expect(groups.flat().sort((one, other) => one - other)).toEqual(places.map((_, index) => index));
      const firsts = groups.map(([first = 0]) => places[first] ?? [NaN, NaN]);
      const apart = firsts.flatMap(([x, y], index) => firsts.slice(0, index).map(([u, v]) => Math.hypot(x - u, y - v)));
      expect(Math.min(Infinity, ...apart)).toBeGreaterThanOrEqual(FINGER);
    }
  });

  it('part when they are seen so many times nearer: those furthest apart are never one grip any more', () => {
    for (let run = 0; run < 50; run += 1) {
      const places = Array.from(
        { length: 2 + Math.floor(4 * random()) },
        () => [30 * random(), 30 * random()] as const,
      );
      const by = nearerBy(places, FINGER);
      expect(by).toBeGreaterThan(1);
      expect(
        closeGrips(
          places.map(([x, y]) => [by * x, by * y] as const),
          FINGER,
        ).length,
      ).toBeGreaterThan(1);
    }
  });
});
