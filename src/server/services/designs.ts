import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import type { Design, DesignWrite, Revision, RevisionCause } from '../../contract/api.ts';
import type { Target } from '../../core/piece/target.ts';
import type { Database } from '../models/database.ts';
import type { DesignRow } from '../models/designRow.ts';
import type { RevisionRow } from '../models/revisionRow.ts';
import { Refusal } from '../refusal.ts';

function toDesign(row: DesignRow): Design {
  return {
    id: row.id,
    name: row.name,
    target: JSON.parse(row.target) as Target,
    revision: row.revision,
    createdAt: new Date(row.createdAt).toISOString(),
    updatedAt: new Date(row.updatedAt).toISOString(),
  };
}

function toRevision(row: RevisionRow): Revision {
  return {
    number: row.number,
    cause: row.cause,
    target: JSON.parse(row.target) as Target,
    keptAt: row.createdAt.toISOString(),
  };
}

/** What can be listed: designs whose name holds `find`, in the order in which they came to the shelf. */
export interface ListQuery {
  readonly find: string;
  readonly limit: number;
  readonly offset: number;
}

/** The keeping of designs and their revisions. Every verb that names a design refuses with `design-not-found`. */
export function designService(database: Database) {
  const { designs, revisions } = database;

  async function rowOf(id: string, transaction?: Transaction): Promise<DesignRow> {
    const row = await designs.findByPk(id, { transaction });
    if (!row) throw new Refusal('design-not-found');
    return row;
  }

  async function add(target: Target, cause: RevisionCause): Promise<Design> {
    return database.write(async (transaction) => {
      const id = randomUUID();
      const text = JSON.stringify(target);
      const row = await designs.create({ id, name: target.name, target: text, revision: 1 }, { transaction });
      await revisions.create({ designId: id, number: 1, cause, target: text }, { transaction });
      return toDesign(row);
    });
  }

  /** Writes a new revision on top of `baseRevision`; refuses with `conflict` and the newer design when there is one. */
  async function put(id: string, { target, baseRevision }: DesignWrite, cause: RevisionCause): Promise<Design> {
    return database.write(async (transaction) => {
      const row = await rowOf(id, transaction);
      if (row.revision !== baseRevision) throw new Refusal('conflict', { current: toDesign(row) });
      const text = JSON.stringify(target);
      if (text === row.target) return toDesign(row);
      const number = baseRevision + 1;
      await revisions.create({ designId: id, number, cause, target: text }, { transaction });
      await row.update({ name: target.name, target: text, revision: number }, { transaction });
      return toDesign(row);
    });
  }

  async function revisionRow(id: string, number: number): Promise<RevisionRow> {
    await rowOf(id);
    const row = await revisions.findOne({ where: { designId: id, number } });
    if (!row) throw new Refusal('revision-not-found');
    return row;
  }

  return {
    async list({ find, limit, offset }: ListQuery): Promise<Design[]> {
      const escaped = find.replace(/[\\%_]/g, (sign) => `\\${sign}`);
      const where = find
        ? {
            name: {
              [Op.and]: [
                database.sequelize.literal(`name LIKE ${database.sequelize.escape(`%${escaped}%`)} ESCAPE '\\'`),
              ],
            },
          }
        : {};
      // Plain rows: building a model of each takes longer than reading them.
      const rows = (await designs.findAll({
        raw: true,
        where,
        limit,
        offset,
        order: [
          ['createdAt', 'ASC'],
          ['id', 'ASC'],
        ],
      })) as unknown as readonly DesignRow[];
      return rows.map(toDesign);
    },

    async read(id: string): Promise<Design> {
      return toDesign(await rowOf(id));
    },

    create: (target: Target) => add(target, 'created'),

    write: (id: string, write: DesignWrite) => put(id, write, 'edited'),

    async duplicate(id: string): Promise<Design> {
      const { target } = toDesign(await rowOf(id));
      return add({ ...target, name: copyName(target.name) }, 'duplicated');
    },

    /** Takes a design off the shelf; `putBack` undoes it with all its revisions. */
    async remove(id: string): Promise<void> {
      await database.write(async (transaction) => (await rowOf(id, transaction)).destroy({ transaction }));
    },

    async putBack(id: string): Promise<Design> {
      return database.write(async (transaction) => {
        const row = await designs.findByPk(id, { paranoid: false, transaction });
        if (!row) throw new Refusal('design-not-found');
        await row.restore({ transaction });
        return toDesign(row);
      });
    },

    async history(id: string): Promise<Revision[]> {
      await rowOf(id);
      const rows = await revisions.findAll({ where: { designId: id }, order: [['number', 'DESC']] });
      return rows.map(toRevision);
    },

    async revision(id: string, number: number): Promise<Revision> {
      return toRevision(await revisionRow(id, number));
    },

    /** Writes an older revision again, on top: nothing is lost. */
    async restore(id: string, number: number, baseRevision: number): Promise<Design> {
      const { target } = toRevision(await revisionRow(id, number));
      return put(id, { target, baseRevision }, 'restored');
    },
  };
}

export type DesignService = ReturnType<typeof designService>;

/** The name of a copy: `Rack tumbler, copy`, then `Rack tumbler, copy 2`. */
function copyName(name: string): string {
  const match = /^(.*), copy(?: (\d+))?$/.exec(name);
  const next = match ? `${match[1]}, copy ${Number(match[2] ?? 1) + 1}` : `${name}, copy`;
  return next.slice(-120);
}
