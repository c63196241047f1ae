import type { Measured, PieceState } from '../../../core/studio/making/measured.ts';
import { readVolume, writeVolume } from '../../../core/units/volume.ts';
import { systemsOf } from '../../../core/units/writeLength.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useMasses } from '../../composables/useMasses.ts';
import { useSettings } from '../../stores/settings.ts';

/** Names of the sizes that are measured. */
export const MEASURED_NAMES: Readonly<Record<Measured, string>> = {
  rim: 'Rim across',
  foot: 'Foot across',
  height: 'Height',
  length: 'Length',
  width: 'Width',
  thickness: 'Thickness',
  other: 'Another size',
  weight: 'Weight',
  capacity: 'Holds, to the brim',
  minutes: 'Minutes at the table',
};

/** Names of the states in which a piece is measured. */
export const STATE_NAMES: Readonly<Record<PieceState, string>> = {
  wet: 'Wet',
  'leather-hard': 'Leather-hard',
  dry: 'Dry',
  bisque: 'Bisque',
  fired: 'Fired',
};

/** Writes and reads what was measured in the unit in use. */
export function useMeasured() {
  const lengths = useLengths();
  const masses = useMasses();
  const settings = useSettings();
  const figure = (what: Measured, amount: number) =>
    what === 'weight'
      ? masses.write(amount)
      : what === 'capacity'
        ? writeVolume(amount, systemsOf(settings.style).volume)
        : what === 'minutes'
          ? `${amount} min`
          : lengths.length(amount);
  /** What a piece holds (ml), or null where it cannot be read. */
  const readCapacity = (text: string) => readVolume(text, systemsOf(settings.style).volume);
  return { figure, readCapacity };
}
