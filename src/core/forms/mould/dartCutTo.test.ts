import { DEFAULT_BENCH } from '../../advice/bench.ts';
import { develop } from '../../piece/develop.ts';
import { blankBase } from './blank.ts';
import { bestDarted, flatDepths, readingOf } from './dartDepth.ts';
import { faceMesh } from './draped.ts';
import { layBlank } from './layBlank.ts';
import { limitsOf } from './limits.ts';
import { circle, evenDarts, mould } from './moulds.test.helper.ts';

/** Vertices that are enough where a wall meets the floor at an edge. */
const FINER = 1400;

it('darts are cut no further past the edge of the floor than it helps, and the blank says how far', () => {
  const cone = mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' });
  const feel = { thickness: cone.slab.wall, limits: limitsOf(cone) };
  const base = blankBase(faceMesh(cone, 'neutral', FINER));
  const laid = [112, 128].map((depth) => bestDarted(base, evenDarts(2, depth), { reading: feel }));
  for (const blank of laid) {
    const flat = flatDepths(blank, 2);
    // 78.1 mm of wall, less what the slab's middle lies nearer to the floor, and the flat sides are longer.
    flat.forEach((depth, index) => {
      expect(depth).toBeGreaterThan(85);
      expect(depth).toBeLessThan(100);
      expect(blank.cutTo?.[index]).toBeCloseTo(depth, 9);
    });
  }
  expect(new Set(laid.map((blank) => readingOf(blank, feel.limits))).size).toBe(1);
  const deep = { ...cone, form: { ...cone.form, darts: evenDarts(2, 120) } };
  const { checks } = develop(deep, DEFAULT_BENCH, layBlank(deep, 'fine'));
  expect(checks.find(({ code }) => code === 'dart-shorter')?.text).toMatch(
    /^Darts A and B are cut (8|9)\d\.\d mm deep/,
  );
  expect(bestDarted(base, evenDarts(2, 60), { reading: feel }).cutTo).toBeUndefined();
});
