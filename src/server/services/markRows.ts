import { QueryTypes, type Transaction } from 'sequelize';
import { inOrder, type Mark } from '../../core/studio/making/making.ts';
import type { Database } from '../models/database.ts';
import { iso } from './makingColumns.ts';
import { group } from './ordersKept.ts';

/** Columns of a mark in the text that the database writes of it. */
type Cells = readonly [makingId: string, id: string, piece: number, number: number, step: string, at: string, kind: string, hours: number | null, thickness: number | null, faces: string | null, cover: string | null, support: string | null]; // prettier-ignore

/** How the database writes a time in UTC. */
const UTC = /^(\d{4}-\d\d-\d\d) (\d\d:\d\d:\d\d\.\d{3}) \+00:00$/;
const timeOf = (text: string) => (UTC.test(text) ? text.replace(UTC, '$1T$2Z') : iso(text));

/** A mark as it was sent. */
function markOf([, id, piece, number, step, at, kind, hours, thickness, faces, cover, support]: Cells): Mark {
  const drying = hours === null ? {} : { drying: { hours, part: { thickness, faces, cover, ...(support !== null && { support }) } } }; // prettier-ignore
  return { id, piece, number, step, at: timeOf(at), kind, ...drying } as Mark;
}

/**
 * Marks by their making, oldest first. The database writes them as one text, in any order: a row of its own for each takes four
 * times as long, and sorting them there twice as long.
 */
export async function marksByMaking(
  { sequelize }: Database,
  ids: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, Mark[]>> {
  const found = new Map<string, Mark[]>();
  if (ids.length === 0) return found;
  const [row] = await sequelize.query<{ text: string }>(
    `SELECT json_group_array(json_array(makingId, id, piece, number, step, at, kind, hours, thickness, faces, cover, support)) AS text
       FROM marks WHERE makingId IN (:ids)`,
    { type: QueryTypes.SELECT, replacements: { ids: [...ids] }, transaction },
  );
  for (const [making, cells] of group(JSON.parse(row?.text ?? '[]') as Cells[], ([makingId]) => makingId)) {
    found.set(making, inOrder(cells.map(markOf)));
  }
  return found;
}
