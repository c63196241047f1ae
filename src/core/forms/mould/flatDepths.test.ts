import { blankBase } from './blank.ts';
import { bestDarted, flatDepths } from './dartDepth.ts';
import { faceMesh } from './draped.ts';
import { BLANK_VERTICES } from './layBlank.ts';
import { limitsOf } from './limits.ts';
import { circle, ellipse, evenDarts, mould } from './moulds.test.helper.ts';

describe('darts', () => {
  it.each([
    ['bowl', 1, mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['half a sphere', 5, mould({ rim: circle(180), depth: 88, wall: 'dome' })],
    ['cone', 3, mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' })],
    ['oval', 4, mould({ rim: ellipse(320, 210), foot: ellipse(240, 140), depth: 50, wall: 'curved' })],
  ])('are as deep on the flat blank of a %s as was asked for, within a quarter of a millimetre', (_, count, target) => {
    const feel = { thickness: target.slab.wall, limits: limitsOf(target) };
    const base = blankBase(faceMesh(target, 'neutral', BLANK_VERTICES.fine));
    for (const depth of [22.7, 47.3]) {
      const flat = flatDepths(bestDarted(base, evenDarts(count, depth), { reading: feel }), count);
      for (const found of flat) expect(Math.abs(found - depth)).toBeLessThan(0.25);
    }
  });
});
