import { nest } from '../core/geometry/nest/nest.ts';
import { seeded } from '../core/seeded.ts';
import type { Station } from './station.ts';

/** A fake machine: its files by name, and what was printed, reported and written. */
export function fakeStation(files: Record<string, string>) {
  const printed: string[] = [];
  const complained: string[] = [];
  const written = new Map<string, Uint8Array>();
  const station: Station = {
    readText: (file) => {
      const text = files[file];
      if (text === undefined) throw new Error('ENOENT: no such file');
      return text;
    },
    targetsIn: (folder) => (folder === 'shelf' ? Object.keys(files).filter((file) => file.startsWith('shelf/')) : null),
    writeFile: (file, bytes) => void written.set(file, bytes),
    nest: (job, seconds) => {
      const until = Date.now() + 1000 * seconds;
      return Promise.resolve(nest(job, { random: seeded(1), going: () => Date.now() < until }));
    },
    print: (line) => void printed.push(line),
    complain: (line) => void complained.push(line),
  };
  return { station, printed, complained, written };
}
