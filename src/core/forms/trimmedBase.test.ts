import { bounds } from '../geometry/outline/outline.ts';
import { checkTarget } from './checkTarget.ts';
import { develop } from '../piece/develop.ts';
import { targetsOfEveryKind } from '../piece/everyKind.test.helper.ts';
import type { Target } from '../target/target.ts';

const TRIM = 4;
const baseOf = (target: Target) => develop(target).parts.find(({ id }) => id === 'base');
const under = (target: Target, trim: number): Target => ({ ...target, base: { join: 'under', trim } });

describe('a base that is trimmed after joining', () => {
  it('is cut straight down, and reaches past both faces of the piece all round: 80 pieces of every kind', () => {
    const targets = targetsOfEveryKind(171, 80).filter((target) => checkTarget(under(target, 0)).length === 0);
    expect(targets.length).toBeGreaterThan(60);
    for (const target of targets) {
      const [exact, trimmed] = [baseOf(under(target, 0)), baseOf(under(target, TRIM))];
      if (!exact || !trimmed) throw new Error('no base');
      expect(trimmed.leans.filter(({ word }) => word !== 'straight down')).toEqual([]);
      const out = bounds(trimmed.outline);
      for (const box of [bounds(exact.outline), bounds(exact.underside)]) {
        expect(
          Math.min(box.minX - out.minX, box.minY - out.minY, out.maxX - box.maxX, out.maxY - box.maxY),
        ).toBeGreaterThan(TRIM - 1e-6);
      }
    }
  });
});
