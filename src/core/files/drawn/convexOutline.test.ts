import { seeded } from '../../seeded.ts';
import { TAU } from '../../numbers.ts';
import { isConvex } from '../../geometry/outline/arcOutline.ts';
import { bounds, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import type { DrawnPlan, PlanOutline } from '../../target/plan.ts';
import { planOutline } from '../../geometry/outline/curve.ts';
import { girth, leastRadius, planArea } from '../../geometry/outline/planMeasures.ts';
import { pointAt } from '../../geometry/outline/stations.ts';
import { convexOutline } from './convexOutline.ts';
import { drawnPlans } from './drawnPlans.ts';

const random = seeded(211);
const within = (least: number, most: number) => least + (most - least) * random();

/** Outlines with a support that is known, each as lines and arcs, and as nothing but short straight lines. */
const KNOWN: readonly PlanOutline[] = Array.from({ length: 60 }, (_, index): PlanOutline => {
  const across = within(40, 300);
  if (index % 4 === 0) return { kind: 'circle', diameter: across };
  if (index % 4 === 1) return { kind: 'ellipse', length: across, width: across * within(0.4, 1) };
  if (index % 4 === 2)
    return {
      kind: 'rounded',
      length: across,
      width: across * within(0.4, 1),
      corner: index % 8 === 2 ? 0 : across * 0.15,
    };
  return { kind: 'polygon', sides: 3 + (index % 5), acrossFlats: across, corner: index % 8 === 3 ? 0 : across * 0.1 };
});

const planFrom = (outline: Outline): DrawnPlan => {
  const reading = convexOutline(outline);
  if (reading.kind === 'refused') throw new Error(reading.rule);
  return { kind: 'drawn', points: reading.points, corner: 0 };
};

/** Short straight lines round an outline, as a program draws a curve that knows no arcs. */
function chords(plan: PlanOutline, count: number): Outline {
  const shape = supportOf(plan);
  const even = Array.from({ length: count }, (_, index) => (TAU * (index + 0.5)) / count);
  const normals = [...shape.flats, ...even].sort((one, other) => one - other);
  const points = normals.flatMap((phi) => [pointAt(shape, phi, 'before'), pointAt(shape, phi, 'after')]);
  const apart = points.filter(([x, y], index) => {
    const [u, v] = points[(index + points.length - 1) % points.length] as readonly [number, number];
    return Math.hypot(u - x, v - y) > 1e-6;
  });
  return apart.map(([x, y]): Vertex => [x, y, 0]);
}

/** The middle of an outline's box by its support, as a drawn one stands about its own. */
const middle = (plan: PlanOutline, phi: number) => {
  const shape = supportOf(plan);
  const [x, y] = [(shape.h(0) - shape.h(Math.PI)) / 2, (shape.h(TAU / 4) - shape.h((3 * TAU) / 4)) / 2];
  return shape.h(phi) - x * Math.cos(phi) - y * Math.sin(phi);
};

/** Greatest difference of two supports over all normals (mm). */
function farthest(plan: PlanOutline, drawn: DrawnPlan): number {
  const shape = supportOf(drawn);
  let most = 0;
  for (let step = 0; step < 720; step += 1) {
    const phi = (TAU * (step + 0.37)) / 720;
    most = Math.max(most, Math.abs(shape.h(phi) - middle(plan, phi)));
  }
  return most;
}

describe('a drawn outline', () => {
  it.each(KNOWN.map((plan, index) => [plan.kind, index, plan] as const))(
    'of a %s (%d) has its tangents, girth and area',
    (_, __, plan) => {
      const [whole, shape] = [supportOf(plan), supportOf(planFrom(planOutline(supportOf(plan))))];
      expect(farthest(plan, planFrom(planOutline(whole)))).toBeLessThan(0.005);
      expect(girth(shape)).toBeCloseTo(girth(whole), 1);
      expect(Math.abs(planArea(shape) / planArea(whole) - 1)).toBeLessThan(1e-4);
    },
  );

  it.each(KNOWN.map((plan, index) => [plan.kind, index, plan] as const))(
    'of a %s (%d) drawn as short lines is made of curves again',
    (_, __, plan) => {
      const drawn = planFrom(chords(plan, 240));
      expect(isConvex(drawn.points)).toBe(true);
      expect(farthest(plan, drawn)).toBeLessThan(0.03);
      const [least, wanted] = [leastRadius(supportOf(drawn)), leastRadius(supportOf(plan))];
      // What bends and does not break has no corners that were not drawn.
      if (wanted > 1) expect(Math.abs(least / wanted - 1)).toBeLessThan(0.1);
      else expect(least).toBeLessThan(0.6);
    },
  );

  it('bends inward by no more than a hand does: what does is refused, with where', () => {
    const heart: Outline = [
      [0, -50, 0],
      [40, 0, 0],
      [25, 30, 0],
      [0, 18, 0],
      [-25, 30, 0],
      [-40, 0, 0],
    ];
    expect(convexOutline(heart)).toEqual({
      kind: 'refused',
      rule: expect.stringMatching(/^bends inward by 12\.0 mm, 0 mm .* of and 28 mm above its middle/),
    });
    const rough = planOutline(supportOf({ kind: 'circle', diameter: 120 })).map(([x, y, bulge], index): Vertex => [
      x * (1 + (index % 2) * 0.002),
      y,
      bulge,
    ]);
    expect(isConvex(planFrom(rough).points)).toBe(true);
  });

  it.each([
    [
      'a half round',
      [
        [-50, 0, 0],
        [50, 0, 1],
      ],
    ],
    [
      'a leaf',
      [
        [-60, 0, 0.5],
        [60, 0, 0.5],
      ],
    ],
    [
      'a drop',
      [
        [0, 0, 0],
        [40, 60, 1],
        [-40, 60, 0],
      ],
    ],
  ] as const)('that is %s keeps its corners, mitred within', (_, points) => {
    const drawn = planFrom(points);
    const shape = supportOf(drawn);
    const { minX, maxX } = bounds(drawn.points);
    expect(shape.h(0) + shape.h(Math.PI)).toBeCloseTo(maxX - minX, 9);
    expect(leastRadius(shape)).toBeCloseTo(0, 9);
  });

  it.each([
    ['nothing closed', [], /no closed line/],
    ['three', [0, 1, 2].map((at) => [at * 100, 20] as const), /has 3 closed lines/],
  ] as const)('is refused with %s', (_, circles, rule) => {
    const lines = circles.map(([x, r]) => ({
      vertices: [
        [x - r, 0, 1],
        [x + r, 0, 1],
      ] as Outline,
      closed: true,
    }));
    expect(drawnPlans(lines)).toEqual({ kind: 'refused', rule: expect.stringMatching(rule) });
  });

  it('is the foot where it is the smaller of two: within the rim as it lies, beside it under its middle', () => {
    const circle = (x: number, y: number, r: number) => ({
      vertices: [
        [x - r, y, 1],
        [x + r, y, 1],
      ] as Outline,
      closed: true,
    });
    const read = (x: number) => {
      const found = drawnPlans([circle(x, 7, 20), circle(30, 0, 60)]);
      if (found.kind === 'refused') throw new Error(found.rule);
      return [
        supportOf(found.rim).h(1),
        found.foot && [...(found.foot.at ?? []), supportOf({ ...found.foot, at: [0, 0] }).h(1)],
      ];
    };
    expect(read(40)).toEqual([
      expect.closeTo(60, 9),
      [expect.closeTo(10, 9), expect.closeTo(7, 9), expect.closeTo(20, 9)],
    ]);
    expect(read(400)).toEqual([expect.closeTo(60, 9), [expect.closeTo(20, 9)]]);
  });
});
