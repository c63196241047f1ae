import { readTargetText, type TargetReading } from '../contract/targetSchema.ts';
import { faultLine } from '../core/errors.ts';
import type { Target } from '../core/target/target.ts';
import type { Station } from './station.ts';

/** A target and the file that it came from. */
export interface FileTarget {
  readonly file: string;
  readonly target: Target;
}

function readOne(file: string, station: Station): TargetReading {
  try {
    return readTargetText(station.readText(file));
  } catch (error) {
    const rule = `cannot be read: ${error instanceof Error ? error.message : String(error)}`;
    return { kind: 'faults', faults: [{ code: 'unreadable', path: '', value: file, rule }] };
  }
}

/** Reads all files; prints one line for each fault and returns null if there is any, so that nothing is half done. */
export function readTargets(files: readonly string[], station: Station): FileTarget[] | null {
  const readings = files.map((file) => ({ file, reading: readOne(file, station) }));
  const good: FileTarget[] = [];
  for (const { file, reading } of readings) {
    if (reading.kind === 'target') good.push({ file, target: reading.target });
    else for (const fault of reading.faults) station.complain(`${file}: ${faultLine(fault)}`.replace(/\s*\n\s*/g, ' '));
  }
  return good.length === files.length ? good : null;
}
