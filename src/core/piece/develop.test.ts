import { firedLength } from '../units/shrinkage.ts';
import { FaultError } from '../errors.ts';
import { once } from '../numbers.ts';
import { area, bounds } from '../geometry/outline/outline.ts';
import { validatePart } from '../parts/part/part.ts';
import { develop } from './develop.ts';
import { explain } from './explain/explain.ts';
import type { FigureId } from '../forms/kind/step.ts';
import { rollUp } from './rollUp.test.helper.ts';
import type { Target } from '../target/target.ts';
import { cylinderOf, randomTarget, targetWith } from './targets.test.helper.ts';
import { seeded } from '../seeded.ts';

/** The worked cylinder: fired outside 96 x 120, s = 0.10, t = tb = 6, k = 0.5. */
const worked = (base: Partial<Target['base']> = {}) =>
  targetWith({
    clay: { shrinkage: 0.1 },
    form: { diameter: 96, height: 120 },
    base: { join: 'under', trim: 0, ...base } as Target['base'],
  });

describe('develop, worked numbers', () => {
  it('gives the straight cylinder to four decimals', () => {
    const { numbers, finished } = develop(worked());
    expect(numbers.outsideDiameter).toBeCloseTo(106.6667, 4);
    expect(numbers.neutralDiameter).toBeCloseTo(100.6667, 4);
    expect(numbers.wrapLength).toBeCloseTo(316.2537, 4);
    expect(numbers.wallHeight).toBeCloseTo(127.3333, 4);
    expect(numbers.baseDiameter).toBeCloseTo(106.6667, 4);
    expect(numbers.bevelRun).toBeCloseTo(6, 9);
    expect(finished.capacityBrim).toBeCloseTo(653.36, 2);
  });

  it.each([
    ['inside', {}, 133.3333, 94.6667, 94.6667, 0, 0],
    ['mitre', {}, 130.3333, 106.6667, 94.6667, 45, 45],
    ['skirt', { overlap: 3 }, 127.3333, 112.6667, 106.6667, 0, 26.5651],
    ['under', { trim: 5 }, 127.3333, 116.6667, 116.6667, 0, 0],
  ] as const)('joins a base %s with %j', (join, more, wallHeight, under, top, footLean, discLean) => {
    const { numbers, parts } = develop(worked({ join, ...more } as Partial<Target['base']>));
    expect(numbers.wallHeight).toBeCloseTo(wallHeight, 4);
    expect(numbers.baseDiameter).toBeCloseTo(under, 4);
    expect(numbers.baseTopDiameter).toBeCloseTo(top, 4);
    expect(parts[0]?.leans.find(({ edge }) => edge === 'foot')?.lean).toBeCloseTo(footLean, 4);
    expect(parts[1]?.leans[0]?.lean).toBeCloseTo(discLean, 4);
  });

  it('leaves the base out of a tube, which holds nothing', () => {
    const { numbers, parts, finished } = develop(worked({ join: 'none' }));
    expect(parts.map(({ id }) => id)).toEqual(['wall']);
    expect(numbers.wallHeight).toBeCloseTo(133.3333, 4);
    expect(numbers.baseDiameter).toBeUndefined();
    expect(finished.capacityBrim).toBe(0);
  });

  it.each([
    [{ kind: 'bevel', angle: 45, panels: 1 }, 6, 316.2537, 322.2537],
    [{ kind: 'bevel', angle: 30, panels: 1 }, 10.3923, 316.2537, 326.646],
    [{ kind: 'bevel', angle: 90, panels: 1 }, 0, 316.2537, 316.2537],
    [{ kind: 'butt', panels: 2 }, 0, 158.1268, 321.2537],
    [{ kind: 'lap', overlap: 10, panels: 1 }, 0, 326.2537, 326.2537],
    [{ kind: 'half-lap', overlap: 10, panels: 1 }, 0, 326.2537, 326.2537],
    [{ kind: 'cut-in-place', margin: 15, panels: 1 }, 0, 346.2537, 346.2537],
  ] as const)('lengthens the wall for the seam %j', (seam, run, traced, slab) => {
    const { numbers, parts, slabs } = develop({ ...worked(), seam });
    const box = bounds(parts[0]?.outline ?? []);
    expect(numbers.bevelRun).toBeCloseTo(run, 4);
    expect(numbers.wrapLength).toBeCloseTo(316.2537, 4);
    expect(box.maxX - box.minX).toBeCloseTo(traced, 4);
    expect(slabs[0]?.length).toBeCloseTo(slab, 4);
    expect(parts[0]?.count).toBe(seam.panels);
  });

  it('keeps two slabs where wall and base differ in thickness, and says that they dry apart', () => {
    const { slabs, checks } = develop(targetWith({ slab: { wall: 4, base: 8 } }));
    expect(slabs.map(({ thickness, parts }) => [thickness, parts.join()])).toEqual([
      [4, 'wall'],
      [8, 'base'],
    ]);
    expect(checks.map(({ code }) => code)).toContain('thickness-apart');
  });

  it.each([
    [300, 'note'],
    [84, 'care'],
    [46, 'stop'],
  ])('warns of the bend of a piece %d wide: %s', (diameter, level) => {
    const { checks } = develop(targetWith({ form: { diameter } }));
    expect(checks.find(({ code }) => code === 'bend')?.level).toBe(level);
  });
});

