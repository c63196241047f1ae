import { LRUCache } from 'lru-cache';
import { col, fn, type Transaction } from 'sequelize';
import { inOrder, type Mark, type MarkKind } from '../../core/studio/making/making.ts';
import type { Database } from '../models/database.ts';
import { computedRows } from '../models/plainRows.ts';
import { iso, markOf } from './makingColumns.ts';
import { group } from './ordersKept.ts';

/** Columns of a mark in the text that the database writes of it. */
type Cells = readonly [
  makingId: string,
  id: string,
  piece: number,
  number: number,
  step: string,
  at: string,
  kind: MarkKind,
  hours: number | null,
  thickness: number | null,
  faces: string | null,
  cover: string | null,
  support: string | null,
];

/** The columns of {@link Cells}. */
const CELLS = [
  'makingId',
  'id',
  'piece',
  'number',
  'step',
  'at',
  'kind',
  'hours',
  'thickness',
  'faces',
  'cover',
  'support',
] as const;

/** How the database writes a time in UTC. */
const UTC = /^(\d{4}-\d\d-\d\d) (\d\d:\d\d:\d\d\.\d{3}) \+00:00$/;
const timeOf = (text: string) => (UTC.test(text) ? text.replace(UTC, '$1T$2Z') : iso(text));

/** A mark as it was sent. */
function markIn([, id, piece, number, step, at, kind, hours, thickness, faces, cover, support]: Cells): Mark {
  return markOf({ id, piece, number, step, at: timeOf(at), kind, hours, thickness, faces, cover, support });
}

/** Number of makings whose marks are cached. */
const MARKS_KEPT = 400;

/** Cached marks of a making, and their state: how many there are, and which came last. */
interface Read {
  readonly state: string;
  readonly marks: readonly Mark[];
}

/**
 * Reads marks of makings, oldest first. Marks are added and never changed, so those of a making are read again only when there
 * are more of them. The database writes them as one text, unsorted: a row for each takes four times as long, and sorting there
 * twice as long.
 */
export function marksKept({ marks }: Database) {
  const kept = new LRUCache<string, Read>({ max: MARKS_KEPT });

  async function statesOf(ids: readonly string[]): Promise<{ makingId: string; state: string }[]> {
    const rows = await computedRows<{ makingId: string; id: string; many: number }>(marks, {
      // SQLite takes the id from the row with the greatest rowid, which is the last.
      attributes: ['makingId', 'id', [fn('count', col('id')), 'many'], [fn('max', col('rowid')), 'last']],
      where: { makingId: [...ids] },
      group: 'makingId',
    });
    return rows.map(({ makingId, id, many }) => ({ makingId, state: `${many} ${id}` }));
  }

  async function read(ids: readonly string[], transaction?: Transaction): Promise<Map<string, Mark[]>> {
    const found = new Map<string, Mark[]>();
    if (ids.length === 0) return found;
    const [row] = await computedRows<{ text: string }>(marks, {
      attributes: [[fn('json_group_array', fn('json_array', ...CELLS.map((name) => col(name)))), 'text']],
      where: { makingId: [...ids] },
      transaction,
    });
    for (const [making, cells] of group(JSON.parse(row?.text ?? '[]') as Cells[], ([makingId]) => makingId)) {
      found.set(making, inOrder(cells.map(markIn)));
    }
    return found;
  }

  /** Marks by their making. What a transaction sees may be rolled back, so it is not cached. */
  return async function marksOf(
    ids: readonly string[],
    transaction?: Transaction,
  ): Promise<Map<string, readonly Mark[]>> {
    if (transaction || ids.length === 0) return read(ids, transaction);
    const states = await statesOf(ids);
    const stale = states.filter(({ makingId, state }) => kept.get(makingId)?.state !== state);
    const fresh = await read(stale.map(({ makingId }) => makingId));
    for (const { makingId, state } of stale) {
      const marks = fresh.get(makingId) ?? [];
      // If a mark came between the two queries, the marks are read again next time.
      if (marks.length === Number.parseInt(state, 10)) kept.set(makingId, { state, marks });
    }
    return new Map(states.map(({ makingId }) => [makingId, fresh.get(makingId) ?? kept.get(makingId)?.marks ?? []]));
  };
}
