import { radians } from '../../numbers.ts';
import { edgeAt } from '../../geometry/outline/outline.ts';
import { validatePart } from '../part/part.ts';
import { additionsOf, lugPoints } from '../../forms/additions.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { develop } from '../../piece/develop.ts';
import { kindOf } from '../../forms/kinds.ts';
import { standingLevels } from '../../bench/fit/standingLevels.ts';
import { newTarget, type Form, type Target } from '../../target/target.ts';
import { DEFAULT_LUGS, type Lugs } from '../../target/lugs.ts';

const withLugs = (form: Form, lugs: Partial<Lugs> = {}, more: Partial<Target> = {}): Target => ({
  ...newTarget('Pot'),
  rim: 'level',
  form,
  lugs: { ...DEFAULT_LUGS, ...lugs },
  ...more,
});
const madeOf = (target: Target) => {
  const { lugs } = additionsOf(target);
  if (!lugs) throw new Error('no lugs were made');
  return lugs;
};

const FORMS: readonly (readonly [string, Form])[] = [
  ['a cylinder', { kind: 'cylinder', diameter: 120, height: 120 }],
  ['a flaring taper', { kind: 'taper', rim: 160, foot: 90, height: 110 }],
  ['a closing taper', { kind: 'taper', rim: 90, foot: 160, height: 110 }],
  [
    'a stack',
    {
      kind: 'stack',
      profile: [
        [0, 90],
        [60, 150],
        [120, 110],
      ],
    },
  ],
  ['an oval', { kind: 'oval', length: 190, width: 120, height: 100 }],
  ['six facets', { kind: 'facet', sides: 6, rim: 150, foot: 110, height: 110, fold: 'separate' }],
  ['a box', { kind: 'box', length: 160, width: 110, height: 90 }],
  [
    'a square to round',
    {
      kind: 'loft',
      rim: { kind: 'circle', diameter: 170 },
      foot: { kind: 'rounded', length: 110, width: 110, corner: 20 },
      height: 100,
    },
  ],
];

describe.each(FORMS)('lugs on %s', (_, form) => {
  it.each([0, 90, 180])(
    'from %d degrees are hollowed to the wall at both faces, and stand opposite one another',
    (at) => {
      const target = withLugs(form, { at });
      expect(checkTarget(target)).toEqual([]);
      const made = madeOf(target);
      const { section } = kindOf(target).standing(target);
      for (const [face, z] of [
        ['upper', made.top],
        ['under', made.bottom],
      ] as const) {
        const wall = section(z).outer;
        for (const which of [0, 1]) {
          const phi = radians(made.angles[which] ?? 0);
          // How far a point stands out of the wall, by the tangents of the wall round there.
          const tangents = Array.from({ length: 181 }, (__, step) => phi + Math.PI * (step / 180 - 0.5)).map(
            (normal) => [Math.cos(normal), Math.sin(normal), wall.h(normal)] as const,
          );
          const outOf = ([x, y]: readonly [number, number]) =>
            Math.max(...tangents.map(([u, v, h]) => x * u + y * v - h));
          const gaps = lugPoints(made, which, face).map(outOf);
          expect(Math.min(...gaps)).toBeGreaterThan(-0.03);
          // The line that is joined lies on the wall along the whole width.
          const joined = lugPoints(made, which, face).filter((point) => outOf(point) < 0.03);
          const along = joined.map(([x, y]) => -x * Math.sin(phi) + y * Math.cos(phi));
          const width = DEFAULT_LUGS.width / (1 - target.clay.shrinkage);
          expect(Math.max(...along) - Math.min(...along)).toBeCloseTo(width, 3);
        }
      }
    },
  );

  it.each(['inside', 'outside'] as const)('are one sound template, cut twice, with its lean (%s up)', (faceUp) => {
    const base = withLugs(form);
    const target = { ...base, slab: { ...base.slab, faceUp } };
    const part = develop(target).parts.find(({ id }) => id === 'lug');
    if (!part) throw new Error('no template');
    expect([part.count, validatePart(part)]).toEqual([2, []]);
    const made = madeOf(target);
    const { section } = kindOf(target).standing(target);
    const phi = radians(DEFAULT_LUGS.at);
    const inset = section(made.top).outer.h(phi) - section(made.bottom).outer.h(phi);
    const [lean] = part.leans;
    const sign = faceUp === 'inside' ? 1 : -1;
    expect(Math.tan(radians(lean?.lean ?? 0))).toBeCloseTo((sign * inset) / DEFAULT_LUGS.thickness, 6);
    // The edge that is joined runs from one end of the width to the other.
    const [from, to] = [part.outline[lean?.from ?? 0], part.outline[lean?.to ?? 0]];
    expect(Math.abs((to?.[0] ?? 0) - (from?.[0] ?? 0))).toBeCloseTo(DEFAULT_LUGS.width / 0.88, 6);
  });
});

