import { Op, type FindOptions, type Model, type ModelStatic, type Transaction } from 'sequelize';
import type { Entries, Making, MakingHead, MakingLine, MakingNow, MakingStart } from '../../contract/makings.ts';
import type { FoundMark } from '../../core/studio/making/waitWindow.ts';
import type { Database } from '../models/database.ts';
import type { EntryRow, MakingRow } from '../models/makingRows.ts';
import { plainRows, type Plain } from '../models/plainRows.ts';
import { Refusal } from '../refusal.ts';
import { marksKept } from './markRows.ts';
import { nameHas } from './nameHas.ts';
import { group, ordersKept } from './ordersKept.ts';
import { airOf, columns, critiqueOf, entryOf, headOf, iso, isoOr, markOf, markRow, strikeOf } from './makingColumns.ts';

/** Which makings a list shows. */
export interface MakingsQuery {
  readonly limit: number;
  readonly offset: number;
  readonly find: string;
  readonly design?: string;
}

/** Stores makings. Every method that names one refuses with `making-not-found`. */
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

  /** What was added to a making, oldest first. */
  const oldestFirst = (makingId: string, transaction?: Transaction): FindOptions => ({
    where: { makingId },
    order: [
      ['at', 'ASC'],
      ['id', 'ASC'],
    ],
    transaction,
  });

  const ordersOf = ordersKept(database);
  const marksOf = marksKept(database);

  /** Several makings with their steps and marks, by a few queries in all. */
  async function wholes(rows: readonly Plain<MakingRow>[], transaction?: Transaction): Promise<MakingNow[]> {
    const ids = rows.map(({ id }) => id);
    const where = { makingId: ids };
    const [pieces, orders, pressed] = await Promise.all([
      plainRows(makingPieces, { where, order: ['piece'], transaction }),
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

  async function whole(row: Plain<MakingRow>, transaction?: Transaction): Promise<Making> {
    const [now] = await wholes([row], transaction);
    const own = oldestFirst(row.id, transaction);
    const entries = async <T>(table: ModelStatic<EntryRow>) =>
      (await plainRows(table, own)).map((one) => entryOf<T>(one));
    return {
      ...(now as MakingNow),
      measurements: await entries<Making['measurements'][number]>(measurements),
      faults: await entries<Making['faults'][number]>(faults),
      notes: await entries<Making['notes'][number]>(notes),
      photographs: await entries<Making['photographs'][number]>(photographs),
      critiques: (await plainRows(critiques, own)).map(critiqueOf),
      strikes: (await plainRows(strikes, own)).map(strikeOf),
    };
  }

  /** Marks of a clay in all makings, each with the air of its making, for learning the factor. */
  async function found(clay: string): Promise<FoundMark[]> {
    const own = await plainRows(makings, {
      where: { clay },
      attributes: ['id', 'temperature', 'humidity', 'speed'],
    });
    const airs = new Map(own.map((row) => [row.id, airOf(row)]));
    const rows = await plainRows(marks, {
      where: { makingId: [...airs.keys()], hours: { [Op.not]: null } },
      order: [['at', 'DESC']],
      limit: 500,
    });
    return rows.flatMap((row): FoundMark[] => {
      const air = airs.get(row.makingId);
      return air ? [{ ...markOf({ ...row, at: iso(row.at) }), air }] : [];
    });
  }

  return {
    /** A page of all makings, newest first, and how many there are. */
    async list({ limit, offset, find, design }: MakingsQuery): Promise<{ lines: MakingLine[]; total: number }> {
      const { rows, count } = await makings.findAndCountAll({
        ...(find && { where: nameHas('making', find) }),
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
      const pieces = await plainRows(makingPieces, { where: { makingId: rows.map(({ id }) => id) }, order: ['piece'] });
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
        await plainRows(makings, {
          where: { endedAt: null },
          order: [
            ['startedAt', 'ASC'],
            ['id', 'ASC'],
          ],
        }),
      );
    },

    read: async (id: string): Promise<Making> => whole(await rowOf(id)),

    /** Begins a making with an id chosen by the browser: sent twice, it is begun once. Refuses with `revision-not-found`. */
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
        // A clay that is not in the clay book, or no longer, is not named.
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

    /** Writes the head; the last write wins. */
    async change(id: string, { endedAt, ...head }: MakingHead & { endedAt: string | null }): Promise<Making> {
      return database.write(async (transaction) => {
        const row = await rowOf(id, transaction);
        await row.update({ ...columns(head), endedAt: endedAt === null ? null : new Date(endedAt) }, { transaction });
        return whole(row, transaction);
      });
    },

    /** Stores entries, each once by its id, and returns the whole making. */
    async keep(id: string, entries: Entries): Promise<Making> {
      return database.write(async (transaction) => {
        const row = await rowOf(id, transaction);
        const kept: readonly (readonly [ModelStatic<Model>, readonly object[]])[] = [
          [marks, entries.marks.map(markRow)],
          [measurements, entries.measurements],
          [faults, entries.faults],
          [notes, entries.notes],
          [strikes, entries.strikes],
          [critiques, entries.critiques],
        ];
        for (const [table, rows] of kept) {
          const added = rows.map((entry) => ({ ...entry, makingId: id }));
          await table.bulkCreate(added, { transaction, ignoreDuplicates: true });
        }
        return whole(row, transaction);
      });
    },

    found,

    /** For each making, the marks of its clay in other makings. */
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

    /** Deletes a making; its design is not touched, and `putBack` restores it. */
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

/** Makings as the routes use them. */
export type MakingService = ReturnType<typeof makingService>;
