import { develop } from '../../piece/develop.ts';
import { checkTarget } from '../checkTarget.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { circle } from '../../geometry/outline/shapes.ts';
import { bentSheet } from './bentSheet.ts';
import { atScale } from '../../studio/reverse/scaled.ts';
import { finishedLength, scaledToFinished } from './finishedLength.ts';
import { placeFeet } from './placeFeet.ts';
import { scaledSheet } from './sheetForm.ts';
import type { SheetForm, SheetMould } from '../../target/sheetForm.ts';
import { mirrorsOf } from './sheetMirrors.ts';
import { narrowest } from './sheetWidths.ts';
import { touching } from './touching.ts';
import type { Point } from '../../geometry/point.ts';

const RECTANGLE = [
  [-60, -20, 0],
  [60, -20, 0],
  [60, 20, 0],
  [-60, 20, 0],
] as const;
const sheet = (change: Partial<SheetForm> = {}): Target & { readonly form: SheetForm } => ({
  ...newTarget('sheet'),
  slab: { wall: 4, base: 4, neutralFraction: 0.5, faceUp: 'inside' },
  form: { kind: 'sheet', outline: RECTANGLE, bend: { diameter: 96, angle: 90 }, ...change },
});

describe('bent sheets', () => {
  it.each([
    [0, 40, 120],
    [90, 120, 40],
  ])('with the axis at %d degrees are as wide and high as the formulas say', (angle, wide, long) => {
    const bent = bentSheet(sheet({ bend: { diameter: 96, angle } }).form, 4, 0.5);
    expect(bent.bendRadius).toBe(50);
    expect(bent.width).toBeCloseTo(2 * 50 * Math.sin(wide / 100), 9);
    expect(bent.rise).toBeCloseTo(50 * (1 - Math.cos(wide / 100)), 9);
    expect(bent.length).toBeCloseTo(long, 9);
    expect(bent.area).toBeCloseTo(4800, 9);
    expect(Math.hypot(...bent.middle)).toBeLessThan(0.5);
  });

  it('keep their lengths on the bent surface, whatever the angle of the axis', () => {
    const { place } = bentSheet(sheet({ bend: { diameter: 96, angle: 33 } }).form, 4, 0.5);
    const [start, step] = [
      [-30, -10],
      [0.06, 0.02],
    ] as const;
    const points = Array.from(
      { length: 1001 },
      (_, index) => place([start[0] + index * step[0], start[1] + index * step[1]])?.at ?? [0, 0, 0],
    );
    const long = points
      .slice(1)
      .reduce(
        (sum, [x, y, z], index) =>
          sum + Math.hypot(x - (points[index]?.[0] ?? 0), y - (points[index]?.[1] ?? 0), z - (points[index]?.[2] ?? 0)),
        0,
      );
    expect(long).toBeCloseTo(1000 * Math.hypot(...step), 4);
  });

  it.each([
    ['over a bottle', { bend: { diameter: 96, angle: 90 } }, 84],
    ['along its axis', { bend: { diameter: 96, angle: 0 } }, 120],
    [
      'on a mould',
      {
        bend: { mould: { rim: { kind: 'circle', diameter: 260 }, depth: 40, wall: 'dome', side: 'slump' }, angle: 20 },
      },
      90,
    ],
  ] as const)('are scaled to a wanted length, bent %s and fired', (name, change, wanted) => {
    const slab = { thickness: 4, neutralFraction: 0.5, shrinkage: 0.12 };
    const found = scaledToFinished(sheet(change).form, slab, wanted);
    expect(found && finishedLength(found, slab)).toBeCloseTo(wanted, 2);
    // A bottle that would have to be wrapped too far refuses the longer sheet.
    const longer = scaledToFinished(sheet(change).form, slab, 400);
    if (name === 'over a bottle') expect(longer === null || checkTarget(sheet({ ...longer })).length > 0).toBe(true);
  });

  it('at another scale grow with what they are bent over', () => {
    const { form } = atScale(sheet({ holes: [circle(20)] }), 1.5);
    expect(form).toMatchObject({
      outline: [[-90, -30, 0], {}, {}, {}],
      holes: [[[15, 0, 1], {}]],
      bend: { diameter: 144 },
    });
  });

  it.each([3, 4] as const)('stand on %d feet, longer up the curve, with the middle well within them', (count) => {
    const target = sheet({ feet: { count, height: 6, diameter: 10 } });
    const footing = placeFeet(target.form, { t: 4, k: 0.5, shrinkage: 0.12 });
    expect(footing?.feet).toHaveLength(count);
    expect(footing?.room).toBeGreaterThan(3);
    for (const { at, length } of footing?.feet ?? []) {
      expect(Math.abs(at[0])).toBeLessThan(60 - 5 / 0.88);
      expect(length).toBeCloseTo(6 + 52 * (1 - Math.cos(at[0] / 50)) * 0.88, 6);
    }
    expect(develop(target).checks.map(({ code }) => code)).toContain('sheet-stands');
  });

  it.each([
    ['a rectangle', RECTANGLE, 90, [true, true]],
    [
      'a leaf',
      [
        [-60, 0, 0.4],
        [50, 0, 0.4],
      ],
      90,
      [true, true],
    ],
    [
      'a drop',
      [
        [-60, 0, 0],
        [20, -25, 1],
        [20, 25, 0],
      ],
      90,
      [true, false],
    ],
    [
      'a kite at a slant',
      [
        [-40, -40, 0],
        [10, -30, 0],
        [50, 50, 0],
        [-30, 10, 0],
      ],
      45,
      [true, false],
    ],
  ] as const)('%s, which is symmetrical, stands on feet that are', (_, outline, angle, [one]) => {
    for (const count of [3, 4] as const) {
      const { form } = sheet({
        outline,
        bend: { diameter: 120, angle: angle % 90 === 0 ? 0 : angle },
        feet: { count, height: 6, diameter: 8 },
      });
      const mirrors = mirrorsOf(form);
      expect(mirrors.length > 0).toBe(one);
      const at = (placeFeet(form, { t: 4, k: 0.5, shrinkage: 0.12 })?.feet ?? []).map((foot) => foot.at);
      expect(at).toHaveLength(count);
      const own = (image: (point: Point) => Point) =>
        at.every((foot) => at.some((other) => Math.hypot(other[0] - image(foot)[0], other[1] - image(foot)[1]) < 1e-6));
      expect(mirrors.some(({ image }) => own(image))).toBe(true);
      // The feet are the same length on both sides.
      const lengths = (placeFeet(form, { t: 4, k: 0.5, shrinkage: 0.12 })?.feet ?? []).map(({ length }) =>
        length.toFixed(6),
      );
      expect(new Set(lengths).size).toBeLessThan(count);
    }
  });

  it('take feet where they are put by hand, and refuse one that hangs over an edge or a hole', () => {
    const at = [
      [-45, -10],
      [45, -10],
      [0, 12],
    ] as const;
    const placed = (places: readonly Point[], more: Partial<SheetForm> = {}) =>
      sheet({ feet: { count: 3, height: 6, diameter: 10, at: places }, ...more });
    expect(checkTarget(placed(at))).toEqual([]);
    const footing = placeFeet(placed(at).form, { t: 4, k: 0.5, shrinkage: 0.12 });
    expect(footing?.feet.map((foot) => foot.at)).toEqual(at);
    expect(footing?.feet[0]?.length).toBeCloseTo(6 + 52 * (1 - Math.cos(45 / 50)) * 0.88, 6);
    const paths = (target: Target) => checkTarget(target).map(({ path }) => path);
    expect(paths(placed([[-58, -10], at[1], at[2]]))).toEqual(['form.feet.at.0']);
    expect(paths(placed(at, { holes: [circle(14).map(([x, y, bulge]) => [x, y + 8, bulge] as const)] }))).toEqual([
      'form.feet.at.2',
    ]);
    expect(paths(placed([at[0], at[1]]))).toEqual(['form.feet.at']);
    // All on one side: it tips, and that is told.
    expect(
      develop(
        placed([
          [20, -10],
          [45, -10],
          [40, 12],
        ]),
      ).checks.find(({ code }) => code === 'sheet-stands')?.level,
    ).toBe('stop');
    expect((atScale(placed(at), 1.5).form as SheetForm).feet?.at?.[0]).toEqual([-67.5, -15]);
  });

  const FLOORED: SheetMould = {
    rim: { kind: 'circle', diameter: 240 },
    foot: { kind: 'circle', diameter: 150 },
    depth: 24,
    wall: 'curved',
    side: 'hump',
  };
  const DOME: SheetMould = { rim: { kind: 'circle', diameter: 240 }, depth: 30, wall: 'dome', side: 'hump' };
  const on = (mould: SheetMould, angle = 0) => ({ bend: { mould, angle } }) as const;

  it('laid on a flat floor stay flat and stand on it', () => {
    const bent = bentSheet(sheet(on(FLOORED)).form, 4, 0.5);
    expect(bent.whole).toBe(true);
    expect(bent.rise).toBeLessThan(0.02);
    expect([bent.width, bent.length].map((size) => Math.round(10 * size) / 10)).toEqual([120, 40]);
    expect(touching(bent).steady).toBe(true);
    expect(touching(bent).room).toBeGreaterThan(18);
    expect(develop(sheet(on(FLOORED))).checks.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['sheet-stands', 'sheet-strain']),
    );
  });

  it.each([0, 30, 90])('laid on part of a ball, turned by %d degrees, rise as the ball does and rock', (angle) => {
    const bent = bentSheet(sheet(on(DOME, angle)).form, 4, 0.5);
    const ball = 120 ** 2 / 60 + 15 + 2;
    for (const { at } of [bent.place([0, 0]), bent.place([58, 0]), bent.place([20, 15])].filter(
      (one) => one !== null,
    )) {
      expect(at[2] + 2).toBeCloseTo(ball - Math.sqrt(ball ** 2 - at[0] ** 2 - at[1] ** 2), 0.7);
    }
    const turned = (angle * Math.PI) / 180;
    const end = bent.place([58, 0])?.at ?? [0, 0, 0];
    // Seen from the mould, the sheet's x axis is turned back.
    expect(Math.atan2(end[1], end[0]) + turned).toBeCloseTo(0, 1);
    expect(touching(bent).steady).toBe(false);
    expect(bent.strain?.gather).toBeGreaterThan(0.0003);
  });

  it('in a hollow of the same mould come out smaller than over it as a hump', () => {
    const over = bentSheet(sheet(on(DOME)).form, 4, 0.5);
    const into = bentSheet(sheet(on({ ...DOME, side: 'slump' })).form, 4, 0.5);
    expect(into.rise).toBeGreaterThan(over.rise);
  });

  it('on a mould stand on feet, longer where it rises', () => {
    const target = sheet({ ...on(DOME), feet: { count: 3, height: 6, diameter: 10 } });
    const footing = placeFeet(target.form, { t: 4, k: 0.5, shrinkage: 0.12 });
    expect(footing?.feet).toHaveLength(3);
    for (const { at, length } of footing?.feet ?? []) {
      const far = Math.hypot(...at);
      expect(length).toBeGreaterThan(6);
      expect(length - 6).toBeCloseTo(((far * far) / 2 / 259) * 0.88, 0);
    }
  });

  it('tell a thin bridge, a narrow tip and a sheet that rocks', () => {
    const hole = circle(12).map(([x, y, bulge]) => [x + 50, y, bulge] as const);
    expect(narrowest(sheet({ holes: [hole] }).form, 4).bridge).toBeCloseTo(4, 1);
    const codes = (change: Partial<SheetForm>) => develop(sheet(change)).checks.map(({ code }) => code);
    expect(codes({ holes: [hole] })).toEqual(expect.arrayContaining(['sheet-bridge', 'sheet-rocks']));
    const sliver = [
      [0, -60, 0.08],
      [0, 60, 0.08],
    ] as const;
    expect(codes({ outline: sliver })).toContain('sheet-tip');
    expect(codes({})).not.toContain('sheet-tip');
  });

  it('are cut with their holes, smaller by what they grow', () => {
    const hole = circle(20);
    const plain = develop(sheet({ holes: [hole] })).parts[0];
    expect(plain?.holes).toHaveLength(1);
    expect(plain?.volume).toBeCloseTo((4800 - 100 * Math.PI) * 4, 4);
    const grown = develop(sheet({ holes: [hole], grew: 1.05 })).parts[0];
    expect(grown?.outline[1]?.[0]).toBeCloseTo(60 / 1.05, 9);
    expect(grown?.volume).toBeCloseTo(((4800 - 100 * Math.PI) * 4) / 1.05 ** 2, 4);
    expect(scaledSheet(sheet().form, 2).outline[2]).toEqual([120, 40, 0]);
  });

  it.each([
    [
      'an outline that crosses itself',
      {
        outline: [
          [0, 0, 0],
          [80, 80, 0],
          [80, 0, 0],
          [0, 70, 0],
          [-40, 40, 0],
        ],
      },
      'form.outline',
    ],
    ['one that runs clockwise', { outline: [...RECTANGLE].reverse() }, 'form.outline'],
    ['a bottle that it would close round', { bend: { diameter: 30, angle: 90 } }, 'form.bend.diameter'],
    ['a mould that it reaches over', on({ ...DOME, rim: { kind: 'circle', diameter: 90 } }), 'form.bend.mould'],
    ['a mould with an undercut', on({ ...FLOORED, foot: { kind: 'circle', diameter: 300 } }), 'form.bend.mould.foot'],
    ['a mould without depth', on({ ...FLOORED, depth: 0 }), 'form.bend.mould.depth'],
    ['one point', { outline: [[0, 0, 0]] }, 'form.outline'],
    [
      'far places',
      {
        outline: [
          [0, 0, 0],
          [9000, 0, 0],
          [0, 90, 0],
        ],
      },
      'form.outline.1.0',
    ],
  ] as const)('refuse %s', (_, change, path) => {
    expect(checkTarget(sheet(change as Partial<SheetForm>)).map((fault) => fault.path)).toContain(path);
  });
});
