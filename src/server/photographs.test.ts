import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import request from 'supertest';
import type { Design } from '../contract/api.ts';
import type { Making } from '../contract/makings.ts';
import { ROOM } from '../core/studio/drying/air.ts';
import { DEFAULT_SCHOOLS } from '../core/studio/making/workStep.ts';
import { buildApp } from './app.ts';
import { openDatabase, type Database } from './models/database.ts';
import { ownWorkshop } from './workshop/workshop.ts';

const AT = '2026-11-28T09:05:00.000Z';
let folder: string;
let database: Database;
let agent: ReturnType<typeof request>;
let making: string;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'fawn-photographs-'));
  database = await openDatabase(':memory:');
  const parts = { database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null };
  agent = request(buildApp({ ...parts, photographs: folder }));
  const target = JSON.parse(readFileSync('demo/01-rack-tumbler.fawn.json', 'utf8')) as object;
  const design = (await agent.post('/api/designs').send({ target })).body as Design;
  making = randomUUID();
  const step = { id: 'roll', act: 'roll', title: 'Roll', says: [], tools: [], until: '', minutes: 5 };
  const head = { name: 'Tumblers', clay: null, startedAt: AT, dueAt: null, schools: DEFAULT_SCHOOLS, air: ROOM };
  const pieces = [{ designId: design.id, revision: 1, name: 'Tumbler', count: 3, steps: [step] }];
  expect((await agent.post('/api/makings').send({ id: making, ...head, pieces })).status).toBe(201);
});
afterEach(async () => {
  await database.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A made-up picture, on its side as a camera may write it, with the place where it was taken. */
const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#b98d62' } })
    .withExif({
      IFD0: { Artist: 'someone' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();

const put = (id: string, body: Buffer, more = '') =>
  agent
    .put(`/api/makings/${making}/photographs/${id}?piece=0&number=2&step=roll&at=${AT}${more}`)
    .set('Content-Type', 'image/jpeg')
    .send(body);
const kept = async () => ((await agent.get(`/api/makings/${making}`)).body as Making).photographs;
const files = () => readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) => name.includes('.'));

describe('photographs', () => {
  it('are kept once, upright, no larger than needed, without the place where they were taken', async () => {
    const bytes = await picture(4000, 1000);
    expect((await sharp(bytes).metadata()).exif?.toString('latin1')).toContain('someone');
    const id = randomUUID();
    for (let time = 0; time < 3; time += 1) expect((await put(id, bytes)).status).toBe(204);
    // The same picture at another step lies in the same file.
    await put(randomUUID(), bytes);
    const all = await kept();
    const [first, second] = [all.find((one) => one.id === id), all.find((one) => one.id !== id)];
    expect(first).toMatchObject({ id, piece: 0, number: 2, step: 'roll', at: AT, width: 600, height: 2400 });
    expect(second?.hash).toBe(first?.hash);
    expect(await kept()).toHaveLength(2);
    expect(files()).toHaveLength(2);
    for (const [size, most] of [
      ['full', 2400],
      ['small', 320],
    ] as const) {
      const reply = await agent.get(`/api/photographs/${first?.hash}/${size}.jpg`).responseType('blob');
      const { exif, format, height } = await sharp(reply.body as Buffer).metadata();
      expect([exif, format, height]).toEqual([undefined, 'jpeg', most]);
      expect((reply.body as Buffer).toString('latin1')).not.toContain('someone');
    }
  });

  it.each([
    ['what is no picture', (id: string) => put(id, Buffer.from('not a picture')), 422],
    ['nothing at all', (id: string) => put(id, Buffer.alloc(0)), 422],
    [
      'a drawing with scripts',
      (id: string) => put(id, Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')),
      422,
    ],
    ['a place twice', (id: string) => put(id, Buffer.from('x'), '&piece=1'), 400],
    [
      'an unknown making',
      (id: string) =>
        agent.put(`/api/makings/${id}/photographs/${id}?piece=0&number=1&step=a&at=${AT}`).send(Buffer.from('x')),
      404,
    ],
    ['a hash that leads out of the folder', () => agent.get('/api/photographs/..%2F..%2Ffawn/full.jpg'), 400],
    ['a hash that is not there', () => agent.get(`/api/photographs/${'0'.repeat(64)}/full.jpg`), 404],
  ])('are refused with %s', async (_, ask, status) => {
    expect((await ask(randomUUID())).status).toBe(status);
    expect(await kept()).toEqual([]);
    expect(files()).toEqual([]);
  });
});
