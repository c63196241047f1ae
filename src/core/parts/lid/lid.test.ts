import { seeded } from '../../seeded.ts';
import { bounds, type Outline } from '../../geometry/outline/outline.ts';
import { girth } from '../../geometry/outline/planMeasures.ts';
import { validatePart } from '../part/part.ts';
import { additionsOf } from '../../forms/additions.ts';
import { develop } from '../../piece/develop.ts';
import { targetsOfEveryKind } from '../../piece/everyKind.test.helper.ts';
import { kindOf } from '../../forms/kinds.ts';
import { newTarget, type Form, type Target } from '../../target/target.ts';
import { DEFAULT_LID, type Lid } from '../../target/lid.ts';

const S = 0.12;
const wet = (fired: number) => fired / (1 - S);

function jar(form: Form, lid: Partial<Lid> = {}): Target {
  const bare = newTarget('Jar');
  return { ...bare, clay: { ...bare.clay, shrinkage: S }, rim: 'level', form, lid: { ...DEFAULT_LID, ...lid } };
}
const pot: Form = { kind: 'cylinder', diameter: 100, height: 80 };

function figures(target: Target) {
  const { lid } = additionsOf(target);
  if (!lid) throw new Error('there is no lid');
  return lid;
}
const size = (outline: Outline) => {
  const { minX, maxX, minY, maxY } = bounds(outline);
  return [maxX - minX, maxY - minY] as const;
};

describe('a lid of a round pot', () => {
  it('flat: as wide as the rim and past it, its flange inside the wall by the room that was asked for', () => {
    const lid = figures(jar(pot, { overhang: 3 }));
    expect(lid.across).toBeCloseTo(wet(106), 9);
    const outer = wet(100) - 2 * 6 - 2 * wet(1.5);
    expect(lid.girth).toBeCloseTo(Math.PI * (outer - 6), 6);
    expect(lid.free).toBeCloseTo(outer - 12, 9);
    const flange = lid.parts.find(({ id }) => id === 'flange');
    expect(size(flange?.outline ?? [])[0]).toBeCloseTo(lid.girth, 6);
    expect(size(flange?.outline ?? [])[1]).toBeCloseTo(wet(10), 9);
  });

  it('a cap: its side outside the wall by the room that was asked for, its plate on top of it', () => {
    const lid = figures(jar(pot, { kind: 'cap' }));
    expect(lid.free).toBeCloseTo(wet(100) + 2 * wet(1.5), 9);
    expect(lid.across).toBeCloseTo(lid.free + 12, 9);
    expect(lid.girth).toBeCloseTo(Math.PI * (lid.free + 6), 6);
  });

  it.each([
    ['flat', 80, 120],
    ['flat', 120, 80],
    ['cap', 80, 120],
    ['cap', 120, 80],
  ] as const)('%s, foot %i and rim %i: passes the wall from the rim down to its own depth', (kind, foot, rim) => {
    const target = jar({ kind: 'taper', foot, rim, height: 90 }, { kind, depth: 12 });
    const { section, height } = kindOf(target).standing(target);
    const { side } = figures(target);
    for (let step = 0; step <= 8; step += 1) {
      const { inner, outer } = section(height - (step / 8) * wet(12));
      const gap = kind === 'flat' ? inner.h(0) - side.outer.h(0) : side.inner.h(0) - outer.h(0);
      expect(gap).toBeGreaterThanOrEqual(wet(1.5) - 1e-9);
    }
  });
});

describe('a lid follows the plan of its piece', () => {
  it('an oval’s flange is as long as the parallel of its ellipse: shorter by a turn of the distance', () => {
    const target = jar({ kind: 'oval', length: 130, width: 90, height: 60 });
    const outer = kindOf(target).standing(target).section(10).outer;
    expect(figures(target).girth).toBeCloseTo(girth(outer) - 2 * Math.PI * (6 + wet(1.5) + 3), 3);
  });

  it('a hexagon has six strips, as long as its flats there, with its corners’ mitre', () => {
    const target = jar({ kind: 'facet', sides: 6, rim: 90, foot: 90, height: 60, fold: 'separate' });
    const { parts, bendRadius } = figures(target);
    const flange = parts.find(({ id }) => id === 'flange');
    const apothem = wet(45) - 6 - wet(1.5);
    expect([flange?.count, bendRadius]).toEqual([6, Infinity]);
    const outside = Math.max(size(flange?.outline ?? [])[0], size(flange?.underside ?? [])[0]);
    expect(outside).toBeCloseTo(2 * apothem * Math.tan(Math.PI / 6), 6);
    expect(
      flange?.leans
        .map(({ lean }) => Math.abs(lean))
        .sort((a, b) => a - b)
        .map((lean) => Math.round(lean)),
    ).toEqual([0, 0, 30, 30]);
  });

  it('a box has strips of two lengths, and a cap over it keeps sharp corners', () => {
    const box: Form = { kind: 'box', length: 120, width: 70, height: 50 };
    const strips = figures(jar(box)).parts.filter(({ role }) => role === 'flange');
    expect(strips.map(({ count }) => count)).toEqual([2, 2]);
    const cap = figures(jar(box, { kind: 'cap' }));
    const plate = cap.parts.find(({ id }) => id === 'lid');
    expect(plate?.outline).toHaveLength(4);
    expect(size(plate?.outline ?? [])[0]).toBeCloseTo(wet(120) + 2 * (wet(1.5) + 6), 9);
  });

  const random = seeded(3);
  it('every kind of piece can be lidded either way: parts that can be cut, the plate covering the opening', () => {
    const kinds = ['taper', 'stack', 'oval', 'facet', 'box', 'loft'] as const;
    for (const bare of targetsOfEveryKind(71, 8, { kinds })) {
      const kind = random() < 0.5 ? 'flat' : 'cap';
      const target: Target = { ...bare, lid: { ...DEFAULT_LID, kind, depth: 5, clearance: 0.5 } };
      const { parts, plate } = figures(target);
      for (const part of parts) expect([target, validatePart(part)]).toEqual([target, []]);
      const { section, height } = kindOf(target).standing(target);
      for (let step = 0; step < 24; step += 1) {
        const phi = (step / 24) * 2 * Math.PI;
        expect(plate.h(phi)).toBeGreaterThanOrEqual(section(height).inner.h(phi));
      }
    }
  });

  it.each([
    [
      'a flange with no opening left',
      { clearance: 30 },
      { kind: 'cylinder', diameter: 60, height: 80 },
      'lid.clearance',
    ],
    ['no depth', { depth: 0 }, pot, 'lid.depth'],
  ] as const)('is refused with %s', (_, change, form, path) => {
    expect(() => develop(jar(form, change))).toThrow(path);
  });
});
