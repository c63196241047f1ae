import { wetLength } from '../units/shrinkage.ts';
import { shortValue, type Fault } from '../errors.ts';
import { FEET_LIMITS } from '../target/feet.ts';
import { HANDLE_LIMITS, type Handle } from '../target/handle.ts';
import { LID_LIMITS } from '../target/lid.ts';
import { LUG_LIMITS } from '../target/lugs.ts';
import { rangeFaults } from '../ranges.ts';
import { additionsOf } from './additions.ts';
import { kindOf } from './kinds.ts';
import type { Target } from '../target/target.ts';

function handleRanges(handle: Handle): Fault[] {
  const L = HANDLE_LIMITS;
  const { length } = L;
  return (
    [
      ['fingers', L.fingers],
      ['clearance', L.clearance],
      ['projection', length],
      ['below', L.below],
      ['drop', length],
      ['crest', L.crest],
      ['top', length],
      ['bottom', length],
      ['thickness', L.thickness],
      ['ends', L.ends],
      ['spares', L.spares],
    ] as const
  ).flatMap(([key, range]) => rangeFaults(`handle.${key}`, handle[key], range));
}

function wholeFault(path: string, value: number | undefined): Fault[] {
  if (value === undefined || Number.isInteger(value)) return [];
  return [{ code: 'out-of-range', path, value: shortValue(value), rule: 'must be a whole number' }];
}

/** Figures of handle, lugs, feet and lid that are out of range. */
export function additionRanges({ handle, feet, lid, lugs }: Target): Fault[] {
  return [
    ...(handle ? handleRanges(handle) : []),
    ...wholeFault('handle.fingers', handle?.fingers),
    ...wholeFault('handle.spares', handle?.spares),
    ...rangeFaults('feet.count', feet?.count, FEET_LIMITS.count),
    ...wholeFault('feet.count', feet?.count),
    ...rangeFaults('feet.diameter', feet?.diameter, FEET_LIMITS.diameter),
    ...rangeFaults('feet.thickness', feet?.thickness, FEET_LIMITS.thickness),
    ...rangeFaults('feet.inset', feet?.inset, FEET_LIMITS.inset),
    ...rangeFaults('lid.clearance', lid?.clearance, LID_LIMITS.clearance),
    ...rangeFaults('lid.depth', lid?.depth, LID_LIMITS.depth),
    ...rangeFaults('lid.overhang', lid?.overhang, LID_LIMITS.overhang),
    ...rangeFaults('lid.knob', lid?.knob, LID_LIMITS.knob),
    ...rangeFaults('lugs.width', lugs?.width, LUG_LIMITS.length),
    ...rangeFaults('lugs.out', lugs?.out, LUG_LIMITS.length),
    ...rangeFaults('lugs.below', lugs?.below, LUG_LIMITS.below),
    ...rangeFaults('lugs.thickness', lugs?.thickness, LUG_LIMITS.thickness),
    ...rangeFaults('lugs.at', lugs?.at, LUG_LIMITS.at),
  ];
}

/** What cannot be joined to a piece that can itself be made. */
export function additionFaults(target: Target): Fault[] {
  const { handle, feet, lid, lugs, base } = target;
  if (!handle && !feet && !lid && !lugs) return [];
  const impossible = (path: string, value: number | string, rule: string): Fault => ({
    code: 'impossible-piece',
    path,
    value: shortValue(value),
    rule,
  });
  const faults: Fault[] = [];
  const made = additionsOf(target);
  if (handle && made.handle) {
    const { curve, wall } = made.handle;
    const thick = wall.rim - handle.below - curve.from;
    if (curve.to - thick < 0) {
      const most = curve.from - thick;
      const rule = `leaves the handle’s lower end off the wall: from its upper end it is ${Math.max(0, most).toFixed(1)} mm to the table`;
      faults.push(
        impossible(handle.drop === undefined ? 'handle.fingers' : 'handle.drop', handle.drop ?? handle.fingers, rule),
      );
    }
    if (handle.projection <= 3 * thick) {
      const rule = `must stand out more than ${(3 * thick).toFixed(1)} mm, or nothing is open behind it`;
      faults.push(impossible('handle.projection', handle.projection, rule));
    }
  }
  if (feet && base.join === 'none') faults.push(impossible('feet', 'none', 'need a base to stand under'));
  if (feet && made.feet.length > 0) {
    const reach = Math.min(...made.feet.map(([x, y]) => Math.hypot(x, y)));
    const pad = feet.diameter / 2 / (1 - target.clay.shrinkage);
    if (!(reach > pad)) faults.push(impossible('feet.diameter', feet.diameter, 'leaves no room between the pads'));
  }
  if (lid && made.lid && !(made.lid.free > 0 && made.lid.parts.every(({ volume }) => volume > 0))) {
    faults.push(impossible('lid.clearance', lid.clearance, 'leaves no opening for the flange'));
  }
  if (lugs) faults.push(...lugFaults(target, impossible));
  return faults;
}

/** Most that the opposite wall may be off the template: scoring and pressing takes it up (wet mm). */
const UNLIKE = 0.5;

function lugFaults(target: Target, impossible: (path: string, value: number, rule: string) => Fault): Fault[] {
  const { lugs } = target;
  if (!lugs) return [];
  const made = additionsOf(target).lugs;
  if (made) {
    return made.unlike <= UNLIKE
      ? []
      : [impossible('lugs.at', lugs.at, 'has another wall opposite: one template does not fit both')];
  }
  const { shrinkage } = target.clay;
  const room = kindOf(target).standing(target).rim[0] - wetLength(lugs.below, shrinkage) - lugs.thickness;
  return room < 0
    ? [impossible('lugs.below', lugs.below, 'leaves the lugs no wall to stand on')]
    : [
        impossible(
          'lugs.width',
          lugs.width,
          'is wider than the wall that it stands on, or stands out too little for its bend',
        ),
      ];
}
