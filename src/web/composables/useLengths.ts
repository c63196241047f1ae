import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import type { Fault } from '../../core/errors.ts';
import { MM_PER } from '../../core/units/lengthUnit.ts';
import { readLength, type LengthReading } from '../../core/units/readLength.ts';
import { readVolume, writeVolume } from '../../core/units/volume.ts';
import { writeBetween } from '../../core/units/writeBetween.ts';
import {
  apartStyle,
  inUnit,
  lengthRule,
  systemsOf,
  UNIT_SIGN,
  writeEditable,
  writeFigure,
  writeLength,
} from '../../core/units/writeLength.ts';
import { writePhrase, type Phrase } from '../../core/units/phrase.ts';
import { useSettings } from '../stores/settings.ts';

/** Reads and writes lengths in the chosen unit; what it writes follows the switch of units. */
export function useLengths() {
  const { style, unit, marks } = storeToRefs(useSettings());
  return {
    style,
    /** Step of an arrow key, and rounding of a drag (mm). */
    steps: computed(() =>
      unit.value === 'inch'
        ? { key: MM_PER.inch / marks.value, drag: MM_PER.inch / marks.value }
        : { key: 1, drag: 0.5 },
    ),
    figure: (mm: number): string => writeFigure(mm, style.value),
    length: (mm: number): string => writeLength(mm, style.value),
    editable: (mm: number): string => writeEditable(mm, style.value),
    sign: (): string => UNIT_SIGN[unit.value],
    /** Lengths that differ, written with enough digits to read differently. */
    apart: (mms: readonly number[]): string[] => {
      const finer = apartStyle(mms, style.value);
      return mms.map((mm) => writeFigure(mm, finer));
    },
    /** The words of a fault, with lengths in the chosen unit; for a length's own field with its limits. */
    words: (text: string): string => inUnit(text, style.value),
    rule: (fault: Fault): string => lengthRule(fault, style.value),
    /** `3 5/16 ± 1/64"`, or `83.5 to 84.6 mm`: limits that would read alike are written with plus or minus. */
    between: ([low, high]: readonly [number, number]): string => writeBetween(low, high, style.value),
    phrase: (phrase: Phrase): string => writePhrase(phrase, style.value),
    /** Writes a volume (ml) in the unit that goes with the lengths, and reads it back; null where it cannot be read. */
    volume: (ml: number): string => writeVolume(ml, systemsOf(style.value).volume),
    readVolume: (text: string): number | null => readVolume(text, systemsOf(style.value).volume),
    read: (text: string): LengthReading => readLength(text, unit.value),
  };
}
