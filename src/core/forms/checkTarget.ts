import { shortValue, type Fault } from '../errors.ts';
import { once } from '../numbers.ts';
import { BEVEL_LIMITS } from '../target/seam.ts';
import { isConvex } from '../geometry/outline/arcOutline.ts';
import { drawnReach } from '../parts/plan/plan.ts';
import type { PlanOutline } from '../target/plan.ts';
import { additionFaults, additionRanges } from './additionFaults.ts';
import { rangeFaults, type Range } from '../ranges.ts';
import { TEMPLATE_LIMITS } from '../target/arcTemplate.ts';
import { kindOf } from './kinds.ts';
import { LIMITS, SIDES_LIMITS, type Form, type Target } from '../target/target.ts';

const SIZE: Range = { above: 0, greatest: LIMITS.size.greatest };
const CORNER: Range = { least: 0, greatest: LIMITS.size.greatest };
const PLACE: Range = { least: -LIMITS.size.greatest, greatest: LIMITS.size.greatest };

const TURN: Range = { least: 0, greatest: 360 };

type Ranged = readonly [key: string, value: number, range: Range];

/** The figures of a plan outline with their paths and ranges (mm). */
export function planRanges(key: string, plan: PlanOutline): Ranged[] {
  const at = (plan.at ?? []).map((value, index): Ranged => [`${key}.at.${index}`, value, PLACE]);
  switch (plan.kind) {
    case 'circle':
      return [[`${key}.diameter`, plan.diameter, SIZE], ...at];
    case 'ellipse':
      return [[`${key}.length`, plan.length, SIZE], [`${key}.width`, plan.width, SIZE], ...at];
    case 'rounded': {
      const most = { least: 0, greatest: Math.min(plan.length, plan.width) / 2 };
      return [
        [`${key}.length`, plan.length, SIZE],
        [`${key}.width`, plan.width, SIZE],
        [`${key}.corner`, plan.corner, most],
        ...at,
      ];
    }
    case 'polygon': {
      const most = { least: 0, greatest: plan.acrossFlats / 2 };
      return [
        [`${key}.sides`, plan.sides, SIDES_LIMITS],
        [`${key}.acrossFlats`, plan.acrossFlats, SIZE],
        [`${key}.corner`, plan.corner, most],
        ...at,
      ];
    }
    case 'drawn':
      return [
        [`${key}.points`, drawnReach(plan), SIZE],
        [`${key}.corner`, plan.corner, { least: 0, greatest: drawnReach(plan) / 4 }],
        ...(plan.grow === undefined ? [] : [[`${key}.grow`, plan.grow, PLACE] as const]),
        ...at,
      ];
  }
}

/** Why no wall stands on a drawn outline. */
export function drawnPlanFaults(path: string, plan: PlanOutline | undefined): Fault[] {
  if (plan?.kind !== 'drawn' || isConvex(plan.points)) return [];
  return [
    {
      code: 'impossible-piece',
      path: `${path}.points`,
      value: `${plan.points.length} points`,
      rule: 'must run once round, counter-clockwise, and nowhere bend inward',
    },
  ];
}

/** The same for both outlines of a form. */
function drawnFaults(form: Form): Fault[] {
  if (form.kind === 'loft' || form.kind === 'mould')
    return [...drawnPlanFaults('form.rim', form.rim), ...drawnPlanFaults('form.foot', form.foot)];
  if (form.kind !== 'sheet' || !('mould' in form.bend)) return [];
  const { rim, foot } = form.bend.mould;
  return [...drawnPlanFaults('form.bend.mould.rim', rim), ...drawnPlanFaults('form.bend.mould.foot', foot)];
}

/** The figures of a form with their paths and ranges (mm). */
function formRanges(form: Form): Ranged[] {
  switch (form.kind) {
    case 'cylinder':
      return [
        ['diameter', form.diameter, SIZE],
        ['height', form.height, SIZE],
      ];
    case 'taper':
      return [
        ['rim', form.rim, SIZE],
        ['foot', form.foot, SIZE],
        ['height', form.height, SIZE],
      ];
    case 'stack':
      return form.profile.flatMap(([height, across], index): Ranged[] => [
        [`profile.${index}.0`, height, CORNER],
        [`profile.${index}.1`, across, SIZE],
      ]);
    case 'oval':
    case 'box':
      return [
        ['length', form.length, SIZE],
        ['width', form.width, SIZE],
        ['height', form.height, SIZE],
      ];
    case 'facet':
      return [
        ['sides', form.sides, SIDES_LIMITS],
        ['rim', form.rim, SIZE],
        ['foot', form.foot, SIZE],
        ['height', form.height, SIZE],
      ];
    case 'loft':
      return [...planRanges('rim', form.rim), ...planRanges('foot', form.foot), ['height', form.height, SIZE]];
    case 'former':
      return [
        ['diameter', form.diameter, SIZE],
        ['sleeve', form.sleeve, CORNER],
        ['height', form.height, SIZE],
      ];
    case 'mould':
      return [
        ...planRanges('rim', form.rim),
        ...(form.foot ? planRanges('foot', form.foot) : []),
        ['depth', form.depth, SIZE],
      ];
    case 'sheet': {
      const mould = 'mould' in form.bend ? form.bend.mould : null;
      if (!mould) return [];
      return [
        ...planRanges('bend.mould.rim', mould.rim),
        ...(mould.foot ? planRanges('bend.mould.foot', mould.foot) : []),
        ['bend.mould.depth', mould.depth, SIZE],
      ];
    }
    case 'mesh':
    case 'stand':
      return [];
  }
}

