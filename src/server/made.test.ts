import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { QueryTypes } from 'sequelize';
import request from 'supertest';
import type { Design } from '../contract/api.ts';
import type { ClayRecords, DryLine, MadeCosts, MadeLine } from '../contract/made.ts';
import type { Entries, Making, MakingStart, Measurement } from '../contract/makings.ts';
import type { Kept } from '../contract/records.ts';
import { ROOM } from '../core/studio/drying/air.ts';
import { USUAL_SEGMENTS, type KeptFiring } from '../core/studio/kiln/keptFiring.ts';
import { DEFAULT_SCHOOLS, type WorkStep } from '../core/studio/making/workStep.ts';
import { seeded } from '../core/seeded.ts';
import { buildApp } from './app.ts';
import { openDatabase, type Database } from './models/database.ts';
import { searchWords } from './services/madeSearch.ts';
import { ownWorkshop } from './workshop/workshop.ts';

const TARGET = JSON.parse(readFileSync('demo/01-rack-tumbler.fawn.json', 'utf8')) as { name: string };
const AT = '2026-11-28T09:05:00.000Z';
const NONE: Entries = { marks: [], measurements: [], faults: [], notes: [], strikes: [], critiques: [] };
const STEPS: readonly WorkStep[] = [
  { id: 'stiffen', act: 'wait', title: 'Let it stiffen', says: [], tools: [], until: 'It bends.', minutes: 1, waits: { until: 'opens', part: { thickness: 6, faces: 'one', cover: 'open' } } },
]; // prettier-ignore

let database: Database;
let agent: ReturnType<typeof request>;
let design: Design;
let clay: Kept<'clay'>;

beforeEach(async () => {
  database = await openDatabase(':memory:');
  agent = request(buildApp({ database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null }));
  design = (await agent.post('/api/designs').send({ target: TARGET })).body as Design;
  const body = { name: 'Siding buff', wetDensity: 1.95, shrinkage: 0.12, basis: 'maker', bars: [] };
  clay = (await agent.post('/api/records/clay').send({ body })).body as Kept<'clay'>;
});
afterEach(() => database.close());

const spot = (number: number) => ({ id: randomUUID(), piece: 0, number, step: 'stiffen', at: AT });

async function make(count: number, entries: Partial<Entries>, of: Kept<'clay'> | null = clay): Promise<string> {
  const id = randomUUID();
  const start: MakingStart = { id, name: 'Tumblers for the galley', clay: of?.id ?? null, startedAt: AT, dueAt: null, schools: DEFAULT_SCHOOLS, air: ROOM, pieces: [{ designId: design.id, revision: 1, name: 'Rack tumbler', count, steps: STEPS }] }; // prettier-ignore
  await agent.post('/api/makings').send(start).expect(201);
  await agent.post(`/api/makings/${id}/entries`).send({ ...NONE, ...entries }).expect(200); // prettier-ignore
  return id;
}

/** Rim and height of pieces, wet and fired, that shrank by so much. */
function sizes(count: number, shrinkage: number): Measurement[] {
  const random = seeded(count);
  return Array.from({ length: count }, (_, index) => index + 1).flatMap((number) =>
    (
      [
        ['rim', 95.4],
        ['height', 125],
      ] as const
    ).flatMap(([what, about]): Measurement[] => {
      const wet = about + random();
      return [
        { ...spot(number), what, state: 'wet', value: wet },
        { ...spot(number), what, state: 'fired', value: wet * (1 - shrinkage) + 0.2 * (random() - 0.5) },
      ];
    }),
  );
}

async function fire(day: string, making: string, count: number): Promise<void> {
  const pieces = Array.from({ length: count }, (_, index) => ({ making, piece: 0, number: index + 1 }));
  const body: KeptFiring = { name: `Firing of ${day}`, kind: 'once', day, cone: '6', segments: USUAL_SEGMENTS.once, curve: [], witness: [], gap: 5, shelves: [{ id: 'a', name: 'Top', width: 400, depth: 400, clear: 150 }], wanted: pieces, placed: pieces.map((one, index) => ({ ...one, shelf: 'a', x: 100 * index, y: 100, turn: 0 })), opened: AT, note: '' }; // prettier-ignore
  await agent.post('/api/records/firing').send({ body }).expect(201);
}

const learning = async () => (await agent.get('/api/made/learning').expect(200)).body as ClayRecords[];

