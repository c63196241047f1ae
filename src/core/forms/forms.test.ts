import { tracedEdge } from './kind/tracedSteps.ts';
import { area, bounds, edges, validateOutline, type Outline } from '../geometry/outline/outline.ts';
import { grownPlan, supportOf } from '../parts/plan/plan.ts';
import type { PlanOutline } from '../target/plan.ts';
import { type Support } from '../geometry/outline/support.ts';
import { girth } from '../geometry/outline/planMeasures.ts';
import { validatePart, type Part } from '../parts/part/part.ts';
import { develop } from '../piece/develop.ts';
import { elevation } from '../piece/elevation.ts';
import { explain } from '../piece/explain/explain.ts';
import type { FigureId } from './kind/step.ts';
import { once } from '../numbers.ts';
import { newTarget, type Form, type LoftForm, type Target } from '../target/target.ts';
import { toWet } from './kind/wetSize.ts';
import { targetsOfEveryKind } from '../piece/everyKind.test.helper.ts';
import { level } from '../piece/targets.test.helper.ts';

const length = (outline: Outline, from: number, to: number) => {
  const all = edges(outline);
  let sum = 0;
  for (let at = from; at !== to; at = (at + 1) % all.length) sum += all[at]?.length ?? 0;
  return sum;
};
const wallsOf = (parts: readonly Part[]) => parts.filter(({ role }) => role === 'wall');

describe('worked numbers', () => {
  it('a tapered cup', () => {
    const { numbers, finished } = develop(level({ kind: 'taper', rim: 120, foot: 80, height: 90 }));
    expect(numbers.halfAngle).toBeCloseTo(12.5288, 4);
    expect(numbers.slant).toBeCloseTo(98.6212, 4);
    expect(numbers.arcFoot).toBeCloseTo(201.5148, 4);
    expect(numbers.arcRim).toBeCloseTo(300.136, 4);
    expect(numbers.sweep).toBeCloseTo(78.095, 4);
    expect(numbers.baseDiameter).toBeCloseTo(90.9091, 4);
    expect(numbers.baseTopDiameter).toBeCloseTo(93.5758, 4);
    expect(finished.capacityBrim).toBeCloseTo(551.1, 2);
  });

  it('a loft from a circle to an ellipse', () => {
    const form: Form = {
      kind: 'loft',
      rim: { kind: 'ellipse', length: 200, width: 120 },
      foot: { kind: 'circle', diameter: 80 },
      height: 80,
    };
    const { numbers, parts } = develop(level(form, { size: { state: 'wet' }, base: { join: 'none', trim: 0 } }));
    expect(numbers.girthRim).toBeCloseTo(489.1254, 4);
    expect(numbers.girthFoot).toBeCloseTo(229.9128, 4);
    expect(numbers.area).toBeCloseTo(31885.6, 1);
    const ends = parts[0]?.leans.filter(({ edge }) => edge === 'left' || edge === 'right') ?? [];
    for (const { from, to } of ends) expect(length(parts[0]?.outline ?? [], from, to)).toBeCloseTo(100, 3);
  });

  it('an oval', () => {
    const target = level({ kind: 'oval', length: 150, width: 100, height: 60 }, { clay: { shrinkage: 0.1 } });
    expect(develop(target).numbers.wrapLength).toBeCloseTo(421.8571, 4);
    expect(girth(supportOf({ kind: 'ellipse', length: 150 / 0.9, width: 100 / 0.9 }))).toBeCloseTo(440.7067, 4);
  });

  it('a hexagon', () => {
    const { numbers } = develop(level({ kind: 'facet', sides: 6, rim: 80, foot: 64, height: 90, fold: 'separate' }));
    expect(numbers.panelFoot).toBeCloseTo(42.605, 3);
    expect(numbers.panelRim).toBeCloseTo(52.486, 3);
    expect(numbers.slant).toBeCloseTo(96.652, 3);
    expect(numbers.sideMitre).toBeCloseTo(29.87, 3);
    expect(numbers.lean).toBeCloseTo(5.08, 3);
  });
});

