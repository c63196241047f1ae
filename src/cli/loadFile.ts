import { readLoadJob } from '../contract/loadSchema.ts';
import { packLoad } from '../core/studio/kiln/packLoad.ts';
import { seeded } from '../core/seeded.ts';
import { readJson } from './readJson.ts';
import type { Station } from './station.ts';

const DONE = 0;
const BAD_INPUT = 2;

/** Time for trying other loads while something is left (s). */
const MOST_SECONDS = 8;

/** Loads the kiln of one file and prints what stands where, and what is left, as JSON. Returns the exit code. */
export function loadFile(file: string, station: Station): number {
  const reading = readJson(file, readLoadJob, station);
  if (!reading) return BAD_INPUT;
  const from = performance.now();
  const going = () => performance.now() - from < 1000 * MOST_SECONDS;
  const loaded = packLoad(reading.job, { random: seeded(1), going });
  station.print(JSON.stringify({ ...loaded, seconds: (performance.now() - from) / 1000 }));
  return DONE;
}
