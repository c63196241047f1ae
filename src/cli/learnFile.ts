import { readLearnJob } from '../contract/learnSchema.ts';
import { learnClay } from '../core/studio/learning/learn.ts';
import { readJson } from './readJson.ts';
import type { Station } from './station.ts';

const DONE = 0;
const BAD_INPUT = 2;

/** Learns each file's clay from what was measured and prints one line of JSON a file. Returns the exit code. */
export function learnFiles(files: readonly string[], station: Station): number {
  const readings = files.map((file) => readJson(file, readLearnJob, station));
  if (readings.some((reading) => reading === null)) return BAD_INPUT;
  for (const reading of readings) if (reading) station.print(JSON.stringify(learnClay(reading.job)));
  return DONE;
}
