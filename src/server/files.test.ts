import { mkdtempSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import type { ErrorReply } from '../contract/api.ts';
import { newTarget, type Target } from '../core/target/target.ts';
import { buildApp } from './app.ts';
import { BUSY_TIMEOUT } from './models/driver.ts';
import { openDatabase, type Database } from './models/database.ts';
import { backUp, backupsOf, BACKUPS_KEPT, restoreBackup } from './services/backups.ts';
import { designService } from './services/designs.ts';
import { textsOf } from './workshop/work.ts';
import { ownWorkshop } from './workshop/workshop.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fawn-files-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const read = (target: Target) => ({ name: target.name, ...textsOf(target), baseRevision: null });
const pragma = async (database: Database, name: string, transaction?: never) => {
  const [rows] = await database.sequelize.query(`PRAGMA ${name}`, { transaction });
  return Object.values((rows as Record<string, unknown>[])[0] ?? {})[0];
};

describe('the database', () => {
  it('is set as it is meant, in and outside of a transaction', async () => {
    const database = await openDatabase(folder);
    const all = async (transaction?: never) => [
      await pragma(database, 'journal_mode', transaction),
      await pragma(database, 'busy_timeout', transaction),
      await pragma(database, 'synchronous', transaction),
    ];
    expect(await all()).toEqual(['wal', BUSY_TIMEOUT, 2]);
    expect(await database.write((transaction) => all(transaction as never))).toEqual(['wal', BUSY_TIMEOUT, 2]);
    await database.close();
  });

  it.each<[string, (file: string) => void, RegExp]>([
    ['empty', (file) => writeFileSync(file, ''), /is empty\. Put a backup back/],
    ['another file', (file) => writeFileSync(file, 'x'.repeat(5000)), /not a Fawn Table database/],
    ['cut short', (file) => truncateSync(file, 8192), /has been cut short: 8192 of/],
  ])('that is %s is told at the start, with what to do', async (_, spoil, words) => {
    const database = await openDatabase(folder);
    for (let index = 0; index < 30; index += 1)
      await designService(database).create(read(newTarget(`Tumbler ${index}`)));
    await database.sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)');
    await database.close();
    spoil(join(folder, 'fawn.sqlite'));
    await expect(openDatabase(folder)).rejects.toThrow(words);
  });

  it('is backed up once a day, ten times at most, and a backup is put back with what was there kept beside it', async () => {
    let database = await openDatabase(folder);
    await designService(database).create(read(newTarget('Before')));
    for (let day = 10; day < 23; day += 1) expect(await backUp(database, folder, `2026-11-${day}`)).not.toBeNull();
    expect(await backUp(database, folder, '2026-11-22')).toBeNull();
    expect(backupsOf(folder)).toHaveLength(BACKUPS_KEPT);
    expect(backupsOf(folder)[0]).toBe('fawn-2026-11-22.sqlite');
    await designService(database).create(read(newTarget('After')));
    await database.close();
    const kept = restoreBackup(folder, 'fawn-2026-11-22.sqlite', new Date(0));
    expect(kept && readdirSync(folder)).toContain('fawn.sqlite.before-1970-01-01T00-00-00-000Z');
    database = await openDatabase(folder);
    expect((await designService(database).list({ find: '', limit: 9, offset: 0 })).total).toBe(1);
    await database.close();
  });

  it('keeps a mesh once, however many revisions have it', async () => {
    const database = await openDatabase(folder);
    const service = designService(database);
    const vertices = [
      [0, 0, 0],
      [60, 0, 20],
      [0, 60, 20],
      [-60, -60, 20],
    ] as const;
    const triangles = [
      [0, 1, 2],
      [0, 2, 3],
      [0, 3, 1],
    ] as const;
    const target = (margin: number): Target => ({
      ...newTarget('Tray'),
      form: { kind: 'mesh', vertices, triangles, side: 'hump', margin },
    });
    const { id } = await service.create(read(target(1)));
    for (let margin = 2; margin < 6; margin += 1)
      await service.write(id, { ...read(target(margin)), baseRevision: margin - 1 });
    expect(await database.meshes.count()).toBe(1);
    expect((JSON.parse(await service.read(id)) as { target: Target }).target).toEqual(target(5));
    expect((await service.revision(id, 2)).target).toEqual(target(2));
    expect((await service.restore(id, 3, 5)).target).toEqual(target(3));
    expect((await service.duplicate(id)).target).toEqual({ ...target(3), name: 'Tray, copy' });
    expect(await database.meshes.count()).toBe(1);
    await database.close();
  });
});

describe('the built files', () => {
  let database: Database;
  let agent: ReturnType<typeof request>;
  beforeEach(async () => {
    database = await openDatabase(':memory:');
    agent = request(
      buildApp({
        database,
        door: null,
        workshop: ownWorkshop(),
        address: '127.0.0.1',
        pages: join(process.cwd(), 'dist/web'),
      }),
    );
  });
  afterEach(() => database.close());

  it.each([
    ['/assets/nothing.js', {}, 404, 'not-found'],
    ['/assets/../../package.json', {}, 404, 'not-found'],
    ['/assets/%2e%2e/%2e%2e/package.json', {}, 404, 'not-found'],
    ['/assets/a%00b.js', {}, 400, 'bad-request'],
    ['/%00', {}, 400, 'bad-request'],
  ])('%s is answered plainly', async (path, headers, status, code) => {
    const reply = await agent.get(path).set(headers);
    expect([reply.status, (reply.body as ErrorReply).error]).toEqual([status, code]);
  });

  it('send parts that there are, and refuse others; a body that is not packed as it says is refused', async () => {
    const page = (await agent.get('/').set('Accept', 'text/html')).text;
    const script = /\/assets\/[^"]+\.js/.exec(page)?.[0] ?? '';
    expect((await agent.get(script).set('Range', 'bytes=0-9').set('Accept-Encoding', 'identity')).status).toBe(206);
    const beyond = await agent.get(script).set('Range', 'bytes=999999999-').set('Accept-Encoding', 'identity');
    expect([beyond.status, (beyond.body as ErrorReply).error]).toEqual([416, 'bad-range']);
    const broken = await agent
      .post('/api/develop')
      .set('Content-Type', 'application/json')
      .set('Content-Encoding', 'gzip')
      .send('no gzip');
    expect([broken.status, (broken.body as ErrorReply).error]).toEqual([400, 'bad-request']);
  });

  it('are sent as they were packed, and the page by its own address, filled in', async () => {
    const page = (await agent.get('/').set('Accept', 'text/html')).text;
    const script = /\/assets\/[^"]+\.js/.exec(page)?.[0] ?? '';
    const plain = await agent.get(script).set('Accept-Encoding', 'identity').buffer(true);
    const packed = await agent
      .get(script)
      .set('Accept-Encoding', 'br')
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      });
    expect(packed.headers['content-encoding']).toBe('br');
    // The test's own client unpacks it.
    expect((packed.body as Buffer).toString()).toBe(plain.text);
    expect(Number(packed.headers['content-length'])).toBeLessThan(0.4 * plain.text.length);
    const index = await agent.get('/index.html');
    expect([index.status, index.headers['location']]).toEqual([308, '/']);
    expect(page).not.toContain('__FAWN_NONCE__');
  });
});
