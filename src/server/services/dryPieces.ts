import { QueryTypes } from 'sequelize';
import type { DryLine } from '../../contract/made.ts';
import { kindKey } from '../../core/kiln/firingLoad.ts';
import { pieceKey, type PieceAt } from '../../core/kiln/keptFiring.ts';
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
  const same = (other: string) => `${other}.makingId = d.makingId AND ${other}.piece = d.piece AND ${other}.number = d.number`; // prettier-ignore
  return async (): Promise<DryLine[]> => {
    const rows = await database.sequelize.query<DryRow>(
      `SELECT DISTINCT d.makingId AS making, d.piece, d.number, p.name, m.name AS called, m.startedAt
       FROM marks d JOIN makings m ON m.id = d.makingId AND m.deletedAt IS NULL
       JOIN making_pieces p ON p.makingId = d.makingId AND p.piece = d.piece
       WHERE d.kind = 'dry'
         AND NOT EXISTS (SELECT 1 FROM marks l WHERE ${same('l')} AND l.kind IN ('open', 'again', 'wetted') AND l.at > d.at)
         AND NOT EXISTS (SELECT 1 FROM measurements e WHERE ${same('e')} AND e.state IN ('bisque', 'fired') AND ${STANDS})
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
