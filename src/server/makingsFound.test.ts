import { randomUUID } from 'node:crypto';
import request from 'supertest';
import type { Design } from '../contract/api.ts';
import type { MakingStart } from '../contract/makings.ts';
import { ROOM } from '../core/studio/drying/air.ts';
import { DEFAULT_SCHOOLS } from '../core/studio/making/workStep.ts';
import { buildApp } from './app.ts';
import { AT, STEPS, TARGET } from './makings.test.helper.ts';
import { openDatabase, type Database } from './models/database.ts';
import { ownWorkshop } from './workshop/workshop.ts';

describe('makings', () => {
  let database: Database;
  let agent: ReturnType<typeof request>;
  let design: Design;

  beforeAll(async () => {
    database = await openDatabase(':memory:');
    agent = request(buildApp({ database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null }));
    design = (await agent.post('/api/designs').send({ target: TARGET })).body as Design;
    for (const name of ['Rack tumblers', '100% rye_tins', "Soup o' the day"]) {
      const making: MakingStart = {
        id: randomUUID(),
        name,
        clay: null,
        startedAt: AT,
        dueAt: null,
        schools: DEFAULT_SCHOOLS,
        air: ROOM,
        pieces: [{ designId: design.id, revision: 1, name: 'Rack tumbler', count: 3, steps: STEPS }],
      };
      await agent.post('/api/makings').send(making);
    }
  });
  afterAll(() => database.close());

  it.each([
    ['', 3],
    ['TUMBLERS', 1],
    ['0% r', 1],
    ['%', 1],
    ['_', 1],
    ["o'", 1],
    ['x', 0],
  ])('are found by %j in their names as it stands, those of one design too: %i', async (find, count) => {
    const asked = `find=${encodeURIComponent(find)}`;
    for (const query of [asked, `${asked}&design=${design.id}`]) {
      const { body, headers } = await agent.get(`/api/makings?${query}`);
      expect(body).toHaveLength(count);
      expect(headers['x-total-count']).toBe(String(count));
    }
  });
});
