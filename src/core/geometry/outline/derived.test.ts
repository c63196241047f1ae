import { TAU } from '../../numbers.ts';
import { sectionAt, type LoftWall } from '../../parts/wall/loft.ts';
import { between, inward, lowered, mergedFlats, outwardSharp, rememberedSupport } from './derived.ts';
import { grownPlan, supportOf } from '../../parts/plan/plan.ts';
import type { PlanOutline } from '../../target/plan.ts';
import { girth, planArea } from './planMeasures.ts';
import { isSharp, pointAt, pointsAt, stationsAround, stationsOf } from './stations.ts';
import { movedSupport, NORMAL_TOLERANCE, turned, type Support } from './support.ts';

const CIRCLE: PlanOutline = { kind: 'circle', diameter: 90 };
const ELLIPSE: PlanOutline = { kind: 'ellipse', length: 130, width: 74, at: [4, -9] };
const TRAY: PlanOutline = { kind: 'rounded', length: 140, width: 84, corner: 18 };
const BOX: PlanOutline = { kind: 'rounded', length: 120, width: 66, corner: 0 };
const HEXAGON: PlanOutline = { kind: 'polygon', sides: 6, acrossFlats: 92, corner: 0, at: [-3, 5] };
const SOFT: PlanOutline = { kind: 'polygon', sides: 5, acrossFlats: 92, corner: 9 };
const PLANS: readonly PlanOutline[] = [CIRCLE, ELLIPSE, TRAY, BOX, HEXAGON, SOFT];

const wall = (foot: PlanOutline, rim: PlanOutline): LoftWall => ({
  foot: supportOf(foot),
  rim: supportOf(rim),
  height: 70,
  thickness: 6,
});

/** Every way in which an outline is made from others. */
const WAYS: readonly (readonly [string, (shape: Support, other: Support) => Support])[] = [
  ['as it is', (shape) => shape],
  ['moved', (shape) => movedSupport(shape, [11, -6])],
  ['moved inward by less than its corners', (shape) => inward(shape, 5)],
  ['moved inward by more than its corners', (shape) => inward(shape, 19)],
  ['moved outward', (shape) => inward(shape, -13)],
  ['moved outward with sharp corners', (shape) => outwardSharp(shape, 8)],
  ['half way to another', (shape, other) => between(shape, other, 0.5)],
  ['near another', (shape, other) => between(shape, other, 0.9)],
  ['remembered', (shape) => rememberedSupport(inward(shape, 5))],
  ['half way and moved inward', (shape, other) => inward(between(shape, other, 0.4), 4)],
];

/** Whether a normal is one of a flat edge, at which the slope jumps. */
const nearFlat = ({ flats }: Support, phi: number, by: number) =>
  flats.some((flat) => Math.abs(turned(flat - phi + Math.PI) - Math.PI) <= by);

describe.each(WAYS)('an outline %s', (_, make) => {
  it.each(PLANS)('$kind has the slope of its support, and its points on their tangents', (plan) => {
    const shape = make(supportOf(plan), supportOf(ELLIPSE));
    const by = 1e-5;
    for (let step = 0; step < 97; step += 1) {
      const phi = (step * TAU) / 97 + 0.013;
      if (nearFlat(shape, phi, 2 * by)) continue;
      const measured = (shape.h(phi + by) - shape.h(phi - by)) / (2 * by);
      expect(shape.slope(phi, 'before')).toBeCloseTo(measured, 5);
      expect(shape.slope(phi, 'after')).toBeCloseTo(measured, 5);
      const [x, y] = pointAt(shape, phi, 'after');
      expect(x * Math.cos(phi) + y * Math.sin(phi)).toBeCloseTo(shape.h(phi), 9);
    }
  });

  it.each(PLANS)('$kind has flat edges as long as its slope jumps, and every point within all its tangents', (plan) => {
    const shape = make(supportOf(plan), supportOf(ELLIPSE));
    for (const flat of shape.flats) {
      const [x0, y0] = pointAt(shape, flat, 'before');
      const [x1, y1] = pointAt(shape, flat, 'after');
      const along = (x1 - x0) * -Math.sin(flat) + (y1 - y0) * Math.cos(flat);
      expect(along).toBeCloseTo(shape.slope(flat, 'after') - shape.slope(flat, 'before'), 9);
      expect(along).toBeGreaterThan(-1e-9);
      const middle = pointAt(shape, flat, 'middle');
      expect(middle).toEqual([expect.closeTo((x0 + x1) / 2, 9), expect.closeTo((y0 + y1) / 2, 9)]);
    }
    const stations = stationsOf(shape.flats, 60);
    let over = -Infinity;
    for (const [x, y] of pointsAt(shape, stations))
      for (const { phi } of stations) over = Math.max(over, x * Math.cos(phi) + y * Math.sin(phi) - shape.h(phi));
    expect(over).toBeLessThan(1e-7);
  });
});

