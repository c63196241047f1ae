import { AIR_LIMITS, ROOM, type Air } from '../drying/air.ts';
import type { Fault } from '../../errors.ts';
import { LIMITS, type FormKind } from '../../target/target.ts';
import { rangeFaults, textFaults } from '../../ranges.ts';
import { NO_OWN_WORK, OWN_LIMITS, type OwnWork } from './ownWork.ts';
import { DEFAULT_SCHOOLS, type Schools } from './workStep.ts';

/** How this table works where schools differ, the air of its shed, and its own order of work by the kind of piece: one record. */
export interface HouseWay {
  readonly name: string;
  readonly schools: Schools;
  readonly air: Air;
  readonly own: Partial<Readonly<Record<FormKind, OwnWork>>>;
}

/** The record that the house way is kept in. */
export const HOUSE_WAY_ID = '5f0e1c7a-9b1d-4e0a-8f43-0c6d2a7b9e51';

/** A house way of which only some is known; the rest as nothing was chosen. */
export function houseWayOf(
  known: Partial<Omit<HouseWay, 'schools' | 'air'>> & { schools?: Partial<Schools>; air?: Partial<Air> } = {},
): HouseWay {
  return {
    name: 'The house way',
    schools: { ...DEFAULT_SCHOOLS, ...known.schools },
    air: { ...ROOM, ...known.air },
    own: known.own ?? {},
  };
}

/** The house way's own order of work for a kind of piece. */
export const ownWorkOf = ({ own }: HouseWay, kind: FormKind): OwnWork => ({ ...NO_OWN_WORK, ...own[kind] });

/** Every reason why a house way cannot be kept; empty when it can. */
export function checkHouseWay({ name, air, own }: HouseWay): Fault[] {
  return [
    ...textFaults('name', name, { most: LIMITS.nameLength.greatest, least: LIMITS.nameLength.least }),
    ...rangeFaults('air.temperature', air.temperature, AIR_LIMITS.temperature),
    ...rangeFaults('air.humidity', air.humidity, AIR_LIMITS.humidity),
    ...Object.entries(own).flatMap(([kind, { added }]) =>
      added.flatMap(({ title, minutes }, index) => [
        ...textFaults(`own.${kind}.added.${index}.title`, title, { most: OWN_LIMITS.title, least: 1 }),
        ...rangeFaults(`own.${kind}.added.${index}.minutes`, minutes, OWN_LIMITS.minutes),
      ]),
    ),
  ];
}
