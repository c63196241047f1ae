import { circle, mould } from './moulds.test.helper.ts';
import { expectAdvised } from './proposeDarts.test.helper.ts';

it('darts are advised for half a sphere of stiff clay just when they are proposed', () => {
  const sphere = mould({ rim: circle(180), depth: 88, wall: 'dome' });
  expectAdvised({ ...sphere, clay: { shrinkage: 0.1, wetDensity: 1.9, stiffness: 'stiff' } });
});
