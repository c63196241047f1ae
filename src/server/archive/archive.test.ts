import { randomBytes, randomUUID } from 'node:crypto';
import {
  createWriteStream,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import request from 'supertest';
import { openPromise } from 'yauzl';
import yazl from 'yazl';
import type { ArchiveOffer } from '../../contract/archive.ts';
import type { Design } from '../../contract/api.ts';
import { buildApp } from '../app.ts';
import { openDatabase, type Database } from '../models/database.ts';
import { seedDemo } from '../services/seed.ts';
import { ownWorkshop } from '../workshop/workshop.ts';
import { mergeArchive, restoreExactly } from './applyArchive.ts';
import { MANIFEST, type Manifest } from './archiveFormat.ts';
import { stageArchive } from './stageArchive.ts';
import { rowsOf, sha256, TABLES, type Row } from './tables.ts';
import { fileOf, writeArchive } from './writeArchive.ts';

const NOW = new Date('2026-11-30T09:00:00.000Z');
let place: string;
let source: Database;
let archive: string;
const photographs = () => join(place, 'photographs');
const opened: Database[] = [];

async function table(): Promise<Database> {
  const database = await openDatabase(':memory:');
  opened.push(database);
  return database;
}

const all = async (database: Database): Promise<Record<string, readonly Row[]>> =>
  Object.fromEntries(await Promise.all(TABLES.map(async (one) => [one.name, await rowsOf(database, one)] as const)));

/** A picture of noise, that no other is like. */
const noise = (width: number, height: number) =>
  sharp(randomBytes(width * height * 3), { raw: { width, height, channels: 3 } })
    .jpeg()
    .toBuffer();

/** A photograph at a making of the demo studio, with its small picture. */
async function photograph(database: Database, number: number, width: number, folder = photographs()): Promise<void> {
  const height = (width / 3) * 2;
  const bytes = await noise(width, height);
  const hash = sha256(bytes);
  for (const size of ['', '-small']) {
    const file = fileOf(folder, hash, size);
    mkdirSync(join(file, '..'), { recursive: true });
    writeFileSync(file, size === '' ? bytes : await noise(60, 40));
  }
  const [making] = await database.makings.findAll({ limit: 1 });
  await database.photographs.create({ id: randomUUID(), makingId: making?.id, piece: 0, number, step: 'roll', at: NOW, hash, width, height } as never); // prettier-ignore
}

async function written(database: Database, name: string, folder = photographs()): Promise<string> {
  const file = join(place, name);
  await pipeline(await writeArchive(database, folder, NOW), createWriteStream(file));
  return file;
}

const photographsIn = (folder: string) => readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.jpg')).sort(); // prettier-ignore

/** The files of an archive, in order. */
async function filesIn(file: string): Promise<Map<string, Buffer>> {
  const zip = await openPromise(file, { lazyEntries: true });
  const found = new Map<string, Buffer>();
  for await (const entry of zip.eachEntry()) {
    const chunks: Buffer[] = [];
    for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
    found.set(entry.fileName, Buffer.concat(chunks));
  }
  return found;
}

async function zipped(files: ReadonlyMap<string, Buffer>, name: string): Promise<string> {
  const zip = new yazl.ZipFile();
  for (const [path, bytes] of files) zip.addBuffer(bytes, path);
  zip.end();
  const file = join(place, name);
  await pipeline(zip.outputStream, createWriteStream(file));
  return file;
}

const manifestIn = (files: ReadonlyMap<string, Buffer>) => JSON.parse(String(files.get(MANIFEST))) as Manifest;

/** The archive with one file changed, and its checksum put right, as whoever means ill would. */
function forged(
  files: ReadonlyMap<string, Buffer>,
  name: string,
  change: (text: string) => string,
): Map<string, Buffer> {
  const bytes = Buffer.from(change(String(files.get(name))));
  const manifest = manifestIn(files);
  const listed = manifest.files.map((one) => (one.name === name ? { name, bytes: bytes.length, sha256: sha256(bytes) } : one)); // prettier-ignore
  return new Map([...files, [name, bytes], [MANIFEST, Buffer.from(JSON.stringify({ ...manifest, files: listed }))]]);
}

beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), 'fawn-archive-test-'));
  source = await table();
  await seedDemo(source, 'demo');
  for (let number = 1; number <= 20; number += 1) await photograph(source, number, 60);
  // One design with a long history, and one that was taken off the shelf.
  const [first, second] = await source.designs.findAll({ order: ['id'], limit: 2 });
  const rows = Array.from({ length: 4980 }, (_, index) => ({ designId: first?.id, number: 2 + index, cause: 'edited', target: first?.target, mesh: first?.mesh, createdAt: NOW })); // prettier-ignore
  for (let from = 0; from < rows.length; from += 500) await source.revisions.bulkCreate(rows.slice(from, from + 500) as never); // prettier-ignore
  await first?.update({ revision: 4981 });
  await second?.destroy();
  archive = await written(source, 'studio.zip');
});
afterEach(async () => {
  for (const database of opened.splice(1)) await database.close();
});
afterAll(async () => {
  await source.close();
  rmSync(place, { recursive: true, force: true });
});

