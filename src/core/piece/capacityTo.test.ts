import { capacityTo } from './capacityTo.ts';
import { targetsOfEveryKind } from './everyKind.test.helper.ts';
import { finishedCapacity } from './finished.ts';
import type { Target } from '../target/target.ts';
import { level } from './targets.test.helper.ts';

describe('the capacity up to a level', () => {
  it('is that of a cylinder of the inside, and of a cone frustum', () => {
    const cup = level(
      { kind: 'cylinder', diameter: 90, height: 100 },
      { clay: { shrinkage: 0.1 }, slab: { wall: 5, base: 5 } },
    );
    // 90 - 2 x 4.5 across inside; the floor is 4.5 mm up.
    expect(capacityTo(cup, 54.5)).toBeCloseTo((Math.PI * 40.5 ** 2 * 50) / 1000, 1);
    const cone = level(
      { kind: 'taper', rim: 120, foot: 80, height: 100 },
      { clay: { shrinkage: 0 }, slab: { wall: 4, base: 4 } },
    );
    const wall = 4 / Math.cos(Math.atan(0.2));
    const radius = (z: number) => 40 + 0.2 * z - wall;
    const [low, high] = [radius(4), radius(54)];
    expect(capacityTo(cone, 54)).toBeCloseTo((Math.PI * 50 * (low * low + low * high + high * high)) / 3000, 0);
  });

  it('is that of a cap of a ball, of what was formed in a dome', () => {
    // A dome of 200 across and 60 deep: its ball has a radius of 113.33; the slab lies in it.
    const dome = level(
      { kind: 'mould', rim: { kind: 'circle', diameter: 200 }, depth: 60, wall: 'dome', side: 'slump', margin: 0 },
      { clay: { shrinkage: 0 }, slab: { wall: 5 }, base: { join: 'none', trim: 0 } },
    );
    const bowl = { ...dome, base: { join: 'under', trim: 0 } } as Target;
    const ball = 100 ** 2 / 120 + 30 - 5;
    const cap = (deep: number) => (Math.PI * deep ** 2 * (ball - deep / 3)) / 1000;
    expect(capacityTo(bowl, 5 + 30) / capacityTo(bowl, 5 + 45)).toBeCloseTo(cap(30) / cap(45), 1);
    expect(capacityTo(bowl, 5 + 30) / cap(30)).toBeCloseTo(1, 1);
  });

  it('never falls as the level rises, from nothing at the floor to the brim: 60 pieces of every kind', () => {
    for (const target of targetsOfEveryKind(171, 60)) {
      const height = 'height' in target.form ? target.form.height : 220;
      const held = Array.from({ length: 9 }, (_, step) => capacityTo(target, (step / 6) * height));
      expect(held[0]).toBe(0);
      expect(held.every((ml, at) => at === 0 || ml >= (held[at - 1] ?? 0))).toBe(true);
      expect(held.at(-1)).toBe(finishedCapacity(target));
    }
  });
});
