import { randomUUID } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { Transaction } from 'sequelize';
import type { ArchiveClash } from '../../contract/archive.ts';
import type { Database } from '../models/database.ts';
import { iso } from '../services/makingColumns.ts';
import type { StagedArchive } from './stageArchive.ts';
import {
  DESIGNS,
  empty,
  ENTRIES,
  insert,
  keysOf,
  MAKINGS,
  MESHES,
  PIECES,
  RECORDS,
  REVISIONS,
  rowsOf,
  STEPS,
  TABLES,
  type Row,
  type Table,
} from './tables.ts';

/** Whose state counts in a clash: a record with the same id on both sides. */
export type Counts = 'here' | 'archive';

/** Things that have a name and a newest state. */
const KEPT = [
  { kind: 'design', table: DESIGNS, own: ['name', 'target', 'mesh', 'deletedAt'] },
  { kind: 'record', table: RECORDS, own: ['name', 'kind', 'body', 'deletedAt'] },
  {
    kind: 'making',
    table: MAKINGS,
    own: ['name', 'clay', 'dueAt', 'endedAt', 'schools', 'temperature', 'humidity', 'speed', 'deletedAt'],
  },
] as const satisfies readonly { kind: ArchiveClash['kind']; table: Table; own: readonly string[] }[];

const alike = (one: Row, other: Row, columns: readonly string[]) =>
  columns.every((column) => one[column] === other[column]);

/** The clashes between the studio and an archive: one id, different contents. */
export async function clashesOf(database: Database, staged: StagedArchive): Promise<ArchiveClash[]> {
  const found: ArchiveClash[] = [];
  for (const { kind, table, own } of KEPT) {
    const here = new Set(await keysOf(database, table));
    for (const id of await keysOf(staged.database, table)) {
      if (!here.has(id)) continue;
      const [[mine], [theirs]] = [
        await rowsOf(database, table, { column: 'id', value: id }),
        await rowsOf(staged.database, table, { column: 'id', value: id }),
      ];
      if (!mine || !theirs || alike(mine, theirs, own)) continue;
      found.push({
        kind,
        id,
        name: String(mine['name']),
        here: iso(String(mine['updatedAt'])),
        archive: iso(String(theirs['updatedAt'])),
      });
    }
  }
  return found;
}

/** Replaces the studio by the archive, exactly: in one transaction, so that all of it happens or nothing. */
export async function restoreExactly(
  database: Database,
  staged: StagedArchive,
  photographs: string | null,
): Promise<void> {
  copyPhotographs(staged, photographs);
  await database.write(async (transaction) => {
    await database.revisionFacts.destroy({ where: {}, truncate: true, transaction });
    for (const table of [...TABLES].reverse()) await empty(database, table, transaction);
    for (const table of TABLES)
      await copyRows(database, { table, rows: await rowsOf(staged.database, table), transaction });
  });
}

async function copyRows(
  database: Database,
  {
    table,
    rows,
    transaction,
  }: { readonly table: Table; readonly rows: readonly Row[]; readonly transaction: Transaction },
): Promise<void> {
  await insert(database, table, { rows, transaction });
}

/**
 * Adds an archive to the studio. New records are added; in a clash the state that counts stays, and nothing is lost: a design's
 * other state stays in its history, and the entries of a making are merged.
 */
