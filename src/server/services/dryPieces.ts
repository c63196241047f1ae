import { QueryTypes } from 'sequelize';
import type { DryLine } from '../../contract/made.ts';
import type { MadeQuery } from '../../contract/madeSchema.ts';
import type { Database } from '../models/database.ts';
import { STANDS } from './standing.ts';

interface DryRow extends Omit<DryLine, 'numbers'> {
  readonly numbers: string;
  readonly total: number;
}

const PIECE = ['makingId', 'piece', 'number'] as const;
const same = (one: string, other: string) =>
  PIECE.map((column) => `${one}.${column} = ${other}.${column}`).join(' AND ');

/** When marks of these kinds were last pressed for each piece. */
const lastOf = (kinds: string) =>
  `SELECT ${PIECE.join(', ')}, max(at) AS last FROM marks WHERE kind IN (${kinds}) GROUP BY ${PIECE.join(', ')}`;

/** Pieces that are planned for firings. */
const WANTED = `SELECT json_extract(w.value, '$.making'), json_extract(w.value, '$.piece'), json_extract(w.value, '$.number')
  FROM records r, json_each(r.body, '$.wanted') w WHERE r.kind = 'firing' AND r.deletedAt IS NULL`;

/**
 * Pieces that are dry and wait for the kiln: found dry and neither made again nor wetted since, without a fired size, and in no
 * firing. Returns a page of kinds of pieces, oldest first, and the number of kinds in all.
 */
export function dryPieces({ sequelize }: Database) {
  const all = `WITH
    waiting AS (
      SELECT d.makingId, d.piece, d.number FROM (${lastOf("'dry'")}) d LEFT JOIN (${lastOf("'open', 'again', 'wetted'")}) u ON ${same('u', 'd')}
      WHERE (u.last IS NULL OR u.last <= d.last)
        AND NOT EXISTS (SELECT 1 FROM measurements e INDEXED BY measurements_fired WHERE ${same('e', 'd')} AND e.state IN ('bisque', 'fired') AND ${STANDS})
        AND (d.makingId, d.piece, d.number) NOT IN (${WANTED})),
    kinds AS (SELECT makingId, piece, json_group_array(number) AS numbers FROM waiting GROUP BY makingId, piece),
    lines AS (
      SELECT k.makingId, k.piece, k.numbers, m.name AS called, m.startedAt
      FROM kinds k JOIN makings m ON m.id = k.makingId AND m.deletedAt IS NULL)`;
  const page = `${all}
    SELECT l.makingId AS making, l.piece, p.name, l.called, l.numbers, l.total
    FROM (SELECT *, COUNT(*) OVER () AS total FROM lines ORDER BY startedAt, makingId, piece LIMIT :limit OFFSET :offset) l
    JOIN making_pieces p ON p.makingId = l.makingId AND p.piece = l.piece ORDER BY l.startedAt, l.makingId, l.piece`;

  return async ({
    limit,
    offset,
  }: Pick<MadeQuery, 'limit' | 'offset'>): Promise<{ lines: DryLine[]; total: number }> => {
    const rows = await sequelize.query<DryRow>(page, { type: QueryTypes.SELECT, replacements: { limit, offset } });
    // A page beyond the last line has no row with the total.
    const [counted] =
      rows.length > 0 || offset === 0
        ? rows
        : await sequelize.query<{ total: number }>(`${all} SELECT COUNT(*) AS total FROM lines`, {
            type: QueryTypes.SELECT,
          });
    const lines = rows.map(({ making, piece, name, called, numbers }): DryLine => ({
      making,
      piece,
      name,
      called,
      numbers: (JSON.parse(numbers) as number[]).sort((one, other) => one - other),
    }));
    return { lines, total: counted?.total ?? 0 };
  };
}

/** Dry pieces as the routes use them. */
export type DryPieces = ReturnType<typeof dryPieces>;