describe('what pieces say', () => {
  it('is an offer once enough was measured, from two firings; striking out and taking away remove what they said', async () => {
    const first = await make(4, { measurements: sizes(4, 0.132) });
    await fire('2026-11-02', first, 4);
    expect((await learning())[0]?.finding).toMatchObject({ kind: 'few', pieces: 4, firings: 1 });
    const measurements = sizes(4, 0.13);
    const second = await make(4, { measurements });
    await fire('2026-11-16', second, 4);
    const [buff] = await learning();
    expect(buff).toMatchObject({ name: 'Siding buff', now: 0.12, finding: { kind: 'offer', pieces: 8, firings: 2 } });
    expect(buff?.finding.shrinkage).toBeCloseTo(0.131, 3);
    expect(buff?.finding.difference).toMatchObject({ name: 'Rack tumbler', count: 8 });
    const early = buff?.pieces.find(({ making }) => making === first);
    expect(early).toMatchObject({ firing: { name: 'Firing of 2026-11-02', shelf: 'Top' }, thickness: 6 });
    expect(early?.planned.sizes.rim).toBeCloseTo(84, 1);

    const strikes = measurements.map(({ id }) => ({ id: randomUUID(), of: id, out: true, at: AT }));
    await agent.post(`/api/makings/${second}/entries`).send({ ...NONE, strikes });
    expect((await learning())[0]?.finding).toMatchObject({ kind: 'few', pieces: 4 });
    await agent.delete(`/api/makings/${first}`);
    expect((await learning())[0]?.finding).toMatchObject({ kind: 'few', pieces: 0, firings: 0 });
  });

  it('is nothing of a making whose clay is not known', async () => {
    await make(8, { measurements: sizes(8, 0.14) }, null);
    expect((await learning())[0]).toMatchObject({ pieces: [], finding: { kind: 'few', pieces: 0 } });
  });

  it('tells what a missed window did', async () => {
    const found = (number: number, kind: 'ready' | 'too-stiff') => ({ ...spot(number), kind });
    await make(20, {
      marks: Array.from({ length: 20 }, (_, index) => found(index + 1, index < 5 ? 'too-stiff' : 'ready')),
      faults: [1, 2, 3, 4, 9].map((number) => ({ ...spot(number), kind: 'crack at the base', x: null, y: null })),
    });
    expect((await learning())[0]?.patterns).toMatchObject([
      { fault: 'crack at the base', missed: { count: 4, of: 5 }, kept: { count: 1, of: 15 } },
    ]);
  });
});

describe('what pieces cost', () => {
  const costs = async (making: string, piece = 0) => (await agent.get(`/api/made/costs/${making}/${piece}`)).body as MadeCosts; // prettier-ignore

  it('is their clay, and their share of each firing by the room they took', async () => {
    const body = { ...clay.body, price: 20, bag: 10_000 };
    await agent.put(`/api/records/clay/${clay.id}`).send({ body, baseRevision: 1 }).expect(200);
    const [own, other] = [
      await make(2, { faults: [{ ...spot(1), kind: 'warped', x: null, y: null }] }),
      await make(6, {}),
    ];
    const pieces = [own, own, other, other, other, other, other, other].map((making, index) => ({ making, piece: 0, number: index < 2 ? index + 1 : index - 1 })); // prettier-ignore
    const firing: KeptFiring = { name: 'First', kind: 'once', day: '2026-11-02', cone: '6', segments: USUAL_SEGMENTS.once, curve: [], witness: [], gap: 5, shelves: [], wanted: pieces, placed: [], price: 9.3, opened: AT, note: '' }; // prettier-ignore
    await agent.post('/api/records/firing').send({ body: firing }).expect(201);
    const { clay: mass, ...found } = await costs(own);
    expect(found).toEqual({ count: 2, faulty: 1, bag: { price: 20, grams: 10_000 }, firings: [{ name: 'First', price: 9.3, share: 0.25 }] }); // prettier-ignore
    // A wall of 270.8 x 119 and a base of 94 across, both 6 thick, at 1.95 g/cm3.
    expect(mass?.wet).toBeGreaterThan(430);
    expect(mass?.wet).toBeLessThan(480);
  });

  it('is not told of what is not here', async () => {
    const id = await make(1, {});
    expect((await agent.get(`/api/made/costs/${id}/1`)).status).toBe(404);
    expect((await agent.get(`/api/made/costs/${randomUUID()}/0`)).status).toBe(404);
    expect((await agent.get('/api/made/costs/one/0')).status).toBe(400);
  });

  it('is known of a design that was taken off the shelf before anybody asked', async () => {
    const id = await make(1, {});
    await agent.delete(`/api/designs/${design.id}`).expect(204);
    expect((await costs(id)).clay?.wet).toBeGreaterThan(0);
  });
});