describe('an outline moved inward', () => {
  it.each(PLANS)('comes back from outside: $kind', (plan) => {
    const shape = supportOf(plan);
    const back = inward(inward(shape, -7), 7);
    for (const { phi } of stationsOf(shape.flats, 90)) expect(back.h(phi)).toBeCloseTo(shape.h(phi), 9);
  });

  it.each([
    [BOX, 10],
    [HEXAGON, 10],
    [TRAY, 10],
    [SOFT, 6],
    [CIRCLE, 10],
  ] as const)('is the smaller plan of its own kind: %j by %d mm', (plan, d) => {
    const corner = 'corner' in plan ? Math.max(0, plan.corner - d) : 0;
    const small = supportOf({ ...grownPlan(plan, 1, -d), ...('corner' in plan && { corner }) } as PlanOutline);
    const made = inward(supportOf(plan), d);
    expect(planArea(made)).toBeCloseTo(planArea(small), 6);
    expect(girth(made)).toBeCloseTo(girth(small), 6);
    for (const { phi } of stationsOf(small.flats, 90)) expect(made.h(phi)).toBeCloseTo(small.h(phi), 9);
  });

  it('by nothing is itself, and half way to itself too', () => {
    const shape = supportOf(TRAY);
    expect(inward(shape, 0)).toBe(shape);
    expect(between(shape, shape, 0.3)).toBe(shape);
    expect(movedSupport(shape, [0, 0])).toBe(shape);
  });

  it.each([BOX, HEXAGON])('outward with sharp corners keeps them: $kind', (plan) => {
    expect(isSharp(outwardSharp(supportOf(plan), 6))).toBe(true);
    expect(isSharp(inward(supportOf(plan), -6))).toBe(false);
  });
});

describe('an outline lowered by a distance of each tangent', () => {
  it('keeps slopes and takes the distance off', () => {
    const shape = supportOf(HEXAGON);
    const low = lowered(shape, (phi) => 3 + Math.cos(phi));
    for (const { phi, side } of stationsOf(shape.flats, 40)) {
      expect(low.h(phi)).toBeCloseTo(shape.h(phi) - 3 - Math.cos(phi), 12);
      if (side !== 'middle') expect(low.slope(phi, side)).toBe(shape.slope(phi, side));
    }
  });
});

describe('flat normals of two outlines', () => {
  it.each([
    [BOX, CIRCLE, 4],
    [CIRCLE, BOX, 4],
    [BOX, HEXAGON, 8],
    [BOX, TRAY, 4],
    [CIRCLE, ELLIPSE, 0],
  ] as const)('%j and %j are %d', (one, other, count) => {
    const flats = mergedFlats(supportOf(one), supportOf(other));
    expect(flats).toHaveLength(count);
    for (let index = 1; index < flats.length; index += 1)
      expect((flats[index] ?? 0) - (flats[index - 1] ?? 0)).toBeGreaterThan(NORMAL_TOLERANCE);
  });
});

describe('a level section of a wall', () => {
  it.each([
    [HEXAGON, ELLIPSE],
    [BOX, CIRCLE],
    [TRAY, SOFT],
    [CIRCLE, ELLIPSE],
  ] as const)('from %j to %j has the slope of its support at every height and depth', (foot, rim) => {
    for (const [z, depth] of [
      [0, 6],
      [35, 3],
      [70, -6],
      [12, 0],
    ] as const) {
      const section = sectionAt(wall(foot, rim), z, depth);
      for (let step = 0; step < 61; step += 1) {
        const [phi, by] = [(step * TAU) / 61 + 0.017, 1e-5];
        if (nearFlat(section, phi, 2 * by)) continue;
        expect(section.slope(phi, 'after')).toBeCloseTo((section.h(phi + by) - section.h(phi - by)) / (2 * by), 4);
      }
    }
  });

  it('at the foot, on the outer face, is the foot', () => {
    const lofted = wall(HEXAGON, CIRCLE);
    const section = sectionAt(lofted, 0, 0);
    for (const { phi } of stationsOf(section.flats, 90)) expect(section.h(phi)).toBeCloseTo(lofted.foot.h(phi), 12);
  });
});

describe('stations', () => {
  it.each([
    [0, TAU],
    [0.4, TAU],
    [1, TAU / 3],
    [0, Math.PI],
  ])('from %d over %d run forward from end to end, wherever flat edges are', (start, sweep) => {
    for (const plan of PLANS) {
      const stations = stationsOf(supportOf(plan).flats, 90, { start, sweep });
      expect(stations[0]?.phi).toBeCloseTo(start, 12);
      expect(stations.at(-1)?.phi).toBeCloseTo(start + sweep, 12);
      for (let index = 1; index < stations.length; index += 1) {
        const step = (stations[index]?.phi ?? 0) - (stations[index - 1]?.phi ?? 0);
        expect(step).toBeGreaterThanOrEqual(0);
        expect(step).toBeLessThan((2.01 * TAU) / 90);
      }
    }
  });

  it('are those of their own outline when many are asked for in turn', () => {
    for (let sides = 3; sides <= 24; sides += 1) {
      const { flats } = supportOf({ kind: 'polygon', sides, acrossFlats: 80, corner: 5 });
      for (const count of [10, 90]) {
        const ends = stationsOf(flats, count, { start: 0.01 }).filter(({ side }) => side === 'before');
        for (const flat of flats) expect(ends.some(({ phi }) => Math.abs(turned(phi) - flat) < 1e-9)).toBe(true);
      }
    }
  });

  it('of an outline of flat edges alone are its corners', () => {
    expect(stationsAround(supportOf(BOX), 360).length).toBeLessThan(20);
    expect(stationsAround(supportOf(TRAY), 360).length).toBeGreaterThan(360);
  });
});
