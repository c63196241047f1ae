import { develop } from '../../piece/develop.ts';
import { level, targetWith } from '../../piece/targets.test.helper.ts';
import { pieceFromMass } from './mass.ts';

describe('clay that is at hand', () => {
  it.each([
    [500, 1.2, {}],
    [900, 0.4, { slab: { wall: 8, base: 8 } }],
    [300, 2, { base: { join: 'none', trim: 0 } }],
  ] as const)('%d g make a piece that weighs as much', (mass, tall, change) => {
    const found = pieceFromMass({ mass, tall }, level({ kind: 'cylinder', diameter: 1, height: 1 }, change));
    if (found.kind !== 'made') throw new Error(found.rule);
    const { target } = found;
    expect(develop(target).finished.mass.wet).toBeCloseTo(mass, 3);
    expect(target.form.kind === 'cylinder' && target.form.height / target.form.diameter).toBeCloseTo(tall, 9);
  });

  it('is refused where there is none, or too little for the slab', () => {
    expect(pieceFromMass({ mass: 0, tall: 1 }, targetWith()).kind).toBe('impossible');
    expect(pieceFromMass({ mass: 0.5, tall: 1 }, targetWith()).kind).toBe('impossible');
  });
});
