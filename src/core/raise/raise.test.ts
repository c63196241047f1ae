import { targetsOfEveryKind } from '../piece/everyKind.test.helper.ts';
import type { Form, Target } from '../target/target.ts';
import { level, targetWith } from '../piece/targets.test.helper.ts';
import type { Body, RaisedPart } from '../forms/kind/body.ts';
import { once } from '../numbers.ts';
import { length, minus } from './pose.ts';
import { raise, standingBody } from './raise.ts';
import { sectioned } from './section.ts';
import type { Point3 } from '../geometry/point.ts';

const far = (a: Point3 | undefined, b: Point3 | undefined) => (a && b ? length(minus(a, b)) : NaN);
const steps = (line: readonly Point3[]) => line.slice(1).map((point, index) => far(line[index], point));
const most = (values: readonly number[]) => values.reduce((largest, value) => Math.max(largest, value), -Infinity);
const apart = (one: readonly number[], other: readonly number[]) =>
  most(one.map((value, index) => Math.abs(value - (other[index] ?? NaN))));
const all = (parts: readonly RaisedPart[]) =>
  parts.flatMap(({ ribbons }) => ribbons.flatMap(({ one, other }) => [...one, ...other]));
const bent = (body: Body) => body.walls.flatMap((wall) => (wall.kind === 'bent' ? [wall] : []));

const TARGETS: readonly Target[] = [
  ...targetsOfEveryKind(31, 90),
  targetWith(),
  targetWith({ seam: { kind: 'lap', overlap: 12, panels: 1 }, slab: { faceUp: 'outside' } }),
  targetWith({ form: { kind: 'former', diameter: 76, sleeve: 0.5, height: 104 }, base: { join: 'mitre', trim: 0 } }),
];

const bodyOf = once((target: Target) => standingBody(target));

describe('raising', () => {
  it('bends walls and never stretches them on their neutral surface, at any share of the way', () => {
    for (const target of TARGETS) {
      const body = bodyOf(target);
      const walls = bent(body);
      for (const f of [0, 0.25, 0.6, 1]) {
        const raised = raise(body, f).filter(({ neutral }) => neutral);
        expect(raised).toHaveLength(walls.length);
        walls.forEach(({ lows, highs }, index) => {
          const { foot = [], rim = [] } = raised[index]?.neutral ?? {};
          expect(apart(steps(foot), steps(lows))).toBeLessThan(1e-6);
          expect(apart(steps(rim), steps(highs))).toBeLessThan(1e-6);
          const rulings = (low: readonly Point3[], high: readonly Point3[]) => low.map((at, i) => far(at, high[i]));
          expect(apart(rulings(foot, rim), rulings(lows, highs))).toBeLessThan(1e-6);
        });
      }
    }
  });

  it('begins flat on the table and ends as the standing piece', () => {
    for (const target of TARGETS) {
      const body = bodyOf(target);
      const standing = raise(body, 1).filter(({ neutral }) => neutral);
      bent(body).forEach(({ lows, highs }, index) => {
        const { foot = [], rim = [] } = standing[index]?.neutral ?? {};
        expect(most(foot.map((at, i) => far(at, lows[i])))).toBeLessThan(1e-6);
        expect(most(rim.map((at, i) => far(at, highs[i])))).toBeLessThan(1e-6);
      });
      const flat = raise(body, 0);
      const thickest = Math.max(target.slab.wall, target.slab.base);
      const heights = all(flat).map(([, , z]) => z);
      expect(most(heights.map((z) => -z))).toBeLessThan(1e-6);
      expect(most(heights)).toBeLessThan(thickest + 1e-6);
    }
  });

  it.each(['inside', 'outside'] as const)('shows the bevels meeting, %s up', (faceUp) => {
    const forms: readonly Form[] = [
      { kind: 'cylinder', diameter: 84, height: 110 },
      { kind: 'taper', rim: 112, foot: 74, height: 78 },
      { kind: 'oval', length: 176, width: 112, height: 46 },
    ];
    for (const form of forms) {
      const [wall] = raise(standingBody(level(form, { slab: { faceUp } })), 1).filter(({ neutral }) => neutral);
      const [first, last] = (wall?.ribbons ?? []).filter(({ face }) => face === 'cut');
      expect(most([...(first?.one ?? [])].map((at, i) => far(at, last?.other[i])))).toBeLessThan(0.05);
      expect(most([...(first?.other ?? [])].map((at, i) => far(at, last?.one[i])))).toBeLessThan(0.05);
      // The bevel runs one thickness along the wall.
      expect(far(first?.one[0], first?.other[0])).toBeGreaterThan(6 * Math.SQRT2 - 0.6);
    }
  });
});

