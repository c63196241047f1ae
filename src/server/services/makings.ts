import { Op, type Transaction } from 'sequelize';
import type { Entries, Making, MakingHead, MakingLine, MakingNow, MakingStart } from '../../contract/makings.ts';
import type { Air } from '../../core/studio/drying/air.ts';
import type { FoundMark } from '../../core/studio/making/waitWindow.ts';
import type { Database } from '../models/database.ts';
import type { MakingPieceRow, MakingRow } from '../models/makingRows.ts';
import { Refusal } from '../refusal.ts';
import { marksKept } from './markRows.ts';
import { group, ordersKept } from './ordersKept.ts';
import { columns, critiqueOf, entryOf, headOf, iso, isoOr, markOf, markRow } from './makingColumns.ts';

/** Which makings a list shows. */
export interface MakingsQuery {
  readonly limit: number;
  readonly offset: number;
  readonly find: string;
  readonly design?: string;
}

/** The keeping of makings. Every verb that names one refuses with `making-not-found`. */
export function makingService(database: Database) {
  const {
    makings,
    makingPieces,
    makingSteps,
    marks,
    measurements,
    faults,
    notes,
    photographs,
    strikes,
    critiques,
    revisions,
  } = database;

  async function rowOf(id: string, transaction?: Transaction): Promise<MakingRow> {
    const row = await makings.findByPk(id, { transaction });
    if (!row) throw new Refusal('making-not-found');
    return row;
  }

  /** A table of what is added to makings and never changed. */
  type Added = Database['marks' | 'strikes'];

  const rowsOf = async (table: Added, ids: readonly string[], transaction?: Transaction) =>
    (await (table as Database['marks']).findAll({
      where: { makingId: [...ids] },
      order: [
        ['at', 'ASC'],
        ['id', 'ASC'],
      ],
      raw: true,
      transaction,
    })) as unknown as Record<string, unknown>[];

  const ordersOf = ordersKept(database);
  const marksOf = marksKept(database);

  /** Several makings with their steps and marks, by a few queries in all. */
  async function wholes(rows: readonly MakingRow[], transaction?: Transaction): Promise<MakingNow[]> {
    const ids = rows.map(({ id }) => id);
    const where = { makingId: ids };
    const [pieces, orders, pressed] = await Promise.all([
      makingPieces.findAll({ where, order: ['piece'], raw: true, transaction }) as unknown as Promise<MakingPieceRow[]>,
      ordersOf(ids, transaction),
      marksOf(ids, transaction),
    ]);
    const piecesOf = group(pieces, ({ makingId }) => makingId);
    return rows.map((row) => ({
      id: row.id,
      ...headOf(row),
      endedAt: isoOr(row.endedAt),
      updatedAt: iso(row.updatedAt),
      pieces: (piecesOf.get(row.id) ?? []).map(({ piece, designId, revision, name, count, names }) => ({
        designId,
        revision,
        name,
        count,
        ...(names !== '[]' && { names: JSON.parse(names) as string[] }),
        steps: orders.get(row.id)?.[piece] ?? [],
      })),
      marks: pressed.get(row.id) ?? [],
    }));
  }

  async function whole(row: MakingRow, transaction?: Transaction): Promise<Making> {
    const [now] = await wholes([row], transaction);
    const read = async <T>(table: Added) =>
      (await rowsOf(table, [row.id], transaction)).map((entry) => entryOf<T>(entry));
    return {
      ...(now as MakingNow),
      measurements: await read<Making['measurements'][number]>(measurements),
      faults: await read<Making['faults'][number]>(faults),
      notes: await read<Making['notes'][number]>(notes),
      photographs: await read<Making['photographs'][number]>(photographs),
      critiques: (await rowsOf(critiques, [row.id], transaction)).map(critiqueOf),
      strikes: (await read<Making['strikes'][number]>(strikes)).map(({ id, of, out, at }) => ({
        id,
        of,
        out: Boolean(out),
        at,
      })),
    };
  }

  /** What hands have found of a clay in all makings, each with the air of its own, for the factor that is learned. */
  async function found(clay: string): Promise<FoundMark[]> {
    const own = (await makings.findAll({
      where: { clay },
      attributes: ['id', 'temperature', 'humidity', 'speed'],
      raw: true,
    })) as unknown as ({ id: string } & Air)[];
    const airs = new Map(own.map(({ id, temperature, humidity, speed }) => [id, { temperature, humidity, speed }]));
    const rows = (await marks.findAll({
      where: { makingId: [...airs.keys()], hours: { [Op.not]: null } },
      order: [['at', 'DESC']],
      limit: 500,
      raw: true,
    })) as unknown as Record<string, unknown>[];
    return rows.map((row) => ({ ...markOf(row), air: airs.get(row['makingId'] as string) as Air }));
  }

  return {
    /** A page of all makings, newest first, and how many there are. */
    async list({ limit, offset, find, design }: MakingsQuery): Promise<{ lines: MakingLine[]; total: number }> {
      const { rows, count } = await makings.findAndCountAll({
        ...(find && { where: { name: { [Op.substring]: find } } }),
        ...(design !== undefined && {
          include: { model: makingPieces, as: 'pieces', where: { designId: design }, attributes: [] },
          distinct: true,
        }),
        limit,
        offset,
        order: [
          ['startedAt', 'DESC'],
          ['id', 'ASC'],
        ],
      });
      const pieces = (await makingPieces.findAll({
        where: { makingId: rows.map(({ id }) => id) },
        order: ['piece'],
        raw: true,
      })) as unknown as MakingPieceRow[];
      const piecesOf = group(pieces, ({ makingId }) => makingId);
      const lines = rows.map((row): MakingLine => {
        const { name, clay, startedAt, dueAt } = headOf(row);
        const own = (piecesOf.get(row.id) ?? []).map(({ designId, revision, name: called, count: many }) => ({
          designId,
          revision,
          name: called,
          count: many,
        }));
        return { id: row.id, name, clay, startedAt, dueAt, endedAt: isoOr(row.endedAt), pieces: own };
      });
      return { lines, total: count };
    },

    /** Everything in work, oldest first, with steps and marks. */
    async now(): Promise<MakingNow[]> {
      return wholes(
        await makings.findAll({
          where: { endedAt: null },
          order: [
            ['startedAt', 'ASC'],
            ['id', 'ASC'],
          ],
          raw: true,
        }),
      );
    },

    read: async (id: string): Promise<Making> => whole(await rowOf(id)),

    /** Begins a making by the id that the browser gave it: sent twice, it is begun once. Refuses with `revision-not-found`. */
    async begin({ id, pieces, ...head }: MakingStart): Promise<Making> {
      return database.write(async (transaction) => {
        const there = await makings.findByPk(id, { paranoid: false, transaction });
        if (there) return whole(there, transaction);
        for (const { designId, revision } of pieces) {
          const known = await revisions.findOne({
            where: { designId, number: revision },
            attributes: ['number'],
            transaction,
          });
          if (!known) throw new Refusal('revision-not-found');
        }
        // A clay that has left the clay book, or never came there, is not named.
        const clay =
          head.clay !== null && (await database.records.findByPk(head.clay, { paranoid: false, transaction }))
            ? head.clay
            : null;
        const row = await makings.create({ id, ...columns({ ...head, clay }), endedAt: null }, { transaction });
        await makingPieces.bulkCreate(
          pieces.map(({ designId, revision, name, count, names = [] }, piece) => ({
            makingId: id,
            piece,
            designId,
            revision,
            name,
            count,
            names: JSON.stringify(names),
          })),
          { transaction },
        );
        await makingSteps.bulkCreate(
          pieces.flatMap(({ steps }, piece) =>
            steps.map((step, place) => ({ makingId: id, piece, place, step: step.id, body: JSON.stringify(step) })),
          ),
          { transaction },
        );
        return whole(row, transaction);
      });
    },

    /** Writes the head anew; the last one that writes it wins. */
    async change(id: string, { endedAt, ...head }: MakingHead & { endedAt: string | null }): Promise<Making> {
      return database.write(async (transaction) => {
        const row = await rowOf(id, transaction);
        await row.update({ ...columns(head), endedAt: endedAt === null ? null : new Date(endedAt) }, { transaction });
        return whole(row, transaction);
      });
    },

    /** Keeps what was pressed and written, each once by its id, and gives all of the making back. */
    async keep(id: string, entries: Entries): Promise<Making> {
      return database.write(async (transaction) => {
        const row = await rowOf(id, transaction);
        const kept: readonly [Added, readonly object[]][] = [
          [marks, entries.marks.map(markRow)],
          [measurements, entries.measurements],
          [faults, entries.faults],
          [notes, entries.notes],
          [strikes, entries.strikes],
          [critiques, entries.critiques],
        ];
        for (const [table, rows] of kept) {
          await (table as Database['marks']).bulkCreate(rows.map((entry) => ({ ...entry, makingId: id })) as never, {
            transaction,
            ignoreDuplicates: true,
          });
        }
        return whole(row, transaction);
      });
    },

    found,

    /** What hands have found of the clay of each making in other ones, by the making. */
    async foundBeside(all: readonly MakingNow[]): Promise<Map<string, FoundMark[]>> {
      const clays = [...new Set(all.flatMap(({ clay }) => clay ?? []))];
      const byClay = new Map(await Promise.all(clays.map(async (clay) => [clay, await found(clay)] as const)));
      return new Map(
        all.map(({ id, clay, marks: own }) => {
          const mine = new Set(own.map((mark) => mark.id));
          return [id, (byClay.get(clay ?? '') ?? []).filter((mark) => !mine.has(mark.id))];
        }),
      );
    },

    /** Takes a making away; its design is not touched, and `putBack` undoes it. */
    async remove(id: string): Promise<void> {
      await database.write(async (transaction) => (await rowOf(id, transaction)).destroy({ transaction }));
    },

    async putBack(id: string): Promise<Making> {
      return database.write(async (transaction) => {
        const row = await makings.findByPk(id, { paranoid: false, transaction });
        if (!row) throw new Refusal('making-not-found');
        await row.restore({ transaction });
        return whole(row, transaction);
      });
    },
  };
}

export type MakingService = ReturnType<typeof makingService>;
