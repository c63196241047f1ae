import { createHash } from 'node:crypto';
import { createReadStream, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import yazl from 'yazl';
import { migrations } from '../migrations/index.ts';
import { DATABASE_FILE } from '../models/checkFile.ts';
import { openDatabase, type Database } from '../models/database.ts';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, MANIFEST, type Manifest } from './archiveFormat.ts';
import {
  countOf,
  DESIGNS,
  ENTRIES,
  keysOf,
  MAKINGS,
  MESHES,
  OF_MAKING,
  opened,
  RECORDS,
  REVISIONS,
  rowsOf,
  type Row,
  type Table,
} from './tables.ts';

/** Counts and hashes each file as it is written. */
type Written = Manifest['files'][number];

const json = (value: unknown): string => `${JSON.stringify(value, null, 1)}\n`;

/** A design with its revisions, one at a time, so that few are in memory together. */
async function* designText(database: Database, id: string): AsyncGenerator<string> {
  const [design] = await rowsOf(database, DESIGNS, { column: 'id', value: id });
  yield `{\n"design": ${json(opened(DESIGNS, design as Row))},\n"revisions": [\n`;
  const revisions = await rowsOf(database, REVISIONS, { column: 'designId', value: id });
  for (const [index, row] of revisions.entries())
    yield `${index > 0 ? ',\n' : ''}${JSON.stringify(opened(REVISIONS, row))}`;
  yield '\n]}\n';
}

async function makingText(database: Database, id: string): Promise<string> {
  const [making] = await rowsOf(database, MAKINGS, { column: 'id', value: id });
  const parts: Record<string, unknown> = { making: opened(MAKINGS, making as Row) };
  for (const table of OF_MAKING)
    parts[table.name] = (await rowsOf(database, table, { column: 'makingId', value: id })).map((row) =>
      opened(table, row),
    );
  return json(parts);
}

async function rowText(database: Database, table: Table, key: string): Promise<string> {
  const [row] = await rowsOf(database, table, { column: table.key[0], value: key });
  return json(opened(table, row as Row));
}

/** The photographs that rows name, by their hashes. */
async function hashesOf(database: Database): Promise<string[]> {
  const photographs = ENTRIES.find(({ name }) => name === 'photographs') as Table;
  return [...new Set((await rowsOf(database, photographs)).map(({ hash }) => String(hash)))].sort();
}

/**
 * A whole studio as one archive, streamed: designs with their revisions, records, makings and photographs, as JSON that is read
 * by people, and a manifest with checksums as its last file. It is written from a copy, so that what is changed meanwhile is
 * either all in it or not.
 *
 * @param folder where the photographs lie
 */
export async function writeArchive(source: Database, folder: string | null, now: Date): Promise<Readable> {
  const place = mkdtempSync(join(tmpdir(), 'fawn-archive-'));
  await source.sequelize.query('VACUUM INTO ?', { replacements: [join(place, DATABASE_FILE)] });
  const database = await openDatabase(place);
  const zip = new yazl.ZipFile();
  const files: Written[] = [];
  const clear = async () => {
    await database.close();
    rmSync(place, { recursive: true, force: true });
  };
  const add = (name: string, make: () => Readable, { compress = true } = {}) =>
    zip.addReadStreamLazy(name, { compress, mtime: now }, (done) => {
      const hash = createHash('sha256');
      let bytes = 0;
      const measured = new Transform({
        transform(chunk: Buffer, _encoding, next) {
          hash.update(chunk);
          bytes += chunk.length;
          next(null, chunk);
        },
        flush(next) {
          if (name !== MANIFEST) files.push({ name, bytes, sha256: hash.digest('hex') });
          next();
        },
      });
      const from = make();
      from.on('error', (error) => measured.destroy(error));
      done(null, from.pipe(measured));
    });
  const text = (name: string, write: () => Promise<string> | AsyncIterable<string>) =>
    add(name, () => {
      const made = write();
      return Readable.from(made instanceof Promise ? once(made) : made, { objectMode: false });
    });

  const meshes = await keysOf(database, MESHES);
  const designs = await keysOf(database, DESIGNS);
  const makings = await keysOf(database, MAKINGS);
  const records = await rowsOf(database, RECORDS);
  const hashes = folder ? (await hashesOf(database)).filter((hash) => existsSync(fileOf(folder, hash, ''))) : [];
  for (const hash of meshes) text(`meshes/${hash}.json`, () => rowText(database, MESHES, hash));
  for (const id of designs) text(`designs/${id}.json`, () => designText(database, id));
  for (const row of records)
    text(`records/${row['kind']}/${row['id']}.json`, () => Promise.resolve(json(opened(RECORDS, row))));
  for (const id of makings) text(`makings/${id}.json`, () => makingText(database, id));
  for (const hash of hashes) {
    for (const size of ['', '-small']) {
      const file = fileOf(folder as string, hash, size);
      if (existsSync(file)) add(`photographs/${hash}${size}.jpg`, () => createReadStream(file), { compress: false });
    }
  }
  const counts = {
    designs: designs.length,
    revisions: await countOf(database, REVISIONS),
    records: records.length,
    makings: makings.length,
    photographs: hashes.length,
  };
  text(MANIFEST, () => {
    const manifest: Manifest = {
      format: ARCHIVE_FORMAT,
      version: ARCHIVE_VERSION,
      madeAt: now.toISOString(),
      step: migrations.at(-1)?.name ?? '',
      counts,
      files,
    };
    return Promise.resolve(json(manifest));
  });
  zip.end();
  const out = zip.outputStream as Readable;
  zip.on('error', (error: Error) => out.destroy(error));
  out.once('close', () => void clear());
  return out;
}

async function* once(text: Promise<string>): AsyncGenerator<string> {
  yield await text;
}

/** Where a photograph lies in its folder. */
export function fileOf(folder: string, hash: string, size: string): string {
  return join(folder, hash.slice(0, 2), `${hash}${size}.jpg`);
}