/** Figures of what the piece must fit, and of the marks on its wall. */
function optionalRanges({ fit, marks, belly, inHand }: Target): Ranged[] {
  const given = (key: string, value: number | undefined, range: Range): Ranged[] =>
    value === undefined ? [] : [[key, value, range]];
  const panels = marks?.panels;
  return [
    ...(inHand?.kind === 'sheet'
      ? given('inHand.around', inHand.around, SIZE).concat(given('inHand.up', inHand.up, SIZE))
      : []),
    ...(inHand?.kind === 'cutter' ? given('inHand.across', inHand.across, SIZE) : []),
    ...given('fit.hole', fit?.hole, SIZE),
    ...given('fit.shelf', fit?.shelf, SIZE),
    ...given('fit.clearance', fit?.clearance, CORNER),
    ...given('marks.panels.count', panels && 'count' in panels ? panels.count : undefined, LIMITS.wallPanels),
    ...given('marks.panels.width', panels && 'width' in panels ? panels.width : undefined, LIMITS.panelWidth),
    ...given('marks.repeat', marks?.repeat, LIMITS.repeat),
    ...(marks?.places ?? []).map(({ at }, index): Ranged => [`marks.places.${index}.at`, at, TURN]),
    ...given('marks.textAt.at', marks?.textAt?.at, TURN),
    ...given('marks.textAt.up', marks?.textAt?.up, LIMITS.textUp),
    ...(typeof belly === 'object'
      ? [...given('belly.diameter', belly.diameter, SIZE), ...given('belly.at', belly.at, SIZE)]
      : given('belly', belly, SIZE)),
  ];
}

function wholeNumbers({ form, seam, marks }: Target): Fault[] {
  const counted: Ranged[] = [['seam.panels', seam.panels, LIMITS.panels]];
  if (marks?.panels && 'count' in marks.panels) {
    counted.push(['marks.panels.count', marks.panels.count, LIMITS.wallPanels]);
  }
  if (form.kind === 'facet') counted.push(['form.sides', form.sides, SIDES_LIMITS]);
  if (form.kind === 'loft' || form.kind === 'mould') {
    for (const key of ['rim', 'foot'] as const) {
      const plan = form[key];
      if (plan?.kind === 'polygon') counted.push([`form.${key}.sides`, plan.sides, SIDES_LIMITS]);
    }
  }
  return counted
    .filter(([, value]) => !Number.isInteger(value))
    .map(([path, value]) => ({ code: 'out-of-range', path, value: shortValue(value), rule: 'must be a whole number' }));
}

/** An owned arc template: its figures, and that there is a tapered wall to trace with it. */
function ownedFaults({ owned, form }: Target): Fault[] {
  if (!owned) return [];
  const { inner, outer, sweep } = owned;
  const faults = [
    ...rangeFaults('owned.inner', inner, TEMPLATE_LIMITS.radius),
    ...rangeFaults('owned.outer', outer, TEMPLATE_LIMITS.radius),
    ...rangeFaults('owned.sweep', sweep, TEMPLATE_LIMITS.sweep),
  ];
  if (faults.length > 0) return faults;
  const impossible = (path: string, value: unknown, rule: string): Fault[] => [
    { code: 'impossible-piece', path, value: shortValue(value), rule },
  ];
  if (inner >= outer) return impossible('owned.inner', inner, 'must be less than the outer radius');
  return form.kind === 'taper' ? [] : impossible('owned', form.kind, 'goes with a tapered wall only');
}

/** Ranges of every figure; sizes are mm. */
function outOfRange(target: Target): Fault[] {
  const { clay, slab, form, seam, base } = target;
  const faults = [
    ...rangeFaults('clay.shrinkage', clay.shrinkage, LIMITS.shrinkage),
    ...rangeFaults('clay.wetDensity', clay.wetDensity, LIMITS.wetDensity),
    ...rangeFaults('slab.wall', slab.wall, LIMITS.thickness),
    ...rangeFaults('slab.base', slab.base, LIMITS.thickness),
    ...rangeFaults('slab.neutralFraction', slab.neutralFraction, LIMITS.neutralFraction),
    ...formRanges(form).flatMap(([key, value, range]) => rangeFaults(`form.${key}`, value, range)),
    ...rangeFaults('seam.panels', seam.panels, LIMITS.panels),
    ...rangeFaults('base.trim', base.trim, LIMITS.trim),
    ...optionalRanges(target).flatMap(([path, value, range]) => rangeFaults(path, value, range)),
  ];
  if (seam.kind === 'bevel') faults.push(...rangeFaults('seam.angle', seam.angle, BEVEL_LIMITS));
  if (seam.kind === 'lap' || seam.kind === 'half-lap') {
    faults.push(...rangeFaults('seam.overlap', seam.overlap, LIMITS.overlap));
  }
  if (seam.kind === 'cut-in-place') faults.push(...rangeFaults('seam.margin', seam.margin, LIMITS.overlap));
  if (base.join === 'skirt') faults.push(...rangeFaults('base.overlap', base.overlap, LIMITS.overlap));
  faults.push(...drawnFaults(form), ...wholeNumbers(target), ...additionRanges(target), ...ownedFaults(target));
  return faults;
}

/**
 * Every reason why a target of the right shape cannot be developed: figures out of range first, then what no slab can
 * make. Empty when it can. Figures are checked against {@link LIMITS}. Targets never change, so each is checked once.
 */
export const checkTarget = once((target: Target): readonly Fault[] => {
  const faults = outOfRange(target);
  if (faults.length > 0) return faults;
  const impossible = kindOf(target).faults(target);
  return impossible.length > 0 ? impossible : additionFaults(target);
});
