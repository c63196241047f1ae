import { randomBytes } from 'node:crypto';
import { createWriteStream, readdirSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { openPromise } from 'yauzl';
import yazl from 'yazl';
import type { Database } from '../models/database.ts';
import { MANIFEST, type Manifest } from './archiveFormat.ts';
import { rowsOf, sha256, TABLES, type Row } from './tables.ts';
import { writeArchive } from './writeArchive.ts';

export const NOW = new Date('2026-11-30T09:00:00.000Z');

/** How many designs the demo studio has. */
export const DEMO_DESIGNS = readdirSync('demo').filter((file) => file.endsWith('.fawn.json')).length;

/** Every row of a database, by table. */
export const all = async (database: Database): Promise<Record<string, readonly Row[]>> =>
  Object.fromEntries(await Promise.all(TABLES.map(async (one) => [one.name, await rowsOf(database, one)] as const)));

/** A picture of noise, unlike any other. */
export const noise = (width: number, height: number) =>
  sharp(randomBytes(width * height * 3), { raw: { width, height, channels: 3 } })
    .jpeg()
    .toBuffer();

/** Writes the archive of a database to a file. */
export async function writtenTo(file: string, database: Database, photographs: string): Promise<string> {
  await pipeline(await writeArchive(database, photographs, NOW), createWriteStream(file));
  return file;
}

/** Names of the photographs in a folder, in order. */
export const photographsIn = (folder: string) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.jpg'))
    .sort();

/** The files of an archive, in order. */
export async function filesIn(file: string): Promise<Map<string, Buffer>> {
  const zip = await openPromise(file, { lazyEntries: true });
  const found = new Map<string, Buffer>();
  for await (const entry of zip.eachEntry()) {
    const chunks: Buffer[] = [];
    for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
    found.set(entry.fileName, Buffer.concat(chunks));
  }
  return found;
}

/** Packs files into an archive. */
export async function zippedTo(file: string, files: ReadonlyMap<string, Buffer>): Promise<string> {
  const zip = new yazl.ZipFile();
  for (const [path, bytes] of files) zip.addBuffer(bytes, path);
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(file));
  return file;
}

/** The manifest of an archive. */
export const manifestIn = (files: ReadonlyMap<string, Buffer>) => JSON.parse(String(files.get(MANIFEST))) as Manifest;

/** The archive with one file changed and its checksum corrected, as an attacker would. */
export function forged(
  files: ReadonlyMap<string, Buffer>,
  name: string,
  change: (text: string) => string,
): Map<string, Buffer> {
  const bytes = Buffer.from(change(String(files.get(name))));
  const manifest = manifestIn(files);
  const listed = manifest.files.map((one) =>
    one.name === name ? { name, bytes: bytes.length, sha256: sha256(bytes) } : one,
  );
  return new Map([...files, [name, bytes], [MANIFEST, Buffer.from(JSON.stringify({ ...manifest, files: listed }))]]);
}
