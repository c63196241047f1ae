import { circle, mould } from './moulds.test.helper.ts';
import { expectAdvised } from './proposeDarts.test.helper.ts';

it('darts are advised for a cone just when they are proposed, whatever darts it has', () => {
  expectAdvised(mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' }));
});
