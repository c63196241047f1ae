import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import type { ArchiveOffer } from '../../contract/archive.ts';
import type { Design } from '../../contract/api.ts';
import { buildApp } from '../app.ts';
import { openDatabase, type Database } from '../models/database.ts';
import { seedDemo } from '../services/seed.ts';
import { ownWorkshop } from '../workshop/workshop.ts';
import { all, DEMO_DESIGNS, filesIn, forged, manifestIn, writtenTo, zippedTo } from './archiveFiles.test.helper.ts';
import { MANIFEST } from './archiveFormat.ts';
import { stageArchive } from './stageArchive.ts';
import { sha256 } from './tables.ts';

let place: string;
let source: Database;
let archive: string;

beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), 'fawn-bad-archive-'));
  source = await openDatabase(':memory:');
  await seedDemo(source, 'demo');
  // One that was taken off the shelf is in it too.
  await (await source.designs.findOne())?.destroy();
  archive = await writtenTo(join(place, 'studio.zip'), source, join(place, 'photographs'));
});
afterAll(async () => {
  await source.close();
  rmSync(place, { recursive: true, force: true });
});

describe('a bad archive', () => {
  const design = (files: ReadonlyMap<string, Buffer>) =>
    [...files.keys()].find((name) => name.startsWith('designs/')) ?? '';
  const cases: [string, (files: Map<string, Buffer>) => Map<string, Buffer>, RegExp][] = [
    ['without its manifest', (files) => (files.delete(MANIFEST), files), /no manifest/],
    ['with a file that is missing', (files) => (files.delete(design(files)), files), /lacks designs/],
    [
      'with a file too many',
      (files) => files.set('designs/11111111-1111-4111-8111-111111111111.json', Buffer.from('{}')),
      /does not name/,
    ],
    [
      'with a file of another place',
      (files) => files.set('designs/other.sh', Buffer.from('x')),
      /belongs to no archive/,
    ],
    [
      'with a changed figure',
      (files) => files.set(design(files), Buffer.from(String(files.get(design(files))).replace(/\d/, '9'))),
      /not as it was written/,
    ],
    [
      'of a newer program',
      (files) => files.set(MANIFEST, Buffer.from(JSON.stringify({ ...manifestIn(files), step: '9999-later' }))),
      /newer/,
    ],
    [
      'of another version',
      (files) => files.set(MANIFEST, Buffer.from(JSON.stringify({ ...manifestIn(files), version: 2 }))),
      /manifest that cannot be read/,
    ],
    [
      'with a column that is not known',
      (files) => forged(files, design(files), (text) => text.replace('"name":', '"nickname": 1, "name":')),
      /nickname cannot be kept/,
    ],
    [
      'with a design that cannot be read',
      (files) => forged(files, design(files), (text) => text.replace(/"version": 1/, '"version": 7')),
      /cannot be read/,
    ],
    [
      'with a revision of no design',
      (files) =>
        forged(files, design(files), (text) => text.replace(/"designId":"[^"]+"/, `"designId":"${randomUUID()}"`)),
      /cannot be read|refers to/,
    ],
    ['with words for JSON', (files) => forged(files, design(files), () => 'a bowl'), /not JSON/],
    ['with a list for a row', (files) => forged(files, design(files), () => '[]'), /no row/],
    [
      'with a photograph that is none',
      (files) => {
        const hash = sha256('a bowl');
        const manifest = manifestIn(files);
        const name = `photographs/${hash}.jpg`;
        const listed = [...manifest.files, { name, bytes: 6, sha256: hash }];
        return files
          .set(name, Buffer.from('a bowl'))
          .set(MANIFEST, Buffer.from(JSON.stringify({ ...manifest, files: listed })));
      },
      /cannot be read|no JPEG/,
    ],
  ];

  it.each(cases)('%s is refused with a reason', async (name, change, reason) => {
    const file = await zippedTo(join(place, `${sha256(name).slice(0, 8)}.zip`), change(await filesIn(archive)));
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
    const other = await openDatabase(':memory:');
    const parts = { database: other, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null };
    const agent = request(buildApp({ ...parts, photographs: join(place, 'sent') }));
    const target = JSON.parse(readFileSync('demo/01-rack-tumbler.fawn.json', 'utf8')) as object;
    const mine = (await agent.post('/api/designs').send({ target })).body as Design;
    const before = await all(other);
    const send = (body: Buffer) => agent.post('/api/archive').set('Content-Type', 'application/zip').send(body);
    const refused = await send(Buffer.from('a bowl'));
    expect([refused.status, (refused.body as { code?: string; error?: string }).error]).toEqual([422, 'bad-archive']);
    const offer = (await send(readFileSync(archive)).expect(201)).body as ArchiveOffer;
    expect(offer).toMatchObject({ counts: { designs: DEMO_DESIGNS }, clashes: [] });
    expect(await all(other)).toEqual(before);
    await agent.post(`/api/archive/${randomUUID()}`).send({ mode: 'merge' }).expect(404);
    await agent.post(`/api/archive/${offer.token}`).send({ mode: 'merge' }).expect(204);
    await agent.post(`/api/archive/${offer.token}`).send({ mode: 'exactly' }).expect(404);
    const designs = (await agent.get('/api/designs').expect(200)).body as Design[];
    expect(designs).toHaveLength(DEMO_DESIGNS);
    expect(designs.map(({ id }) => id)).toContain(mine.id);
    const out = await agent
      .get('/api/archive')
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      });
    writeFileSync(join(place, 'out.zip'), out.body as Buffer);
    expect(manifestIn(await filesIn(join(place, 'out.zip'))).counts).toMatchObject({ designs: DEMO_DESIGNS + 1 });
    await other.close();
  });
});
