import request from 'supertest';
import type { Design, ErrorReply, Revision, RevisionEntry } from '../contract/api.ts';
import { newTarget, type Target } from '../core/target/target.ts';
import { buildApp } from './app.ts';
import { openDatabase, type Database } from './models/database.ts';
import { ownWorkshop } from './workshop/workshop.ts';

const tumbler = (height = 110): Target => ({
  ...newTarget('Rack tumbler'),
  form: { kind: 'cylinder', diameter: 84, height },
});
const NOBODY = '00000000-0000-4000-8000-000000000000';

let database: Database;
let agent: ReturnType<typeof request>;

beforeEach(async () => {
  database = await openDatabase(':memory:');
  agent = request(buildApp({ database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null }));
});
afterEach(() => database.close());

const create = async (target = tumbler()) => (await agent.post('/api/designs').send({ target })).body as Design;
const put = (design: Design, target: Target, baseRevision = design.revision) =>
  agent.put(`/api/designs/${design.id}`).send({ target, baseRevision });

describe('designs', () => {
  it('are created, listed, read, renamed and written to a file', async () => {
    const design = await create();
    expect(design).toMatchObject({ name: 'Rack tumbler', revision: 1 });
    const renamed = (await put(design, { ...tumbler(), name: 'Night tumbler' })).body as Design;
    expect(renamed).toMatchObject({ id: design.id, name: 'Night tumbler', revision: 2 });
    expect((await agent.get('/api/designs')).body).toEqual([renamed]);
    expect((await agent.get(`/api/designs/${design.id}`)).body).toEqual(renamed);
    const file = await agent.get(`/api/designs/${design.id}/file`);
    expect(file.headers['content-disposition']).toContain('night-tumbler.fawn.json');
    expect(JSON.parse(file.text)).toEqual(renamed.target);
  });

  it('are found by part of their name, taking no sign for a wildcard', async () => {
    for (const name of ['Rack tumbler', 'Salt box', '100% rye tin']) await create({ ...tumbler(), name });
    const names = async (find: string) =>
      ((await agent.get('/api/designs').query({ find })).body as Design[]).map(({ name }) => name);
    expect(await names('TUMB')).toEqual(['Rack tumbler']);
    expect(await names('0%')).toEqual(['100% rye tin']);
    expect(await names('_')).toEqual([]);
    expect(await names("'; DROP TABLE designs; --")).toEqual([]);
    expect(await names('')).toHaveLength(3);
  });

  it('keep every revision, and any can be put on top again', async () => {
    let design = await create();
    for (const height of [120, 130]) design = (await put(design, tumbler(height))).body as Design;
    const restored = await agent.post(`/api/designs/${design.id}/revisions/1/restore`).send({ baseRevision: 3 });
    expect(restored.body).toMatchObject({ revision: 4, target: tumbler(110) });
    const reply = await agent.get(`/api/designs/${design.id}/revisions`);
    expect(reply.headers['x-total-count']).toBe('4');
    expect((reply.body as RevisionEntry[]).map((entry) => [entry.number, entry.cause, 'target' in entry])).toEqual([
      [4, 'restored', false],
      [3, 'edited', false],
      [2, 'edited', false],
      [1, 'created', false],
    ]);
    const page = await agent.get(`/api/designs/${design.id}/revisions?limit=2&offset=1`);
    expect((page.body as RevisionEntry[]).map(({ number }) => number)).toEqual([3, 2]);
    expect(((await agent.get(`/api/designs/${design.id}/revisions/3`)).body as Revision).target).toEqual(tumbler(130));
    expect((await agent.get(`/api/designs/${design.id}/revisions/2`)).body).toMatchObject({ target: tumbler(120) });
  });

  it('send nothing back that was just sent, where the browser wants it so', async () => {
    const design = await create();
    const reply = await agent
      .put(`/api/designs/${design.id}`)
      .set('Prefer', 'return=minimal')
      .send({ target: tumbler(125), baseRevision: 1 });
    expect(reply.headers['preference-applied']).toBe('return=minimal');
    expect(reply.body).toMatchObject({ id: design.id, revision: 2 });
    expect(reply.body).not.toHaveProperty('target');
    expect((await agent.get(`/api/designs/${design.id}`)).body).toMatchObject({ target: tumbler(125) });
  });

  it('make no new revision when nothing has changed', async () => {
    const design = await create();
    expect(((await put(design, tumbler())).body as Design).revision).toBe(1);
  });

  it('answer a write from an older revision with a conflict that carries the newer side', async () => {
    const design = await create();
    const theirs = (await put(design, tumbler(120))).body as Design;
    const refused = await put(design, tumbler(130));
    expect(refused.status).toBe(409);
    expect((refused.body as ErrorReply).current).toEqual(theirs);
    expect((await agent.get(`/api/designs/${design.id}`)).body).toEqual(theirs);
    const mine = await put(design, tumbler(130), theirs.revision);
    expect(mine.body).toMatchObject({ revision: 3, target: tumbler(130) });
  });

  it('let only one of many writers at once win, and lose none that was acknowledged', async () => {
    const design = await create();
    const replies = await Promise.all(Array.from({ length: 12 }, (_, index) => put(design, tumbler(200 + index))));
    expect(replies.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(11).fill(409)]);
    expect((await agent.get(`/api/designs/${design.id}/revisions`)).body).toHaveLength(2);
  });

  it('are duplicated under a name of their own', async () => {
    const design = await create();
    const copy = (await agent.post(`/api/designs/${design.id}/duplicate`)).body as Design;
    expect(copy).toMatchObject({ name: 'Rack tumbler, copy', revision: 1 });
    expect(copy.id).not.toBe(design.id);
    expect((await agent.post(`/api/designs/${copy.id}/duplicate`)).body).toMatchObject({
      name: 'Rack tumbler, copy 2',
    });
  });

  it('come back with all revisions after they were taken off', async () => {
    const design = (await put(await create(), tumbler(120))).body as Design;
    expect((await agent.delete(`/api/designs/${design.id}`)).status).toBe(204);
    expect((await agent.get(`/api/designs/${design.id}`)).body).toMatchObject({ error: 'design-not-found' });
    expect((await agent.get('/api/designs')).body).toEqual([]);
    await agent.post(`/api/designs/${design.id}/put-back`);
    expect((await agent.get(`/api/designs/${design.id}/revisions`)).body).toHaveLength(2);
  });
});

