import { circle } from '../geometry/outline/shapes.ts';
import type { PlanOutline } from '../target/plan.ts';
import { develop } from './develop.ts';
import { targetsOfEveryKind } from './everyKind.test.helper.ts';
import { reachOf } from './returnedLoft.test.helper.ts';
import type { Target } from '../target/target.ts';
import { level, targetWith } from './targets.test.helper.ts';

/** A piece of wall by the reach of its outer face at its foot and its rim towards a direction (wet mm). */
interface Band {
  readonly from: number;
  readonly to: number;
  readonly low: (phi: number) => number;
  readonly high: (phi: number) => number;
  /** Corners of the outer plan, where it has sharp ones: number of sides, and across the flats one way and the other. */
  readonly sharp?: 'box' | number;
}

/** The outer faces of a target over the outside, straight from its figures. */
function bandsOf({ form, size, clay }: Target): Band[] {
  const wet = size.state === 'wet' ? 1 : 1 / (1 - clay.shrinkage);
  const even = (size: number) => () => (size * wet) / 2;
  const plan = (outline: PlanOutline) => (phi: number) => wet * reachOf(outline, phi);
  switch (form.kind) {
    case 'taper':
      return [{ from: 0, to: form.height * wet, low: even(form.foot), high: even(form.rim) }];
    case 'stack':
      return form.profile.slice(1).map(([to, across], index) => {
        const [from, below] = form.profile[index] ?? [0, 0];
        return { from: from * wet, to: to * wet, low: even(below), high: even(across) };
      });
    case 'oval': {
      const ellipse = plan({ kind: 'ellipse', length: form.length, width: form.width });
      return [{ from: 0, to: form.height * wet, low: ellipse, high: ellipse }];
    }
    case 'loft':
      return [{ from: 0, to: form.height * wet, low: plan(form.foot), high: plan(form.rim) }];
    case 'facet':
      return [{ from: 0, to: form.height * wet, low: even(form.foot), high: even(form.rim), sharp: form.sides }];
    case 'box': {
      const box = plan({ kind: 'rounded', length: form.length, width: form.width, corner: 0 });
      return [{ from: 0, to: form.height * wet, low: box, high: box, sharp: 'box' }];
    }
    default:
      throw new TypeError(`no bands of a ${form.kind}`);
  }
}

const STEPS = 1440;

/** Area of a plan by its reach in every direction: half the integral of h (h + h''), by parts of h^2 - h'^2. */
function areaOf(h: (phi: number) => number, sharp: Band['sharp']): number {
  if (sharp === 'box') return 4 * h(0) * h(Math.PI / 2);
  if (sharp !== undefined) return sharp * Math.tan(Math.PI / sharp) * h(0) ** 2;
  const reach = Array.from({ length: STEPS }, (_, step) => h(((step + 0.5) * 2 * Math.PI) / STEPS));
  return reach.reduce((sum, value, step) => {
    const rate = ((reach[(step + 1) % STEPS] ?? 0) - value) / ((2 * Math.PI) / STEPS);
    const middle = ((reach[(step + 1) % STEPS] ?? 0) + value) / 2;
    return sum + ((middle ** 2 - rate ** 2) / 2) * ((2 * Math.PI) / STEPS);
  }, 0);
}

/** Volume of the standing solid (mm3): its outer faces filled, less the hollow above its floor, slice by slice. */
function solid(target: Target): number {
  const { wall: t, base: tb } = target.slab;
  const floor = target.base.join === 'none' ? 0 : tb;
  return bandsOf(target).reduce((sum, { from, to, low, high, sharp }) => {
    const section = (z: number, depth: number) => {
      const f = (z - from) / (to - from);
      return areaOf((phi) => {
        const rise = (high(phi) - low(phi)) / (to - from);
        return (1 - f) * low(phi) + f * high(phi) - depth * Math.hypot(1, rise);
      }, sharp);
    };
    const between = (a: number, b: number, depth: number) =>
      ((b - a) * (section(a, depth) + 4 * section((a + b) / 2, depth) + section(b, depth))) / 6;
    return sum + between(from, to, 0) - (to > floor ? between(Math.max(from, floor), to, t) : 0);
  }, 0);
}

