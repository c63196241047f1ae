import { bounds } from '../../geometry/outline/outline.ts';
import { develop } from '../../piece/develop.ts';
import { level, randomTarget, targetWith } from '../../piece/targets.test.helper.ts';
import { seeded } from '../../seeded.ts';
import { cutBase, cuttersAround, pieceForCutter, trimmedForCutter } from './cutter.ts';
import { targetOf } from './reversed.test.helper.ts';
import { ruleOfThree } from './ruleOfThree.ts';
import { atScale } from './scaled.ts';
import { pieceFromSheet } from './sheet.ts';
import { widestAcross } from '../../bench/fit/passage.ts';
import { solveHole } from './solveHole.ts';

describe('a sheet of paper', () => {
  it('is the traced wall of the piece that it makes, folded or not, at every seam and base', () => {
    const random = seeded(5);
    for (let index = 0; index < 100; index += 1) {
      const making = randomTarget(random);
      if (making.base.join !== 'none' && making.slab.base > 10) continue;
      const sheet = { around: 297, up: 210, layersAround: 1, layersUp: 1 + (index % 2) };
      const reversed = pieceFromSheet(sheet, making);
      if (reversed.kind !== 'made') continue;
      const { form } = reversed.target;
      if (form.kind !== 'cylinder') throw new Error(form.kind);
      const box = bounds(develop(reversed.target).parts[0]?.outline ?? []);
      expect(box.maxX - box.minX).toBeCloseTo(297, 6);
      expect(box.maxY - box.minY).toBeCloseTo(210 / sheet.layersUp, 6);
    }
  });

  it('that is too small for the slab is refused', () => {
    expect(pieceFromSheet({ around: 14, up: 100, layersAround: 1, layersUp: 1 }, targetWith()).kind).toBe('impossible');
    expect(pieceFromSheet({ around: 0, up: 100, layersAround: 1, layersUp: 1 }, targetWith()).kind).toBe('impossible');
  });
});

describe('a round cutter', () => {
  it.each([
    targetWith(),
    targetWith({ slab: { faceUp: 'outside' }, base: { join: 'mitre', trim: 0 } }),
    level({ kind: 'taper', rim: 120, foot: 80, height: 90 }),
    level(
      {
        kind: 'stack',
        profile: [
          [0, 60],
          [60, 90],
          [120, 50],
        ],
      },
      { base: { join: 'under', trim: 3 } },
    ),
    level(
      {
        kind: 'loft',
        rim: { kind: 'ellipse', length: 150, width: 100 },
        foot: { kind: 'circle', diameter: 70 },
        height: 60,
      },
      { slab: { faceUp: 'outside' } },
    ),
  ])('cuts the base of the piece that is changed for it', (target) => {
    const changed = targetOf(pieceForCutter(target, 75));
    expect(cutBase(develop(changed).parts)).toBeCloseTo(75, 3);
  });

  it.each([
    [92, [60, 90, 95, 110], { below: 90, above: 95 }],
    [90, [60, 90, 95], { below: 90, above: 95 }],
    [125, [60, 95], { below: 95, above: null }],
    [50, [60, 95], { below: null, above: 60 }],
    [92, [], { below: null, above: null }],
  ])('is the next below and above %d of %j', (wide, set, around) => {
    expect(cuttersAround(wide, set)).toEqual(around);
  });

  it.each([targetWith(), level({ kind: 'taper', rim: 120, foot: 80, height: 90 })])(
    'that is too wide leaves a base that is trimmed by the difference, and nothing else changed',
    (target) => {
      const { parts } = develop(target);
      const cutter = (cutBase(parts) ?? 0) + 7;
      const trimmed = trimmedForCutter(target, parts, cutter);
      if (!trimmed) throw new Error('not trimmed');
      expect(trimmed).toEqual({ ...target, base: { join: 'under', trim: trimmed.base.trim } });
      expect(cutBase(develop(trimmed).parts)).toBeCloseTo(cutter, 6);
      expect(trimmedForCutter(target, parts, cutter - 20)).toBeNull();
    },
  );

  it('never changes the radii of a template that is owned', () => {
    const target = {
      ...level({ kind: 'taper', rim: 120, foot: 80, height: 90 }),
      owned: { inner: 180, outer: 280, sweep: 70 },
    };
    expect(pieceForCutter(target, 75)).toMatchObject({
      kind: 'impossible',
      rule: expect.stringMatching(/trim the base/) as unknown,
    });
  });

  it('cuts nothing that is not round', () => {
    expect(pieceForCutter(level({ kind: 'oval', length: 150, width: 100, height: 60 }), 75).kind).toBe('impossible');
    const square = level({
      kind: 'loft',
      rim: { kind: 'rounded', length: 120, width: 120, corner: 30 },
      foot: { kind: 'circle', diameter: 80 },
      height: 60,
    });
    expect(cutBase(develop(square).parts)).toBeNull();
    expect(pieceForCutter(targetWith({ base: { join: 'none', trim: 0 } }), 75).kind).toBe('impossible');
    expect(pieceForCutter(targetWith(), -1).kind).toBe('impossible');
  });
});

describe('the bench rule of three', () => {
  it('is off by 3 Do less pi Dn', () => {
    const [row] = ruleOfThree(targetWith());
    expect(row?.bench).toBeCloseTo(3 * 95.4545, 3);
    expect(row?.off).toBeCloseTo(3 * 95.4545 - 281.0297, 3);
    expect(ruleOfThree(level({ kind: 'taper', rim: 120, foot: 80, height: 90 })).map(({ edge }) => edge)).toEqual([
      'rim',
      'foot',
    ]);
    expect(ruleOfThree(level({ kind: 'box', length: 100, width: 80, height: 60 }))).toEqual([]);
  });

  it('is nearly true for a thick wall', () => {
    const t = (95.4545 * (Math.PI - 3)) / Math.PI;
    expect(ruleOfThree(targetWith({ slab: { wall: t } }))[0]?.off).toBeCloseTo(0, 2);
  });
});

describe('other sizes', () => {
  it.each(['proportions', 'height'] as const)('for a rack hole, %s kept', (keep) => {
    const solved = solveHole(targetWith(), { diameter: 80, clearance: 1 }, keep);
    if (solved.kind !== 'solved') throw new Error(solved.rule);
    expect(widestAcross(solved.target)).toBeCloseTo(79, 9);
    expect(solveHole(targetWith(), { diameter: 1, clearance: 2 }, keep).kind).toBe('unsolved');
    expect(solveHole(targetWith(), { diameter: 80, clearance: 1 }, 'width').kind).toBe('unsolved');
  });

  it('at another scale are developed for the same slab, which a zoomed print is not', () => {
    const target = targetWith();
    const half = atScale(target, 0.5);
    expect(half.name).toBe('Test tumbler, at 50 %');
    expect(half.slab).toEqual(target.slab);
    expect(half.form).toEqual({ kind: 'cylinder', diameter: 42, height: 55 });
    const { wrapLength = 0 } = develop(half).numbers;
    expect(wrapLength).toBeLessThan(0.5 * (develop(target).numbers.wrapLength ?? 0) - 8);
  });
});