describe('what is dry and waits for the kiln', () => {
  const dry = async () => ((await agent.get('/api/made/dry').expect(200)).body as DryLine[]).map(({ making, numbers }) => [making, ...numbers]); // prettier-ignore
  const mark = (number: number, kind: 'dry' | 'again' | 'wetted', second = 0) => ({ ...spot(number), kind, at: `2026-11-28T10:00:0${second}.000Z` }); // prettier-ignore

  it('is what a hand found dry, and has not wetted, made again, fired or put into a firing since', async () => {
    const id = await make(6, {
      marks: [1, 2, 3, 4, 5].map((number) => mark(number, 'dry')).concat([mark(2, 'again', 5), mark(3, 'wetted', 5), mark(3, 'dry', 8)]), // prettier-ignore
      measurements: [{ ...spot(4), what: 'rim', state: 'fired', value: 84 }],
    });
    expect(await dry()).toEqual([[id, 1, 3, 5]]);
    await fire('2026-11-02', id, 1);
    expect(await dry()).toEqual([[id, 3, 5]]);
    await agent.delete(`/api/makings/${id}`).expect(204);
    expect(await dry()).toEqual([]);
  });

  it('comes a page at a time, each kind once', async () => {
    const ids: string[] = [];
    for (let index = 0; index < 5; index += 1) ids.push(await make(2, { marks: [mark(1, 'dry'), mark(2, 'dry')] }));
    const page = async (limit: number, offset: number) => {
      const reply = await agent.get(`/api/made/dry?limit=${limit}&offset=${offset}`).expect(200);
      return { total: reply.get('X-Total-Count'), makings: (reply.body as DryLine[]).map(({ making }) => making) };
    };
    const pages = [await page(2, 0), await page(2, 2), await page(2, 4), await page(2, 6)];
    expect(pages.map(({ total, makings }) => [total, makings.length])).toEqual([['5', 2], ['5', 2], ['5', 1], ['5', 0]]); // prettier-ignore
    expect(pages.flatMap(({ makings }) => makings).sort()).toEqual([...ids].sort());
    expect((await page(200, 0)).makings).toEqual(pages.flatMap(({ makings }) => makings));
    await agent.get('/api/made/dry?limit=201').expect(400);
    for (const id of ids) await agent.delete(`/api/makings/${id}`).expect(204);
  });
});

