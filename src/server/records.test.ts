import { readFileSync } from 'node:fs';
import request from 'supertest';
import type { ErrorReply } from '../contract/api.ts';
import { readRecord } from '../contract/recordSchema.ts';
import type { Kept } from '../contract/records.ts';
import { CLAY_LIMITS, scrapSum, type Clay } from '../core/studio/clay/clay.ts';
import { greatestSlab, thicknessWay, type KitItem } from '../core/studio/kit/kit.ts';
import { buildApp } from './app.ts';
import { ownWorkshop } from './workshop/workshop.ts';
import { openDatabase, type Database } from './models/database.ts';

const CLAY: Clay = {
  name: 'Siding buff',
  wetDensity: 1.95,
  shrinkage: 0.12,
  basis: 'maker',
  bars: [{ wet: 100, fired: 88, run: 'any' }],
};
const CUTTER: KitItem = { kind: 'cutter', name: 'Tin lid', sizes: { diameter: 84 } };
const NOBODY = '00000000-0000-4000-8000-000000000000';

let database: Database;
let agent: ReturnType<typeof request>;

beforeEach(async () => {
  database = await openDatabase(':memory:');
  agent = request(buildApp({ database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null }));
});
afterEach(() => database.close());

const create = async (kind: string, body: object) =>
  (await agent.post(`/api/records/${kind}`).send({ body })).body as Kept;

describe('records', () => {
  it('are made, listed by their kind, changed, taken away and put back', async () => {
    const clay = await create('clay', CLAY);
    await create('kit', CUTTER);
    expect(clay).toMatchObject({ body: CLAY, revision: 1 });
    const body = { ...CLAY, name: 'Siding buff, new bag' };
    const changed = await agent.put(`/api/records/clay/${clay.id}`).send({ body, baseRevision: 1 });
    expect(changed.body).toMatchObject({ id: clay.id, body, revision: 2 });
    expect((await agent.get('/api/records/clay')).body).toEqual([changed.body]);
    expect((await agent.delete(`/api/records/clay/${clay.id}`)).status).toBe(204);
    expect((await agent.get('/api/records/clay')).body).toEqual([]);
    await agent.post(`/api/records/clay/${clay.id}/put-back`);
    expect((await agent.get('/api/records/clay')).body).toHaveLength(1);
    expect((await agent.get('/api/records/kit')).body).toHaveLength(1);
  });

  it('are not overwritten by a change to an older state', async () => {
    const { id } = await create('kit', CUTTER);
    const put = (diameter: number) =>
      agent.put(`/api/records/kit/${id}`).send({ body: { ...CUTTER, sizes: { diameter } }, baseRevision: 1 });
    expect((await put(85)).status).toBe(200);
    const refused = await put(86);
    expect([refused.status, (refused.body as ErrorReply).error]).toEqual([409, 'record-conflict']);
  });

  it.each([
    ['get', '/api/records/spoons', undefined, 400, 'bad-request'],
    ['post', '/api/records/clay', { name: 'x' }, 400, 'bad-request'],
    ['post', '/api/records/clay', { body: { ...CLAY, shrinkage: 12 } }, 422, 'bad-record'],
    ['post', '/api/records/kit', { body: { ...CUTTER, sizes: {} } }, 422, 'bad-record'],
    ['put', `/api/records/clay/${NOBODY}`, { body: CLAY, baseRevision: 1 }, 404, 'record-not-found'],
    ['delete', `/api/records/kit/${NOBODY}`, undefined, 404, 'record-not-found'],
    ['post', `/api/records/kit/${NOBODY}/put-back`, undefined, 404, 'record-not-found'],
  ] as const)('%s %s is refused', async (method, path, body, status, code) => {
    const reply = await agent[method](path).send(body);
    expect([reply.status, (reply.body as ErrorReply).error]).toEqual([status, code]);
  });
});

