import { ROUNDING } from '../core/numbers.ts';
import { readDryJob, type DryJob } from '../contract/drySchema.ts';
import { dryPart, dryPlainly } from '../core/studio/drying/partDrying.ts';
import { readJson } from './readJson.ts';
import type { Station } from './station.ts';

const DONE = 0;
const BAD_INPUT = 2;

/** The hours of a curve: every so many, and the last. */
function hoursOf({ hours, every }: DryJob): number[] {
  const count = Math.floor(hours / every + ROUNDING);
  const found = Array.from({ length: count + 1 }, (_, index) => index * every);
  return (found.at(-1) as number) < hours * (1 - ROUNDING) ? [...found, hours] : found;
}

/** Parts as they dry, in the shape that is printed. */
export function driedParts(job: DryJob) {
  const hours = hoursOf(job);
  const parts = job.parts.map((part) => {
    const course = job.model
      ? dryPlainly(part, job.model, job.hours)
      : dryPart(part, job.air, { hours: job.hours, slower: job.clay.factor });
    const { opens, closes, leatherHard, dry } = course.reached;
    const curve = hours.map((hour) => {
      const { mean, surface, core } = course.at(hour);
      return [hour, mean, surface, core];
    });
    return { id: part.id, opens, closes, leatherHard, dry, lost: course.lost, curve };
  });
  return { parts };
}

/** Follows the parts of each file as they dry and prints one line of JSON a file. Returns the exit code. */
export function dryFiles(files: readonly string[], station: Station): number {
  const readings = files.map((file) => readJson(file, readDryJob, station));
  if (readings.some((reading) => reading === null)) return BAD_INPUT;
  for (const reading of readings) if (reading) station.print(JSON.stringify(driedParts(reading.job)));
  return DONE;
}
