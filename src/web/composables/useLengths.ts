import { storeToRefs } from 'pinia';
import { readLength, type LengthReading } from '../../core/units/readLength.ts';
import { UNIT_SIGN, writeEditable, writeFigure, writeLength } from '../../core/units/writeLength.ts';
import { writePhrase, type Phrase } from '../../core/units/phrase.ts';
import { useSettings } from '../stores/settings.ts';

/** Reads and writes lengths in the unit that the person has chosen; what it writes follows the switch. */
export function useLengths() {
  const { style, unit } = storeToRefs(useSettings());
  return {
    style,
    figure: (mm: number): string => writeFigure(mm, style.value),
    length: (mm: number): string => writeLength(mm, style.value),
    editable: (mm: number): string => writeEditable(mm, style.value),
    sign: (): string => UNIT_SIGN[unit.value],
    phrase: (phrase: Phrase): string => writePhrase(phrase, style.value),
    read: (text: string): LengthReading => readLength(text, unit.value),
  };
}
