import { expectNoWorse } from './dartDepth.test.helper.ts';
import { circle, mould, rounded } from './moulds.test.helper.ts';

/** Vertices that are enough where a wall meets its floor at an edge. */
const FINER = 1400;

describe('the depth of darts', () => {
  it.each([
    ['cone', 3, mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' })],
    ['tray', 4, mould({ rim: rounded(320, 210, 50), foot: rounded(270, 160, 34), depth: 45, wall: 'straight' })],
  ])('never read worse on a %s for being deeper', (_, count, target) => expectNoWorse(target, count, FINER));
});
