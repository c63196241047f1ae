import { shortValue, type Fault } from '../errors.ts';
import { once } from '../numbers.ts';
import { BEVEL_LIMITS } from '../target/seam.ts';
import { additionFaults, additionRanges } from './additionFaults.ts';
import { rangeFaults, type Range } from '../ranges.ts';
import { TEMPLATE_LIMITS } from '../target/arcTemplate.ts';
import { CORNER, SIZE, type Ranged } from './kind/ranged.ts';
import { kindOf, kindOfForm } from './kinds.ts';
import { LIMITS, type Form, type Target } from '../target/target.ts';

const TURN: Range = { least: 0, greatest: 360 };

/** The figures of a form with their paths and ranges (mm). */
function formRanges(form: Form): Ranged[] {
  return kindOfForm(form)
    .ranges(form)
    .map(([key, value, range, unit]) => [`form.${key}`, value, range, unit]);
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
  counted.push(...formRanges(form).filter(([, , , unit]) => unit === 'count'));
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
    ...formRanges(form).flatMap(([path, value, range]) => rangeFaults(path, value, range)),
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
  faults.push(
    ...(kindOfForm(form).shapeFaults?.(form) ?? []),
    ...wholeNumbers(target),
    ...additionRanges(target),
    ...ownedFaults(target),
  );
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
