import { readPlanTask } from '../contract/planSchema.ts';
import { layPlan } from '../core/studio/planning/plan.ts';
import { seeded } from '../core/seeded.ts';
import { readJson } from './readJson.ts';
import type { Station } from './station.ts';

const DONE = 0;
const BAD_INPUT = 2;

/** Time limit of a large task (s); small ones end earlier. */
const MOST_SECONDS = 20;

/** Plans the work of each file and prints one line of JSON a file. Returns the exit code. */
export function planFiles(files: readonly string[], station: Station): number {
  const readings = files.map((file) => readJson(file, readPlanTask, station));
  if (readings.some((reading) => reading === null)) return BAD_INPUT;
  for (const reading of readings) {
    if (!reading) continue;
    const from = performance.now();
    const going = () => performance.now() - from < 1000 * MOST_SECONDS;
    const plan = layPlan(reading.task, { random: seeded(1), going });
    station.print(JSON.stringify({ ...plan, seconds: (performance.now() - from) / 1000 }));
  }
  return DONE;
}
