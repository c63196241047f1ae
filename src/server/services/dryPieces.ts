import { QueryTypes } from 'sequelize';
import type { DryLine } from '../../contract/made.ts';
import { kindKey } from '../../core/studio/kiln/firingLoad.ts';
import { pieceKey, type PieceAt } from '../../core/studio/kiln/keptFiring.ts';
import type { Database } from '../models/database.ts';
import { STANDS } from './madeSearch.ts';
import type { RecordService } from './records.ts';

interface DryRow extends PieceAt {
  readonly name: string;
  readonly called: string;
}

/**
 * What is dry and waits for the kiln: a hand found it dry and has not made it again or wetted it since, it has no fired size, and
 * no firing wants it.
 */
export function dryPieces(database: Database, records: RecordService) {
  return async (): Promise<DryLine[]> => {
    const rows = await database.sequelize.query<DryRow>(
      `WITH dry AS (
         SELECT makingId, piece, number, max(CASE kind WHEN 'dry' THEN at END) AS found, max(CASE kind WHEN 'dry' THEN NULL ELSE at END) AS undone
         FROM marks WHERE kind IN ('dry', 'open', 'again', 'wetted')
         GROUP BY makingId, piece, number HAVING found IS NOT NULL AND (undone IS NULL OR undone <= found))
       SELECT d.makingId AS making, d.piece, d.number, p.name, m.name AS called
       FROM dry d JOIN makings m ON m.id = d.makingId AND m.deletedAt IS NULL
       JOIN making_pieces p ON p.makingId = d.makingId AND p.piece = d.piece
       WHERE NOT EXISTS (
         SELECT 1 FROM measurements e WHERE e.makingId = d.makingId AND e.piece = d.piece AND e.number = d.number
         AND e.state IN ('bisque', 'fired') AND ${STANDS})
       ORDER BY m.startedAt, m.id, d.piece, d.number`,
      { type: QueryTypes.SELECT },
    );
    const wanted = new Set((await records.list('firing')).flatMap(({ body }) => body.wanted.map(pieceKey)));
    const lines = new Map<string, DryLine>();
    for (const { making, piece, number, name, called } of rows) {
      if (wanted.has(pieceKey({ making, piece, number }))) continue;
      const key = kindKey({ making, piece });
      lines.set(key, { making, piece, name, called, numbers: [...(lines.get(key)?.numbers ?? []), number] });
    }
    return [...lines.values()];
  };
}

export type DryPieces = ReturnType<typeof dryPieces>;
