import { expectAsDeep } from './flatDepths.test.helper.ts';
import { circle, mould } from './moulds.test.helper.ts';

it('five darts are as deep on the flat blank of half a sphere as was asked for', () => {
  expectAsDeep(5, mould({ rim: circle(180), depth: 88, wall: 'dome' }));
});
