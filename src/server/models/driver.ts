import sqlite from 'sqlite3';

/** Milliseconds to wait for another process that holds the file. */
export const BUSY_TIMEOUT = 5000;

/** Settings of every connection: a write-ahead log, so that readers do not wait, and every commit on disk before it is acknowledged. */
const SETTINGS = 'PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON;';

type Opened = (this: sqlite.Database, error: Error | null) => void;

/**
 * The driver with each connection set as it is opened. Sequelize opens one for each transaction, and calls no hook for
 * SQLite.
 */
export function settledDriver(): object {
  class SettledDatabase extends sqlite.Database {
    constructor(file: string, mode: number, done: Opened) {
      super(file, mode, (error) => {
        if (error) return done.call(this, error);
        this.configure('busyTimeout', BUSY_TIMEOUT);
        return this.exec(SETTINGS, (wrong) => done.call(this, wrong));
      });
    }
  }
  const driver = { ...sqlite, Database: SettledDatabase, verbose: () => driver };
  return driver;
}
