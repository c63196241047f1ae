import { shortValue, type Fault } from '../../errors.ts';
import { bentSheet, MOST_WRAP, placeFeet, pointsOf, scaledOutline, SHEET_LIMITS, type SheetForm } from '../../bentSheet/bentSheet.ts'; // prettier-ignore
import { mirrored, validateOutline, type Outline } from '../../outline/outline.ts';
import { supportOf } from '../../outline/plan.ts';
import type { Mark, Part } from '../../part/part.ts';
import { rangeFaults } from '../../ranges.ts';
import type { Reach, Standing } from '../standing.ts';
import type { Target } from '../target.ts';
import type { DevelopedForm, FormKindWork } from './kind.ts';

const formOf = (target: Target) => target.form as SheetForm;

/** Rows of a silhouette. */
const ROWS = 16;

/** The bent sheet as it lies hollow side up, seen along the cylinder, wet mm. */
function standing(target: Target): Standing {
  const { wall: t, neutralFraction: k } = target.slab;
  const form = formOf(target);
  const bent = bentSheet(form, t, k);
  const [inner, outer] = [bent.neutralRadius - k * t, bent.neutralRadius + (1 - k) * t];
  const wrap = Math.min(MOST_WRAP, bent.wrap);
  const arc = (radius: number): Reach[] =>
    Array.from({ length: ROWS + 1 }, (_, row): Reach => {
      const turn = (wrap * row) / ROWS;
      return [outer - radius * Math.cos(turn), -radius * Math.sin(turn), radius * Math.sin(turn)];
    });
  const side = arc(outer);
  const inside = arc(inner);
  const height = Math.max(side.at(-1)?.[0] ?? 0, inside.at(-1)?.[0] ?? 0);
  const across = 2 * outer * Math.sin(wrap);
  const plan = supportOf({ kind: 'rounded', length: across, width: bent.length, corner: 0 });
  return {
    height,
    floor: t,
    outer: side,
    rim: side.at(-1) ?? [height, 0, 0],
    hollow: inside,
    mouth: [2 * inner * Math.sin(wrap), bent.length],
    across: [across, bent.length],
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
  const drawn = (outline: Outline) =>
    over ? mirrored(scaledOutline(outline, factor)) : scaledOutline(outline, factor);
  const at = ([x, y]: readonly [number, number]) => [sign * factor * x, factor * y] as const;
  const line = (name: 'panel' | 'fold' | 'place', from: readonly [number, number], to: readonly [number, number]): Mark => ({ kind: 'line', name, from: at(from), to: at(to) }); // prettier-ignore
  const bent = bentSheet(form, slab.wall, slab.neutralFraction);
  const footing = placeFeet(form, slab.wall, slab.neutralFraction, clay.shrinkage);
  const outline = drawn(form.outline);
  return {
    id: 'sheet',
    name: 'Sheet',
    count: 1,
    thickness: slab.wall,
    faceUp: slab.faceUp,
    outline,
    ...(form.holes && { holes: form.holes.map(drawn) }),
    underside: outline,
    leans: [],
    marks: [
      line('fold', bent.back([0, -bent.length / 2]), bent.back([0, bent.length / 2])),
      ...(form.lines ?? []).flatMap((vein) => vein.slice(1).map((point, index) => line('panel', vein[index] as readonly [number, number], point))), // prettier-ignore
      ...(footing?.feet ?? []).flatMap(({ at: [x, y] }) => [line('place', [x - CROSS, y], [x + CROSS, y]), line('place', [x, y - CROSS], [x, y + CROSS])]), // prettier-ignore
    ],
    volume: bent.area * factor * factor * slab.wall,
  };
}

function develop(target: Target): DevelopedForm {
  const { slab, clay } = target;
  const form = formOf(target);
  const bent = bentSheet(form, slab.wall, slab.neutralFraction);
  const footing = placeFeet(form, slab.wall, slab.neutralFraction, clay.shrinkage);
  return {
    numbers: {
      bevelRun: 0,
      bentLength: bent.length,
      bentWidth: bent.width,
      bentRise: bent.rise,
      ...(footing && { footLengths: footing.feet.map(({ length }) => length) }),
    },
    parts: [sheetPart(target)],
    bendRadius: bent.neutralRadius,
  };
}

function outlineFaults(path: string, outline: Outline): Fault[] {
  const { place, points } = SHEET_LIMITS;
  if (outline.length < points.least || outline.length > points.greatest) return [{ code: 'out-of-range', path, value: shortValue(outline.length), rule: `must have ${points.least} to ${points.greatest} points` }]; // prettier-ignore
  const ranges = outline.flatMap(([x, y], index) => [...rangeFaults(`${path}.${index}.0`, x, place), ...rangeFaults(`${path}.${index}.1`, y, place)]); // prettier-ignore
  if (ranges.length > 0) return ranges;
  const wrong = validateOutline(outline);
  if (wrong.length > 0) return wrong.map((rule) => ({ code: 'impossible-piece', path, value: shortValue(outline.length), rule })); // prettier-ignore
  if (crosses(outline)) return [{ code: 'impossible-piece', path, value: shortValue(outline.length), rule: 'crosses itself' }]; // prettier-ignore
  return [];
}

/** Whether an outline runs through itself, looked at in straight pieces. */
function crosses(outline: Outline): boolean {
  const points = pointsOf(outline, 4);
  const count = points.length;
  const at = (index: number) => points[index % count] as readonly [number, number];
  const side = (a: readonly [number, number], b: readonly [number, number], p: readonly [number, number]) => Math.sign((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])); // prettier-ignore
  for (let one = 0; one < count; one += 1) {
    for (let other = one + 2; other < count; other += 1) {
      if (one === 0 && other === count - 1) continue;
      const [a, b, c, d] = [at(one), at(one + 1), at(other), at(other + 1)];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  }
  return false;
}

function faults(target: Target): Fault[] {
  const form = formOf(target);
  const { diameter, angle, grew, footHeight, footAcross, holes, lines } = SHEET_LIMITS;
  const many = (path: string, count: number, most: number): Fault[] => count > most ? [{ code: 'out-of-range', path, value: shortValue(count), rule: `at most ${most} are taken` }] : []; // prettier-ignore
  const ranges = [
    ...rangeFaults('form.bend.diameter', form.bend.diameter, diameter),
    ...rangeFaults('form.bend.angle', form.bend.angle, angle),
    ...(form.grew === undefined ? [] : rangeFaults('form.grew', form.grew, grew)),
    ...(form.feet ? [...rangeFaults('form.feet.height', form.feet.height, footHeight), ...rangeFaults('form.feet.diameter', form.feet.diameter, footAcross)] : []), // prettier-ignore
    ...many('form.holes', form.holes?.length ?? 0, holes.greatest),
    ...many('form.lines', form.lines?.length ?? 0, lines.greatest),
    ...outlineFaults('form.outline', form.outline),
    ...(form.holes ?? []).slice(0, holes.greatest).flatMap((hole, index) => outlineFaults(`form.holes.${index}`, hole)),
  ];
  if (ranges.length > 0) return ranges;
  const impossible = (path: string, value: unknown, rule: string): Fault => ({ code: 'impossible-piece', path, value: shortValue(value), rule }); // prettier-ignore
  const unwanted = (['handle', 'lid', 'feet'] as const).filter((key) => target[key] !== undefined);
  if (unwanted.length > 0) return unwanted.map((key) => impossible(key, key, 'does not go on a bent sheet: it has feet of its own')); // prettier-ignore
  const { wall, neutralFraction, } = target.slab; // prettier-ignore
  const bent = bentSheet(form, wall, neutralFraction);
  if (bent.wrap > MOST_WRAP) return [impossible('form.bend.diameter', form.bend.diameter, 'is too small: the sheet would close round it')]; // prettier-ignore
  return [];
}

/** Sheets bent over a cylinder. */
export const sheetKind: FormKindWork<Target> = { standing, develop, faults };
