import { createWriteStream, existsSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { clashesOf, mergeArchive, restoreExactly } from './archive/applyArchive.ts';
import { BadArchive } from './archive/archiveFormat.ts';
import { stageArchive } from './archive/stageArchive.ts';
import { writeArchive } from './archive/writeArchive.ts';
import { readConfig } from './config.ts';
import { DATABASE_FILE } from './models/checkFile.ts';
import { openDatabase } from './models/database.ts';

const USAGE = `npm run -s fawn -- archive export FILE
    writes the whole studio of the data folder (FAWN_DATA) as one zip file
npm run -s fawn -- archive import FILE [--exactly | --keep here | --keep archive]
    adds an archive to the data folder; --exactly puts it in place of all that is there; what both have, but
    not alike, stays as it is here or becomes what the archive has; without a choice nothing is taken
`;

const say = (line: string) => process.stdout.write(`${line}\n`);
const complain = (line: string) => process.stderr.write(`${line}\n`);

async function exported(folder: string, file: string): Promise<number> {
  if (!existsSync(join(folder, DATABASE_FILE))) {
    complain(`There is no studio in ${folder}. Set FAWN_DATA to another data folder.`);
    return 2;
  }
  const database = await openDatabase(folder);
  try {
    const part = `${file}.part`;
    await pipeline(await writeArchive(database, join(folder, 'photographs'), new Date()), createWriteStream(part));
    renameSync(part, file);
    say(file);
    return 0;
  } finally {
    rmSync(`${file}.part`, { force: true });
    await database.close();
  }
}

async function imported(folder: string, file: string, how: 'exactly' | 'here' | 'archive' | 'ask'): Promise<number> {
  const staged = await stageArchive(file);
  try {
    const database = await openDatabase(folder);
    try {
      const photographs = join(folder, 'photographs');
      const clashes = how === 'exactly' ? [] : await clashesOf(database, staged);
      if (how === 'ask' && clashes.length > 0) {
        for (const { kind, name, here, archive } of clashes)
          complain(`${kind} “${name}”: changed here ${here}, in the archive ${archive}`);
        complain('Nothing was taken. Say which counts: --keep here or --keep archive, or --exactly.');
        return 2;
      }
      if (how === 'exactly') await restoreExactly(database, staged, photographs);
      else
        await mergeArchive(database, { staged, photographs, counts: () => (how === 'archive' ? 'archive' : 'here') });
      say(JSON.stringify({ ...staged.manifest.counts, clashes: clashes.length }));
      return 0;
    } finally {
      await database.close();
    }
  } finally {
    await staged.clear();
  }
}

/** Writes the studio in the data folder as an archive, or imports one. */
async function main(): Promise<number> {
  const [verb, name, option, value, ...more] = process.argv.slice(2);
  const hows: Readonly<Record<string, 'exactly' | 'here' | 'archive' | 'ask'>> = {
    '': 'ask',
    '--exactly': 'exactly',
    '--keep here': 'here',
    '--keep archive': 'archive',
  };
  const how = hows[[option, value].filter(Boolean).join(' ')];
  if (!name || !how || more.length > 0 || (verb !== 'import' && (verb !== 'export' || how !== 'ask'))) {
    complain(USAGE);
    return 2;
  }
  const caller = process.env['INIT_CWD'] ?? process.cwd();
  const { dataFolder } = readConfig({ ...process.env, FAWN_ADDRESS: '127.0.0.1' }, process.cwd());
  const file = resolve(caller, name);
  try {
    return verb === 'export' ? await exported(dataFolder, file) : await imported(dataFolder, file, how);
  } catch (error) {
    if (!(error instanceof BadArchive)) throw error;
    complain(`${name} ${error.message}. Nothing was taken.`);
    return 2;
  }
}

process.exitCode = await main();
