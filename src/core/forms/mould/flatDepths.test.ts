import { expectAsDeep } from './flatDepths.test.helper.ts';
import { circle, ellipse, mould } from './moulds.test.helper.ts';

describe('darts', () => {
  it.each([
    ['bowl', 1, mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['cone', 3, mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' })],
    ['oval', 4, mould({ rim: ellipse(320, 210), foot: ellipse(240, 140), depth: 50, wall: 'curved' })],
  ])('are as deep on the flat blank of a %s as was asked for', (_, count, target) => expectAsDeep(count, target));
});