describe('an archive of the whole studio', () => {
  it('names every file with its size and checksum, and reads as JSON', async () => {
    const files = await filesIn(archive);
    const manifest = manifestIn(files);
    expect([...files.keys()].filter((name) => name !== MANIFEST).sort()).toEqual(manifest.files.map(({ name }) => name).sort()); // prettier-ignore
    for (const { name, bytes, sha256: sum } of manifest.files) expect([name, files.get(name)?.length, sha256(files.get(name) as Buffer)]).toEqual([name, bytes, sum]); // prettier-ignore
    for (const [name, bytes] of files) if (name.endsWith('.json')) expect(() => JSON.parse(String(bytes)) as unknown).not.toThrow(); // prettier-ignore
    expect(manifest.counts).toMatchObject({ designs: 21, photographs: 20 });
    expect(manifest.counts['revisions']).toBeGreaterThan(5000);
  });

  it('of 200 photographs, put in place of another studio, gives back every row and photograph, and the same archive again', async () => {
    const [full, other] = [await table(), await table()];
    const [from, to] = [join(place, 'full'), join(place, 'other')];
    const small = await stageArchive(archive);
    await restoreExactly(full, small, from);
    await small.clear();
    expect(await all(full)).toEqual(await all(source));
    for (let number = 21; number <= 200; number += 1) await photograph(full, number, 960, from);
    const large = await written(full, 'full.zip', from);
    expect(statSync(large).size).toBeGreaterThan(60e6);

    await other.records.create({ id: randomUUID(), kind: 'clay', name: 'Old', body: '{}', revision: 1 } as never);
    const staged = await stageArchive(large);
    await restoreExactly(other, staged, to);
    await staged.clear();
    expect(await all(other)).toEqual(await all(full));
    expect(photographsIn(to)).toEqual(photographsIn(from));
    expect(photographsIn(to)).toHaveLength(400);
    for (const name of photographsIn(from)) expect(readFileSync(join(to, name)).equals(readFileSync(join(from, name)))).toBe(true); // prettier-ignore
    const again = await written(other, 'again.zip', to);
    expect(manifestIn(await filesIn(again)).files).toEqual(manifestIn(await filesIn(large)).files);
  });

  it('added to an empty studio is the same studio; added twice it changes nothing', async () => {
    const other = await table();
    for (let time = 0; time < 2; time += 1) {
      const staged = await stageArchive(archive);
      await mergeArchive(other, staged, null, () => 'archive');
      await staged.clear();
      expect(await all(other)).toEqual(await all(source));
    }
  });
});

