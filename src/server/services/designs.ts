import { createHash, randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { Design, Revision, RevisionCause, RevisionEntry } from '../../contract/api.ts';
import type { Target } from '../../core/target/target.ts';
import type { Database } from '../models/database.ts';
import type { DesignRow } from '../models/designRow.ts';
import type { RevisionRow } from '../models/revisionRow.ts';
import { nameHas } from './nameHas.ts';
import { Refusal } from '../refusal.ts';
import type { ReadTarget } from '../workshop/work.ts';

const timed = ({ createdAt, updatedAt }: Pick<DesignRow, 'createdAt' | 'updatedAt'>) => ({
  createdAt: new Date(createdAt).toISOString(),
  updatedAt: new Date(updatedAt).toISOString(),
});

/** A target's JSON text with the lists of its mesh put back into its form. */
function wholeText(target: string, mesh: string | null): string {
  if (mesh === null) return target;
  const whole = JSON.parse(target) as { form: object };
  return JSON.stringify({ ...whole, form: { ...whole.form, ...(JSON.parse(mesh) as object) } });
}

/** A design as JSON text: targets are kept as text, and need not be read to be sent. */
function designText(row: DesignRow, mesh: string | null): string {
  const { id, name, revision } = row;
  const head = JSON.stringify({ id, name, revision, ...timed(row) }).slice(1, -1);
  return `{${head},"target":${wholeText(row.target, mesh)}}`;
}

/** What can be listed: designs whose name holds `find`, in the order in which they came to the shelf. */
export interface ListQuery {
  readonly find: string;
  readonly limit: number;
  readonly offset: number;
}

/** A page of a list, as JSON text, and how many there are in all. */
export interface ListPage {
  readonly text: string;
  readonly total: number;
}

/** Stores designs and their revisions. Every method that names a design refuses with `design-not-found`. */
export function designService(database: Database) {
  const { designs, revisions, meshes } = database;

  async function rowOf(id: string, transaction?: Transaction, { removedToo = false } = {}): Promise<DesignRow> {
    const row = await designs.findByPk(id, { transaction, paranoid: !removedToo });
    if (!row) throw new Refusal('design-not-found');
    return row;
  }

  /** Mesh texts by hash, each fetched once. */
  async function bodiesOf(
    rows: readonly { readonly mesh: string | null }[],
    transaction?: Transaction,
  ): Promise<Map<string, string>> {
    const hashes = [...new Set(rows.flatMap(({ mesh }) => (mesh === null ? [] : [mesh])))];
    if (hashes.length === 0) return new Map();
    const found = await meshes.findAll({ where: { hash: hashes }, raw: true, transaction });
    return new Map(found.map(({ hash, body }) => [hash, body]));
  }

  async function textOf(row: DesignRow, transaction?: Transaction): Promise<string> {
    const bodies = await bodiesOf([row], transaction);
    return designText(row, row.mesh === null ? null : (bodies.get(row.mesh) ?? null));
  }

  const designOf = async (row: DesignRow, transaction?: Transaction) =>
    JSON.parse(await textOf(row, transaction)) as Design;

  /** Stores the lists of a mesh, once, and returns their hash. */
  async function keepMesh(body: string | null, transaction: Transaction): Promise<string | null> {
    if (body === null) return null;
    const hash = createHash('sha256').update(body).digest('hex');
    await meshes.findOrCreate({ where: { hash }, defaults: { hash, body }, transaction });
    return hash;
  }

  async function add(
    { name, text, mesh: body }: Pick<ReadTarget, 'name' | 'text' | 'mesh'>,
    cause: RevisionCause,
  ): Promise<Design> {
    return database.write(async (transaction) => {
      const id = randomUUID();
      const mesh = await keepMesh(body, transaction);
      const row = await designs.create({ id, name, target: text, mesh, revision: 1 }, { transaction });
      await revisions.create({ designId: id, number: 1, cause, target: text, mesh }, { transaction });
      return designOf(row, transaction);
    });
  }

  /** Writes a new revision on top of `baseRevision`; refuses with `conflict` and the newer design when there is one. */
  async function put(id: string, read: ReadTarget, cause: RevisionCause): Promise<DesignRow> {
    const { name, text, mesh: body, baseRevision } = read;
    return database.write(async (transaction) => {
      const row = await rowOf(id, transaction);
      if (row.revision !== baseRevision) throw new Refusal('conflict', { current: await designOf(row, transaction) });
      const mesh = await keepMesh(body, transaction);
      if (text === row.target && mesh === row.mesh) return row;
      const number = baseRevision + 1;
      await revisions.create({ designId: id, number, cause, target: text, mesh }, { transaction });
      return row.update({ name, target: text, mesh, revision: number }, { transaction });
    });
  }

  async function revisionRow(id: string, number: number, { removedToo = false } = {}): Promise<RevisionRow> {
    await rowOf(id, undefined, { removedToo });
    const row = await revisions.findOne({ where: { designId: id, number } });
    if (!row) throw new Refusal('revision-not-found');
    return row;
  }

  /** The parts of a kept row, to be written again. */
  async function readAgain(
    { target, mesh }: { target: string; mesh: string | null },
    baseRevision: number | null,
  ): Promise<ReadTarget> {
    const bodies = await bodiesOf([{ mesh }]);
    const { name } = JSON.parse(target) as Target;
    return { name, text: target, mesh: mesh === null ? null : (bodies.get(mesh) ?? null), baseRevision };
  }

  return {
    async list({ find, limit, offset }: ListQuery): Promise<ListPage> {
      const where = find ? nameHas('design', find) : {};
      // Plain rows: building a model of each takes longer than reading them.
      const [total, rows] = await Promise.all([
        designs.count({ where }),
        designs.findAll({
          raw: true,
          where,
          limit,
          offset,
          order: [
            ['createdAt', 'ASC'],
            ['id', 'ASC'],
          ],
        }),
      ]);
      const bodies = await bodiesOf(rows);
      const texts = rows.map((row) => designText(row, row.mesh === null ? null : (bodies.get(row.mesh) ?? null)));
      return { text: `[${texts.join(',')}]`, total };
    },

    /** A design as JSON text. */
    read: async (id: string): Promise<string> => textOf(await rowOf(id)),

    create: (read: ReadTarget) => add(read, 'created'),

    /** Writes, and returns the design without its target, which the caller has. */
    async write(
      id: string,
      read: ReadTarget,
    ): Promise<Omit<Design, 'target'> & { readonly text: () => Promise<string> }> {
      const row = await put(id, read, 'edited');
      const { name, revision } = row;
      return { id, name, revision, ...timed(row), text: () => textOf(row) };
    },

    async duplicate(id: string): Promise<Design> {
      const row = await rowOf(id);
      const read = await readAgain(row, null);
      const name = copyName(read.name);
      const text = JSON.stringify({ ...(JSON.parse(read.text) as Target), name });
      return add({ ...read, name, text }, 'duplicated');
    },

    /** Removes a design from the shelf; `putBack` restores it with all its revisions. */
    async remove(id: string): Promise<void> {
      await database.write(async (transaction) => (await rowOf(id, transaction)).destroy({ transaction }));
    },

    async putBack(id: string): Promise<Design> {
      return database.write(async (transaction) => {
        const row = await designs.findByPk(id, { paranoid: false, transaction });
        if (!row) throw new Refusal('design-not-found');
        await row.restore({ transaction });
        return designOf(row, transaction);
      });
    },

    /** A page of the kept revisions, newest first, without their bodies. */
    async history(
      id: string,
      { limit, offset }: Pick<ListQuery, 'limit' | 'offset'>,
    ): Promise<{ readonly entries: RevisionEntry[]; readonly total: number }> {
      await rowOf(id);
      const where = { designId: id };
      const attributes = ['number', 'cause', 'createdAt'];
      const { rows, count } = await revisions.findAndCountAll({
        where,
        attributes,
        limit,
        offset,
        order: [['number', 'DESC']],
      });
      const entries = rows.map(({ number, cause, createdAt }) => ({ number, cause, keptAt: createdAt.toISOString() }));
      return { entries, total: count };
    },

    /** A revision, also of a design that was removed from the shelf, since pieces made by it still exist. */
    async revision(id: string, number: number): Promise<Revision> {
      const row = await revisionRow(id, number, { removedToo: true });
      const { text, mesh } = await readAgain(row, null);
      return {
        number: row.number,
        cause: row.cause,
        keptAt: row.createdAt.toISOString(),
        target: JSON.parse(wholeText(text, mesh)) as Target,
      };
    },

    /** Writes an older revision again, on top: nothing is lost. */
    async restore(id: string, number: number, baseRevision: number): Promise<Design> {
      const read = await readAgain(await revisionRow(id, number), baseRevision);
      return designOf(await put(id, read, 'restored'));
    },
  };
}

/** Designs as the routes use them. */
export type DesignService = ReturnType<typeof designService>;

/** The name of a copy: `Rack tumbler, copy`, then `Rack tumbler, copy 2`. */
function copyName(name: string): string {
  const match = /^(.*), copy(?: (\d+))?$/.exec(name);
  const next = match ? `${match[1]}, copy ${Number(match[2] ?? 1) + 1}` : `${name}, copy`;
  return next.slice(-120);
}
