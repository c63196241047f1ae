import { Op, QueryTypes } from 'sequelize';
import type { Kept } from '../../contract/records.ts';
import { insideOf, pieceKey, type KeptFiring, type PieceAt } from '../../core/studio/kiln/keptFiring.ts';
import type { MadePiece, MeasuredSize, Planned } from '../../core/studio/learning/madePiece.ts';
import { isTooLate } from '../../core/studio/making/making.ts';
import type { WorkStep } from '../../core/studio/making/workStep.ts';
import type { Database } from '../models/database.ts';
import type { EntryRow } from '../models/makingRows.ts';
import { plainRows } from '../models/plainRows.ts';
import { iso } from './makingColumns.ts';
import type { RecordService } from './records.ts';
import { standing } from './standing.ts';

/**
 * Most pieces that a clay is learned from: its newest ones in measured batches, and in all. Older ones add nothing, and clays
 * change.
 */
const LEARNED_FROM = { measured: 600, all: 3000 } as const;

/** A kind of piece that something was made of, whose clay and revision are known. */
interface KindRow {
  readonly making: string;
  readonly piece: number;
  readonly name: string;
  readonly form: string;
  readonly count: number;
  readonly clay: string;
  readonly thickness: number;
  readonly seam: string;
  readonly base: string;
  readonly shrinkage: number;
  readonly planned: string;
  /** 1 where any of its making was measured. */
  readonly measured: number;
}

type Spot = Pick<EntryRow, 'makingId' | 'piece' | 'number'>;

/** What is read of every entry. */
const SPOT = ['makingId', 'piece', 'number'] as const;

/** Rows in lists by the piece that they belong to. */
function byPiece<T extends Spot>(rows: readonly T[]): Map<string, T[]> {
  const lists = new Map<string, T[]>();
  for (const row of rows) {
    const key = pieceKey({ ...row, making: row.makingId });
    const list = lists.get(key);
    if (list) list.push(row);
    else lists.set(key, [row]);
  }
  return lists;
}

/** The pieces that were in a firing, and the shelf that each stood on where that was planned. */
function inside(firing: KeptFiring): (PieceAt & { readonly stood: string | null })[] {
  const names = new Map(firing.shelves.map(({ id, name }) => [id, name]));
  const stood = new Map(firing.placed.map((one) => [pieceKey(one), names.get(one.shelf) ?? null]));
  return insideOf(firing).map((one) => ({ ...one, stood: stood.get(pieceKey(one)) ?? null }));
}

/** The pieces that clays are learned from. */
export function madePieces(database: Database, records: RecordService) {
  const ask = <T extends object>(sql: string, replacements: Record<string, unknown> = {}) =>
    database.sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements });

  /** The firing and shelf of each piece; of several firings the latest counts. */
  async function firingsOf(): Promise<Map<string, MadePiece['firing']>> {
    const firings: Kept<'firing'>[] = (await records.list('firing')).filter(({ body }) => body.kind !== 'bisque');
    const found = new Map<string, MadePiece['firing']>();
    for (const { id, body } of firings.sort((one, other) => (one.body.day < other.body.day ? -1 : 1))) {
      for (const { stood, ...one } of inside(body)) found.set(pieceKey(one), { id, name: body.name, shelf: stood });
    }
    return found;
  }

  /** Waits for a window, by making, piece and step. */
  async function windows(makings: string[]): Promise<Set<string>> {
    const rows = await plainRows(database.makingSteps, {
      attributes: ['makingId', 'piece', 'step', 'body'],
      where: { makingId: makings, body: { [Op.substring]: '"until":"opens"' } },
    });
    return new Set(
      rows
        .filter(({ body }) => (JSON.parse(body) as WorkStep).waits?.until === 'opens')
        .map(({ makingId, piece, step }) => `${makingId} ${piece} ${step}`),
    );
  }

  /** The newest kinds of piece of each clay up to {@link LEARNED_FROM}, oldest first. */
  async function newestKinds(): Promise<KindRow[]> {
    const kinds = await ask<KindRow>(
      `SELECT p.makingId AS making, p.piece, p.name, p.count, m.clay, f.form, f.thickness, f.seam, f.base, f.shrinkage, f.planned,
         EXISTS (SELECT 1 FROM measurements e WHERE e.makingId = p.makingId AND e.piece = p.piece) AS measured
       FROM making_pieces p JOIN makings m ON m.id = p.makingId AND m.deletedAt IS NULL
       JOIN revision_facts f ON f.designId = p.designId AND f.revision = p.revision
       WHERE m.clay IS NOT NULL ORDER BY m.startedAt DESC, m.id DESC, p.piece DESC`,
    );
    const counts = new Map<string, { measured: number; all: number }>();
    return kinds
      .filter(({ clay, count, measured }) => {
        const before = counts.get(clay) ?? { measured: 0, all: 0 };
        counts.set(clay, { measured: before.measured + measured * count, all: before.all + count });
        return before.measured < LEARNED_FROM.measured && before.all < LEARNED_FROM.all;
      })
      .reverse();
  }

  /** Every piece of a known clay and revision of which something was written down, by its clay. */
  return async (): Promise<Map<string, MadePiece[]>> => {
    const kinds = await newestKinds();
    const makings = [...new Set(kinds.map(({ making }) => making))];
    const where = standing(makings);
    const sizes = byPiece(
      await plainRows(database.measurements, {
        attributes: [...SPOT, 'what', 'value', 'state'],
        where,
        order: ['at', 'id'],
      }),
    );
    const faults = byPiece(await plainRows(database.faults, { attributes: [...SPOT, 'kind'], where }));
    const hands = byPiece(
      await plainRows(database.marks, {
        attributes: [...SPOT, 'at', 'kind', 'step'],
        where: { makingId: makings, kind: ['ready', 'too-stiff', 'leather-hard', 'dry'] },
        order: ['at'],
      }),
    );
    const [firings, waits] = [await firingsOf(), await windows(makings)];
    const found = new Map<string, MadePiece[]>();
    for (const { clay, count, planned, ...kind } of kinds) {
      const plan = JSON.parse(planned) as Planned;
      for (let number = 1; number <= count; number += 1) {
        const key = pieceKey({ ...kind, number });
        const [own, wrong, marks] = [sizes.get(key) ?? [], faults.get(key) ?? [], hands.get(key) ?? []];
        if (own.length + wrong.length + marks.length === 0) continue;
        const atWindows = marks.filter(({ step }) => waits.has(`${kind.making} ${kind.piece} ${step}`));
        const dry = marks.findLast(({ kind: what }) => what === 'dry');
        const piece: MadePiece = {
          ...kind,
          number,
          firing: firings.get(key) ?? null,
          planned: plan,
          measured: own.map(({ what, value, state }): MeasuredSize => ({ what, value, state: state ?? 'wet' })),
          faults: [...new Set(wrong.map(({ kind: what }) => what))],
          missed: atWindows.length === 0 ? null : atWindows.some(({ kind: what }) => isTooLate(what)),
          drying: dry && marks[0] ? (Date.parse(iso(dry.at)) - Date.parse(iso(marks[0].at))) / 3_600_000 : null,
        };
        const list = found.get(clay);
        if (list) list.push(piece);
        else found.set(clay, [piece]);
      }
    }
    return found;
  };
}
