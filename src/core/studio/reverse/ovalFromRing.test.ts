import { develop } from '../../piece/develop.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { ovalFromRing, ringOf } from './ovalFromRing.ts';

const OVAL = { kind: 'oval', length: 150, width: 100, height: 60 } as const;

describe('an oval from a round ring', () => {
  it.each([
    [150, 120],
    [150, 105],
    [200, 140],
    [120, 119.9],
  ])('%d long from a ring of %d is as far round, and its wall as long, as of the ring', (length, ring) => {
    const form = ovalFromRing({ ...OVAL, length }, ring);
    if (!form) throw new Error('no oval');
    expect(ringOf(form)).toBeCloseTo(ring, 6);
    const [oval, round] = [form, { kind: 'cylinder', diameter: ring, height: 60 } as const].map(
      (one) => develop(level(one)).numbers.wrapLength,
    );
    expect(oval).toBeCloseTo(round ?? NaN, 2);
  });

  it.each([
    [150, 151],
    [150, 90],
    [150, 0],
  ])('is none %d long from a ring of %d', (length, ring) => {
    expect(ovalFromRing({ ...OVAL, length }, ring)).toBeNull();
  });
});