describe('one form as another', () => {
  it.each(['under', 'inside', 'mitre', 'none'] as const)(
    'a taper that goes to nothing is the cylinder, base %s',
    (join) => {
      const base = { join, trim: 0 };
      const straight = develop({ ...newTarget('x'), base });
      for (const growth of [0, 1e-9, -1e-9, 1e-4, -1e-4]) {
        const { numbers, parts } = develop({
          ...newTarget('x'),
          base,
          form: { kind: 'taper', rim: 84 + growth, foot: 84, height: 110 },
        });
        expect(numbers.girthRim).toBeCloseTo(straight.numbers.wrapLength ?? NaN, 2);
        expect(numbers.slant).toBeCloseTo(straight.numbers.wallHeight ?? NaN, 3);
        const [wall, plain] = [bounds(parts[0]?.outline ?? []), bounds(straight.parts[0]?.outline ?? [])];
        expect(wall.maxX).toBeCloseTo(plain.maxX, 2);
        expect(wall.maxY).toBeCloseTo(plain.maxY, 2);
        expect(parts[0]?.volume).toBeCloseTo(straight.parts[0]?.volume ?? NaN, -1);
        expect(parts[0]?.leans.map(({ edge, word }) => [edge, word])).toEqual(
          straight.parts[0]?.leans.map(({ edge, word }) => [edge, word]),
        );
      }
    },
  );

  it.each(['inside', 'outside'] as const)('a loft from circle to circle is the cone to 1e-3 mm, %s up', (faceUp) => {
    const circle = (diameter: number): PlanOutline => ({ kind: 'circle', diameter });
    const more = { slab: { faceUp } };
    const cone = develop(level({ kind: 'taper', rim: 120, foot: 80, height: 90 }, more));
    const loft = develop(level({ kind: 'loft', rim: circle(120), foot: circle(80), height: 90 }, more));
    expect(loft.numbers.girthRim).toBeCloseTo(cone.numbers.girthRim ?? NaN, 6);
    cone.parts.forEach((part, index) => {
      const [one, other] = [bounds(part.outline), bounds(loft.parts[index]?.outline ?? [])];
      expect(Math.abs(one.maxX - one.minX - other.maxX + other.minX)).toBeLessThan(1e-3);
      expect(Math.abs(one.maxY - one.minY - other.maxY + other.minY)).toBeLessThan(1e-3);
    });
    expect(loft.finished.capacityBrim).toBeCloseTo(cone.finished.capacityBrim, 3);
  });

  it('a loft from ellipse to the same ellipse is the oval, and from polygon to polygon has the facets’ outer widths', () => {
    const ellipse: PlanOutline = { kind: 'ellipse', length: 150, width: 100 };
    const oval = develop(level({ kind: 'oval', length: 150, width: 100, height: 60 }));
    const loft = develop(level({ kind: 'loft', rim: ellipse, foot: ellipse, height: 60 }));
    expect(loft.numbers.girthRim).toBeCloseTo(oval.numbers.wrapLength ?? NaN, 6);
    expect(loft.numbers.area).toBeCloseTo((oval.numbers.wrapLength ?? 0) * (oval.numbers.wallHeight ?? 0), 3);
    const slab = { neutralFraction: 1 };
    const plan = (acrossFlats: number): PlanOutline => ({ kind: 'polygon', sides: 6, acrossFlats, corner: 0 });
    const facet = develop(
      level({ kind: 'facet', sides: 6, rim: 80, foot: 64, height: 90, fold: 'separate' }, { slab }),
    );
    const folded = develop(level({ kind: 'loft', rim: plan(80), foot: plan(64), height: 90 }, { slab }));
    expect(folded.numbers.girthRim).toBeCloseTo(6 * (facet.numbers.panelRim ?? NaN), 4);
    expect(folded.numbers.girthFoot).toBeCloseTo(6 * (facet.numbers.panelFoot ?? NaN), 4);
    expect(folded.finished.capacityBrim).toBeCloseTo(facet.finished.capacityBrim, 3);
  });

  it('a stack of equal slopes is one taper, and a former with its sleeve the cylinder that it gives', () => {
    const stack = develop(
      level({
        kind: 'stack',
        profile: [
          [0, 80],
          [45, 100],
          [90, 120],
        ],
      }),
    );
    const taper = develop(level({ kind: 'taper', rim: 120, foot: 80, height: 90 }));
    expect(stack.numbers).toEqual(taper.numbers);
    const former = develop(level({ kind: 'former', diameter: 75, sleeve: 1, height: 120 }));
    expect(former.numbers.neutralDiameter).toBeCloseTo(75 + 2 + 6, 9);
    expect(former.numbers.wrapLength).toBeCloseTo(Math.PI * 83, 9);
  });
});

