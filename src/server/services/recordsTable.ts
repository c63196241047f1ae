import type { Entries } from '../../contract/makings.ts';
import { CSV_HEAD, writeRecordsCsv, type NamedEntries } from '../../contract/recordsCsv.ts';
import type { Database } from '../models/database.ts';
import type { MakingService } from './makings.ts';

/** What came of a table that was read in: entries that it had, and makings that are not here, by their names. */
export interface CsvKept {
  readonly entries: number;
  readonly unknown: readonly string[];
}

/** Makings whose rows are written in one go, so that others are answered in between. */
const AT_A_TIME = 40;

/** Entries that are kept in one transaction. */
const KEPT_AT_ONCE = 1000;

const LISTS = ['marks', 'measurements', 'faults', 'notes', 'strikes', 'critiques'] as const;
const countOf = (entries: Entries) => LISTS.reduce((sum, list) => sum + entries[list].length, 0);

/** Entries in shares that one transaction keeps. */
function sharesOf(entries: Entries): Entries[] {
  const most = Math.max(...LISTS.map((list) => entries[list].length));
  return Array.from({ length: Math.ceil(most / KEPT_AT_ONCE) }, (_, share) => {
    const [from, to] = [share * KEPT_AT_ONCE, (share + 1) * KEPT_AT_ONCE];
    return Object.fromEntries(LISTS.map((list) => [list, entries[list].slice(from, to)])) as unknown as Entries;
  });
}

/** The table of all records, out and in again. */
export function recordsTable(database: Database, makings: MakingService) {
  return {
    /** All of it, a share at a time. */
    async *write(): AsyncGenerator<string> {
      yield CSV_HEAD;
      const rows = await database.makings.findAll({ attributes: ['id'], order: ['startedAt', 'id'], raw: true });
      for (let from = 0; from < rows.length; from += AT_A_TIME) {
        const whole = await Promise.all(rows.slice(from, from + AT_A_TIME).map(({ id }) => makings.read(id)));
        yield writeRecordsCsv(whole.map(({ id, name, pieces, ...entries }): NamedEntries => ({ making: id, name, pieces: pieces.map((piece) => piece.name), entries }))); // prettier-ignore
      }
    },

    /** Keeps what a table has, each entry once by its id; what belongs to makings that are not here is told, not kept. */
    async keep(read: readonly Omit<NamedEntries, 'pieces'>[]): Promise<CsvKept> {
      const unknown: string[] = [];
      let entries = 0;
      for (const { making, name, entries: own } of read) {
        if ((await database.makings.count({ where: { id: making } })) === 0) {
          unknown.push(name || making);
          continue;
        }
        for (const share of sharesOf(own)) await makings.keep(making, share);
        entries += countOf(own);
      }
      return { entries, unknown };
    },
  };
}

export type RecordsTable = ReturnType<typeof recordsTable>;
