import { blankBase } from './blank.ts';
import { bestDarted, readingOf } from './dartDepth.ts';
import { faceMesh, type DrapedTarget } from './draped.ts';
import { limitsOf } from './limits.ts';
import { evenDarts } from './moulds.test.helper.ts';

/** Expects so many darts never to read worse for being deeper, on a mesh of so many vertices. */
export function expectNoWorse(target: DrapedTarget, count: number, vertices: number): void {
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
}
