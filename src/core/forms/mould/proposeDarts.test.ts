import { circle, mould } from './moulds.test.helper.ts';
import { expectAdvised } from './proposeDarts.test.helper.ts';

describe('darts', () => {
  it.each([
    ['bowl', mould({ rim: circle(240), depth: 70, wall: 'dome' })],
    ['shallow bowl', mould({ rim: circle(240), depth: 40, wall: 'dome' })],
    ['shell', mould({ rim: circle(300), depth: 12, wall: 'dome' })],
  ])('are advised for a %s just when they are proposed, whatever darts it has', (_, target) => expectAdvised(target));
});
