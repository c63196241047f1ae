import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Model, ModelStatic } from 'sequelize';
import { DATABASE_FILE } from '../models/checkFile.ts';
import type { Database } from '../models/database.ts';

/** Folder of the backups within the data folder. */
export const BACKUP_FOLDER = 'backups';

/** Number of backups that are kept; the oldest are deleted. */
export const BACKUPS_KEPT = 10;

/** Time between two checks whether a backup is due (ms). */
const LOOK = 3600 * 1000;

const NAME = /^fawn-\d{4}-\d{2}-\d{2}\.sqlite$/;

/** The backups of a data folder, the newest first. */
export function backupsOf(folder: string): string[] {
  const place = join(folder, BACKUP_FOLDER);
  return existsSync(place)
    ? readdirSync(place)
        .filter((name) => NAME.test(name))
        .sort()
        .reverse()
    : [];
}

/** A text that differs whenever the data differ: the times of the last changes. */
async function stateOf(database: Database): Promise<string> {
  const { designs, records, makings, marks, measurements, faults, notes, photographs, strikes, critiques } = database;
  const all = { paranoid: false };
  // Rows of the first tables tell when they were last changed; those of the others never change.
  const changed = [designs, records, makings].map((table: ModelStatic<Model>) =>
    Promise.all([table.count(all), table.max('updatedAt', all), table.max('deletedAt', all)]),
  );
  const added = [marks, measurements, faults, notes, photographs, strikes, critiques].map((table: ModelStatic<Model>) =>
    table.count(),
  );
  return JSON.stringify(await Promise.all([...changed, ...added]));
}

/**
 * Makes the backup of a day, whole and ready to be opened (VACUUM INTO), and takes the oldest away.
 * @returns its file, or null when there is one of this day
 */
export async function backUp(database: Database, folder: string, day: string): Promise<string | null> {
  const place = join(folder, BACKUP_FOLDER);
  mkdirSync(place, { recursive: true });
  const file = join(place, `fawn-${day}.sqlite`);
  if (existsSync(file)) return null;
  const part = `${file}.part`;
  rmSync(part, { force: true });
  await database.sequelize.query('VACUUM INTO ?', { replacements: [part] });
  renameSync(part, file);
  for (const name of backupsOf(folder).slice(BACKUPS_KEPT)) rmSync(join(place, name));
  return file;
}

const dayOf = (time: Date) => time.toISOString().slice(0, 10);

/** Makes a backup on each day with changes: checked as the server starts, and every hour. */
export function keepBackups(
  database: Database,
  folder: string,
  failed: (error: unknown) => void,
): { readonly stop: () => void } {
  let known: string | null = null;
  const look = async () => {
    const state = await stateOf(database);
    if (state === known) return;
    await backUp(database, folder, dayOf(new Date()));
    known = state;
  };
  const run = () => void look().catch(failed);
  run();
  const timer = setInterval(run, LOOK);
  timer.unref();
  return { stop: () => clearInterval(timer) };
}

/**
 * Replaces the database by a backup; the old database is kept beside it. The server must be stopped.
 *
 * @param name of one of {@link backupsOf}
 * @returns where the database that was there is kept, or null when there was none
 */
export function restoreBackup(folder: string, name: string, now: Date): string | null {
  const file = join(folder, DATABASE_FILE);
  const kept = existsSync(file) ? `${file}.before-${now.toISOString().replace(/[:.]/g, '-')}` : null;
  if (kept) {
    for (const ending of ['', '-wal', '-shm']) if (existsSync(file + ending)) renameSync(file + ending, kept + ending);
  }
  copyFileSync(join(folder, BACKUP_FOLDER, name), file);
  return kept;
}