describe('develop, properties of 300 random targets', () => {
  const random = seeded(20261123);
  const targets = Array.from({ length: 300 }, () => randomTarget(random));
  const developed = once((target: Target) => develop(target));
  const figures: FigureId[] = ['cutLength', 'cutHeight', 'baseDiameter', 'baseTopDiameter', 'bevelRun', 'massFired'];

  it('rolled up on its neutral surface and shrunk, the outline returns the target within 0.001 mm', () => {
    for (const target of targets) {
      const made = rollUp(target, developed(target).parts);
      const s = target.size.state === 'fired' ? target.clay.shrinkage : 0;
      const across = target.size.face === 'outside' ? made.outside : made.inside;
      expect(Math.abs(firedLength(across, s) - cylinderOf(target).diameter)).toBeLessThan(0.001);
      expect(Math.abs(firedLength(made.height, s) - cylinderOf(target).height)).toBeLessThan(0.001);
    }
  });

  it('makes only sound parts whose volume lies between their two faces', () => {
    for (const target of targets) {
      for (const part of developed(target).parts) {
        expect(validatePart(part)).toEqual([]);
        const faces = [area(part.outline), area(part.underside)].map((face) => face * part.thickness);
        const thinned = target.seam.kind === 'half-lap' && part.id === 'wall' ? Infinity : 1e-6;
        expect(part.volume).toBeLessThanOrEqual(Math.max(...faces) + 1e-6);
        expect(part.volume).toBeGreaterThanOrEqual(Math.min(...faces) - thinned);
      }
    }
  });

  it('turned over, the leans of foot and disc change sign, the seam stays a pair, and the piece is the same', () => {
    for (const target of targets) {
      const other = target.slab.faceUp === 'inside' ? 'outside' : 'inside';
      const here = developed(target);
      const there = develop({ ...target, slab: { ...target.slab, faceUp: other } });
      expect(there.numbers).toEqual(here.numbers);
      here.parts.forEach((part, index) => {
        const turned = there.parts[index];
        part.leans.forEach(({ edge, lean }, at) => {
          const sign = edge === 'left' || edge === 'right' ? 1 : -1;
          expect(turned?.leans[at]?.lean).toBeCloseTo(sign * lean, 9);
        });
        expect(turned?.volume).toBeCloseTo(part.volume, 6);
        expect(area(turned?.outline ?? [])).toBeCloseTo(area(part.underside), 6);
      });
    }
  });

  it('explains every figure down to the figure itself', () => {
    for (const target of targets) {
      const own = developed(target);
      const wall = bounds(own.parts[0]?.outline ?? []);
      const values: Partial<Record<FigureId, number | undefined>> = {
        cutLength: wall.maxX - wall.minX,
        cutHeight: wall.maxY - wall.minY,
        baseDiameter: own.numbers.baseDiameter,
        baseTopDiameter: own.numbers.baseTopDiameter,
        bevelRun: target.seam.kind === 'bevel' ? own.numbers.bevelRun : undefined,
        massFired: own.finished.mass.fired,
      };
      for (const figure of figures) {
        const last = explain(figure, { target, developed: own }).at(-1);
        const given = last?.gives.find((item) => typeof item !== 'string');
        const value = given && Object.values(given)[0];
        if (values[figure] === undefined) expect(last).toBeUndefined();
        else expect(value).toBeCloseTo(values[figure] ?? NaN, 6);
      }
    }
  });
});

describe('develop, refusals', () => {
  it.each([
    [
      'a wall thicker than the radius',
      { slab: { wall: 40 }, form: { diameter: 60 } },
      'slab.wall',
      /half the wet outside/,
    ],
    ['a piece lower than its base', { form: { height: 4 } }, 'form.height', /higher than the base/],
    ['a negative height', { form: { height: -110 } }, 'form.height', /greater than 0/],
    ['no diameter at all', { form: { diameter: 0 } }, 'form.diameter', /greater than 0/],
    ['a size that is no number', { form: { diameter: NaN } }, 'form.diameter', /greater than 0/],
    ['shrinkage in percent', { clay: { shrinkage: 12 } }, 'clay.shrinkage', /0 to 0.25/],
    ['a slab too thick to roll', { slab: { wall: 41 } }, 'slab.wall', /1 to 40/],
    ['a bevel too flat', { seam: { kind: 'bevel', angle: 10, panels: 1 } }, 'seam.angle', /20 to 90/],
    ['half a panel', { seam: { kind: 'butt', panels: 1.5 } }, 'seam.panels', /whole number/],
    ['a negative trim', { base: { join: 'under', trim: -1 } }, 'base.trim', /0 to 100/],
  ] as const)('refuses %s', (_, change, path, rule) => {
    const target = targetWith(change as Parameters<typeof targetWith>[0]);
    let caught: unknown;
    try {
      develop(target);
    } catch (error) {
      caught = error;
    }
    expect(caught).toBeInstanceOf(FaultError);
    const fault = (caught as FaultError).faults.find((one) => one.path === path);
    expect(fault?.rule).toMatch(rule);
  });
});
