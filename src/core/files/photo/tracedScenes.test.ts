import { area } from '../../geometry/outline/outline.ts';
import { scenes } from './scenes.test.helper.ts';
import { off, traced, TRUE } from './traced.test.helper.ts';

/** Number of photographs that are made up. */
const COUNT = 15;

describe('photographs on a sheet of paper', () => {
  it.each(scenes(COUNT))('are traced within half a millimetre: $name, $index', ({ scene, holes, size }) => {
    const found = traced(scene);
    expect(off(found, scene)).toBeLessThan(TRUE);
    expect(found.holes).toHaveLength(holes);
    expect(Math.abs(area(found.outline) / size - 1)).toBeLessThan(0.01);
    expect(found.lens.curve).toBeCloseTo(scene.curve, 2);
  });
});