describe('200 random targets of every kind', () => {
  const all = targetsOfEveryKind(30, 7 * 200);
  const developed = once((target: Target) => develop(target));
  /** A third of each kind, where every one takes long. */
  const targets = all.slice(0, 400);

  it('make sound parts with equal seams', () => {
    for (const target of all) {
      const { parts } = developed(target);
      for (const part of parts)
        expect([target.form.kind, ...validatePart(part), ...validateOutline(part.outline)]).toEqual([target.form.kind]);
      const endOf = ({ outline, leans }: Part, edge: string) => {
        const lean = leans.find((found) => found.edge === edge);
        return lean ? length(outline, lean.from, lean.to) : NaN;
      };
      const walls = wallsOf(parts);
      // Bands stand on one another; the panels of a loft stand in a ring, with the inside up from right to left.
      const beside = (index: number) => (target.form.kind === 'loft' ? (index + 1) % walls.length : index);
      const [end, start] =
        target.slab.faceUp === 'inside' ? (['left', 'right'] as const) : (['right', 'left'] as const);
      walls.forEach((wall, index) => {
        const next = walls[beside(index)] as Part;
        expect(Math.abs(endOf(wall, end) - endOf(next, start))).toBeLessThan(1e-6);
      });
    }
  });

  it('have walls whose girths and area are the neutral surface’s', () => {
    for (const target of all.filter(({ form }) => ['taper', 'stack', 'oval', 'loft'].includes(form.kind))) {
      // With the neutral surface in the outer face, and that face up, the traced line lies on it.
      const slab = { ...target.slab, neutralFraction: 1, faceUp: 'outside' } as const;
      const { numbers, parts } = develop({ ...target, slab, base: { join: 'under', trim: 0 } });
      const walls = wallsOf(parts);
      const girthOf = (wall: Part, edge: string) => {
        const lean = wall.leans.find((found) => found.edge === edge);
        return lean ? wall.count * length(wall.outline, lean.from, lean.to) : NaN;
      };
      const {
        wrapLength = NaN,
        girthFoot = wrapLength,
        girthRim = wrapLength,
        slant,
        wallHeight = slant ?? NaN,
      } = numbers;
      const bands = numbers.bands ?? [{ girthFoot, girthRim, slant: wallHeight }];
      const measured = numbers.bands ? walls.map((wall) => [wall]) : [walls];
      bands.forEach((band, index) => {
        const these = measured[index] ?? [];
        const total = (edge: string) => these.reduce((sum, wall) => sum + girthOf(wall, edge), 0);
        expect(Math.abs(total('foot') - band.girthFoot)).toBeLessThan(0.01);
        expect(Math.abs(total('rim') - band.girthRim)).toBeLessThan(0.01);
        const surface = numbers.area ?? ((band.girthFoot + band.girthRim) / 2) * band.slant;
        const flat = these.reduce((sum, wall) => sum + wall.count * area(wall.outline), 0);
        expect(Math.abs(flat / surface - 1)).toBeLessThan(1e-4);
      });
    }
  });

  it('have lofted girths that are Cauchy’s integral of the neutral support', () => {
    for (const target of targets.filter(({ form, base }) => form.kind === 'loft' && base.join === 'none')) {
      const { slab, size } = target;
      const form = target.form as LoftForm;
      if (size.face !== 'outside') continue;
      const wet = toWet(1, target);
      const [rim, foot] = [form.rim, form.foot].map((plan) => supportOf(grownPlan(plan, wet))) as [Support, Support];
      const depth = (1 - slab.neutralFraction) * slab.wall;
      const steps = 7200;
      let [rimGirth, footGirth] = [0, 0];
      for (let step = 0; step < steps; step += 1) {
        const phi = ((step + 0.5) * 2 * Math.PI) / steps;
        const inset = depth * Math.hypot(1, (rim.h(phi) - foot.h(phi)) / (form.height * wet));
        rimGirth += ((rim.h(phi) - inset) * 2 * Math.PI) / steps;
        footGirth += ((foot.h(phi) - inset) * 2 * Math.PI) / steps;
      }
      const { numbers } = developed(target);
      expect(Math.abs((numbers.girthRim ?? 0) - rimGirth)).toBeLessThan(0.01);
      expect(Math.abs((numbers.girthFoot ?? 0) - footGirth)).toBeLessThan(0.01);
    }
  });

  it('explain the figures of cones and panels down to the traced line', () => {
    for (const target of targets.filter(({ form }) => ['taper', 'stack', 'facet'].includes(form.kind))) {
      const own = developed(target);
      const last = (figure: FigureId, band: number) => {
        const given = explain(figure, { target, developed: own, band })
          .at(-1)
          ?.gives.find((item) => typeof item !== 'string');
        return given && Object.values(given)[0];
      };
      own.parts
        .filter(({ id }) => id !== 'base')
        .forEach((part, band) => {
          if (target.form.kind === 'facet') {
            if (part.id === 'panel') expect(last('panelRim', band)).toBeCloseTo(tracedEdge(part, 'rim').length, 6);
            return;
          }
          const figures = [
            ['arcFoot', 'foot'],
            ['arcRim', 'rim'],
          ] as const;
          for (const [figure, edge] of figures)
            expect(last(figure, band)).toBeCloseTo(tracedEdge(part, edge).radius, 5);
          expect(last('slant', band)).toBeCloseTo(tracedEdge(part, 'left').length, 6);
        });
    }
  });

  it('stand as wide and high as they were asked for', () => {
    for (const target of targets.filter(({ size }) => size.face === 'outside')) {
      const { width, height, rim } = elevation(target, target.size.state);
      const { form } = target;
      const asked = form.kind === 'taper' ? form.rim : form.kind === 'oval' || form.kind === 'box' ? form.length : null;
      if (asked !== null) expect(rim[1] - rim[0]).toBeCloseTo(asked, 6);
      if (form.kind === 'stack') expect(width).toBeCloseTo(Math.max(...form.profile.map(([, across]) => across)), 6);
      expect(height).toBeCloseTo(
        form.kind !== 'mould' && 'profile' in form
          ? (form.profile.at(-1)?.[0] ?? 0)
          : 'height' in form
            ? form.height
            : NaN,
        6,
      );
    }
  });
});
