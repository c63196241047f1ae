import { shortValue, type Fault } from '../../errors.ts';
import { bentSheet } from './bentSheet.ts';
import { mouldUnder } from './onMould.ts';
import { MOST_WRAP } from './overCylinder.ts';
import { footLetter, hangingFoot, placeFeet } from './placeFeet.ts';
import { pointsOf } from './sheetForm.ts';
import { SHEET_LIMITS, type SheetForm } from '../../target/sheetForm.ts';
import { mouldFaults } from '../mould/drapedFaults.ts';
import { insideLine } from '../../geometry/outline/insideLine.ts';
import { crossesItself, crossOneAnother } from '../../geometry/outline/crossing.ts';
import { mirrored, scaled, validateOutline, type Outline } from '../../geometry/outline/outline.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import type { Mark, Part } from '../../parts/part/part.ts';
import { rangeFaults } from '../../ranges.ts';
import type { Reach, Standing } from '../kind/standing.ts';
import type { Target } from '../../target/target.ts';
import type { DevelopedForm, FormKindWork } from '../kind/kind.ts';
import type { Point } from '../../geometry/point.ts';
import { ROUNDING } from '../../numbers.ts';

const formOf = (target: Target) => target.form as SheetForm;

/** Rows of a silhouette. */
const ROWS = 16;

type Places = readonly (readonly [number, number, number])[];

function extent(points: Places, axis: 0 | 1 | 2): readonly [number, number] {
  return points.reduce(
    ([least, most], point) => [Math.min(least, point[axis]), Math.max(most, point[axis])],
    [Infinity, -Infinity],
  );
}

/** How far a hollow face reaches to both sides up to each height, seen along y from below. */
function silhouette(points: Places): Reach[] {
  const [low, high] = extent(points, 2);
  const sorted = [...points].sort(([, , z0], [, , z1]) => z0 - z1);
  let [at, left, right] = [0, Infinity, -Infinity];
  return Array.from({ length: ROWS + 1 }, (_, row): Reach => {
    // Over a curve the first rows are closer together, where it is flattest.
    const z = low + (high - low) * (row / ROWS) ** 2;
    for (let next = sorted[at]; next && next[2] <= z + ROUNDING; next = sorted[at]) {
      [left, right] = [Math.min(left, next[0]), Math.max(right, next[0])];
      at += 1;
    }
    return [z, left, right];
  });
}

/** The bent sheet as it lies hollow side up, seen along the cylinder or the mould's y axis, wet mm. */
function standing(target: Target): Standing {
  const { wall: t, neutralFraction: k } = target.slab;
  const bent = bentSheet(formOf(target), t, k);
  const outer = silhouette(bent.outer);
  const hollow = silhouette(bent.inner);
  const size = (points: Places, axis: 0 | 1) => {
    const [least, most] = extent(points, axis);
    return most - least;
  };
  const across = [size(bent.outer, 0), size(bent.outer, 1)] as const;
  const height = Math.max(outer.at(-1)?.[0] ?? 0, hollow.at(-1)?.[0] ?? 0);
  const plan = supportOf({ kind: 'rounded', length: across[0], width: across[1], corner: 0 });
  return {
    height,
    floor: t,
    outer,
    rim: outer.at(-1) ?? [height, 0, 0],
    hollow,
    mouth: [size(bent.inner, 0), size(bent.inner, 1)],
    across,
    section: () => ({ outer: plan, inner: plan }),
    hollowVolume: 0,
  };
}

/** Half of the cross that marks a foot (mm). */
const CROSS = 6;

