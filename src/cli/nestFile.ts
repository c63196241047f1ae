import { NEST_LIMITS, readNestJob, type NestReading } from '../contract/nestSchema.ts';
import { faultLine, shortValue, type Fault } from '../core/errors.ts';
import type { Station } from './station.ts';

/** Seconds that are searched when nothing is said. */
export const DEFAULT_NEST_SECONDS = 30;

const DONE = 0;
const BAD_INPUT = 2;

function readJob(file: string, station: Station): NestReading {
  const fault = (value: string, rule: string): NestReading => {
    const found: Fault = { code: 'unreadable', path: '', value, rule };
    return { kind: 'faults', faults: [found] };
  };
  let text: string;
  try {
    text = station.readText(file);
  } catch (error) {
    return fault(file, `cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  try {
    return readNestJob(JSON.parse(text.replace(/^\uFEFF/, '')));
  } catch (error) {
    return fault(
      shortValue(text.slice(0, 40)),
      `is not JSON: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
}

/** Nests the parts of one file and prints the layout as JSON on one line. Returns the exit code. */
export async function nestFile(file: string, asked: string | undefined, station: Station): Promise<number> {
  const seconds = asked === undefined ? DEFAULT_NEST_SECONDS : Number(asked);
  if (!(seconds >= 0) || seconds > NEST_LIMITS.seconds) {
    station.complain(`--seconds: ${asked}: must be from 0 to ${NEST_LIMITS.seconds}`);
    return BAD_INPUT;
  }
  const reading = readJob(file, station);
  if (reading.kind === 'faults') {
    for (const fault of reading.faults) station.complain(`${file}: ${faultLine(fault)}`.replace(/\s*\n\s*/g, ' '));
    return BAD_INPUT;
  }
  const from = Date.now();
  const nested = await station.nest(reading.job, seconds);
  if (!nested) {
    station.complain(`${file}: parts: a part is wider than the slab`);
    return BAD_INPUT;
  }
  station.print(JSON.stringify({ ...nested, seconds: (Date.now() - from) / 1000 }));
  return DONE;
}
