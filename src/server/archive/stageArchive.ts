import { createHash } from 'node:crypto';
import { createWriteStream, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { SequelizeStorage, Umzug } from 'umzug';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { readTarget } from '../../contract/targetSchema.ts';
import { migrations } from '../migrations/index.ts';
import { openDatabase, type Database } from '../models/database.ts';
import {
  ARCHIVE_FILES,
  ARCHIVE_LIMITS,
  BadArchive,
  kindOf,
  MANIFEST,
  manifestSchema,
  type Manifest,
} from './archiveFormat.ts';
import {
  closed,
  columnsOf,
  DESIGNS,
  insert,
  MAKINGS,
  MESHES,
  OF_MAKING,
  RECORDS,
  REVISIONS,
  type Row,
  type Table,
} from './tables.ts';
import { fileOf } from './writeArchive.ts';

/** An archive that was read completely into a separate place and found sound. The studio is untouched. */
export interface StagedArchive {
  readonly manifest: Manifest;
  readonly database: Database;
  /** Where its photographs lie. */
  readonly photographs: string;
  readonly clear: () => Promise<void>;
}

async function bytesOf(stream: Readable, most: number): Promise<Buffer> {
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of stream) {
    bytes += (chunk as Buffer).length;
    if (bytes > most) throw new BadArchive('has a file that is larger than it says');
    chunks.push(chunk as Buffer);
  }
  return Buffer.concat(chunks);
}

/** The files of a zip by name. Unknown files, and names that occur twice, are refused. */
async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  if (zip.entryCount > ARCHIVE_LIMITS.files) throw new BadArchive(`has more than ${ARCHIVE_LIMITS.files} files`);
  const entries = new Map<string, Entry>();
  let all = 0;
  for await (const entry of zip.eachEntry()) {
    const { fileName, uncompressedSize } = entry;
    const kind = fileName === MANIFEST ? 'manifest' : kindOf(fileName);
    if (!kind) throw new BadArchive(`holds ${fileName.slice(0, 80)}, which belongs to no archive`);
    if (entries.has(fileName)) throw new BadArchive(`holds ${fileName} twice`);
    const most =
      kind === 'photograph'
        ? ARCHIVE_LIMITS.photograph
        : kind === 'manifest'
          ? ARCHIVE_LIMITS.manifest
          : ARCHIVE_LIMITS.json;
    if (uncompressedSize > most) throw new BadArchive(`holds ${fileName}, which is too large`);
    all += uncompressedSize;
    if (all > ARCHIVE_LIMITS.all) throw new BadArchive('is too large');
    entries.set(fileName, entry);
  }
  return entries;
}

async function manifestOf(zip: ZipFile, entries: ReadonlyMap<string, Entry>): Promise<Manifest> {
  const entry = entries.get(MANIFEST);
  if (!entry) throw new BadArchive('has no manifest: it is not the archive of a studio, or was cut short');
  const text = (await bytesOf(await zip.openReadStreamPromise(entry), ARCHIVE_LIMITS.manifest)).toString('utf8');
  const { value, error } = manifestSchema.validate(parsed(text, MANIFEST), { convert: false });
  if (error) throw new BadArchive(`has a manifest that cannot be read: ${error.message}`);
  const manifest = value as Manifest;
  if (!migrations.some(({ name }) => name === manifest.step))
    throw new BadArchive('was made by a newer Fawn Table: bring this one up to date first');
  const named = new Set(manifest.files.map(({ name }) => name));
  for (const name of entries.keys())
    if (name !== MANIFEST && !named.has(name)) throw new BadArchive(`holds ${name}, which its manifest does not name`);
  for (const name of named) if (!entries.has(name)) throw new BadArchive(`lacks ${name}`);
  return manifest;
}

function parsed(text: string, name: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new BadArchive(`holds ${name}, which is not JSON`);
  }
}

type Read = Readonly<Record<string, unknown>>;

function asRow(value: unknown, name: string): Read {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new BadArchive(`holds ${name}, which has no row where one must be`);
  return value as Read;
}
function asRows(value: unknown, name: string): Read[] {
  if (!Array.isArray(value)) throw new BadArchive(`holds ${name}, which has no rows where some must be`);
  return value.map((one) => asRow(one, name));
}

