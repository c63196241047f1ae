import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import request from 'supertest';
import type { MadeLine } from '../contract/made.ts';
import type { Entries, Making } from '../contract/makings.ts';
import type { Kept } from '../contract/records.ts';
import { buildApp } from './app.ts';
import { agent, database, design, eachTable, fire, make, sizes, spot } from './made.test.helper.ts';
import { openDatabase } from './models/database.ts';
import { AT } from './makings.test.helper.ts';
import { searchWords } from './services/madeSearch.ts';
import { ownWorkshop } from './workshop/workshop.ts';

eachTable();

describe('the table of all records', () => {
  it('goes out and comes in again without loss, on a table that has the makings and nothing in them', async () => {
    const entries = {
      measurements: sizes(3, 0.12),
      notes: [{ ...spot(1), text: '=1, "two"\nthree' }],
      critiques: [{ ...spot(2), holds: true, even: null, balanced: false, fits: null, rating: 3, text: '' }],
    };
    const [full, empty] = [await make(3, entries), await make(3, {})];
    const lines = (await agent.get('/api/made/records.csv').expect(200)).text.split('\r\n');
    const text = lines.filter((line) => !line.startsWith('making,')).join('\r\n');
    const other = text
      .replaceAll(full, empty)
      .replace(/[0-9a-f]{8}(?=-[0-9a-f]{4}-4)/g, (start, at: number) =>
        text.slice(at, at + 36) === full
          ? empty.slice(0, 8)
          : start.replace(/^./, (sign) => (sign === '0' ? '1' : '0')),
      );
    const send = () => agent.post('/api/made/records.csv').set('Content-Type', 'text/csv').send(other);
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    const [was, now] = [await agent.get(`/api/makings/${full}`), await agent.get(`/api/makings/${empty}`)];
    const bare = ({ measurements, notes, critiques }: Entries) =>
      JSON.parse(
        JSON.stringify({ measurements, notes, critiques }, (key, value: unknown) => (key === 'id' ? undefined : value)),
      ) as Record<string, object[]>;
    const sorted = (lists: Record<string, object[]>) =>
      Object.fromEntries(
        Object.entries(lists).map(([key, list]) => [key, list.map((one) => JSON.stringify(one)).sort()]),
      );
    expect(sorted(bare(now.body as Entries))).toEqual(sorted(bare(was.body as Entries)));
    expect((now.body as Entries).measurements).toHaveLength(12);
  });

  it('begins makings again on another table that has their designs, with their firings and photographs', async () => {
    const id = await make(3, { measurements: sizes(3, 0.12) });
    await fire('2026-11-02', id, 3);
    const photograph = {
      id: randomUUID(),
      makingId: id,
      piece: 0,
      number: 2,
      step: 'stiffen',
      at: AT,
      hash: 'b'.repeat(64),
      width: 30,
      height: 20,
    };
    await database.photographs.bulkCreate([photograph] as never);
    const text = (await agent.get('/api/made/records.csv').expect(200)).text;
    const other = await openDatabase(':memory:');
    const there = request(
      buildApp({ database: other, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null }),
    );
    for (const table of ['designs', 'revisions'] as const) {
      const rows = await database.sequelize.query<object>(`SELECT * FROM ${table}`, { type: QueryTypes.SELECT });
      await other.sequelize.getQueryInterface().bulkInsert(table, rows);
    }
    const send = () => there.post('/api/made/records.csv').set('Content-Type', 'text/csv').send(text);
    // Twelve sizes, a photograph and a firing.
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    expect((await send()).body).toEqual({ entries: 14, unknown: [] });
    const [was, now] = [
      (await agent.get(`/api/makings/${id}`)).body as Making,
      (await there.get(`/api/makings/${id}`)).body as Making,
    ];
    // The clay book of the other table does not have its clay.
    expect({ ...now, updatedAt: '' }).toEqual({ ...was, updatedAt: '', clay: null });
    const firings = async (of: typeof agent) =>
      ((await of.get('/api/records/firing')).body as Kept<'firing'>[]).map(({ id: own, body }) => ({ own, body }));
    expect(await firings(there)).toEqual(await firings(agent));
    await there.delete(`/api/makings/${id}`);
    expect((await send()).body).toMatchObject({ unknown: ['Tumblers for the galley'] });
    await other.close();
  });

  it('tells makings that are not here, nor their designs, and refuses a table with a fault whole', async () => {
    const id = await make(1, { measurements: sizes(1, 0.12) });
    const text = (await agent.get('/api/made/records.csv')).text;
    const send = (table: string) => agent.post('/api/made/records.csv').set('Content-Type', 'text/csv').send(table);
    expect((await send(text.replaceAll(id, randomUUID()).replaceAll(design.id, randomUUID()))).body).toEqual({
      entries: 0,
      unknown: ['Tumblers for the galley'],
    });
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
      expect((await find(query)).map(({ making }) => making)).toEqual([id]);
    }
    expect((await find(`making=${id}`)).map(({ making }) => making)).toEqual([id]);
    for (const query of ['find=5 mm', 'find=warped', 'what=rim&state=fired&least=90', 'find=_eam'])
      expect(await find(query)).toEqual([]);
    const counts = await Promise.all(
      ['limit=1', 'limit=1&offset=1', 'limit=1&offset=9', 'find=warped'].map(async (query) =>
        (await agent.get(`/api/made?${query}`)).get('X-Total-Count'),
      ),
    );
    expect(counts).toEqual(['2', '2', '2', '0']);
    expect((await find('find=cracked'))[0]).toMatchObject({
      faulty: 1,
      fired: 3,
      clayName: 'Siding buff',
      facts: { thickness: 6, planned: { sizes: { rim: expect.closeTo(84, 1) } } },
    });
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
