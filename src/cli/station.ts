import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import type { Nested, NestJob } from '../core/geometry/nest/nestJob.ts';

/** What a command needs from the machine; tests have a fake one. */
export interface Station {
  /** Text of a file; `-` is standard input. Throws when it cannot be read. */
  readonly readText: (file: string) => string;
  /** The target files in a folder, by name; null where this is no folder. */
  readonly targetsIn: (folder: string) => string[] | null;
  /** Writes a file, making its folder. */
  readonly writeFile: (file: string, bytes: Uint8Array) => void;
  /** Nests for some seconds, with as many parallel searches as the machine allows. */
  readonly nest: (job: NestJob, seconds: number) => Promise<Nested | null>;
  readonly print: (line: string) => void;
  readonly complain: (line: string) => void;
}

/** The real machine. Paths are relative to the folder of the call, although npm runs commands in the project's folder. */
export function nodeStation(folder: string = process.env['INIT_CWD'] ?? process.cwd()): Station {
  return {
    readText: (file) => readFileSync(file === '-' ? 0 : resolve(folder, file), 'utf8'),
    targetsIn: (name) => {
      const path = resolve(folder, name);
      if (name === '-' || !existsSync(path) || !statSync(path).isDirectory()) return null;
      return readdirSync(path)
        .filter((file) => file.endsWith('.fawn.json'))
        .sort()
        .map((file) => join(path, file));
    },
    writeFile: (file, bytes) => {
      const path = resolve(folder, file);
      mkdirSync(dirname(path), { recursive: true });
      writeFileSync(path, bytes);
    },
    nest: async (job, seconds) => (await import('./nestApart.ts')).nestApart(job, seconds),
    print: (line) => process.stdout.write(`${line}\n`),
    complain: (line) => process.stderr.write(`${line}\n`),
  };
}
