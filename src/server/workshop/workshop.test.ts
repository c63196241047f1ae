import { readdirSync } from 'node:fs';
import request from 'supertest';
import { newTarget, type Target } from '../../core/target/target.ts';
import { buildApp } from '../app.ts';
import { openDatabase } from '../models/database.ts';
import { Refusal } from '../refusal.ts';
import { threadedWorkshop, type Workshop } from './workshop.ts';

const body = (value: unknown) => Buffer.from(JSON.stringify(value));
const deep = () => Buffer.from(`{"target":${'['.repeat(30_000)}${']'.repeat(30_000)}}`);
/** A legal piece that takes seconds: a deep bowl whose darts must be looked for. */
const SLOW: Target = {
  ...newTarget('Deep bowl'),
  form: { kind: 'mould', rim: { kind: 'circle', diameter: 300 }, depth: 140, wall: 'dome', side: 'hump', margin: 20 },
};

describe('the workshop', () => {
  let workshop: Workshop;
  beforeAll(() => {
    workshop = threadedWorkshop();
  });
  afterAll(() => workshop.close());

  it('reads and makes what is sound, and gives every fault of what is not', async () => {
    const target = newTarget('Rack tumbler');
    expect(await workshop.read('create', body({ target }))).toMatchObject({ name: 'Rack tumbler', mesh: null });
    const made = await workshop.make('develop', body({ target }));
    expect(made.kind === 'json' && JSON.parse(made.text)).toMatchObject({ numbers: { wallHeight: 119 } });
    await expect(workshop.make('sheets', body({ target, format: 'pdf' }))).resolves.toMatchObject({
      kind: 'file',
      name: 'rack-tumbler.pdf',
    });
    for (const bad of [
      Buffer.from('{'),
      Buffer.from([0xff, 0xfe]),
      deep(),
      body({ target: { ...target, extra: 1 } }),
    ]) {
      await expect(workshop.read('create', bad)).rejects.toBeInstanceOf(Refusal);
    }
  });

  it('leaves no file open when it is closed', async () => {
    const files = () => readdirSync('/proc/self/fd').length;
    const before = files();
    for (let times = 0; times < 3; times += 1) {
      const own = threadedWorkshop();
      await own.make('develop', body({ target: newTarget('Cup') }));
      await own.close();
    }
    expect(files()).toBeLessThan(before + 20);
  });

  it('reads a small body before large ones that came first', async () => {
    const keys = Object.fromEntries(Array.from({ length: 100_000 }, (_, key) => [`k${key}`, key]));
    const order: string[] = [];
    const told = (name: string) => () => order.push(name);
    const large = [1, 2, 3].map(() => workshop.read('create', body({ target: keys })).catch(told('large')));
    await workshop.read('create', body({ target: newTarget('Small') })).then(told('small'));
    await Promise.all(large);
    expect(order).toEqual(['small', 'large', 'large', 'large']);
  });

  it('leaves health and saves free while it makes the slowest thing that is legal', async () => {
    const database = await openDatabase(':memory:');
    const agent = request(buildApp({ database, door: null, workshop, address: '127.0.0.1', pages: null }));
    let making = true;
    const slow = agent
      .post('/api/develop')
      .send({ target: SLOW })
      .then(() => (making = false));
    let answered = 0;
    while (making && answered < 20) {
      expect((await agent.get('/api/health')).status).toBe(200);
      expect((await agent.post('/api/designs').send({ target: newTarget(`Tumbler ${answered}`) })).status).toBe(201);
      answered += 1;
    }
    expect(answered).toBeGreaterThan(10);
    await slow;
    await database.close();
  });
});
