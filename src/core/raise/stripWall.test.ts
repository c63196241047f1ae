import type { Point3 } from '../geometry/point.ts';
import { targetsOfEveryKind } from '../piece/everyKind.test.helper.ts';
import { level } from '../piece/targets.test.helper.ts';
import { checkTarget } from '../forms/checkTarget.ts';
import { kindOf } from '../forms/kinds.ts';
import type { RaisedPart } from '../forms/kind/body.ts';
import type { Form, Target } from '../target/target.ts';
import { once } from '../numbers.ts';
import { raise, standingBody } from './raise.ts';
import { sectioned } from './section.ts';

const gores = targetsOfEveryKind(521, 40, { kinds: ['gores'] }).filter((target) => checkTarget(target).length === 0);
const BOWL: Form = { kind: 'gores', strips: 8, ball: 168, foot: 84, height: 88 };
const points = (parts: readonly RaisedPart[]): Point3[] =>
  parts.flatMap(({ ribbons }) => ribbons.flatMap(({ one, other }) => [...one, ...other]));
const least = (values: readonly number[]) => values.reduce((low, value) => Math.min(low, value), Infinity);
const bodyOf = once((target: Target) => standingBody(target));
const strips = (parts: readonly RaisedPart[]) => parts.filter(({ part }) => part === 'gore');

describe('strips on their way up', () => {
  it('never go through the table, and never through one another when they lie flat', () => {
    for (const target of gores) {
      const body = standingBody({ ...target, seam: { kind: 'butt', panels: 1 } });
      for (const f of [0, 0.2, 0.5, 0.8, 1])
        expect(least(points(raise(body, f)).map(([, , z]) => z))).toBeGreaterThan(-1e-3);
      const { strips: count } = target.form as typeof BOWL & { strips: number };
      // Each keeps to its own share of the round.
      const over = strips(raise(body, 0)).flatMap(({ ribbons }, index) => {
        const turn = (2 * Math.PI * (index + 0.5)) / count;
        return ribbons.flatMap(({ one }) =>
          one.map(([x, y]) => {
            const off = Math.abs(-x * Math.sin(turn) + y * Math.cos(turn));
            const far = x * Math.cos(turn) + y * Math.sin(turn);
            return far * Math.tan(Math.PI / count) - off;
          }),
        );
      });
      expect(least(over)).toBeGreaterThan(0);
    }
  });

  it('lie round the base clear of its edge, whatever the slope of their foot', () => {
    const lying: Form = { kind: 'gores', strips: 5, ball: 300, foot: 60, height: 70 };
    for (const target of [...gores, level(lying, { seam: { kind: 'butt', panels: 1 } })]) {
      const parts = raise(bodyOf(target), 0);
      const far = (some: readonly RaisedPart[]) => points(some).map(([x, y]) => Math.hypot(x, y));
      const base = parts.filter(({ part }) => part === 'base');
      if (base.length > 0) expect(least(far(strips(parts)))).toBeGreaterThan(-least(far(base).map((one) => -one)));
    }
  });

  it('lie round the base with a gap, and the base lies where it will stand', () => {
    for (const target of gores.filter(({ base }) => base.join !== 'none')) {
      const flat = raise(bodyOf(target), 0);
      const reach = (parts: readonly RaisedPart[], most: (...values: number[]) => number) =>
        most(...points(parts).map(([x, y]) => Math.hypot(x, y)));
      const base = flat.filter(({ part }) => part === 'base');
      expect(reach(strips(flat), Math.min)).toBeGreaterThan(reach(base, Math.max));
    }
  });

  it('come out alike whichever face lay up', () => {
    for (const target of gores.slice(0, 10)) {
      const butt: Target = { ...target, seam: { kind: 'butt', panels: 1 } };
      const [inside, outside] = (['inside', 'outside'] as const).map((faceUp) =>
        points(raise(standingBody({ ...butt, slab: { ...butt.slab, faceUp } }), 1)),
      ) as [Point3[], Point3[]];
      expect(inside).toHaveLength(outside.length);
      const most = Math.max(
        ...inside.map((p, index) => Math.hypot(...p.map((value, axis) => value - (outside[index]?.[axis] ?? NaN)))),
      );
      expect(most).toBeLessThan(1e-6);
    }
  });

  it.each([20, 45, 70])('are cut level at %i mm: nothing stands higher, and the cut shows the wall', (height) => {
    const target = level(BOWL, { size: { state: 'wet' } });
    const body = standingBody(target);
    const cut = raise(sectioned(body, { kind: 'level', height }), 1);
    const top = Math.max(...points(cut).map(([, , z]) => z));
    expect(top).toBeCloseTo(height, 0);
    const { section } = kindOf(target).standing(target);
    const rims = strips(cut).flatMap(({ ribbons }) => ribbons.filter(({ face }) => face === 'edge').slice(1));
    for (const { one, other } of rims)
      for (const [line, want] of [
        [one, section(height).outer.h(0)],
        [other, section(height).inner.h(0)],
      ] as const)
        expect(least(line.map(([x, y]) => -Math.abs(Math.hypot(x, y) - want)))).toBeGreaterThan(-0.5);
    expect(raise(sectioned(body, { kind: 'level', height: 500 }), 1)).toEqual(raise(body, 1));
  });

  it.each([5, 7, 8, 16])('are cut upright through the axis: half of %i strips is left', (count) => {
    const target = level({ ...BOWL, strips: count } as Form, { seam: { kind: 'butt', panels: 1 } });
    const half = strips(raise(sectioned(standingBody(target), { kind: 'upright' }), 1));
    expect(half).toHaveLength(Math.ceil(count / 2));
    const all = points(half);
    expect(Math.min(...all.map(([, y]) => y))).toBeGreaterThan(-1e-6);
    // Both cut edges lie in the plane of the first seam.
    for (const side of [1, -1]) expect(all.some(([x, y]) => side * x > 10 && Math.abs(y) < 1e-6)).toBe(true);
  });

  it('lean at their foot and rim so that both are level', () => {
    for (const target of gores) {
      const [strip] = strips(raise(bodyOf(target), 1));
      const [foot, rim] = (strip?.ribbons ?? []).filter(({ face }) => face === 'edge');
      const { height } = kindOf(target).standing(target);
      const off = (ribbon: typeof rim, level: number) =>
        least([...(ribbon?.one ?? []), ...(ribbon?.other ?? [])].map(([, , z]) => -Math.abs(z - level)));
      expect([foot, rim]).not.toContain(undefined);
      expect(off(rim, height)).toBeGreaterThan(-1e-6);
      if (target.base.join === 'mitre') continue;
      const from = target.base.join === 'under' || target.base.join === 'skirt' ? target.slab.base : 0;
      expect(off(foot, from)).toBeGreaterThan(-1e-6);
    }
  });
});