describe('what can be written down', () => {
  const faults = (kind: 'clay' | 'kit' | 'scrap' | 'plan', value: unknown) => {
    const reading = readRecord(kind, value);
    return 'faults' in reading ? reading.faults.map(({ path }) => path) : [];
  };
  const PLAN = {
    name: 'x',
    design: NOBODY,
    pieces: [{ design: NOBODY, count: 2 }],
    gap: 5,
    margin: 15,
    alongRoll: true,
    slabs: [],
  };

  it.each([
    ['clay', CLAY, []],
    ['clay', { ...CLAY, name: ' ' }, ['name']],
    ['clay', { ...CLAY, wetDensity: 9 }, ['wetDensity']],
    ['clay', { ...CLAY, basis: 'rumour' }, ['basis']],
    ['clay', { ...CLAY, bars: [{ wet: 100, fired: 120, run: 'any' }] }, ['bars.0.fired']],
    ['clay', { ...CLAY, bars: [{ wet: 100, dry: 40, run: 'any' }] }, ['bars.0.dry']],
    ['clay', { ...CLAY, bars: [{ wet: 2, run: 'any' }] }, ['bars.0.wet']],
    ['clay', { ...CLAY, bars: Array(CLAY_LIMITS.bars + 1).fill({ wet: 100, run: 'any' }) }, ['bars']],
    ['clay', { ...CLAY, secret: 1 }, ['secret']],
    ['kit', { kind: 'roller', name: 'Shed roller', sizes: { width: 600 }, settings: [6, -1] }, ['settings.1']],
    ['kit', { ...CUTTER, settings: [6] }, ['settings']],
    ['kit', { ...CUTTER, sizes: { diameter: 84, height: 3 } }, ['sizes.height']],
    ['kit', { kind: 'former', name: 'Pipe', sizes: { diameter: 75, sleeve: 0 } }, []],
    ['kit', { ...CUTTER, kind: 'spaceship' }, ['kind']],
    ['scrap', { day: '2026-11-23', name: 'Siding buff', out: 500, back: 0 }, []],
    ['scrap', { day: 'yesterday', name: 'Siding buff', out: 500, back: -1 }, ['day', 'back']],
    ['plan', PLAN, []],
    ['plan', { ...PLAN, pieces: [] }, ['pieces']],
    ['plan', { ...PLAN, pieces: [{ design: NOBODY, count: 0 }], gap: -1 }, ['pieces.0.count', 'gap']],
    [
      'plan',
      { ...PLAN, slabs: [{ thickness: 6, placements: [{ id: 'a', x: 'left', y: 0, turn: 0 }] }] },
      ['slabs.0.placements.0.x'],
    ],
  ] as const)('%s %j: %j', (kind, value, wanted) => expect(faults(kind, value)).toEqual(wanted));

  it('holds every thing of the demo', () => {
    for (const [kind, file] of [
      ['clay', 'clays'],
      ['kit', 'kit'],
      ['scrap', 'scraps'],
    ] as const) {
      for (const value of JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as unknown[])
        expect(faults(kind, value)).toEqual([]);
    }
  });
});

describe('the kit', () => {
  const stick = (thickness: number): KitItem => ({ kind: 'stick', name: `Sticks ${thickness}`, sizes: { thickness } });
  const roller: KitItem = { kind: 'roller', name: 'Roller', sizes: { width: 400 }, settings: [10, 6, 4] };
  const board = (length: number, width: number): KitItem => ({
    kind: 'board',
    name: 'Board',
    sizes: { length, width },
  });

  it.each([
    [[stick(6), roller], 6, { kind: 'stick', nearest: 6 }],
    [[stick(5), roller], 4, { kind: 'roller', nearest: 4 }],
    [[stick(5), stick(8)], 6, { kind: 'none', nearest: 5 }],
    [[], 6, { kind: 'none', nearest: null }],
  ])('rolls to a thickness: %#', (kit, wanted, way) => expect(thicknessWay(kit, wanted)).toMatchObject(way));

  it('sets the greatest slab by its widest roller and its largest board', () => {
    expect(greatestSlab([roller, board(900, 500), board(600, 600)])).toEqual({ length: 900, width: 400 });
    expect(greatestSlab([board(600, 300)])).toEqual({ length: 600, width: 300 });
    expect(greatestSlab([CUTTER])).toBeNull();
  });

  it('sums what came out of the bag and went back', () => {
    const entry = (out: number, back: number) => ({ day: '2026-11-23', name: 'x', out, back });
    expect(scrapSum([entry(12500, 0), entry(0, 3150)])).toEqual({ out: 12500, back: 3150, used: 9350 });
  });
});