export async function mergeArchive(
  database: Database,
  {
    staged,
    photographs,
    counts,
  }: {
    readonly staged: StagedArchive;
    readonly photographs: string | null;
    readonly counts: (clash: Pick<ArchiveClash, 'kind' | 'id'>) => Counts;
  },
): Promise<void> {
  copyPhotographs(staged, photographs);
  const own = new Map<Table, ReadonlySet<string>>();
  for (const table of [MESHES, DESIGNS, RECORDS, MAKINGS, ...ENTRIES])
    own.set(table, new Set(await keysOf(database, table)));
  /** Whether the archive's state of a record counts; equal records are no clash. */
  const decides = async (kind: ArchiveClash['kind'], row: Row): Promise<boolean> => {
    const id = String(row['id']);
    const one = KEPT.find((other) => other.kind === kind);
    const [mine] = one ? await rowsOf(database, one.table, { column: 'id', value: id }) : [];
    return one !== undefined && mine !== undefined && !alike(mine, row, one.own) && counts({ kind, id }) === 'archive';
  };
  const has = (table: Table, id: unknown) => own.get(table)?.has(String(id)) ?? false;
  const theirs = (table: Table, column?: string, value?: string) => rowsOf(staged.database, table, { column, value });
  const now = new Date();
  await database.write(async (transaction) => {
    const add = (table: Table, rows: readonly Row[]) => insert(database, table, { rows, transaction });
    await add(
      MESHES,
      (await theirs(MESHES)).filter(({ hash }) => !has(MESHES, hash)),
    );
    for (const row of await theirs(DESIGNS)) {
      const id = String(row['id']);
      if (!has(DESIGNS, id)) {
        await add(DESIGNS, [row]);
        await add(REVISIONS, await theirs(REVISIONS, 'designId', id));
      } else if (await decides('design', row)) await appendState(database, { row, now, transaction });
    }
    for (const row of await theirs(RECORDS)) {
      const id = String(row['id']);
      if (!has(RECORDS, id)) await add(RECORDS, [row]);
      else if (await decides('record', row)) {
        const kept = await database.records.findByPk(id, { transaction, paranoid: false });
        const { name, body, deletedAt } = row;
        await kept?.update({ name, body, deletedAt, revision: kept.revision + 1 }, {
          transaction,
          paranoid: false,
        } as never);
      }
    }
    for (const row of await theirs(MAKINGS)) {
      const id = String(row['id']);
      if (!has(MAKINGS, id)) {
        await add(MAKINGS, [row]);
        for (const piece of await theirs(PIECES, 'makingId', id)) {
          const revision = await revisionHere(database, { staged, piece, now, transaction });
          await add(PIECES, [{ ...piece, revision }]);
        }
        await add(STEPS, await theirs(STEPS, 'makingId', id));
      } else if (await decides('making', row)) {
        const { name, clay, dueAt, endedAt, schools, temperature, humidity, speed, deletedAt } = row;
        const kept = await database.makings.findByPk(id, { transaction, paranoid: false });
        await kept?.update({ name, clay, dueAt, endedAt, schools, temperature, humidity, speed, deletedAt }, {
          transaction,
          paranoid: false,
        } as never);
      }
      for (const table of ENTRIES)
        await add(
          table,
          (await theirs(table, 'makingId', id)).filter((entry) => !has(table, entry['id'])),
        );
    }
  });
}

/** Adds the archive's state of a design as its newest revision; the older one stays in its history. */
async function appendState(
  database: Database,
  { row, now, transaction }: { readonly row: Row; readonly now: Date; readonly transaction: Transaction },
): Promise<void> {
  const kept = await database.designs.findByPk(String(row['id']), { transaction, paranoid: false });
  if (!kept) return;
  const { name, target, mesh, deletedAt } = row;
  const number = kept.revision + 1;
  await database.revisions.create(
    { designId: kept.id, number, cause: 'restored', target, mesh, createdAt: now } as never,
    { transaction },
  );
  await kept.update({ name, target, mesh, deletedAt, revision: number }, { transaction, paranoid: false } as never);
}

/** The number that the revision of a making's piece has here; one that is nowhere in the design's history is added to it. */
async function revisionHere(
  database: Database,
  {
    staged,
    piece,
    now,
    transaction,
  }: { readonly staged: StagedArchive; readonly piece: Row; readonly now: Date; readonly transaction: Transaction },
): Promise<number> {
  const [designId, number] = [String(piece['designId']), Number(piece['revision'])];
  const theirs = await staged.database.revisions.findOne({ where: { designId, number } });
  const own = await database.revisions.findAll({ where: { designId }, order: ['number'], transaction });
  if (!theirs) return number;
  const same = own.filter(({ target, mesh }) => target === theirs.target && mesh === theirs.mesh);
  const found = same.find((one) => one.number === number) ?? same[0];
  const design = await database.designs.findByPk(designId, { transaction, paranoid: false });
  if (found || !design) return found?.number ?? number;
  const added = design.revision + 1;
  const common = { designId, cause: 'restored', createdAt: now };
  await database.revisions.create({ ...common, number: added, target: theirs.target, mesh: theirs.mesh } as never, {
    transaction,
  });
  // The state that is newest stays the newest.
  await database.revisions.create({ ...common, number: added + 1, target: design.target, mesh: design.mesh } as never, {
    transaction,
  });
  await design.update({ revision: added + 1 }, { transaction, paranoid: false } as never);
  return added;
}

/** Photographs are stored by the hash of their contents: an existing file is the same. Those of a replaced studio stay. */
function copyPhotographs({ photographs: from }: StagedArchive, to: string | null): void {
  if (to === null || !existsSync(from)) return;
  for (const name of readdirSync(from, { recursive: true, encoding: 'utf8' })) {
    const [source, target] = [join(from, name), join(to, name)];
    if (!name.endsWith('.jpg') || existsSync(target)) continue;
    mkdirSync(dirname(target), { recursive: true });
    const part = `${target}.${randomUUID()}`;
    copyFileSync(source, part);
    renameSync(part, target);
  }
}
