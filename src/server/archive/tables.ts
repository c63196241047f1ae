import { createHash } from 'node:crypto';
import { QueryTypes, type Model, type ModelStatic, type Transaction } from 'sequelize';
import type { Database } from '../models/database.ts';
import { plainRows } from '../models/plainRows.ts';

/** A row as the database has it: figures, texts and nothing. */
export type Row = Readonly<Record<string, string | number | null>>;

/** A table of the database, its columns of JSON text, and its key. */
export interface Table {
  readonly name: string;
  readonly json: readonly string[];
  readonly key: readonly string[];
}

const table = (name: string, key: readonly string[] = ['id'], json: readonly string[] = []): Table => ({
  name,
  json,
  key,
});

export const MESHES = table('meshes', ['hash'], ['body']);
export const DESIGNS = table('designs', ['id'], ['target']);
export const REVISIONS = table('revisions', ['designId', 'number'], ['target']);
export const RECORDS = table('records', ['id'], ['body']);
export const MAKINGS = table('makings', ['id'], ['schools']);
export const PIECES = table('making_pieces', ['makingId', 'piece'], ['names']);
export const STEPS = table('making_steps', ['makingId', 'piece', 'place'], ['body']);

/** Entries of a making; rows never change. */
export const ENTRIES = ['marks', 'measurements', 'faults', 'notes', 'critiques', 'photographs', 'strikes'].map((name) =>
  table(name),
);

/** The tables of a making, besides its own row. */
export const OF_MAKING = [PIECES, STEPS, ...ENTRIES];

/** The tables in an archive, in order of reference. Derived tables are left out. */
export const TABLES = [MESHES, DESIGNS, REVISIONS, RECORDS, MAKINGS, ...OF_MAKING];

/**
 * Rows of a table that hold a value, in the order of their key, as they are written: a finder would turn the texts of times into
 * dates.
 */
export function rowsOf(
  { sequelize }: Database,
  { name, key }: Table,
  { column, value }: { readonly column?: string; readonly value?: string } = {},
): Promise<Row[]> {
  const where = column === undefined ? '' : ` WHERE "${column}" = ?`;
  return sequelize.query<Row>(`SELECT * FROM "${name}"${where} ORDER BY ${key.map((one) => `"${one}"`).join(', ')}`, {
    type: QueryTypes.SELECT,
    replacements: value === undefined ? [] : [value],
  });
}

/** The model of a table. */
function modelOf({ sequelize }: Database, { name }: Table): ModelStatic<Model> {
  const model = Object.values(sequelize.models).find(({ tableName }) => tableName === name);
  if (!model) throw new Error(`no model has the table ${name}`);
  return model;
}

/** The keys of a table whose rows are known by one column, in order; those of deleted rows too. */
export async function keysOf(database: Database, table: Table): Promise<string[]> {
  const [key = ''] = table.key;
  const rows = await plainRows(modelOf(database, table), { attributes: [key], order: [key], paranoid: false });
  return rows.map((row) => String((row as Row)[key]));
}

/** Number of rows of a table, deleted ones too. */
export const countOf = (database: Database, table: Table): Promise<number> =>
  modelOf(database, table).count({ paranoid: false });

/** Columns of a table. */
export async function columnsOf({ sequelize }: Database, { name }: Table): Promise<string[]> {
  return Object.keys(await sequelize.getQueryInterface().describeTable(name));
}

/** Deletes every row of a table. */
export async function empty({ sequelize }: Database, { name }: Table, transaction: Transaction): Promise<void> {
  await sequelize.getQueryInterface().bulkDelete(name, {}, { transaction });
}

/** Greatest number of values in one statement. */
const VALUES = 900;

/** Puts rows into a table, several in one statement. */
export async function insert(
  { sequelize }: Database,
  { name }: Table,
  { rows, transaction }: { readonly rows: readonly Row[]; readonly transaction: Transaction },
): Promise<void> {
  const each = Math.max(1, Math.floor(VALUES / Object.keys(rows[0] ?? { id: '' }).length));
  for (let from = 0; from < rows.length; from += each)
    await sequelize.getQueryInterface().bulkInsert(name, rows.slice(from, from + each), { transaction });
}

/** A row in readable form: its JSON texts parsed. */
export function opened({ json }: Table, row: Row): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(row).map(([column, value]) => [
      column,
      json.includes(column) && typeof value === 'string' ? (JSON.parse(value) as unknown) : value,
    ]),
  );
}

/** The inverse of {@link opened}. */
export function closed({ json }: Table, read: Readonly<Record<string, unknown>>): Row {
  return Object.fromEntries(
    Object.entries(read).map(([column, value]) => [
      column,
      json.includes(column) && value !== null ? JSON.stringify(value) : (value as string | number | null),
    ]),
  );
}

/** SHA-256 of bytes, in hexadecimal. */
export const sha256 = (bytes: Buffer | string): string => createHash('sha256').update(bytes).digest('hex');