/** Reads an archive into a separate database at the archive's migration, and migrates it to the newest. */
export async function stageArchive(file: string): Promise<StagedArchive> {
  const place = mkdtempSync(join(tmpdir(), 'fawn-staged-'));
  let database: Database | null = null;
  const clear = async () => {
    await database?.close();
    rmSync(place, { recursive: true, force: true });
  };
  try {
    const zip = await openPromise(file, { autoClose: false, lazyEntries: true, strictFileNames: true }).catch(() => {
      throw new BadArchive('is not a zip file, or was cut short');
    });
    try {
      const entries = await entriesOf(zip);
      const manifest = await manifestOf(zip, entries);
      database = await openDatabase(place);
      await toStep(database, manifest.step);
      await fill(zip, { entries, manifest, database, photographs: join(place, 'photographs') });
      await toStep(database, null);
      await checked(database);
      return { manifest, database, photographs: join(place, 'photographs'), clear };
    } finally {
      zip.close();
    }
  } catch (error) {
    await clear();
    if (error instanceof BadArchive) throw error;
    // Errors of the zip reader, the database or the picture reader.
    throw new BadArchive(`cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
}

/** Moves an empty or filled database to a step, or to the newest. */
async function toStep({ sequelize }: Database, step: string | null): Promise<void> {
  const umzug = new Umzug({
    migrations,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  if (step === null) {
    await umzug.up();
    return;
  }
  const at = migrations.findIndex(({ name }) => name === step);
  const later = migrations[at + 1];
  if (later) await umzug.down({ to: later.name });
}

async function fill(
  zip: ZipFile,
  {
    entries,
    manifest,
    database,
    photographs,
  }: {
    readonly entries: ReadonlyMap<string, Entry>;
    readonly manifest: Manifest;
    readonly database: Database;
    readonly photographs: string;
  },
): Promise<void> {
  const columns = new Map<string, ReadonlySet<string>>();
  for (const table of [MESHES, DESIGNS, REVISIONS, RECORDS, MAKINGS, ...OF_MAKING])
    columns.set(table.name, new Set(await columnsOf(database, table)));
  const put = async (table: Table, read: readonly Read[], name: string) => {
    const known = columns.get(table.name) as ReadonlySet<string>;
    const rows = read.map((one) => closed(table, one));
    for (const row of rows) {
      const odd = Object.entries(row).find(
        ([column, value]) => !known.has(column) || !(value === null || ['string', 'number'].includes(typeof value)),
      );
      if (odd) throw new BadArchive(`holds ${name}, in which ${odd[0]} cannot be kept`);
    }
    await database.write((transaction) => insert(database, table, { rows: rows as Row[], transaction }));
  };
  const order = Object.keys(ARCHIVE_FILES);
  const sorted = [...manifest.files].sort(
    (one, other) => order.indexOf(kindOf(one.name) ?? '') - order.indexOf(kindOf(other.name) ?? ''),
  );
  for (const { name, bytes, sha256 } of sorted) {
    const kind = kindOf(name);
    const stream = await zip.openReadStreamPromise(entries.get(name) as Entry);
    if (kind === 'photograph') {
      await layPhotograph(stream, { name, sum: sha256, folder: photographs });
      continue;
    }
    const read = await bytesOf(stream, ARCHIVE_LIMITS.json);
    if (read.length !== bytes || createHash('sha256').update(read).digest('hex') !== sha256)
      throw new BadArchive(`holds ${name}, which is not as it was written`);
    const value = asRow(parsed(read.toString('utf8'), name), name);
    if (kind === 'mesh') await put(MESHES, [value], name);
    if (kind === 'record') await put(RECORDS, [value], name);
    if (kind === 'design') {
      await put(DESIGNS, [asRow(value['design'], name)], name);
      await put(REVISIONS, asRows(value['revisions'], name), name);
    }
    if (kind === 'making') {
      await put(MAKINGS, [asRow(value['making'], name)], name);
      for (const table of OF_MAKING) await put(table, asRows(value[table.name] ?? [], name), name);
    }
  }
}

async function layPhotograph(
  stream: Readable,
  { name, sum, folder }: { readonly name: string; readonly sum: string; readonly folder: string },
): Promise<void> {
  const [, hash = '', size = ''] = ARCHIVE_FILES.photograph.exec(name) ?? [];
  const file = fileOf(folder, hash, size);
  mkdirSync(dirname(file), { recursive: true });
  const own = createHash('sha256');
  stream.on('data', (chunk: Buffer) => own.update(chunk));
  await pipeline(stream, createWriteStream(file));
  const found = own.digest('hex');
  if (found !== sum || (size === '' && found !== hash))
    throw new BadArchive(`holds ${name}, which is not as it was written`);
  const { format } = await sharp(file).metadata();
  if (format !== 'jpeg') throw new BadArchive(`holds ${name}, which is not a JPEG`);
}

/** Rows must refer to existing rows, and every design must be readable. */
async function checked(database: Database): Promise<void> {
  const [broken] = await database.sequelize.query('PRAGMA foreign_key_check');
  if (broken.length > 0) throw new BadArchive('refers to something that it does not hold');
  for (const row of await database.designs.findAll({ paranoid: false })) {
    const mesh = row.mesh === null ? null : await database.meshes.findByPk(row.mesh);
    if (row.mesh !== null && !mesh) throw new BadArchive(`lacks the mesh of “${row.name}”`);
    const target = JSON.parse(row.target) as { form: object };
    const whole = mesh ? { ...target, form: { ...target.form, ...(JSON.parse(mesh.body) as object) } } : target;
    const reading = readTarget(whole);
    if (reading.kind === 'faults')
      throw new BadArchive(`holds “${row.name}”, which cannot be read: ${reading.faults[0]?.rule ?? ''}`);
    if (!(await database.revisions.findOne({ where: { designId: row.id, number: row.revision } })))
      throw new BadArchive(`lacks the newest revision of “${row.name}”`);
  }
}