describe('the table of all records', () => {
  it('goes out and comes in again without loss, on a table that has the makings and nothing in them', async () => {
    const entries = { measurements: sizes(3, 0.12), notes: [{ ...spot(1), text: '=1, "two"\nthree' }], critiques: [{ ...spot(2), holds: true, even: null, balanced: false, fits: null, rating: 3, text: '' }] }; // prettier-ignore
    const [full, empty] = [await make(3, entries), await make(3, {})];
    const lines = (await agent.get('/api/made/records.csv').expect(200)).text.split('\r\n');
    const text = lines.filter((line) => !line.startsWith('making,')).join('\r\n');
    const other = text.replaceAll(full, empty).replace(/[0-9a-f]{8}(?=-[0-9a-f]{4}-4)/g, (start, at: number) => (text.slice(at, at + 36) === full ? empty.slice(0, 8) : start.replace(/^./, (sign) => (sign === '0' ? '1' : '0')))); // prettier-ignore
    const send = () => agent.post('/api/made/records.csv').set('Content-Type', 'text/csv').send(other);
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    const [was, now] = [await agent.get(`/api/makings/${full}`), await agent.get(`/api/makings/${empty}`)];
    const bare = ({ measurements, notes, critiques }: Entries) => JSON.parse(JSON.stringify({ measurements, notes, critiques }, (key, value: unknown) => (key === 'id' ? undefined : value))) as Record<string, object[]>; // prettier-ignore
    const sorted = (lists: Record<string, object[]>) => Object.fromEntries(Object.entries(lists).map(([key, list]) => [key, list.map((one) => JSON.stringify(one)).sort()])); // prettier-ignore
    expect(sorted(bare(now.body as Entries))).toEqual(sorted(bare(was.body as Entries)));
    expect((now.body as Entries).measurements).toHaveLength(12);
  });

  it('begins makings again on another table that has their designs, with their firings and photographs', async () => {
    const id = await make(3, { measurements: sizes(3, 0.12) });
    await fire('2026-11-02', id, 3);
    const photograph = { id: randomUUID(), makingId: id, piece: 0, number: 2, step: 'stiffen', at: AT, hash: 'b'.repeat(64), width: 30, height: 20 }; // prettier-ignore
    await database.photographs.bulkCreate([photograph] as never);
    const text = (await agent.get('/api/made/records.csv').expect(200)).text;
    const other = await openDatabase(':memory:');
    const there = request(buildApp({ database: other, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null })); // prettier-ignore
    for (const table of ['designs', 'revisions'] as const) {
      const rows = await database.sequelize.query<object>(`SELECT * FROM ${table}`, { type: QueryTypes.SELECT });
      await other.sequelize.getQueryInterface().bulkInsert(table, rows);
    }
    const send = () => there.post('/api/made/records.csv').set('Content-Type', 'text/csv').send(text);
    // Twelve sizes, a photograph and a firing.
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    const [was, now] = [(await agent.get(`/api/makings/${id}`)).body as Making, (await there.get(`/api/makings/${id}`)).body as Making]; // prettier-ignore
    // The clay book of the other table does not have its clay.
    expect({ ...now, updatedAt: '' }).toEqual({ ...was, updatedAt: '', clay: null });
    const firings = async (of: typeof agent) => ((await of.get('/api/records/firing')).body as Kept<'firing'>[]).map(({ id: own, body }) => ({ own, body })); // prettier-ignore
    expect(await firings(there)).toEqual(await firings(agent));
    await there.delete(`/api/makings/${id}`);
    expect((await send()).body).toMatchObject({ unknown: ['Tumblers for the galley'] });
    await other.close();
  });

  it('tells makings that are not here, nor their designs, and refuses a table with a fault whole', async () => {
    const id = await make(1, { measurements: sizes(1, 0.12) });
    const text = (await agent.get('/api/made/records.csv')).text;
    const send = (table: string) => agent.post('/api/made/records.csv').set('Content-Type', 'text/csv').send(table);
    expect((await send(text.replaceAll(id, randomUUID()).replaceAll(design.id, randomUUID()))).body).toEqual({ entries: 0, unknown: ['Tumblers for the galley'] }); // prettier-ignore
    const bad = await send(text.replace(',fired,rim,', ',molten,rim,'));
    expect(bad.status).toBe(400);
    expect((bad.body as { faults: { path: string }[] }).faults[0]?.path).toMatch(/^line \d+\.state$/);
    expect((await agent.post('/api/made/records.csv')).status).toBe(400);
  });
});

describe('the search of what was made', () => {
  const find = async (query: string) => (await agent.get(`/api/made?${query}`).expect(200)).body as MadeLine[];

  it('finds by clay, thickness, fault, note and size, and by all of them', async () => {
    const id = await make(3, {
      measurements: sizes(3, 0.12),
      faults: [{ ...spot(2), kind: 'crack at the seam', x: null, y: null }],
      notes: [{ ...spot(1), text: '100 % wool under it' }],
    });
    await make(1, {}, null);
    expect(await find('')).toHaveLength(2);
    for (const query of [
      'find=Siding buff, 6 mm, cracked',
      'find=seam tumbler',
      'find=100 %25',
      'what=rim&state=fired&least=83&most=86',
      'find=wool',
    ]) {
      // prettier-ignore
      expect((await find(query)).map(({ making }) => making)).toEqual([id]);
    }
    expect((await find(`making=${id}`)).map(({ making }) => making)).toEqual([id]);
    for (const query of ['find=5 mm', 'find=warped', 'what=rim&state=fired&least=90', 'find=_eam']) expect(await find(query)).toEqual([]); // prettier-ignore
    const counts = await Promise.all(['limit=1', 'limit=1&offset=1', 'limit=1&offset=9', 'find=warped'].map(async (query) => (await agent.get(`/api/made?${query}`)).get('X-Total-Count'))); // prettier-ignore
    expect(counts).toEqual(['2', '2', '2', '0']);
    expect((await find('find=cracked'))[0]).toMatchObject({ faulty: 1, fired: 3, clayName: 'Siding buff', facts: { thickness: 6, planned: { sizes: { rim: expect.closeTo(84, 1) } } } }); // prettier-ignore
  });

  it.each([
    ['Siding buff, 5 mm, cracked', ['Siding', 'buff', 'crack'], [5]],
    ['1/4', ['1/4'], []],
    ['0.25" seams', ['seam'], [6.35]],
    ['', [], []],
  ])('reads “%s”', (text, words, thicknesses) => expect(searchWords(text)).toEqual({ words, thicknesses }));

  it('refuses a state that is none', async () => {
    expect((await agent.get('/api/made?state=melted')).status).toBe(400);
  });
});
