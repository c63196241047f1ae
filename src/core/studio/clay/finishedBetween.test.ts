import { develop } from '../../piece/develop.ts';
import { capacityBetween, finishedBetween } from './finishedBetween.ts';
import { newTarget } from '../../target/target.ts';
import { targetsOfEveryKind } from '../../piece/everyKind.test.helper.ts';

describe('finished sizes with the interval of the clay', () => {
  it('are those of the piece that was cut, fired at both ends of the interval', () => {
    for (const target of targetsOfEveryKind(61, 24).filter(({ size }) => size.state === 'fired')) {
      const s = target.clay.shrinkage;
      const interval = [Math.max(0, s - 0.01), s + 0.006] as const;
      for (const { fired, between } of finishedBetween(target, interval)) {
        expect(between[0]).toBeCloseTo((fired / (1 - s)) * (1 - interval[1]), 9);
        expect(between[1]).toBeCloseTo((fired / (1 - s)) * (1 - interval[0]), 9);
      }
    }
  });

  it('take wet sizes through the kiln first, and volumes by the cube', () => {
    const target = { ...newTarget('x'), size: { state: 'wet', face: 'outside' } } as const;
    const [diameter] = finishedBetween(target, [0.11, 0.13]);
    expect(diameter?.fired).toBeCloseTo(84 * 0.88, 9);
    expect(diameter?.between).toEqual([expect.closeTo(84 * 0.87, 9), expect.closeTo(84 * 0.89, 9)]);
    const developed = develop(target);
    const [least, most] = capacityBetween(developed, target, [0.11, 0.13]);
    expect(least / developed.finished.capacityBrim).toBeCloseTo((0.87 / 0.88) ** 3, 12);
    expect(most / developed.finished.capacityBrim).toBeCloseTo((0.89 / 0.88) ** 3, 12);
  });
});
