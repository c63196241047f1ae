import { NEST_LIMITS, readNestJob } from '../contract/nestSchema.ts';
import { readJson } from './readJson.ts';
import type { Station } from './station.ts';

/** Default time of the search (s). */
export const DEFAULT_NEST_SECONDS = 30;

const DONE = 0;
const BAD_INPUT = 2;

/** Nests the parts of one file and prints the layout as JSON on one line. Returns the exit code. */
export async function nestFile(file: string, asked: string | undefined, station: Station): Promise<number> {
  const seconds = asked === undefined ? DEFAULT_NEST_SECONDS : Number(asked);
  if (!(seconds >= 0) || seconds > NEST_LIMITS.seconds) {
    station.complain(`--seconds: ${asked}: must be from 0 to ${NEST_LIMITS.seconds}`);
    return BAD_INPUT;
  }
  const reading = readJson(file, readNestJob, station);
  if (!reading) return BAD_INPUT;
  const from = Date.now();
  const nested = await station.nest(reading.job, seconds);
  if (!nested) {
    station.complain(`${file}: parts: a part is wider than the slab`);
    return BAD_INPUT;
  }
  station.print(JSON.stringify({ ...nested, seconds: (Date.now() - from) / 1000 }));
  return DONE;
}
