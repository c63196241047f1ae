import { expectNoWorse } from './dartDepth.test.helper.ts';
import { circle, ellipse, mould } from './moulds.test.helper.ts';

/** Vertices that are enough where a wall runs smoothly into its floor. */
const COARSER = 800;

describe('the depth of darts', () => {
  it.each([
    ['bowl', 4, mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['half a sphere', 8, mould({ rim: circle(180), depth: 88, wall: 'dome' })],
    ['oval', 1, mould({ rim: ellipse(320, 210), foot: ellipse(240, 140), depth: 50, wall: 'curved' })],
  ])('never read worse on a %s for being deeper', (_, count, target) => expectNoWorse(target, count, COARSER));
});
