import { develop } from '../../piece/develop.ts';
import { targetsOfEveryKind } from '../../piece/everyKind.test.helper.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { cutToFit, fitsOn } from './panelsFor.ts';

const walls = (target: Target) => develop(target).parts.filter(({ role }) => role !== 'base');
const TUMBLER: Target = { ...newTarget('Tall'), form: { kind: 'cylinder', diameter: 120, height: 200 } };

describe('a wall that is cut to fit the slab', () => {
  it.each([
    ['stays where it lies on it', { length: 500, width: 300 }, null],
    ['is cut in two', { length: 300, width: 300 }, 2],
    ['is cut in three', { length: 160, width: 300 }, 3],
    ['cannot be cut where it is too high', { length: 900, width: 100 }, null],
  ])('%s', (_, slab, panels) => {
    expect(cutToFit(TUMBLER, develop(TUMBLER).parts, slab)?.seam.panels ?? null).toBe(panels);
  });

  it('stays when only its base is too large', () => {
    const low: Target = { ...TUMBLER, form: { kind: 'cylinder', diameter: 120, height: 40 } };
    expect(cutToFit(low, develop(low).parts, { length: 900, width: 60 })).toBeNull();
  });

  it('lies on the slab with the fewest pieces: 40 pieces of every kind', () => {
    const slab = { length: 320, width: 320 };
    let cut = 0;
    for (const target of targetsOfEveryKind(271, 40)) {
      const found = cutToFit(target, develop(target).parts, slab);
      if (!found) continue;
      cut += 1;
      expect(walls(target).every((part) => fitsOn(part, slab))).toBe(false);
      expect(walls(found).every((part) => fitsOn(part, slab))).toBe(true);
      const fewer = { ...found, seam: { ...found.seam, panels: found.seam.panels - 1 } };
      if (fewer.seam.panels > target.seam.panels) expect(walls(fewer).every((part) => fitsOn(part, slab))).toBe(false);
    }
    expect(cut).toBeGreaterThan(5);
  });
});
