import request from 'supertest';
import type { ErrorReply } from '../contract/api.ts';
import { buildApp } from './app.ts';
import { openDatabase, type Database } from './models/database.ts';
import { makeDoor } from './services/door.ts';
import { ownWorkshop } from './workshop/workshop.ts';

let database: Database;

beforeEach(async () => {
  database = await openDatabase(':memory:');
});
afterEach(() => database.close());

describe('the door', () => {
  const behindDoor = async (proxies?: readonly string[]) =>
    request(
      buildApp({
        database,
        ...(proxies && { proxies }),
        door: await makeDoor('under the fawn', database),
        workshop: ownWorkshop(),
        address: '0.0.0.0',
        pages: null,
      }),
    );

  it('asks for the passphrase, and lets in by a cookie that scripts and other sites cannot use', async () => {
    const visitor = await behindDoor();
    expect((await visitor.get('/api/designs')).body).toMatchObject({ error: 'sign-in-needed' });
    expect((await visitor.get('/api/session')).body).toEqual({ needed: true, signedIn: false });
    expect((await visitor.post('/api/session').send({ passphrase: 'wrong' })).body).toMatchObject({
      error: 'wrong-passphrase',
    });
    const reply = await visitor.post('/api/session').send({ passphrase: 'under the fawn' });
    const cookie = String(reply.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    const pass = cookie.split(';')[0] ?? '';
    expect((await visitor.get('/api/designs').set('Cookie', pass)).status).toBe(200);
    await visitor.delete('/api/session').set('Cookie', pass);
    expect((await visitor.get('/api/designs').set('Cookie', pass)).status).toBe(401);
    expect((await visitor.get('/api/designs').set('Cookie', 'fawn-session=guess')).status).toBe(401);
  });

  it('closes after ten wrong tries', async () => {
    const visitor = await behindDoor();
    for (let tries = 0; tries < 10; tries += 1)
      await visitor.post('/api/session').send({ passphrase: `guess ${tries}` });
    const reply = await visitor.post('/api/session').send({ passphrase: 'under the fawn' });
    expect([reply.status, (reply.body as ErrorReply).error]).toEqual([429, 'too-many-tries']);
  });

  it.each([
    ['believed', ['loopback'], 401],
    ['believed as an address', ['127.0.0.1', '::ffff:127.0.0.1'], 401],
    ['not believed', [], 429],
    ['of another network, and not believed', ['10.0.0.0/8'], 429],
  ])('counts tries for who asks through a proxy that is %s', async (_, proxies, status) => {
    const visitor = await behindDoor(proxies);
    const tryFrom = (place: number) =>
      visitor.post('/api/session').set('X-Forwarded-For', `203.0.113.${place}`).send({ passphrase: 'guess' });
    for (let place = 0; place < 10; place += 1) await tryFrom(place);
    expect((await tryFrom(10)).status).toBe(status);
  });

  it('forgets a sign-in after its time', async () => {
    let now = 0;
    const door = await makeDoor('under the fawn', database, () => now);
    const token = (await door.signIn('under the fawn')) ?? '';
    expect(await door.isSignedIn(token)).toBe(true);
    now = 8 * 24 * 3600 * 1000;
    expect(await door.isSignedIn(token)).toBe(false);
  });

  it('knows a sign-in again after a restart, and forgets all with another passphrase', async () => {
    const token = (await (await makeDoor('under the fawn', database)).signIn('under the fawn')) ?? '';
    expect(await (await makeDoor('under the fawn', database)).isSignedIn(token)).toBe(true);
    expect(await (await makeDoor('over the fawn', database)).isSignedIn(token)).toBe(false);
    expect(await (await makeDoor('under the fawn', database)).isSignedIn(token)).toBe(false);
  });

  it('asks before it reads a body, and counts wrong tries for each visitor of a proxy apart', async () => {
    const visitor = await behindDoor();
    const large = await visitor.post('/api/designs').send({ target: { name: 'x'.repeat(5_000_000) } });
    expect(large.status).toBe(401);
    const from = (address: string, passphrase: string) =>
      visitor.post('/api/session').set('X-Forwarded-For', address).send({ passphrase });
    for (let tries = 0; tries < 11; tries += 1) await from('192.0.2.7', 'guess');
    expect((await from('192.0.2.7', 'under the fawn')).status).toBe(429);
    expect((await from('192.0.2.8', 'under the fawn')).status).toBe(204);
  });
});
