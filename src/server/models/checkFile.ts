import { accessSync, closeSync, constants, existsSync, openSync, readSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** Name of the database file in the data folder. */
export const DATABASE_FILE = 'fawn.sqlite';

/** How every SQLite file begins. */
const HEADER = 'SQLite format 3\u0000';

/** Where backups are kept, and how one is put back. */
const RESTORE = 'Put a backup back with: npm run restore';

/**
 * Looks at the data folder and its database before they are opened.
 *
 * @throws Error with a message for the person at the keyboard: what is wrong and what to do
 */
export function checkFile(folder: string): void {
  try {
    accessSync(folder, constants.R_OK | constants.W_OK);
  } catch {
    throw new Error(
      `The data folder ${folder} cannot be written to. Allow this user to write there, or set FAWN_DATA to another folder.`,
    );
  }
  const file = join(folder, DATABASE_FILE);
  if (!existsSync(file)) return;
  try {
    accessSync(file, constants.R_OK | constants.W_OK);
  } catch {
    throw new Error(`The database ${file} cannot be written to. Give this user leave to write to it.`);
  }
  // What a killed server had acknowledged may still stand in the log beside the file: it is taken over when it is opened.
  const log = `${file}-wal`;
  if (existsSync(log) && statSync(log).size > 0) return;
  const { size } = statSync(file);
  if (size === 0)
    throw new Error(`The database ${file} is empty. ${RESTORE}; or move the file away to begin a new one.`);
  const head = Buffer.alloc(100);
  const handle = openSync(file, 'r');
  const read = readSync(handle, head, 0, 100, 0);
  closeSync(handle);
  if (read < 100 || head.toString('latin1', 0, 16) !== HEADER) {
    throw new Error(
      `The file ${file} is not a Fawn Table database. ${RESTORE}; or move the file away to begin a new one.`,
    );
  }
  const page = head.readUInt16BE(16) === 1 ? 65_536 : head.readUInt16BE(16);
  const pages = head.readUInt32BE(28);
  if (size < pages * page) {
    throw new Error(
      `The database ${file} has been cut short: ${size} of ${pages * page} bytes are there. ${RESTORE}; keep the file until that is done.`,
    );
  }
}
