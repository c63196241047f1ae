import type { MadeCosts } from '../../contract/made.ts';
import type { Kept } from '../../contract/records.ts';
import { kindKey } from '../../core/studio/kiln/firingLoad.ts';
import { insideOf } from '../../core/studio/kiln/keptFiring.ts';
import type { Planned } from '../../core/studio/learning/madePiece.ts';
import { roomShare, type FiringCost, type Roomed } from '../../core/studio/price/priceOf.ts';
import { Refusal } from '../refusal.ts';
import type { Database } from '../models/database.ts';
import type { MakingPieceRow } from '../models/makingRows.ts';
import { plainRows, type Plain } from '../models/plainRows.ts';
import type { RecordService } from './records.ts';
import type { RevisionFacts } from './revisionFacts.ts';
import { standing } from './standing.ts';

/** Costs of what was made: its clay, and its share of each firing. */
export function pieceCosts(database: Database, records: RecordService, facts: RevisionFacts) {
  const { makings, makingPieces, revisionFacts, faults } = database;

  /** What is planned for the revisions of pieces, by kind; null where a revision is not known. */
  async function plannedOf(pieces: readonly Plain<MakingPieceRow>[]): Promise<Map<string, Planned | null>> {
    const designId = [...new Set(pieces.map((one) => one.designId))];
    const known = await plainRows(revisionFacts, {
      attributes: ['designId', 'revision', 'planned'],
      where: { designId },
    });
    const revisionKey = (one: { readonly designId: string; readonly revision: number }) =>
      `${one.designId} ${one.revision}`;
    const texts = new Map(known.map((one) => [revisionKey(one), one.planned]));
    return new Map(
      pieces.map((one) => {
        const text = texts.get(revisionKey(one));
        return [kindKey({ ...one, making: one.makingId }), text === undefined ? null : (JSON.parse(text) as Planned)];
      }),
    );
  }

  /** The room (fired ml) of one piece of each kind of some makings; null where its revision is not known. */
  async function rooms(making: readonly string[]): Promise<Map<string, number | null>> {
    const planned = await plannedOf(await plainRows(makingPieces, { where: { makingId: [...making] } }));
    return new Map([...planned].map(([kind, plan]) => [kind, plan?.room ?? null]));
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
      const [head, [row]] = await Promise.all([
        makings.findByPk(making),
        plainRows(makingPieces, { where: { makingId: making, piece } }),
      ]);
      if (!head || !row) throw new Refusal('not-found');
      const planned = (await plannedOf([row])).get(kindKey({ making, piece }));
      const faulty = await faults.count({ where: { ...standing([making]), piece }, distinct: true, col: 'number' });
      const clay = (await records.list('clay')).find(({ id }) => id === head.clay)?.body;
      const firings: FiringCost[] = [];
      for (const firing of await records.list('firing'))
        firings.push(...(await firingCost(firing, kindKey({ making, piece }))));
      return {
        count: row.count,
        faulty,
        clay: planned?.clay ?? null,
        bag: clay?.price !== undefined && clay.bag ? { price: clay.price, grams: clay.bag } : null,
        firings,
      };
    },
  };
}

/** Costs of pieces as the routes use them. */
export type PieceCosts = ReturnType<typeof pieceCosts>;