describe('lugs', () => {
  it('on a cylinder are hollowed to its outside, wet, in one arc', () => {
    const { figures } = madeOf(withLugs({ kind: 'cylinder', diameter: 120, height: 120 }));
    expect(edgeAt(figures.part.outline, 0).radius).toBeCloseTo(120 / 0.88 / 2, 9);
    expect(figures.part.leans[0]?.word).toBe('straight down');
  });

  it('are weighed with the piece, marked on its wall, and stand in the way of a rack hole', () => {
    const target = withLugs({ kind: 'cylinder', diameter: 120, height: 120 });
    const bare: Target = { ...newTarget('Pot'), rim: 'level', form: target.form };
    const [one, other] = [develop(target), develop(bare)];
    const { volume } = madeOf(target).figures.part;
    expect(one.finished.mass.wet - other.finished.mass.wet).toBeCloseTo((2 * volume * 1.95) / 1000, 9);
    const words = one.parts.flatMap(({ marks }) => marks.flatMap((mark) => (mark.kind === 'words' ? [mark.text] : [])));
    expect(words.filter((text) => text === 'lug')).toHaveLength(2);
    const across = Math.max(
      ...standingLevels(target).levels.flatMap(({ points }) => points.map(([x, y]) => Math.hypot(x, y))),
    );
    // Its corners are quarter circles of 18, their middles 4 to each side of the middle line.
    expect(across).toBeCloseTo(Math.hypot(60, 22 - 18) + 18, 2);
    const fit = { hole: 130, clearance: 1 };
    const titles = develop({ ...target, fit }).checks.map(({ title }) => title);
    expect(titles).toContain('Its lug catches on the rack hole');
  });

  it.each([
    ['a wall too narrow', { kind: 'cylinder', diameter: 40, height: 100 } as Form, {}, 'lugs.width'],
    ['a wall too low', { kind: 'cylinder', diameter: 120, height: 20 } as Form, {}, 'lugs.below'],
    [
      'a corner opposite',
      { kind: 'facet', sides: 5, rim: 140, foot: 140, height: 100, fold: 'separate' } as Form,
      { at: 0 },
      'lugs.at',
    ],
    ['too little to stand out', { kind: 'cylinder', diameter: 120, height: 120 } as Form, { out: 1 }, 'lugs.out'],
  ])('are refused with the reason: %s', (_, form, lugs, path) => {
    expect(checkTarget(withLugs(form, lugs)).map((fault) => fault.path)).toEqual([path]);
  });
});

describe('knobs of one weight', () => {
  it('are weighed, rolled to one size, and make the piece higher', () => {
    const lidded: Target = {
      ...newTarget('Jar'),
      lid: { kind: 'flat', clearance: 1.5, depth: 10, overhang: 0, knob: 20 },
    };
    const { lid } = lidded;
    const bare: Target = { ...lidded, lid: { kind: 'flat', clearance: 1.5, depth: 10, overhang: 0 } };
    const [lump] = develop(lidded).lumps ?? [];
    expect(lump?.id).toBe('knob');
    expect(lump?.mass).toBeCloseTo(lid?.knob ?? 0, 9);
    // 20 g at 1.95 g/cm3: a ball of 10,256 mm3.
    expect(lump?.length).toBeCloseTo(26.9566, 3);
    expect(develop(lidded).finished.mass.wet - develop(bare).finished.mass.wet).toBeCloseTo(20, 9);
    expect(standingLevels(lidded).height - standingLevels(bare).height).toBeCloseTo(26.9566 * 0.88, 2);
  });
});
