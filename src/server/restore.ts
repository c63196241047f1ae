import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { readConfig } from './config.ts';
import { DATABASE_FILE } from './models/checkFile.ts';
import { backupsOf, restoreBackup } from './services/backups.ts';

/** Lists the backups of the data folder, or puts the one back whose day or file is given. */
function main(): number {
  const { dataFolder } = readConfig({ ...process.env, FAWN_ADDRESS: '127.0.0.1' }, process.cwd());
  const names = backupsOf(dataFolder);
  const wanted = process.argv[2];
  if (names.length === 0) {
    process.stderr.write(`There are no backups in ${dataFolder}. Set FAWN_DATA to another data folder.\n`);
    return 1;
  }
  if (!wanted) {
    process.stdout.write(
      `Backups in ${dataFolder}, the newest first:\n${names.map((name) => `  ${name}`).join('\n')}\nPut one back with: npm run restore -- ${names[0]}\n`,
    );
    return 0;
  }
  const name = names.find((one) => one === wanted || one === `fawn-${wanted}.sqlite`);
  if (!name) {
    process.stderr.write(`There is no backup ${wanted}. There are: ${names.join(', ')}.\n`);
    return 2;
  }
  if (existsSync(`${join(dataFolder, DATABASE_FILE)}-shm`)) {
    process.stdout.write('If the server is running, stop it first: what it writes now would be lost.\n');
  }
  const kept = restoreBackup(dataFolder, name, new Date());
  process.stdout.write(`${name} is in place.${kept ? ` What was there before is kept as ${kept}.` : ''}\n`);
  return 0;
}

process.exitCode = main();
