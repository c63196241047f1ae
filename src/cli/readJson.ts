import { faultLine, shortValue, type Fault } from '../core/errors.ts';
import type { Station } from './station.ts';

/** What a reader finds in a file: a value, or faults. */
type Reading<T> = T | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/**
 * Reads one JSON file by a reader of the contract.
 *
 * @returns the value, or null after every fault has been printed on its own line
 */
export function readJson<T extends { readonly kind: string }>(
  file: string,
  read: (value: unknown) => Reading<T>,
  station: Station,
): T | null {
  const unreadable = (value: string, error: unknown, rule: string) =>
    complain([
      {
        code: 'unreadable',
        path: '',
        value,
        rule: `${rule}: ${error instanceof Error ? error.message : String(error)}`,
      },
    ]);
  const complain = (faults: readonly Fault[]) => {
    for (const fault of faults) station.complain(`${file}: ${faultLine(fault)}`.replace(/\s*\n\s*/g, ' '));
    return null;
  };
  let text: string;
  try {
    text = station.readText(file);
  } catch (error) {
    return unreadable(file, error, 'cannot be read');
  }
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return unreadable(shortValue(text.slice(0, 40)), error, 'is not JSON');
  }
  const reading = read(value);
  return 'faults' in reading ? complain(reading.faults) : reading;
}
