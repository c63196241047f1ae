import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type Database } from '../models/database.ts';
import { seedDemo } from '../services/seed.ts';
import {
  all,
  DEMO_DESIGNS,
  filesIn,
  manifestIn,
  noise,
  NOW,
  photographsIn,
  writtenTo,
} from './archiveFiles.test.helper.ts';
import { mergeArchive, restoreExactly } from './applyArchive.ts';
import { MANIFEST } from './archiveFormat.ts';
import { stageArchive } from './stageArchive.ts';
import { sha256 } from './tables.ts';
import { fileOf } from './writeArchive.ts';

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
  await database.photographs.create({
    id: randomUUID(),
    makingId: making?.id,
    piece: 0,
    number,
    step: 'roll',
    at: NOW,
    hash,
    width,
    height,
  } as never);
}

const written = (database: Database, name: string, folder = photographs()) =>
  writtenTo(join(place, name), database, folder);

beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), 'fawn-archive-test-'));
  source = await table();
  await seedDemo(source, 'demo');
  for (let number = 1; number <= 20; number += 1) await photograph(source, number, 60);
  // One design with a long history, and one that was taken off the shelf.
  const [first, second] = await source.designs.findAll({ order: ['id'], limit: 2 });
  const rows = Array.from({ length: 4980 }, (_, index) => ({
    designId: first?.id,
    number: 2 + index,
    cause: 'edited',
    target: first?.target,
    mesh: first?.mesh,
    createdAt: NOW,
  }));
  for (let from = 0; from < rows.length; from += 500)
    await source.revisions.bulkCreate(rows.slice(from, from + 500) as never);
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
    expect([...files.keys()].filter((name) => name !== MANIFEST).sort()).toEqual(
      manifest.files.map(({ name }) => name).sort(),
    );
    for (const { name, bytes, sha256: sum } of manifest.files)
      expect([name, files.get(name)?.length, sha256(files.get(name) as Buffer)]).toEqual([name, bytes, sum]);
    for (const [name, bytes] of files)
      if (name.endsWith('.json')) expect(() => JSON.parse(String(bytes)) as unknown).not.toThrow();
    expect(manifest.counts).toMatchObject({ designs: DEMO_DESIGNS, photographs: 20 });
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
    for (const name of photographsIn(from))
      expect(readFileSync(join(to, name)).equals(readFileSync(join(from, name)))).toBe(true);
    const again = await written(other, 'again.zip', to);
    expect(manifestIn(await filesIn(again)).files).toEqual(manifestIn(await filesIn(large)).files);
  });

  it('added to an empty studio is the same studio; added twice it changes nothing', async () => {
    const other = await table();
    for (let time = 0; time < 2; time += 1) {
      const staged = await stageArchive(archive);
      await mergeArchive(other, { staged, photographs: null, counts: () => 'archive' });
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
    await other.revisions.create({
      designId: design?.id,
      number: (design?.revision ?? 0) + 1,
      cause: 'edited',
      target: changed,
      mesh: null,
    } as never);
    await design?.update({ name: 'Gone on', target: changed, revision: (design.revision ?? 0) + 1 });
    const [clay] = await other.records.findAll({ where: { kind: 'clay' }, limit: 1 });
    const old = clay?.name;
    await clay?.update({ name: 'Renamed', revision: clay.revision + 1 });
    const [making] = await other.makings.findAll({ limit: 1 });
    const note = randomUUID();
    await other.notes.create({
      id: note,
      makingId: making?.id,
      piece: 0,
      number: 0,
      step: 'roll',
      at: NOW,
      text: 'Soft today',
    } as never);
    const staged = await stageArchive(archive);
    await mergeArchive(other, { staged, photographs: null, counts: () => which });
    await staged.clear();
    await design?.reload();
    await clay?.reload();
    expect([design?.target, clay?.name]).toEqual(which === 'here' ? [changed, 'Renamed'] : [before, old]);
    const history = await other.revisions.findAll({ where: { designId: design?.id } });
    expect(history.map(({ target }) => target)).toEqual(expect.arrayContaining([before, changed]));
    expect(await other.revisions.findOne({ where: { designId: design?.id, number: design?.revision } })).toMatchObject({
      target: design?.target,
    });
    expect(await other.notes.findByPk(note)).not.toBeNull();
  });

  it('adds a making of a revision that is otherwise here to the revision that it was made by', async () => {
    const other = await table();
    await seedDemo(other, 'demo');
    const staged = await stageArchive(archive);
    await mergeArchive(other, { staged, photographs: null, counts: () => 'here' });
    const of = async (database: Database) => {
      const pieces = await database.makingPieces.findAll();
      return Object.fromEntries(
        await Promise.all(
          pieces.map(async ({ makingId, piece, designId, revision }) => [
            `${makingId} ${piece}`,
            (await database.revisions.findOne({ where: { designId, number: revision } }))?.target,
          ]),
        ),
      ) as Record<string, string>;
    };
    expect(await of(other)).toMatchObject(await of(staged.database));
    await staged.clear();
  });
});
