import { blankBase } from './blank.ts';
import { bestDarted, readingOf } from './dartDepth.ts';
import { faceMesh } from './draped.ts';
import { limitsOf } from './limits.ts';
import { circle, ellipse, evenDarts, mould, rounded } from './moulds.test.helper.ts';

/** Vertices that are enough where a wall runs smoothly into its floor. */
const COARSER = 800;
/** ... and where it meets the floor at an edge. */
const FINER = 1400;

describe('the depth of darts', () => {
  it.each([
    ['bowl', 4, COARSER, mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['half a sphere', 8, COARSER, mould({ rim: circle(180), depth: 88, wall: 'dome' })],
    ['cone', 3, FINER, mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' })],
    ['tray', 4, FINER, mould({ rim: rounded(320, 210, 50), foot: rounded(270, 160, 34), depth: 45, wall: 'straight' })],
    ['oval', 1, COARSER, mould({ rim: ellipse(320, 210), foot: ellipse(240, 140), depth: 50, wall: 'curved' })],
  ])('never read worse on a %s for being deeper', (_, count, vertices, target) => {
    const base = blankBase(faceMesh(target, 'neutral', vertices));
    const feel = { thickness: target.slab.wall, limits: limitsOf(target) };
    const whole = bestDarted(base, [], { reading: feel });
    let [least, distortion] = [readingOf(whole, feel.limits), whole.distortion];
    for (const depth of [15, 65, 115]) {
      const blank = bestDarted(base, evenDarts(count, depth), { reading: feel });
      if (!blank.cutTo) expect(blank.distortion).toBeLessThan(1.01 * distortion);
      distortion = Math.min(distortion, blank.distortion);
      const reading = readingOf(blank, feel.limits);
      // Between the depths that are tried about the floor's edge a dart may read worse by so much of what the clay takes.
      expect(reading).toBeLessThan(least + 0.01);
      least = Math.min(least, reading);
    }
  });
});
