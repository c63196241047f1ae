import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Mutex } from 'async-mutex';
import { Sequelize, Transaction, type ModelStatic } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { migrations } from '../migrations/index.ts';
import { checkFile, DATABASE_FILE } from './checkFile.ts';
import { defineDesign, type DesignRow } from './designRow.ts';
import { settledDriver } from './driver.ts';
import { defineMakings, type MakingTables } from './makingRows.ts';
import { defineMesh, type MeshRow } from './meshRow.ts';
import { defineRecord, type RecordRow } from './recordRow.ts';
import { defineRevision, type RevisionRow } from './revisionRow.ts';
import { defineSession, type SessionRow } from './sessionRow.ts';

/** The open database. */
export interface Database extends MakingTables {
  readonly sequelize: Sequelize;
  readonly designs: ModelStatic<DesignRow>;
  readonly revisions: ModelStatic<RevisionRow>;
  readonly records: ModelStatic<RecordRow>;
  readonly meshes: ModelStatic<MeshRow>;
  readonly sessions: ModelStatic<SessionRow>;
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
  if (!inMemory) checkFile(folder);
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: settledDriver(),
    storage: inMemory ? ':memory:' : join(folder, DATABASE_FILE),
    logging: false,
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
    meshes: defineMesh(sequelize),
    sessions: defineSession(sequelize),
    ...defineMakings(sequelize),
    write: (work) =>
      mutex.runExclusive(() =>
        sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, (transaction) => work(transaction)),
      ),
    close: () => mutex.runExclusive(() => sequelize.close()),
  };
}
