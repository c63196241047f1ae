import type { Entries, Making } from '../../contract/makings.ts';
import {
  CSV_HEAD,
  writeFiringsCsv,
  writeRecordsCsv,
  type CsvReading,
  type NamedEntries,
  type WholeStart,
} from '../../contract/recordsCsv.ts';
import type { Database } from '../models/database.ts';
import { Refusal } from '../refusal.ts';
import type { MakingService } from './makings.ts';
import type { RecordService } from './records.ts';

/** The result of importing a table: its number of entries, and the names of makings that are unknown here. */
export interface CsvKept {
  readonly entries: number;
  readonly unknown: readonly string[];
}

/** Makings written in one go, so that other requests are answered in between. */
const AT_A_TIME = 40;

/** Entries stored in one transaction. */
const KEPT_AT_ONCE = 1000;

const LISTS = ['marks', 'measurements', 'faults', 'notes', 'strikes', 'critiques'] as const;
const countOf = (entries: Entries) => LISTS.reduce((sum, list) => sum + entries[list].length, 0);

/** Entries in shares that one transaction keeps. */
function sharesOf(entries: Entries): Entries[] {
  const most = Math.max(...LISTS.map((list) => entries[list].length));
  return Array.from({ length: Math.ceil(most / KEPT_AT_ONCE) }, (_, share) => {
    const [from, to] = [share * KEPT_AT_ONCE, (share + 1) * KEPT_AT_ONCE];
    return {
      marks: entries.marks.slice(from, to),
      measurements: entries.measurements.slice(from, to),
      faults: entries.faults.slice(from, to),
      notes: entries.notes.slice(from, to),
      strikes: entries.strikes.slice(from, to),
      critiques: entries.critiques.slice(from, to),
    };
  });
}

/** A making as the table has it. */
function namedOf(making: Making): NamedEntries {
  const { id, name, clay, startedAt, dueAt, endedAt, schools, air, pieces, photographs } = making;
  const { measurements, faults, notes, marks, strikes, critiques } = making;
  return {
    making: id,
    name,
    pieces: pieces.map((piece) => piece.name),
    start: { id, name, clay, startedAt, dueAt, endedAt, schools, air, pieces },
    photographs,
    entries: { measurements, faults, notes, marks, strikes, critiques },
  };
}

/** Exports and imports the table of all records. */
export function recordsTable(database: Database, makings: MakingService, records: RecordService) {
  /** Whether a making is here, or could be begun as the table has it: its designs must be here, and it was not taken away. */
  async function isHere(id: string, start: WholeStart | undefined): Promise<boolean> {
    if ((await database.makings.count({ where: { id } })) > 0) return true;
    if (!start || start.id !== id || (await database.makings.count({ where: { id }, paranoid: false })) > 0)
      return false;
    try {
      const { endedAt, ...begun } = start;
      const { clay } = await makings.begin(begun);
      await makings.change(id, { ...begun, clay, endedAt });
      return true;
    } catch (error) {
      if (error instanceof Refusal) return false;
      throw error;
    }
  }

  return {
    /** All of it, a share at a time. */
    async *write(): AsyncGenerator<string> {
      yield CSV_HEAD;
      const rows = await database.makings.findAll({ attributes: ['id'], order: ['startedAt', 'id'], raw: true });
      for (let from = 0; from < rows.length; from += AT_A_TIME) {
        const whole = await Promise.all(rows.slice(from, from + AT_A_TIME).map(({ id }) => makings.read(id)));
        yield writeRecordsCsv(whole.map(namedOf));
      }
      yield writeFiringsCsv((await records.list('firing')).map(({ id, body }) => ({ id, body })));
    },

    /** Stores the entries of a table, each once by its id; those of makings unknown here are reported, not stored. */
    async keep({
      makings: read,
      firings,
    }: Pick<Extract<CsvReading, { kind: 'makings' }>, 'makings' | 'firings'>): Promise<CsvKept> {
      const unknown: string[] = [];
      let entries = 0;
      for (const { making, name, start, photographs, entries: own } of read) {
        if (!(await isHere(making, start))) {
          unknown.push(name || making);
          continue;
        }
        for (const share of sharesOf(own)) await makings.keep(making, share);
        const rows = photographs.map((one) => ({ ...one, makingId: making }));
        await database.write((transaction) =>
          database.photographs.bulkCreate(rows as never, { transaction, ignoreDuplicates: true }),
        );
        entries += countOf(own) + photographs.length;
      }
      for (const { id, body } of firings) {
        if ((await database.records.count({ where: { id }, paranoid: false })) === 0)
          await records.create('firing', body, id);
      }
      return { entries: entries + firings.length, unknown };
    },
  };
}

/** The table of records as the routes use it. */
export type RecordsTable = ReturnType<typeof recordsTable>;
