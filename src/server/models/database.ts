import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Mutex } from 'async-mutex';
import { Sequelize, Transaction, type ModelStatic } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { migrations } from '../migrations/index.ts';
import { defineDesign, type DesignRow } from './designRow.ts';
import { defineRecord, type RecordRow } from './recordRow.ts';
import { defineRevision, type RevisionRow } from './revisionRow.ts';

/** Name of the database file in the data folder. */
export const DATABASE_FILE = 'fawn.sqlite';

/** Milliseconds to wait for another process that holds the file. */
const BUSY_TIMEOUT = 5000;

/** The open database. */
export interface Database {
  readonly sequelize: Sequelize;
  readonly designs: ModelStatic<DesignRow>;
  readonly revisions: ModelStatic<RevisionRow>;
  readonly records: ModelStatic<RecordRow>;
  /** Runs `work` in one transaction, one after another: SQLite has one writer. */
  readonly write: <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;
  readonly close: () => Promise<void>;
}

/**
 * Opens the database of a data folder, making both when missing, and brings it to the newest migration.
 * Every commit is on the disk before it is acknowledged (write-ahead log, synchronous FULL).
 *
 * @param folder the data folder, or `:memory:` for a database that is forgotten
 */
export async function openDatabase(folder: string): Promise<Database> {
  const inMemory = folder === ':memory:';
  if (!inMemory) mkdirSync(folder, { recursive: true });
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: inMemory ? ':memory:' : join(folder, DATABASE_FILE),
    logging: false,
  });
  sequelize.addHook('afterConnect', async (connection) => {
    const run = (sql: string) =>
      new Promise<void>((resolve, reject) =>
        (connection as { run: (sql: string, done: (error: Error | null) => void) => void }).run(sql, (error) =>
          error ? reject(error) : resolve(),
        ),
      );
    await run(`PRAGMA busy_timeout = ${BUSY_TIMEOUT}`);
    await run('PRAGMA journal_mode = WAL');
    await run('PRAGMA synchronous = FULL');
  });
  const umzug = new Umzug({
    migrations,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  await umzug.up();
  const mutex = new Mutex();
  return {
    sequelize,
    designs: defineDesign(sequelize),
    revisions: defineRevision(sequelize),
    records: defineRecord(sequelize),
    write: (work) =>
      mutex.runExclusive(() =>
        sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, (transaction) => work(transaction)),
      ),
    close: () => mutex.runExclusive(() => sequelize.close()),
  };
}
