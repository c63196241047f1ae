import type { Measured } from '../../../contract/makings.ts';

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
};
