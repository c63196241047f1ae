import { TAU } from '../../numbers.ts';
import { planOutline } from '../../geometry/outline/curve.ts';
import { area, bounds, edges, validateOutline } from '../../geometry/outline/outline.ts';
import { grownPlan, supportOf } from './plan.ts';
import type { PlanOutline } from '../../target/plan.ts';
import { pointAt, stationsOf } from '../../geometry/outline/stations.ts';
import { between, inward, lowered, rememberedSupport } from '../../geometry/outline/derived.ts';
import { turned } from '../../geometry/outline/support.ts';
import { girth, leastRadius, planArea } from '../../geometry/outline/planMeasures.ts';

const SQUARE: PlanOutline = { kind: 'polygon', sides: 4, acrossFlats: 100, corner: 0 };
const PLANS: readonly (readonly [string, PlanOutline, number, number, number])[] = [
  ['circle', { kind: 'circle', diameter: 100 }, Math.PI * 100, Math.PI * 2500, 50],
  ['circle off its place', { kind: 'circle', diameter: 100, at: [20, -7] }, Math.PI * 100, Math.PI * 2500, 50],
  ['ellipse', { kind: 'ellipse', length: 100, width: 60 }, 255.1793, Math.PI * 1500, 18],
  ['rounded', { kind: 'rounded', length: 100, width: 60, corner: 10 }, 302.8319, 5914.1593, 10],
  ['square', SQUARE, 400, 10000, 0],
  ['hexagon', { kind: 'polygon', sides: 6, acrossFlats: 80, corner: 5 }, 274.0, 5534.8, 5],
];

describe('plan outlines by their support', () => {
  it.each(PLANS)('have the same points of a %s, known or worked out from its tangents', (_, plan) => {
    const shape = supportOf(plan);
    const other = supportOf({ kind: 'ellipse', length: 70, width: 90, at: [3, 4] });
    for (const made of [
      shape,
      inward(shape, 7),
      inward(shape, -7),
      between(shape, other, 0.3),
      rememberedSupport(shape),
    ]) {
      for (const { phi, side } of stationsOf(made.flats, 24)) {
        const [x, y] = pointAt(made, phi, side);
        const [u, v] = pointAt(
          lowered(made, () => 0),
          phi,
          side,
        );
        expect(Math.hypot(x - u, y - v)).toBeLessThan(1e-9);
      }
    }
  });

  it.each(PLANS)('measure a %s: girth, area, tightest curve', (_, plan, wantedGirth, wantedArea, radius) => {
    const shape = supportOf(plan);
    expect(Math.abs(girth(shape) - wantedGirth)).toBeLessThan(1);
    expect(Math.abs(planArea(shape) / wantedArea - 1)).toBeLessThan(1e-3);
    expect(Math.abs(leastRadius(shape) - radius)).toBeLessThan(0.02);
  });

  it.each(PLANS)('draw a %s as arcs that keep girth and area', (_, plan) => {
    const shape = supportOf(plan);
    const outline = planOutline(shape);
    expect(validateOutline(outline)).toEqual([]);
    expect(edges(outline).reduce((sum, edge) => sum + edge.length, 0)).toBeCloseTo(girth(shape), 3);
    expect(area(outline)).toBeCloseTo(planArea(shape), 1);
    expect(bounds(outline).maxX).toBeCloseTo(shape.h(0), 3);
  });

  it.each([
    [176, 112, 0.001],
    [300, 100, 0.002],
    [400, 60, 0.01],
  ])('draw an ellipse of %d x %d within %d mm', (length, width, most) => {
    const shape = supportOf({ kind: 'ellipse', length, width });
    const drawn = edges(planOutline(shape));
    const off = Array.from({ length: 3000 }, (_, step) => {
      const [x, y] = pointAt(shape, (step * TAU) / 3000, 'after');
      const gaps = drawn.flatMap(({ from, to, centre, radius }) => {
        const [u, v] = [to[0] - from[0], to[1] - from[1]];
        const share = ((x - from[0]) * u + (y - from[1]) * v) / (u * u + v * v);
        const over = share > -0.001 && share < 1.001;
        return centre && over ? [Math.abs(Math.hypot(x - centre[0], y - centre[1]) - radius)] : [];
      });
      return Math.min(...gaps);
    });
    expect(Math.max(...off)).toBeLessThan(most);
  });

  it.each(PLANS)('move a %s inward by Cauchy’s rule while the curve allows it', (_, plan) => {
    const shape = supportOf(plan);
    const d = Math.min(4, leastRadius(shape));
    expect(girth(inward(shape, d))).toBeCloseTo(girth(shape) - TAU * d, 6);
  });

  it('keep a corner sharp that an offset has passed: a smaller square, not a swallowtail', () => {
    const inner = inward(supportOf(SQUARE), 8);
    expect(girth(inner)).toBeCloseTo(4 * 84, 9);
    expect(planArea(inner)).toBeCloseTo(84 * 84, 6);
    expect(pointAt(inner, Math.PI / 4, 'after')).toEqual([expect.closeTo(42, 9), expect.closeTo(42, 9)]);
    expect(planOutline(inner)).toHaveLength(4);
  });

  it('lie between two outlines as the section of their hull', () => {
    const half = between(supportOf(SQUARE), supportOf({ kind: 'circle', diameter: 60 }), 0.5);
    expect(half.h(0)).toBeCloseTo(40, 9);
    expect(girth(half)).toBeCloseTo((400 + Math.PI * 60) / 2, 6);
  });

  it('grow with the clay and over another face', () => {
    expect(grownPlan({ kind: 'rounded', length: 100, width: 60, corner: 10, at: [5, 0] }, 1.1, 3)).toEqual({
      kind: 'rounded',
      length: expect.closeTo(116, 9),
      width: expect.closeTo(72, 9),
      corner: expect.closeTo(14, 9),
      at: [expect.closeTo(5.5, 9), 0],
    });
    expect(grownPlan(SQUARE, 1, 2)).toMatchObject({ acrossFlats: 104, corner: 2 });
  });
});

describe('stations', () => {
  it('show both ends of every flat edge, and close the ring', () => {
    const { flats } = supportOf(SQUARE);
    const stations = stationsOf(flats, 40, { start: 0.3 });
    expect(stations.at(-1)?.phi).toBeCloseTo(0.3 + TAU, 12);
    for (const flat of flats) {
      const here = stations.filter(({ phi }) => Math.abs(Math.sin((phi - flat) / 2)) < 1e-9);
      expect(here.map(({ side }) => side)).toEqual(['before', 'after']);
    }
  });

  it('start and end in the middle of a flat edge that they start on', () => {
    const sides = stationsOf(supportOf(SQUARE).flats, 40, { start: 0 }).map(({ side }) => side);
    expect([sides[0], sides[1], sides.at(-2), sides.at(-1)]).toEqual(['middle', 'after', 'before', 'middle']);
  });

  it.each([
    [-1e-17, 0],
    [TAU, 0],
    [-Math.PI / 2, 1.5 * Math.PI],
    [5 * Math.PI, Math.PI],
  ])('turn %d to %d', (phi, wanted) => {
    expect(turned(phi)).toBeCloseTo(wanted, 12);
  });
});
