import type { QueryInterface } from 'sequelize';
import * as designs from './0001-designs.ts';
import * as records from './0002-records.ts';
import * as meshes from './0003-meshes.ts';
import * as makings from './0004-makings.ts';
import * as photographs from './0005-photographs.ts';
import * as names from './0006-names.ts';
import * as strikes from './0007-strikes.ts';
import * as made from './0008-made.ts';
import * as factsAgain from './0009-facts-again.ts';
import * as madeIndexes from './0010-made-indexes.ts';
import * as dryIndex from './0011-dry-index.ts';

/** One step of the database, up and down. */
export interface Migration {
  readonly name: string;
  readonly up: (step: { context: QueryInterface }) => Promise<void>;
  readonly down: (step: { context: QueryInterface }) => Promise<void>;
}

/** All steps in order. A step that has landed is never changed; add another. */
export const migrations: Migration[] = [
  { name: '0001-designs', ...designs },
  { name: '0002-records', ...records },
  { name: '0003-meshes', ...meshes },
  { name: '0004-makings', ...makings },
  { name: '0005-photographs', ...photographs },
  { name: '0006-names', ...names },
  { name: '0007-strikes', ...strikes },
  { name: '0008-made', ...made },
  { name: '0009-facts-again', ...factsAgain },
  { name: '0010-made-indexes', ...madeIndexes },
  { name: '0011-dry-index', ...dryIndex },
];
