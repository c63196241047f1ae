import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { Kept, RecordBodies, RecordKind } from '../../contract/records.ts';
import { plainRows, type Plain } from '../models/plainRows.ts';
import type { Database } from '../models/database.ts';
import type { RecordRow } from '../models/recordRow.ts';
import { Refusal } from '../refusal.ts';

function toKept<K extends RecordKind>(row: Plain<RecordRow>): Kept<K> {
  return {
    id: row.id,
    body: JSON.parse(row.body) as RecordBodies[K],
    revision: row.revision,
    createdAt: new Date(row.createdAt).toISOString(),
    updatedAt: new Date(row.updatedAt).toISOString(),
  };
}

/** Stores the records of the books. Every method that names a record refuses with `record-not-found`. */
export function recordService(database: Database) {
  const { records } = database;

  async function rowOf(kind: RecordKind, id: string, transaction?: Transaction): Promise<RecordRow> {
    const row = await records.findOne({ where: { id, kind }, transaction });
    if (!row) throw new Refusal('record-not-found');
    return row;
  }

  return {
    /** All records of a kind, in the order in which they were made: they are searched where they are shown. */
    async list<K extends RecordKind>(kind: K): Promise<Kept<K>[]> {
      const rows = await plainRows(records, {
        where: { kind },
        order: [
          ['createdAt', 'ASC'],
          ['id', 'ASC'],
        ],
      });
      return rows.map((row) => toKept<K>(row));
    },

    /** Creates a record with an id chosen by the browser: sent twice, it is created once. */
    async create<K extends RecordKind>(kind: K, body: RecordBodies[K], given?: string): Promise<Kept<K>> {
      return database.write(async (transaction) => {
        const there =
          given === undefined
            ? null
            : await records.findOne({ where: { id: given, kind }, paranoid: false, transaction });
        if (there) return toKept<K>(there);
        const row = { id: given ?? randomUUID(), kind, name: body.name, body: JSON.stringify(body), revision: 1 };
        return toKept<K>(await records.create(row, { transaction }));
      });
    },

    /** Writes a new state on top of `baseRevision`; refuses with `record-conflict` when somebody wrote a newer one. */
    async write<K extends RecordKind>(
      kind: K,
      id: string,
      { body, baseRevision }: { readonly body: RecordBodies[K]; readonly baseRevision: number },
    ) {
      return database.write(async (transaction) => {
        const row = await rowOf(kind, id, transaction);
        const same = JSON.stringify(body) === row.body;
        // A write whose answer was lost is acknowledged again.
        if (same && row.revision === baseRevision + 1) return toKept<K>(row);
        if (row.revision !== baseRevision) throw new Refusal('record-conflict', { record: toKept<K>(row) });
        const text = JSON.stringify(body);
        if (text === row.body) return toKept<K>(row);
        await row.update({ name: body.name, body: text, revision: baseRevision + 1 }, { transaction });
        return toKept<K>(row);
      });
    },

    /** Deletes a record; `putBack` restores it. */
    async remove(kind: RecordKind, id: string): Promise<void> {
      await database.write(async (transaction) => (await rowOf(kind, id, transaction)).destroy({ transaction }));
    },

    async putBack<K extends RecordKind>(kind: K, id: string): Promise<Kept<K>> {
      return database.write(async (transaction) => {
        const row = await records.findOne({ where: { id, kind }, paranoid: false, transaction });
        if (!row) throw new Refusal('record-not-found');
        await row.restore({ transaction });
        return toKept<K>(row);
      });
    },
  };
}

/** Records as the routes use them. */
export type RecordService = ReturnType<typeof recordService>;