describe('an archive that clashes with what is here', () => {
  it.each(['here', 'archive'] as const)('keeps the state %s, and loses nothing', async (which) => {
    const other = await table();
    const first = await stageArchive(archive);
    await restoreExactly(other, first, null);
    await first.clear();
    // Here a design goes on, a clay is renamed and a note is written; the archive has neither.
    const design = (await other.designs.findAll({ order: ['id'], offset: 4, limit: 1 }))[0];
    const before = design?.target ?? '';
    const changed = before.replace(/"name":"[^"]+"/, '"name":"Gone on"');
    await other.revisions.create({ designId: design?.id, number: (design?.revision ?? 0) + 1, cause: 'edited', target: changed, mesh: null } as never); // prettier-ignore
    await design?.update({ name: 'Gone on', target: changed, revision: (design.revision ?? 0) + 1 });
    const [clay] = await other.records.findAll({ where: { kind: 'clay' }, limit: 1 });
    const old = clay?.name;
    await clay?.update({ name: 'Renamed', revision: clay.revision + 1 });
    const [making] = await other.makings.findAll({ limit: 1 });
    const note = randomUUID();
    await other.notes.create({ id: note, makingId: making?.id, piece: 0, number: 0, step: 'roll', at: NOW, text: 'Soft today' } as never); // prettier-ignore
    const staged = await stageArchive(archive);
    await mergeArchive(other, staged, null, () => which);
    await staged.clear();
    await design?.reload();
    await clay?.reload();
    expect([design?.target, clay?.name]).toEqual(which === 'here' ? [changed, 'Renamed'] : [before, old]);
    const history = await other.revisions.findAll({ where: { designId: design?.id } });
    expect(history.map(({ target }) => target)).toEqual(expect.arrayContaining([before, changed]));
    expect(await other.revisions.findOne({ where: { designId: design?.id, number: design?.revision } })).toMatchObject({ target: design?.target }); // prettier-ignore
    expect(await other.notes.findByPk(note)).not.toBeNull();
  });

  it('adds a making of a revision that is otherwise here to the revision that it was made by', async () => {
    const other = await table();
    await seedDemo(other, 'demo');
    const staged = await stageArchive(archive);
    await mergeArchive(other, staged, null, () => 'here');
    const of = async (database: Database) => {
      const pieces = await database.makingPieces.findAll();
      return Object.fromEntries(await Promise.all(pieces.map(async ({ makingId, piece, designId, revision }) => [`${makingId} ${piece}`, (await database.revisions.findOne({ where: { designId, number: revision } }))?.target]))) as Record<string, string>; // prettier-ignore
    };
    expect(await of(other)).toMatchObject(await of(staged.database));
    await staged.clear();
  });
});

