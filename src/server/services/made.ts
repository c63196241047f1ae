import { QueryTypes } from 'sequelize';
import type { ClayRecords, MadeLine } from '../../contract/made.ts';
import type { MadeQuery } from '../../contract/madeSchema.ts';
import type { Kept } from '../../contract/records.ts';
import { knownShrinkage } from '../../core/clay/bars.ts';
import { pieceKey, type KeptFiring, type PieceAt } from '../../core/kiln/keptFiring.ts';
import type { LearnBar } from '../../core/learning/learn.ts';
import type { MadePiece, MeasuredSize, Planned } from '../../core/learning/madePiece.ts';
import type { Measured, PieceState } from '../../core/making/measured.ts';
import type { WorkStep } from '../../core/making/workStep.ts';
import type { Database } from '../models/database.ts';
import type { Workshop } from '../workshop/workshop.ts';
import { searchMade, STANDS } from './madeSearch.ts';
import type { RecordService } from './records.ts';
import type { RevisionFacts } from './revisionFacts.ts';

/** Findings of a hand that say that a join's window has closed. */
const TOO_LATE = ['too-stiff', 'leather-hard', 'dry'];

/** A kind of piece that something was made of, whose clay and revision are known. */
interface KindRow {
  readonly making: string;
  readonly piece: number;
  readonly name: string;
  readonly count: number;
  readonly clay: string;
  readonly thickness: number;
  readonly seam: string;
  readonly base: string;
  readonly shrinkage: number;
  readonly planned: string;
}
interface SpotRow {
  readonly making: string;
  readonly piece: number;
  readonly number: number;
  readonly at: string;
}

/** Rows in lists by the piece that they belong to. */
function byPiece<T extends SpotRow>(rows: readonly T[]): Map<string, T[]> {
  const lists = new Map<string, T[]>();
  for (const row of rows) {
    const key = pieceKey(row);
    const list = lists.get(key);
    if (list) list.push(row);
    else lists.set(key, [row]);
  }
  return lists;
}

/** The pieces that were in a firing, and the shelf that each stood on where that was planned. */
function inside({ shelves, placed, wanted }: KeptFiring): (PieceAt & { readonly stood: string | null })[] {
  const names = new Map(shelves.map(({ id, name }) => [id, name]));
  const stood = new Map(placed.map((one) => [pieceKey(one), names.get(one.shelf) ?? null]));
  return wanted.map((one) => ({ ...one, stood: stood.get(pieceKey(one)) ?? null }));
}

/** What was made, as it is searched and learned from. */
export function madeService(database: Database, records: RecordService, facts: RevisionFacts, workshop: Workshop) {
  const ask = <T extends object>(sql: string) => database.sequelize.query<T>(sql, { type: QueryTypes.SELECT });

  /** In which firing, and on which shelf, each piece got its last fire: of several the latest day counts. */
  async function firingsOf(): Promise<Map<string, MadePiece['firing']>> {
    const firings: Kept<'firing'>[] = (await records.list('firing')).filter(({ body }) => body.kind !== 'bisque');
    const found = new Map<string, MadePiece['firing']>();
    for (const { id, body } of firings.sort((one, other) => (one.body.day < other.body.day ? -1 : 1))) {
      for (const { stood, ...one } of inside(body)) found.set(pieceKey(one), { id, name: body.name, shelf: stood });
    }
    return found;
  }

  /** Waits for a window, by making, piece and step. */
  async function windows(): Promise<Set<string>> {
    const rows = await ask<{ making: string; piece: number; step: string; body: string }>(
      `SELECT makingId AS making, piece, step, body FROM making_steps WHERE body LIKE '%"until":"opens"%'`,
    );
    return new Set(rows.filter(({ body }) => (JSON.parse(body) as WorkStep).waits?.until === 'opens').map(({ making, piece, step }) => `${making} ${piece} ${step}`)); // prettier-ignore
  }

  /** Every piece of a known clay and revision of which something was written down, by its clay. */
  async function piecesByClay(): Promise<Map<string, MadePiece[]>> {
    const kinds = await ask<KindRow>(
      `SELECT p.makingId AS making, p.piece, p.name, p.count, m.clay, f.thickness, f.seam, f.base, f.shrinkage, f.planned
       FROM making_pieces p JOIN makings m ON m.id = p.makingId AND m.deletedAt IS NULL
       JOIN revision_facts f ON f.designId = p.designId AND f.revision = p.revision
       WHERE m.clay IS NOT NULL ORDER BY m.startedAt, m.id, p.piece`,
    );
    const spot = 'e.makingId AS making, e.piece, e.number, e.at';
    const sizes = byPiece(await ask<SpotRow & { what: Measured; value: number; state: PieceState | null }>(`SELECT ${spot}, e.what, e.value, e.state FROM measurements e WHERE ${STANDS} ORDER BY e.at, e.id`)); // prettier-ignore
    const faults = byPiece(await ask<SpotRow & { kind: string }>(`SELECT ${spot}, e.kind FROM faults e WHERE ${STANDS}`)); // prettier-ignore
    const hands = byPiece(await ask<SpotRow & { kind: string; step: string }>(`SELECT ${spot}, e.kind, e.step FROM marks e WHERE e.kind IN ('ready', 'too-stiff', 'leather-hard', 'dry') ORDER BY e.at`)); // prettier-ignore
    const [firings, waits] = [await firingsOf(), await windows()];
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
          missed: atWindows.length === 0 ? null : atWindows.some(({ kind: what }) => TOO_LATE.includes(what)),
          drying: dry && marks[0] ? (Date.parse(dry.at) - Date.parse(marks[0].at)) / 3_600_000 : null,
        };
        const list = found.get(clay);
        if (list) list.push(piece);
        else found.set(clay, [piece]);
      }
    }
    return found;
  }

  return {
    async search(query: MadeQuery): Promise<{ lines: MadeLine[]; total: number }> {
      await facts.fillMissing();
      return searchMade(database, query);
    },

    /** What the pieces of each clay of the clay book say, as JSON text: worked out by the workshop. */
    async learning(): Promise<string> {
      await facts.fillMissing();
      const [clays, pieces] = [await records.list('clay'), await piecesByClay()];
      const jobs = clays.map(({ id, body }): LearningJob => ({
        clay: id,
        name: body.name,
        now: knownShrinkage(body).shrinkage,
        bars: body.bars.flatMap(({ wet, fired, aside }) => (fired === undefined || aside ? [] : [{ wet, fired }])),
        pieces: pieces.get(id) ?? [],
      }));
      const made = await workshop.make('learn', new TextEncoder().encode(JSON.stringify({ jobs })));
      return made.kind === 'json' ? made.text : '[]';
    },
  };
}

/** What one clay is learned from. */
export interface LearningJob extends Pick<ClayRecords, 'clay' | 'name' | 'now' | 'pieces'> {
  readonly bars: readonly LearnBar[];
}

export type MadeService = ReturnType<typeof madeService>;