describe('the computation', () => {
  it('develops like the command line', async () => {
    const { body } = await agent.post('/api/develop').send({ target: tumbler() });
    expect((body as { numbers: { wrapLength: number } }).numbers.wrapLength).toBeCloseTo(281.0297, 4);
  });

  it.each([
    ['pdf', /^%PDF-/, 'application/pdf'],
    ['svg', /^<\?xml/, 'image/svg+xml'],
    ['dxf', /^0\nSECTION/, 'image/vnd.dxf'],
  ])('writes a template as %s', async (format, start, type) => {
    const reply = await agent
      .post('/api/sheets')
      .send({ target: tumbler(), format, paper: 'letter' })
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      });
    expect(reply.headers['content-type']).toContain(type);
    expect(reply.headers['content-disposition']).toContain(`rack-tumbler.${format}`);
    expect((reply.body as Buffer).toString('latin1')).toMatch(start);
  });
});

describe('refusals', () => {
  it.each([
    ['get', '/api/designs/not-an-id', undefined, 400, 'bad-request'],
    ['get', `/api/designs/${NOBODY}`, undefined, 404, 'design-not-found'],
    ['get', '/api/designs?limit=0', undefined, 400, 'bad-request'],
    ['get', '/api/nothing', undefined, 404, 'not-found'],
    ['get', '/%E0%A4%A', undefined, 404, 'not-found'],
    ['post', '/api/develop', { target: { ...tumbler(), marks: { repeat: 0.0001 } } }, 422, 'bad-target'],
    ['post', '/api/develop', { target: { ...tumbler(), marks: { panels: { width: 0.0001 } } } }, 422, 'bad-target'],
    [
      'post',
      '/api/develop',
      {
        target: {
          ...tumbler(),
          form: { kind: 'mesh', vertices: Array.from({ length: 60_000 }, () => ['x']), triangles: [] },
        },
      },
      400,
      'bad-request',
    ],
    [
      'post',
      '/api/designs',
      { target: Object.fromEntries(Array.from({ length: 5000 }, (_, key) => [`k${key}`, 1])) },
      400,
      'bad-request',
    ],
    ['post', '/api/designs', {}, 400, 'bad-request'],
    ['post', '/api/designs', { target: {}, extra: 1 }, 400, 'bad-request'],
    ['post', '/api/designs', { target: { ...tumbler(), rim: 'wavy' } }, 422, 'bad-target'],
    ['post', '/api/develop', { target: tumbler(-4) }, 422, 'bad-target'],
    ['post', '/api/sheets', { target: tumbler(), format: 'bmp' }, 400, 'bad-request'],
    ['put', `/api/designs/${NOBODY}`, { target: tumbler(), baseRevision: 1 }, 404, 'design-not-found'],
    ['put', `/api/designs/${NOBODY}`, { target: tumbler() }, 400, 'bad-request'],
    ['post', `/api/designs/${NOBODY}/put-back`, undefined, 404, 'design-not-found'],
  ] as const)('%s %s is answered with its error', async (method, path, body, status, code) => {
    const reply = await agent[method](path).send(body);
    expect([reply.status, (reply.body as ErrorReply).error]).toEqual([status, code]);
    expect((reply.body as ErrorReply).todo).toBeTruthy();
  });

  it('refuses a revision that is not there', async () => {
    const { id } = await create();
    expect((await agent.get(`/api/designs/${id}/revisions/9`)).body).toMatchObject({ error: 'revision-not-found' });
  });

  it('refuses broken JSON and a body that is too large', async () => {
    const broken = await agent.post('/api/develop').set('Content-Type', 'application/json').send('{"target":');
    expect([broken.status, (broken.body as ErrorReply).error]).toEqual([400, 'bad-request']);
    const large = await agent.post('/api/develop').send({ target: { name: 'x'.repeat(5_000_000) } });
    expect([large.status, (large.body as ErrorReply).error]).toEqual([413, 'too-large']);
  });

  it('says no more than that something went wrong when the program is at fault', async () => {
    const broken = {
      ...database,
      designs: { ...database.designs, findAll: () => Promise.reject(new Error('secret path')) },
    };
    const app = buildApp({
      database: broken as unknown as Database,
      door: null,
      workshop: ownWorkshop(),
      address: '127.0.0.1',
      pages: null,
    });
    const reply = await request(app).get('/api/designs');
    expect([reply.status, (reply.body as ErrorReply).error]).toEqual([500, 'internal']);
    expect(reply.text).not.toContain('secret');
  });
});

describe('safety', () => {
  it('answers its health and sends a policy that allows only itself', async () => {
    const reply = await agent.get('/api/health');
    expect(reply.body).toEqual({ status: 'ok' });
    const policy = String(reply.headers['content-security-policy']);
    expect(policy).toMatch(/default-src 'self'/);
    expect(policy).not.toMatch(/https?:|\*|unsafe/);
    expect(reply.headers['x-powered-by']).toBeUndefined();
  });

  it.each([
    ['Host', 'evil.example'],
    ['Origin', 'http://evil.example'],
    ['Origin', 'null'],
  ])('refuses a write with %s %s', async (header, value) => {
    const reply = await agent.post('/api/designs').set(header, value).send({ target: tumbler() });
    expect([reply.status, (reply.body as ErrorReply).error]).toEqual([403, 'wrong-host']);
  });
});