describe('a bad archive', () => {
  const design = (files: ReadonlyMap<string, Buffer>) => [...files.keys()].find((name) => name.startsWith('designs/')) ?? ''; // prettier-ignore
  const cases: [string, (files: Map<string, Buffer>) => Map<string, Buffer>, RegExp][] = [
    ['without its manifest', (files) => (files.delete(MANIFEST), files), /no manifest/],
    ['with a file that is missing', (files) => (files.delete(design(files)), files), /lacks designs/],
    ['with a file too many', (files) => files.set('designs/11111111-1111-4111-8111-111111111111.json', Buffer.from('{}')), /does not name/], // prettier-ignore
    ['with a file of another place', (files) => files.set('designs/other.sh', Buffer.from('x')), /belongs to no archive/], // prettier-ignore
    ['with a changed figure', (files) => files.set(design(files), Buffer.from(String(files.get(design(files))).replace(/\d/, '9'))), /not as it was written/], // prettier-ignore
    ['of a newer program', (files) => files.set(MANIFEST, Buffer.from(JSON.stringify({ ...manifestIn(files), step: '9999-later' }))), /newer/], // prettier-ignore
    ['of another version', (files) => files.set(MANIFEST, Buffer.from(JSON.stringify({ ...manifestIn(files), version: 2 }))), /manifest that cannot be read/], // prettier-ignore
    ['with a column that is not known', (files) => forged(files, design(files), (text) => text.replace('"name":', '"nickname": 1, "name":')), /nickname cannot be kept/], // prettier-ignore
    ['with a design that cannot be read', (files) => forged(files, design(files), (text) => text.replace(/"version": 1/, '"version": 7')), /cannot be read/], // prettier-ignore
    ['with a revision of no design', (files) => forged(files, design(files), (text) => text.replace(/"designId":"[^"]+"/, `"designId":"${randomUUID()}"`)), /cannot be read|refers to/], // prettier-ignore
    ['with words for JSON', (files) => forged(files, design(files), () => 'a bowl'), /not JSON/],
    ['with a list for a row', (files) => forged(files, design(files), () => '[]'), /no row/],
    ['with a photograph that is none', (files) => {
      const hash = sha256('a bowl');
      const manifest = manifestIn(files);
      const name = `photographs/${hash}.jpg`;
      const listed = [...manifest.files, { name, bytes: 6, sha256: hash }];
      return files.set(name, Buffer.from('a bowl')).set(MANIFEST, Buffer.from(JSON.stringify({ ...manifest, files: listed }))); // prettier-ignore
    }, /cannot be read|no JPEG/],
  ]; // prettier-ignore

  it.each(cases)('%s is refused with a reason', async (name, change, reason) => {
    const file = await zipped(change(await filesIn(archive)), `${sha256(name).slice(0, 8)}.zip`);
    await expect(stageArchive(file)).rejects.toThrow(reason);
  });

  it('cut off anywhere, or no zip at all, is refused', async () => {
    const bytes = readFileSync(archive);
    const file = join(place, 'cut.zip');
    for (const part of [0, 0.1, 0.5, 0.9, 0.999]) {
      writeFileSync(file, bytes.subarray(0, Math.floor(part * bytes.length)));
      await expect(stageArchive(file)).rejects.toThrow(/zip|manifest|read/);
    }
  });

  it('sent to the table changes nothing and is told in words; a good one waits for a word', async () => {
    const other = await table();
    const parts = { database: other, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null };
    const agent = request(buildApp({ ...parts, photographs: join(place, 'sent') }));
    const target = JSON.parse(readFileSync('demo/01-rack-tumbler.fawn.json', 'utf8')) as object;
    const mine = (await agent.post('/api/designs').send({ target })).body as Design;
    const before = await all(other);
    const send = (body: Buffer) => agent.post('/api/archive').set('Content-Type', 'application/zip').send(body);
    const refused = await send(Buffer.from('a bowl'));
    expect([refused.status, (refused.body as { code?: string; error?: string }).error]).toEqual([422, 'bad-archive']);
    const offer = (await send(readFileSync(archive)).expect(201)).body as ArchiveOffer;
    expect(offer).toMatchObject({ counts: { designs: 21 }, clashes: [] });
    expect(await all(other)).toEqual(before);
    await agent.post(`/api/archive/${randomUUID()}`).send({ mode: 'merge' }).expect(404);
    await agent.post(`/api/archive/${offer.token}`).send({ mode: 'merge' }).expect(204);
    await agent.post(`/api/archive/${offer.token}`).send({ mode: 'exactly' }).expect(404);
    const designs = (await agent.get('/api/designs').expect(200)).body as Design[];
    expect(designs).toHaveLength(21);
    expect(designs.map(({ id }) => id)).toContain(mine.id);
    const out = await agent.get('/api/archive').buffer(true).parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (chunk: Buffer) => chunks.push(chunk));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    }); // prettier-ignore
    writeFileSync(join(place, 'out.zip'), out.body as Buffer);
    expect(manifestIn(await filesIn(join(place, 'out.zip'))).counts).toMatchObject({ designs: 22 });
  });
});