describe('mass', () => {
  it('is the standing solid’s volume times its density, within 0.1 %, for random pieces of every kind', () => {
    // A slab bends about its middle; elsewhere it thins or thickens, and the solid is not the drawn one.
    const targets = targetsOfEveryKind(91, 240)
      // Strips thicken at their edges as they are bent across: their clay is weighed in forms/gores.
      .filter(({ base, size, form }) => base.join !== 'skirt' && size.face === 'outside' && form.kind !== 'gores')
      .map((target): Target => ({ ...target, slab: { ...target.slab, neutralFraction: 0.5 } }));
    expect(targets.length).toBeGreaterThan(60);
    for (const target of targets) {
      const { finished } = develop(target);
      const wanted = (solid(target) / 1000) * target.clay.wetDensity;
      expect([target, Math.abs(finished.mass.wet / wanted - 1) < 1e-3]).toEqual([target, true]);
    }
  });
});

describe('weights of the finished piece', () => {
  const wet = (target: Target) => develop(target).finished.mass.wet;

  it('leave out what is cut away: trim, spare, and never fall below nothing on a steep cone', () => {
    const plain = targetWith({ seam: { kind: 'butt', panels: 1 } });
    expect(wet({ ...plain, base: { join: 'under', trim: 12 } })).toBeCloseTo(wet(plain), 9);
    expect(wet({ ...plain, seam: { kind: 'cut-in-place', margin: 15, panels: 1 } })).toBeCloseTo(wet(plain), 9);
    const steep = level(
      { kind: 'taper', rim: 400, foot: 160, height: 30 },
      { base: { join: 'none', trim: 0 } as never },
    );
    const spare: Target = { ...steep, seam: { kind: 'cut-in-place', margin: 40, panels: 1 } };
    expect(develop(spare).checks.find(({ code }) => code === 'sweep-over')?.level).toBe('stop');
    expect(develop(spare).parts.every(({ volume }) => volume > 0)).toBe(true);
    expect(wet(spare)).toBeCloseTo(wet({ ...steep, seam: { kind: 'butt', panels: 1 } }), 6);
  });

  it.each([0, 0.3, 0.5, 1])('of a bent sheet are those of the solid that stands, at a neutral fraction of %d', (k) => {
    const outline = [
      [-60, -40, 0],
      [60, -40, 0],
      [60, 40, 0],
      [-60, 40, 0],
    ] as const;
    const form = { kind: 'sheet', outline, bend: { diameter: 80, angle: 0 } } as const;
    const target: Target = { ...targetWith({ slab: { wall: 6, neutralFraction: k } }), form };
    // A sector between two cylinders, as far round as its neutral surface is long.
    const inner = 40;
    const turn = 80 / (inner + 6 * k);
    const volume = (120 * turn * ((inner + 6) ** 2 - inner ** 2)) / 2;
    expect(wet(target)).toBeCloseTo((volume / 1000) * target.clay.wetDensity, 6);
  });

  it.each([0, 0.3, 0.5, 1])(
    'of a sheet on a ball are those of the solid that stands, at a neutral fraction of %d',
    (k) => {
      // A disc of 80 on a ball of radius 150, inside down: the shell between two balls over the same cap.
      const form = {
        kind: 'sheet',
        outline: circle(80),
        bend: { mould: { rim: { kind: 'circle', diameter: 240 }, depth: 60, wall: 'dome', side: 'hump' }, angle: 0 },
      } as const;
      const target: Target = { ...targetWith({ slab: { wall: 6, neutralFraction: k } }), form };
      const ball = 150;
      const share = ((ball + 3) / (ball + 6 * k)) ** 2;
      const wanted = ((Math.PI * 40 ** 2 * 6) / 1000) * target.clay.wetDensity * share;
      expect(wet(target) / wanted).toBeCloseTo(1, 2);
      expect(Math.abs(wet(target) / wanted - 1)).toBeLessThan(0.004);
    },
  );

  it('and what is weighed out count the clay of a sheet’s feet', () => {
    const outline = [
      [-60, -40, 0],
      [60, -40, 0],
      [60, 40, 0],
      [-60, 40, 0],
    ] as const;
    const form = { kind: 'sheet', outline, bend: { diameter: 140, angle: 0 } } as const;
    const bare: Target = { ...targetWith(), form };
    const footed: Target = { ...bare, form: { ...form, feet: { count: 3, height: 8, diameter: 14 } } };
    const { lumps = [], finished, numbers } = develop(footed);
    expect(lumps.map(({ name }) => name)).toEqual(['Foot A', 'Foot B', 'Foot C']);
    const each = (numbers.footLengths ?? []).map((length) => (Math.PI / 4) * 14 ** 2 * length);
    const clay =
      (each.reduce((sum, one) => sum + one, 0) / (1 - footed.clay.shrinkage) ** 3 / 1000) * footed.clay.wetDensity;
    expect(finished.mass.wet - wet(bare)).toBeCloseTo(clay, 6);
    expect(lumps.reduce((sum, { mass }) => sum + mass, 0)).toBeCloseTo(clay, 6);
  });
});
