import { blankBase } from './blank.ts';
import { bestDarted, flatDepths } from './dartDepth.ts';
import { faceMesh } from './draped.ts';
import { BLANK_VERTICES } from './layBlank.ts';
import { limitsOf } from './limits.ts';
import { evenDarts } from './moulds.test.helper.ts';
import type { DrapedTarget } from './draped.ts';

/** Expects so many darts to be as deep on the flat blank as was asked for, within a quarter of a millimetre. */
export function expectAsDeep(count: number, target: DrapedTarget): void {
  const feel = { thickness: target.slab.wall, limits: limitsOf(target) };
  const base = blankBase(faceMesh(target, 'neutral', BLANK_VERTICES.fine));
  for (const depth of [22.7, 47.3]) {
    const flat = flatDepths(bestDarted(base, evenDarts(count, depth), { reading: feel }), count);
    for (const found of flat) expect(Math.abs(found - depth)).toBeLessThan(0.25);
  }
}
