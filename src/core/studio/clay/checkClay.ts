import { isDay } from '../../day.ts';
import { shortValue, type Fault } from '../../errors.ts';
import { LIMITS } from '../../target/target.ts';
import { rangeFaults, textFaults } from '../../ranges.ts';
import { BAR_STATES, type ShrinkBar } from './bars.ts';
import { CLAY_LIMITS, type Clay, type ScrapEntry } from './clay.ts';

/** Greatest and least length of a bar over its wet length: anything else was misread. */
const SOUND = { most: 1.02, least: 0.7 } as const;

function barFaults(bar: ShrinkBar, index: number): Fault[] {
  const path = (key: string) => `bars.${index}.${key}`;
  const faults = rangeFaults(path('wet'), bar.wet, CLAY_LIMITS.bar);
  for (const state of BAR_STATES) {
    const length = bar[state];
    if (length === undefined || (length <= SOUND.most * bar.wet && length >= SOUND.least * bar.wet)) continue;
    const rule =
      length > bar.wet
        ? `is longer than when it was wet (${bar.wet} mm)`
        : `is less than ${100 * SOUND.least} % of its wet length (${bar.wet} mm)`;
    faults.push({ code: 'out-of-range', path: path(state), value: shortValue(length), rule });
  }
  return faults;
}

/** Range of a learned shrinkage and of its interval: by error clay may seem to grow a little, but not more. */
const LEARNT = { least: -0.05, greatest: 0.3 } as const;

/** Every reason why a clay cannot be written down; empty when it can. */
export function checkClay(clay: Clay): Fault[] {
  const faults = [
    ...textFaults('name', clay.name, { most: LIMITS.nameLength.greatest, least: LIMITS.nameLength.least }),
    ...rangeFaults('wetDensity', clay.wetDensity, LIMITS.wetDensity),
    ...rangeFaults('shrinkage', clay.shrinkage, LIMITS.shrinkage),
    ...rangeFaults('price', clay.price, CLAY_LIMITS.price),
    ...rangeFaults('bag', clay.bag, CLAY_LIMITS.bag),
    ...textFaults('firing', clay.firing, { most: CLAY_LIMITS.text }),
    ...textFaults('note', clay.note, { most: CLAY_LIMITS.text }),
    ...clay.bars.flatMap(barFaults),
    ...(clay.learnt
      ? (['shrinkage', 'low', 'high'] as const).flatMap((key) =>
          rangeFaults(`learnt.${key}`, clay.learnt?.[key], LEARNT),
        )
      : []),
  ];
  if (clay.bars.length > CLAY_LIMITS.bars) {
    faults.push({
      code: 'out-of-range',
      path: 'bars',
      value: String(clay.bars.length),
      rule: `must be at most ${CLAY_LIMITS.bars}`,
    });
  }
  return faults;
}

/** Every reason why a scrap entry cannot be written down; empty when it can. */
export function checkScrap({ day, name, out, back, note }: ScrapEntry): Fault[] {
  const mass = { least: 0, greatest: CLAY_LIMITS.bag.greatest };
  return [
    ...(isDay(day)
      ? []
      : [
          {
            code: 'wrong-type',
            path: 'day',
            value: shortValue(day),
            rule: 'must be a day such as 2026-11-23',
          } as const,
        ]),
    ...textFaults('name', name, { most: LIMITS.nameLength.greatest, least: LIMITS.nameLength.least }),
    ...rangeFaults('out', out, mass),
    ...rangeFaults('back', back, mass),
    ...textFaults('note', note, { most: CLAY_LIMITS.text }),
  ];
}
