import { roughSize } from '../forms/roughSize.ts';
import { targetsOfEveryKind } from './everyKind.test.helper.ts';
import { newTarget, type Target } from '../target/target.ts';
import { targetWith } from './targets.test.helper.ts';
import { wetAndFired } from './wetFired.ts';

const of = (target: Target, key: string) => wetAndFired(target).find((one) => one.key === key);

describe('sizes wet and fired', () => {
  it('of a cup on a pipe: outside, inside and height by both', () => {
    const cup = targetWith({ form: { kind: 'former', diameter: 76, sleeve: 0.5, height: 104 } as never });
    expect(of(cup, 'inside-rim')?.wet[0]).toBeCloseTo(77, 9);
    expect(of(cup, 'outside-rim')?.wet[0]).toBeCloseTo(89, 9);
    expect(of(cup, 'outside-rim')?.fired[0]).toBeCloseTo(0.88 * 89, 9);
    expect(of(cup, 'height')).toMatchObject({ wet: [104], fired: [0.88 * 104] });
  });

  it('of a sheet on feet: bent width, length and height, and each foot', () => {
    const form = {
      kind: 'sheet',
      outline: [
        [-60, -20, 0],
        [60, -20, 0],
        [60, 20, 0],
        [-60, 20, 0],
      ],
      bend: { diameter: 96, angle: 90 },
      feet: { count: 3, height: 6, diameter: 10 },
    } as const;
    const sheet: Target = {
      ...newTarget('Sheet'),
      slab: { wall: 4, base: 4, neutralFraction: 0.5, faceUp: 'inside' },
      form,
    };
    // The outer corners, 2 mm outside the neutral radius of 50.
    expect(of(sheet, 'bent-across')?.wet[0]).toBeCloseTo(2 * 52 * Math.sin(1.2), 6);
    expect(of(sheet, 'bent-along')?.wet[0]).toBeCloseTo(40, 6);
    // The lower face at the edge lies 52 (1 - cos 1.2) up, the upper one 4 cos 1.2 higher, the feet lift it by 6 fired mm.
    expect(of(sheet, 'height')?.fired[0]).toBeCloseTo(0.88 * (52 * (1 - Math.cos(1.2)) + 4 * Math.cos(1.2)) + 6, 1);
    expect(['foot-0', 'foot-1', 'foot-2'].every((key) => (of(sheet, key)?.fired[0] ?? 0) >= 6)).toBe(true);
    expect(of(sheet, 'foot-across')?.fired[0]).toBeCloseTo(10, 9);
  });

  it('of every kind agree with what was asked for, in the state that was asked for', () => {
    for (const level of targetsOfEveryKind(88, 120)) {
      // Measured at its own edge, also where a rim is cut square.
      const target: Target = level.form.kind === 'taper' ? { ...level, rim: 'square' } : level;
      const { form, size, clay } = target;
      const height = of(target, 'height');
      const asked = roughSize(form).height;
      expect(height?.[size.state][0]).toBeCloseTo(asked, 6);
      if (form.kind === 'taper' && size.face === 'outside')
        expect((of(target, 'outside-rim')?.[size.state] ?? [])[0]).toBeCloseTo(form.rim, 6);
      for (const one of wetAndFired(target))
        expect(one.fired[0]).toBeCloseTo((one.wet[0] ?? 0) * (1 - clay.shrinkage), 9);
    }
  });
});