describe('separate panels and boxes', () => {
  const flat = targetsOfEveryKind(32, 120).filter(
    ({ form }) => form.kind === 'box' || (form.kind === 'facet' && form.fold === 'separate'),
  );

  it('meet along their mitres: every inner and outer corner at the rim is where its neighbour’s is', () => {
    for (const target of flat.filter(({ form, seam }) => form.kind === 'facet' || seam.kind === 'bevel')) {
      const panels = raise(standingBody(target), 1).filter(({ part }) => part !== 'base');
      for (const face of ['outside', 'inside'] as const) {
        const corners = panels.flatMap(({ ribbons }) =>
          ribbons.filter((one) => one.face === face).flatMap(({ one, other }) => [...one, ...other]),
        );
        for (const corner of corners) {
          expect(corners.filter((other) => far(corner, other) < 1e-6)).toHaveLength(2);
        }
      }
    }
  });
});

describe('a mitred foot', () => {
  it('of a loft stands on the table outside, and on the base’s upper face inside', () => {
    const form: Form = {
      kind: 'loft',
      rim: { kind: 'ellipse', length: 180, width: 120 },
      foot: { kind: 'circle', diameter: 90 },
      height: 80,
    };
    for (const faceUp of ['inside', 'outside'] as const) {
      const target = level(form, { base: { join: 'mitre', trim: 0 }, slab: { faceUp, base: 7 } });
      const [base, wall] = raise(standingBody(target, 720), 1);
      const face = (name: string) => wall?.ribbons.find((ribbon) => ribbon.face === name);
      const top = base?.ribbons.find((ribbon) => ribbon.face === 'inside')?.one ?? [];
      const near = (from: Point3) => Math.min(...top.map((to) => far(from, to)));
      expect(most((face('outside')?.one ?? []).map(([, , z]) => Math.abs(z)))).toBeLessThan(0.05);
      const foot = face('inside')?.other ?? [];
      expect(most(foot.map(([, , z]) => Math.abs(z - 7)))).toBeLessThan(0.05);
      // The base's outline is drawn by points 2.5 mm apart at the most.
      expect(most(foot.map(near))).toBeLessThan(1.5);
    }
  });
});

describe('a section', () => {
  it('cut level leaves what is below, its cut face level at that height', () => {
    for (const target of TARGETS.slice(0, 24)) {
      const body = bodyOf(target);
      const z = 0.6 * body.height;
      const points = all(raise(sectioned(body, { kind: 'level', height: z }), 1));
      expect(Math.abs(most(points.map((point) => point[2])) - z)).toBeLessThan(0.2);
    }
  });

  it('cut upright leaves the half behind the plane', () => {
    for (const target of [...TARGETS.slice(0, 12), ...TARGETS.slice(-3)]) {
      const body = sectioned(bodyOf(target), { kind: 'upright' });
      const points = all(raise(body, 1));
      expect(points.length).toBeGreaterThan(20);
      const across = most(points.map(([, y]) => y));
      expect(most(points.map(([, y]) => -y))).toBeLessThan(0.2 * across + 8);
    }
  });
});
