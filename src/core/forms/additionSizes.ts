import { additionsOf } from './additions.ts';
import type { Target } from '../target/target.ts';

/** One figure of a handle, of lugs, feet or a lid that a person may change. */
export interface AdditionSize {
  /** Its path in the file. */
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly unit: 'length' | 'count' | 'share' | 'angle' | 'mass';
  /** The design with this figure changed. */
  readonly put: (value: number) => Target;
}

type Row = readonly [key: string, label: string, value: number, unit?: Exclude<AdditionSize['unit'], 'length'>];

/** What can be added to a piece, in the order in which it is asked for. */
export const ADDITION_GROUPS = ['handle', 'lugs', 'feet', 'lid'] as const;

/** A group of additions. */
export type AdditionGroup = (typeof ADDITION_GROUPS)[number];

function rows(target: Target, group: AdditionGroup): readonly Row[] {
  const { handle, lugs, feet, lid } = target;
  if (group === 'handle' && handle) {
    const curve = additionsOf(target).handle?.curve;
    return [
      ['fingers', 'Fingers', handle.fingers, 'count'],
      ['clearance', 'Room round them, fired', handle.clearance],
      ['projection', 'Stands out, fired', handle.projection],
      ['below', 'Below the rim, fired', handle.below],
      ['drop', 'From end to end, fired', handle.drop ?? (curve ? curve.from - curve.to : 0)],
      ['crest', 'Stands out most at', handle.crest, 'share'],
      ['top', 'Upper end wide, fired', handle.top],
      ['bottom', 'Lower end wide, fired', handle.bottom],
      ['thickness', 'Thick, wet', handle.thickness],
      ['ends', 'Added at each end, wet', handle.ends],
      ['spares', 'Spare ones', handle.spares, 'count'],
    ];
  }
  if (group === 'lugs' && lugs) {
    return [
      ['width', 'Along the wall, fired', lugs.width],
      ['out', 'Stand out, fired', lugs.out],
      ['below', 'Below the rim, fired', lugs.below],
      ['thickness', 'Thick, wet', lugs.thickness],
      ['at', 'First one at', lugs.at, 'angle'],
    ];
  }
  if (group === 'feet' && feet) {
    return [
      ['count', 'Pads', feet.count, 'count'],
      ['diameter', 'Across a pad, fired', feet.diameter],
      ['thickness', 'Pad thick, wet', feet.thickness],
      ['inset', 'In from the edge, fired', feet.inset],
    ];
  }
  if (group === 'lid' && lid) {
    return [
      ['clearance', 'Room on each side, fired', lid.clearance],
      ['depth', lid.kind === 'flat' ? 'Flange deep, fired' : 'Side deep, fired', lid.depth],
      ...(lid.kind === 'flat' ? [['overhang', 'Past the rim, fired', lid.overhang] as const] : []),
      ['knob', 'Knob, weighed wet', lid.knob ?? 0, 'mass'],
    ];
  }
  return [];
}

/** The figures of what is added to a piece, in the order in which they are asked for; none when it has no such thing. */
export function additionSizes(target: Target, group: AdditionGroup): AdditionSize[] {
  return rows(target, group).map(([key, label, value, unit]) => ({
    key: `${group}.${key}`,
    label,
    value,
    unit: unit ?? 'length',
    put: (next) => ({
      ...target,
      [group]: { ...target[group], [key]: key === 'knob' && next === 0 ? undefined : next },
    }),
  }));
}