function sheetPart(target: Target): Part {
  const { slab, clay } = target;
  const form = formOf(target);
  const factor = 1 / (form.grew ?? 1);
  const over = slab.faceUp === 'outside';
  const sign = over ? -1 : 1;
  const drawn = (outline: Outline) => (over ? mirrored(scaled(outline, factor)) : scaled(outline, factor));
  const at = ([x, y]: readonly [number, number]) => [sign * factor * x, factor * y] as const;
  const line = (
    name: 'panel' | 'fold' | 'place',
    from: readonly [number, number],
    to: readonly [number, number],
  ): Mark => ({ kind: 'line', name, from: at(from), to: at(to) });
  const bent = bentSheet(form, slab.wall, slab.neutralFraction);
  const footing = placeFeet(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
  const outline = drawn(form.outline);
  return {
    id: 'sheet',
    role: 'sheet',
    name: 'Sheet',
    count: 1,
    thickness: slab.wall,
    faceUp: slab.faceUp,
    outline,
    ...(form.holes && { holes: form.holes.map(drawn) }),
    underside: outline,
    leans: [],
    marks: [
      ...(bent.axis ? [line('fold', ...bent.axis)] : []),
      ...(form.lines ?? []).flatMap((vein) =>
        vein.slice(1).map((point, index) => line('panel', vein[index] as readonly [number, number], point)),
      ),
      ...(footing?.feet ?? []).flatMap(({ at: [x, y] }) => [
        line('place', [x - CROSS, y], [x + CROSS, y]),
        line('place', [x, y - CROSS], [x, y + CROSS]),
      ]),
      ...(footing?.feet ?? []).map(({ at: [x, y] }, index): Mark => ({
        kind: 'words',
        at: at([x, y - CROSS - 5]),
        text: footLetter(index),
      })),
    ],
    volume: bent.area * factor * factor * slab.wall,
  };
}

function develop(target: Target): DevelopedForm {
  const { slab, clay } = target;
  const form = formOf(target);
  const bent = bentSheet(form, slab.wall, slab.neutralFraction);
  const footing = placeFeet(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
  return {
    numbers: {
      bevelRun: 0,
      bentLength: bent.length,
      bentWidth: bent.width,
      bentRise: bent.rise,
      ...(footing && { footLengths: footing.feet.map(({ length }) => length) }),
    },
    parts: [sheetPart(target)],
    bendRadius: bent.bendRadius,
  };
}

function outlineFaults(path: string, outline: Outline): Fault[] {
  const { place, points } = SHEET_LIMITS;
  if (outline.length < points.least || outline.length > points.greatest)
    return [
      {
        code: 'out-of-range',
        path,
        value: shortValue(outline.length),
        rule: `must have ${points.least} to ${points.greatest} points`,
      },
    ];
  const ranges = outline.flatMap(([x, y], index) => [
    ...rangeFaults(`${path}.${index}.0`, x, place),
    ...rangeFaults(`${path}.${index}.1`, y, place),
  ]);
  if (ranges.length > 0) return ranges;
  const wrong = validateOutline(outline);
  if (wrong.length > 0)
    return wrong.map((rule) => ({ code: 'impossible-piece', path, value: shortValue(outline.length), rule }));
  if (crossesItself(outline))
    return [{ code: 'impossible-piece', path, value: shortValue(outline.length), rule: 'crosses itself' }];
  return [];
}

/** Holes that lie outside the sheet, or run through its outline or another hole: they would be cut into one another. */
function holeFaults({ outline, holes = [] }: SheetForm): Fault[] {
  const border = pointsOf(outline, 1);
  const lines = holes.map((hole) => pointsOf(hole, 1));
  return holes.flatMap((hole, index): Fault[] => {
    const fault = (rule: string): Fault[] => [
      { code: 'impossible-piece', path: `form.holes.${index}`, value: shortValue(hole.length), rule },
    ];
    const within = (line: readonly Point[], one: number) => insideLine(line, lines[one]?.[0] ?? [0, 0]);
    if (crossOneAnother(hole, outline)) return fault('runs through the outline of the sheet');
    if (!within(border, index)) return fault('lies outside the sheet');
    for (let other = 0; other < index; other += 1) {
      const nested = within(lines[other] ?? [], index) || within(lines[index] ?? [], other);
      if (nested || crossOneAnother(hole, holes[other] ?? [])) return fault(`runs into hole ${other + 1}`);
    }
    return [];
  });
}

const impossible = (path: string, value: unknown, rule: string): Fault => ({
  code: 'impossible-piece',
  path,
  value: shortValue(value),
  rule,
});

function faults(target: Target): Fault[] {
  const form = formOf(target);
  const { diameter, angle, place, grew, footHeight, footAcross, holes, lines } = SHEET_LIMITS;
  const many = (path: string, count: number, most: number): Fault[] =>
    count > most ? [{ code: 'out-of-range', path, value: shortValue(count), rule: `at most ${most} are taken` }] : [];
  const ranges = [
    ...('diameter' in form.bend ? rangeFaults('form.bend.diameter', form.bend.diameter, diameter) : []),
    ...rangeFaults('form.bend.angle', form.bend.angle, angle),
    ...(form.lines ?? []).flatMap((vein, at) =>
      vein.flatMap(([x, y], index) => [
        ...rangeFaults(`form.lines.${at}.${index}.0`, x, place),
        ...rangeFaults(`form.lines.${at}.${index}.1`, y, place),
      ]),
    ),
    ...(form.grew === undefined ? [] : rangeFaults('form.grew', form.grew, grew)),
    ...(form.feet
      ? [
          ...rangeFaults('form.feet.height', form.feet.height, footHeight),
          ...rangeFaults('form.feet.diameter', form.feet.diameter, footAcross),
        ]
      : []),
    ...(form.feet?.at ?? []).flatMap(([x, y], index) => [
      ...rangeFaults(`form.feet.at.${index}.0`, x, place),
      ...rangeFaults(`form.feet.at.${index}.1`, y, place),
    ]),
    ...(form.feet?.at && form.feet.at.length !== form.feet.count
      ? [impossible('form.feet.at', form.feet.at.length, `must have a place for each of the ${form.feet.count} feet`)]
      : []),
    ...many('form.holes', form.holes?.length ?? 0, holes.greatest),
    ...many('form.lines', form.lines?.length ?? 0, lines.greatest),
    ...outlineFaults('form.outline', form.outline),
    ...(form.holes ?? []).slice(0, holes.greatest).flatMap((hole, index) => outlineFaults(`form.holes.${index}`, hole)),
  ];
  if (ranges.length > 0) return ranges;
  const crossing = holeFaults(form);
  if (crossing.length > 0) return crossing;
  const unwanted = (['handle', 'lid', 'feet', 'lugs'] as const).filter((key) => target[key] !== undefined);
  if (unwanted.length > 0)
    return unwanted.map((key) => impossible(key, key, 'does not go on a bent sheet: it has feet of its own'));
  const { wall, neutralFraction } = target.slab;
  const { bend } = form;
  if ('mould' in bend) {
    const into = bend.mould.side === 'slump' ? wall : 0;
    const wrong = mouldFaults(mouldUnder(bend.mould), into);
    if (wrong.length > 0) return wrong.map((one) => ({ ...one, path: one.path.replace(/^form/, 'form.bend.mould') }));
  }
  const bent = bentSheet(form, wall, neutralFraction);
  const hanging = hangingFoot(form, target.clay.shrinkage);
  if (hanging >= 0) return [impossible(`form.feet.at.${hanging}`, 'at', 'hangs over the edge of the sheet or a hole')];
  if ('diameter' in bend && bent.wrap > MOST_WRAP)
    return [impossible('form.bend.diameter', bend.diameter, 'is too small: the sheet would close round it')];
  if (!bent.whole) return [impossible('form.bend.mould', 'rim', 'is too small: the sheet would reach over its rim')];
  return [];
}

/** A sheet that is bent over something. */
export const sheetWork = { standing, develop, faults } satisfies Partial<FormKindWork>;
