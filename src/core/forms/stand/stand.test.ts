import { develop } from '../../piece/develop.ts';
import { checkTarget } from '../checkTarget.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { explain } from '../../piece/explain/explain.ts';
import { seeded } from '../../seeded.ts';
import { standFromStrip } from '../../studio/reverse/strip.ts';
import { loadedMiddle, restOf, standSide, stripOf, tippingOf } from './stand.ts';
import type { StandForm } from '../../target/standForm.ts';

const stand = (form: Partial<StandForm> = {}): Target & { readonly form: StandForm } => ({
  ...newTarget('stand'),
  slab: { wall: 4, base: 4, neutralFraction: 0.5, faceUp: 'inside' },
  form: {
    kind: 'stand',
    device: { length: 150, width: 78, thickness: 11, mass: 190 },
    clearance: 2,
    lean: 16,
    roll: 46,
    ...form,
  },
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
      const [low, front, , top] = side.meant.corners;
      const [ux, uz] = [(top[0] - low[0]) / form.device.length, (top[1] - low[1]) / form.device.length];
      // Distance of a roll's middle from the line of a face of the device.
      const off = ([x, z]: readonly [number, number], [px, pz]: readonly [number, number]) =>
        (x - px) * uz - (z - pz) * ux;
      expect(-off(side.back, low)).toBeCloseTo(side.radii.back, 9);
      expect(off(side.front, front)).toBeCloseTo(side.radii.front + form.clearance, 9);
      expect(low[1]).toBeCloseTo(strip, 9);
      expect(Math.atan2(-ux, uz) * (180 / Math.PI)).toBeCloseTo(form.lean, 9);
    }
  });

  it('roll up again to the strip that is cut: two turns on the neutral line and the floor', () => {
    for (const target of many) {
      const { form, slab, clay } = target;
      const strip = stripOf(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
      const length = develop(target).numbers.stripLength ?? NaN;
      const rolled = (length - strip.floor) / 2 / (2 * Math.PI) + (1 - slab.neutralFraction) * slab.wall;
      expect(2 * rolled * (1 - clay.shrinkage)).toBeCloseTo(typeof form.roll === 'number' ? form.roll : NaN, 9);
      expect(develop(target).numbers.slot).toBeCloseTo(strip.slot, 12);
    }
  });

  const loaded = (target: ReturnType<typeof stand>, own = 120) => {
    const side = standSide(target.form, target.slab.wall * (1 - target.clay.shrinkage));
    const rest = restOf(target.form, side);
    return {
      side,
      rest,
      tipping: tippingOf(
        side,
        loadedMiddle(target.form, side, { middle: rest.middle, mass: { stand: own, device: target.form.device.mass } }),
      ),
    };
  };
  const check = (target: Target, code: string) => develop(target).checks.find((one) => one.code === code);

  it('rest where their foot has the friction that it needs, against both rolls and clear of them, for all of them', () => {
    for (const target of many) {
      const { side, rest } = loaded(target);
      const [low, front] = rest.corners;
      const turn = (rest.lean * Math.PI) / 180;
      const off = ([x, z]: readonly [number, number], [px, pz]: readonly [number, number]) =>
        (x - px) * Math.cos(turn) + (z - pz) * Math.sin(turn);
      // Neither face goes into its roll, and the foot stays on the floor.
      if (rest.held !== 'upright') expect(-off(side.back, low)).toBeCloseTo(side.radii.back, 6);
      expect(off(side.front, front)).toBeGreaterThan(side.radii.front - 1e-6);
      expect(low[1]).toBeCloseTo(side.strip, 9);
      // Forces on the device as it rests: floor and roll carry its weight, and their moments about its foot cancel.
      const [x, z] = rest.middle;
      const behind = low[0] - x;
      if (rest.held === 'as-set' || rest.held === 'friction') {
        const [bx, bz] = [
          side.back[0] + side.radii.back * Math.cos(turn),
          side.back[1] + side.radii.back * Math.sin(turn),
        ];
        const arm = Math.min(target.form.device.length, Math.hypot(bx - low[0], bz - low[1]));
        const push = behind / arm;
        expect(push * Math.cos(turn)).toBeLessThanOrEqual(0.3 * (1 - push * Math.sin(turn)) + 1e-6);
        expect(z).toBeGreaterThan(0);
      }
    }
  });

  it('lean further the wider the slot, until they tip, unless the floor is rough', () => {
    const wide = [0, 2, 6, 12, 20].map((clearance) => loaded(stand({ clearance, lean: 24, friction: 0.1 })));
    wide.slice(1).forEach(({ rest }, index) => {
      expect(rest.lean).toBeGreaterThan((wide[index]?.rest.lean ?? 0) + 0.5);
      expect(rest.overRoll).toBeGreaterThan(wide[index]?.rest.overRoll ?? 1);
    });
    expect(check(stand({ clearance: 20, lean: 40, friction: 0.05, roll: 30 }), 'stand-rest')?.level).toBe('stop');
    expect(check(stand({ clearance: 2, lean: 24, friction: 0.1 }), 'tip-back')?.text).not.toBe(
      check(stand({ clearance: 12, lean: 24, friction: 0.1 }), 'tip-back')?.text,
    );
    expect(check(stand({ clearance: 12, lean: 24, friction: 0.1 }), 'stand-rest')?.title).toMatch(/slides/);
    expect(check(stand({ clearance: 12, lean: 24, friction: 1.5 }), 'stand-rest')?.title).toMatch(/stays/);
    expect(check(stand({ lean: 1 }), 'stand-rest')?.title).toMatch(/stands up/);
  });

  it('stand surer with a light device, a heavy stand and a large roll at the back', () => {
    const room = (change: Partial<StandForm>, own?: number) =>
      loaded(stand({ lean: 30, roll: 34, ...change }), own).tipping.back.angle;
    const device = { length: 150, width: 78, thickness: 11 };
    expect(room({ device: { ...device, mass: 100 } })).toBeGreaterThan(room({ device: { ...device, mass: 600 } }));
    expect(room({}, 500)).toBeGreaterThan(room({}, 100));
    expect(room({ roll: { back: 60, front: 24 } })).toBeGreaterThan(room({ roll: 24 }));
    const said = (lean: number) => check(stand({ lean, roll: 30, device: { ...device, mass: 900 } }), 'tip-back');
    expect(said(5)?.level).toBe('note');
    expect(said(40)?.level).toBe('stop');
  });

  it('are rolled from a strip that is owned, the rolls in their proportion', () => {
    for (const roll of [46, { back: 60, front: 30 }]) {
      const target = stand({ roll });
      const length = (develop(target).numbers.stripLength ?? 0) * 1.2;
      const found = standFromStrip(target, length);
      if (found.kind !== 'made') throw new Error(found.rule);
      expect(develop(found.target).numbers.stripLength).toBeCloseTo(length, 6);
    }
    expect(standFromStrip(stand(), 25)).toMatchObject({ kind: 'impossible' });
  });

  it.each([
    [{ roll: 6 }, 'form.roll'],
    [{ roll: { back: 50, front: 5 } }, 'form.roll.front'],
    [{ friction: -1 }, 'form.friction'],
    [{ lean: 70 }, 'form.lean'],
    [{ clearance: -1 }, 'form.clearance'],
    [{ device: { length: 0, width: 78, thickness: 11, mass: 190 } }, 'form.device.length'],
  ])('refuse %j with its path', (change, path) => {
    expect(checkTarget(stand(change)).map((fault) => fault.path)).toContain(path);
  });

  it('say how the strip and the slot came about', () => {
    const target = stand();
    const developed = develop(target);
    const last = (figure: 'cutLength' | 'slot') => explain(figure, { target, developed }).at(-1)?.gives[0];
    expect(last('cutLength')).toEqual({ mm: developed.numbers.stripLength });
    expect(last('slot')).toEqual({ mm: developed.numbers.slot });
  });
});
