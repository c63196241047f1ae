import { develop } from '../piece/develop.ts';
import { checkTarget } from '../piece/checkTarget.ts';
import { newTarget, type Target } from '../piece/target.ts';
import { explain } from '../piece/explain/explain.ts';
import { seeded } from '../seeded.ts';
import { standSide, stripOf, tippingOf, type StandForm } from './stand.ts';

const stand = (form: Partial<StandForm> = {}): Target & { readonly form: StandForm } => ({
  ...newTarget('stand'),
  slab: { wall: 4, base: 4, neutralFraction: 0.5, faceUp: 'inside' },
  form: { kind: 'stand', device: { length: 150, width: 78, thickness: 11, mass: 190 }, clearance: 2, lean: 16, roll: 46, ...form }, // prettier-ignore
});
const many = Array.from({ length: 60 }, (_, seed) => {
  const next = seeded(100 + seed);
  const size = (least: number, most: number) => least + next() * (most - least);
  return stand({
    device: { length: size(90, 240), width: size(50, 160), thickness: size(5, 16), mass: size(80, 600) },
    clearance: size(0, 4),
    lean: size(0, 30),
    roll: size(24, 70),
  });
}).filter((target) => checkTarget(target).length === 0);

describe('scroll stands', () => {
  it('make enough stands to speak of', () => expect(many.length).toBeGreaterThan(40));

  it('hold the device against the back roll with its room before the front one, its foot on the floor', () => {
    for (const { form, slab, clay } of many) {
      const strip = slab.wall * (1 - clay.shrinkage);
      const side = standSide(form, strip);
      const [low, front, , top] = side.device;
      const [ux, uz] = [(top[0] - low[0]) / form.device.length, (top[1] - low[1]) / form.device.length];
      // Distance of a roll's middle from the line of a face of the device.
      const off = ([x, z]: readonly [number, number], [px, pz]: readonly [number, number]) =>
        (x - px) * uz - (z - pz) * ux;
      expect(-off(side.back, low)).toBeCloseTo(side.radius, 9);
      expect(off(side.front, front)).toBeCloseTo(side.radius + form.clearance, 9);
      expect(low[1]).toBeCloseTo(strip, 9);
      expect(Math.atan2(-ux, uz) * (180 / Math.PI)).toBeCloseTo(form.lean, 9);
    }
  });

  it('roll up again to the strip that is cut: two turns on the neutral line and the floor', () => {
    for (const target of many) {
      const { form, slab, clay } = target;
      const strip = stripOf(form, slab.wall, slab.neutralFraction, clay.shrinkage);
      const length = develop(target).numbers.stripLength ?? NaN;
      const rolled = (length - strip.floor) / 2 / (2 * Math.PI) + (1 - slab.neutralFraction) * slab.wall;
      expect(2 * rolled * (1 - clay.shrinkage)).toBeCloseTo(form.roll ?? NaN, 9);
      expect(develop(target).numbers.slot).toBeCloseTo(strip.slot, 12);
    }
  });

  it('tip back sooner the more they lean, and say so', () => {
    const rooms = [0, 10, 20, 30, 40].map((lean) => tippingOf(standSide(stand({ lean }).form, 3.5)));
    rooms.slice(1).forEach(({ back, front }, index) => {
      expect(back.room).toBeLessThan(rooms[index]?.back.room ?? 0);
      expect(front.room).toBeGreaterThan(rooms[index]?.front.room ?? 0);
    });
    const said = (lean: number) => develop(stand({ lean, roll: 30 })).checks.find(({ code }) => code === 'tip-back');
    expect(said(5)?.level).toBe('note');
    expect(said(32)?.level).toBe('stop');
    const { back } = tippingOf(standSide(stand({ lean: 32, roll: 30 }).form, 4 * 0.88));
    expect(said(32)?.text).toContain((-back.room).toFixed(1));
  });

  it.each([
    [{ roll: 6 }, 'form.roll'],
    [{ lean: 70 }, 'form.lean'],
    [{ clearance: -1 }, 'form.clearance'],
    [{ device: { length: 0, width: 78, thickness: 11, mass: 190 } }, 'form.device.length'],
  ])('refuse %j with its path', (change, path) => {
    expect(checkTarget(stand(change)).map((fault) => fault.path)).toContain(path);
  });

  it('say how the strip and the slot came about', () => {
    const target = stand();
    const developed = develop(target);
    const last = (figure: 'cutLength' | 'slot') => explain(figure, target, developed).at(-1)?.gives[0];
    expect(last('cutLength')).toEqual({ mm: developed.numbers.stripLength });
    expect(last('slot')).toEqual({ mm: developed.numbers.slot });
  });
});
