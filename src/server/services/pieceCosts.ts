import { QueryTypes } from 'sequelize';
import type { MadeCosts } from '../../contract/made.ts';
import type { Kept } from '../../contract/records.ts';
import { kindKey } from '../../core/studio/kiln/firingLoad.ts';
import { insideOf } from '../../core/studio/kiln/keptFiring.ts';
import type { Planned } from '../../core/studio/learning/madePiece.ts';
import { roomShare, type FiringCost, type Roomed } from '../../core/studio/price/priceOf.ts';
import { Refusal } from '../refusal.ts';
import type { Database } from '../models/database.ts';
import { STANDS } from './madeSearch.ts';
import type { RecordService } from './records.ts';
import type { RevisionFacts } from './revisionFacts.ts';

interface PieceRow {
  readonly count: number;
  readonly clay: string | null;
  readonly planned: string | null;
  readonly faulty: number;
}

/** Costs of what was made: its clay, and its share of each firing. */
export function pieceCosts(database: Database, records: RecordService, facts: RevisionFacts) {
  const ask = <T extends object>(sql: string, replacements: Record<string, unknown>) =>
    database.sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements });

  /** The room (fired ml) of one piece of each kind of some makings; null where its revision is not known. */
  async function rooms(makings: readonly string[]): Promise<Map<string, number | null>> {
    const rows = await ask<{ making: string; piece: number; planned: string | null }>(
      `SELECT p.makingId AS making, p.piece, f.planned FROM making_pieces p
       LEFT JOIN revision_facts f ON f.designId = p.designId AND f.revision = p.revision WHERE p.makingId IN (:makings)`,
      { makings },
    );
    return new Map(
      rows.map(({ planned, ...one }) => [
        kindKey(one),
        planned === null ? null : (JSON.parse(planned) as Planned).room,
      ]),
    );
  }

  async function firingCost({ body }: Kept<'firing'>, key: string): Promise<FiringCost[]> {
    const counts = new Map<string, number>();
    const inside = insideOf(body);
    for (const one of inside) counts.set(kindKey(one), (counts.get(kindKey(one)) ?? 0) + 1);
    if (!counts.has(key)) return [];
    const known = await rooms([...new Set(inside.map(({ making }) => making))]);
    const roomed = [...counts].map(([kind, count]) => ({ kind, count, room: known.get(kind) ?? null }));
    const own = roomed.find(({ kind }) => kind === key) as Roomed;
    return [{ name: body.name, price: body.price ?? null, share: roomShare(roomed, own) }];
  }

  return {
    /** What one kind of piece of a making cost. Throws `not-found` where it is not here. */
    async costs(making: string, piece: number): Promise<MadeCosts> {
      await facts.fillMissing();
      const [row] = await ask<PieceRow>(
        `SELECT p.count, m.clay, f.planned,
           (SELECT COUNT(DISTINCT e.number) FROM faults e
            WHERE e.makingId = p.makingId AND e.piece = p.piece AND ${STANDS}) AS faulty
         FROM making_pieces p JOIN makings m ON m.id = p.makingId AND m.deletedAt IS NULL
         LEFT JOIN revision_facts f ON f.designId = p.designId AND f.revision = p.revision
         WHERE p.makingId = :making AND p.piece = :piece`,
        { making, piece },
      );
      if (!row) throw new Refusal('not-found');
      const clay = (await records.list('clay')).find(({ id }) => id === row.clay)?.body;
      const firings: FiringCost[] = [];
      for (const firing of await records.list('firing'))
        firings.push(...(await firingCost(firing, kindKey({ making, piece }))));
      return {
        count: row.count,
        faulty: row.faulty,
        clay: row.planned === null ? null : (JSON.parse(row.planned) as Planned).clay,
        bag: clay?.price !== undefined && clay.bag ? { price: clay.price, grams: clay.bag } : null,
        firings,
      };
    },
  };
}

/** Costs of pieces as the routes use them. */
export type PieceCosts = ReturnType<typeof pieceCosts>;
