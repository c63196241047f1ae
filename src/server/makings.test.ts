import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import request from 'supertest';
import type { Design } from '../contract/api.ts';
import { packNow, unpackNow, type Entries, type Making, type MakingStart, type NowReply } from '../contract/makings.ts';
import { ROOM } from '../core/studio/drying/air.ts';
import type { Mark } from '../core/studio/making/making.ts';
import { DEFAULT_SCHOOLS } from '../core/studio/making/workStep.ts';
import { buildApp } from './app.ts';
import { openDatabase, type Database } from './models/database.ts';
import { AT, NONE, STEPS, TARGET } from './makings.test.helper.ts';
import { makingService } from './services/makings.ts';
import { ownWorkshop } from './workshop/workshop.ts';

const spot = () => ({ id: randomUUID(), piece: 0, number: 1, step: 'roll', at: AT });

let database: Database;
let agent: ReturnType<typeof request>;
let design: Design;

beforeEach(async () => {
  database = await openDatabase(':memory:');
  agent = request(buildApp({ database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null }));
  design = (await agent.post('/api/designs').send({ target: TARGET })).body as Design;
});
afterEach(() => database.close());

const startOf = (): MakingStart => ({
  id: randomUUID(),
  name: 'Rack tumblers for the galley',
  clay: null,
  startedAt: AT,
  dueAt: null,
  schools: DEFAULT_SCHOOLS,
  air: ROOM,
  pieces: [{ designId: design.id, revision: 1, name: 'Rack tumbler', count: 3, steps: STEPS }],
});
const begin = async (start = startOf()) => (await agent.post('/api/makings').send(start)).body as Making;

describe('makings', () => {
  it('are begun once, keep their steps, are changed, taken away and put back; the design stays', async () => {
    const start = startOf();
    const making = await begin(start);
    expect(making).toMatchObject({ ...start, endedAt: null, ...NONE });
    expect(await begin(start)).toEqual(making);
    const { id, name, clay, startedAt, schools, air } = start;
    const changed = await agent
      .put(`/api/makings/${id}`)
      .send({ name, clay, startedAt, schools, air, dueAt: AT, endedAt: AT });
    expect(changed.body).toMatchObject({ dueAt: AT, endedAt: AT });
    expect((await agent.get('/api/makings/now')).body).toEqual({ steps: [], names: [], makings: [] });
    expect((await agent.get(`/api/makings?design=${design.id}`)).body).toHaveLength(1);
    expect((await agent.delete(`/api/makings/${id}`)).status).toBe(204);
    expect((await agent.get('/api/makings')).headers['x-total-count']).toBe('0');
    expect((await agent.get(`/api/designs/${design.id}`)).status).toBe(200);
    expect((await agent.post(`/api/makings/${id}/put-back`)).body).toMatchObject({ id });
  });

  it('stay as they were begun when the design is changed or taken off the shelf', async () => {
    const { id } = await begin();
    await agent.put(`/api/designs/${design.id}`).send({ target: { ...TARGET, name: 'Another' }, baseRevision: 1 });
    await agent.delete(`/api/designs/${design.id}`);
    expect(((await agent.get(`/api/makings/${id}`)).body as Making).pieces[0]).toMatchObject({
      revision: 1,
      steps: STEPS,
    });
  });

  it('keep every entry once, however often it is sent, and from two tablets at once', async () => {
    const { id } = await begin();
    const entries: Entries = {
      marks: [
        { ...spot(), kind: 'done' },
        {
          ...spot(),
          step: 'stiffen',
          kind: 'too-soft',
          drying: { part: { thickness: 6, faces: 'one', cover: 'open' }, hours: 1.25 },
        },
      ],
      measurements: [
        { ...spot(), what: 'height', value: 110.2 },
        { ...spot(), what: 'weight', value: 402 },
      ],
      faults: [
        { ...spot(), kind: 'crack at the seam', x: 0.5, y: 0.25 },
        { ...spot(), kind: 'other', x: null, y: null },
      ],
      notes: [{ ...spot(), text: 'A little soft today.' }],
      strikes: [
        { id: randomUUID(), of: randomUUID(), out: true, at: AT },
        { id: randomUUID(), of: randomUUID(), out: false, at: AT },
      ],
      critiques: [
        { ...spot(), holds: true, even: false, balanced: null, fits: true, rating: 4, text: '' },
        { ...spot(), holds: null, even: null, balanced: null, fits: null, rating: null, text: 'Sits well.' },
      ],
    };
    const other: Entries = { ...NONE, marks: Array.from({ length: 20 }, () => ({ ...spot(), kind: 'open' as const })) };
    const send = (what: Entries) => agent.post(`/api/makings/${id}/entries`).send(what);
    await Promise.all([send(entries), send(other), send(entries), send(other), send(entries)]);
    const kept = (await agent.get(`/api/makings/${id}`)).body as Making;
    const byId = (list: readonly { id: string }[]) => [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(byId(kept.marks)).toEqual(byId([...entries.marks, ...other.marks]));
    for (const kind of ['measurements', 'faults', 'notes', 'strikes'] as const)
      expect(byId(kept[kind])).toEqual(byId(entries[kind]));
  });

  it('show every mark at once, whoever keeps it: through this server, through another on the same file, or a write that fails', async () => {
    const { id } = await begin();
    const beside = makingService(database);
    const marks: Mark[] = [];
    const shown = async (service: Pick<typeof beside, 'now'>) =>
      (await service.now()).flatMap((making) => making.marks.map((mark) => mark.id));
    const here = makingService(database);
    const failing = (mark: Mark) =>
      database.write(async (transaction) => {
        await database.marks.create({ ...mark, makingId: id }, { transaction });
        throw new Error('disk full');
      });
    for (let round = 0; round < 12; round += 1) {
      const mark: Mark = { ...spot(), at: new Date(Date.parse(AT) + round * 1000).toISOString(), kind: 'open' };
      if (round % 3 === 2) await expect(failing(mark)).rejects.toThrow('disk full');
      else marks.push((await (round % 2 ? here : beside).keep(id, { ...NONE, marks: [mark] }), mark));
      const ids = marks.map((one) => one.id);
      expect([await shown(here), await shown(beside), await shown(here)]).toEqual([ids, ids, ids]);
    }
  });

  it('are told to calendars, each open wait with its alarm, and read by another reader', async () => {
    const { id } = await begin({ ...startOf(), dueAt: '2026-12-14T18:00:00.000Z' });
    const marks = [1, 2, 3].map((number) => ({ ...spot(), number, kind: 'done' as const }));
    await agent.post(`/api/makings/${id}/entries`).send({ marks });
    const reply = await agent.get('/api/makings/calendar.ics');
    expect(reply.headers['content-type']).toMatch(/text\/calendar/);
    const read = () => new ICAL.Component(ICAL.parse(reply.text) as never).getAllSubcomponents('vevent');
    const events = read().map((event) => new ICAL.Event(event));
    expect(events.map(({ summary }) => summary)).toEqual([
      'Let it stiffen: Rack tumbler, 3',
      'Due: Rack tumblers for the galley',
    ]);
    const [wait, due] = events;
    const hours = ((wait?.startDate.toUnixTime() ?? 0) - Date.parse(AT) / 1000) / 3600;
    expect(hours).toBeGreaterThan(1);
    expect(hours).toBeLessThan(5);
    expect(wait?.endDate.toUnixTime()).toBeGreaterThan(wait?.startDate.toUnixTime() ?? 0);
    expect(due?.startDate.isDate).toBe(true);
    expect(read()[0]?.getFirstSubcomponent('valarm')?.getFirstPropertyValue('trigger')?.toString()).toBe('-PT10M');
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(2);
    const again = await agent.get('/api/makings/calendar.ics');
    expect(again.text.match(/UID:.*/g)).toEqual(reply.text.match(/UID:.*/g));
  });

  it('in work are sent with each step once, and come back whole', async () => {
    for (let time = 0; time < 3; time += 1) await begin(startOf());
    const last = await begin(startOf());
    const drying = { hours: 2.5, part: { thickness: 6, faces: 'one' as const, cover: 'open' as const } };
    const pressed = [
      { ...spot(), kind: 'done' as const },
      { ...spot(), kind: 'ready' as const, drying },
    ];
    await agent.post(`/api/makings/${last.id}/entries`).send({ marks: pressed }).expect(200);
    const reply = (await agent.get('/api/makings/now')).body as NowReply;
    const whole = unpackNow(reply);
    expect(whole).toHaveLength(4);
    const marks = whole.find(({ id }) => id === last.id)?.marks ?? [];
    expect(marks).toHaveLength(2);
    expect(marks).toEqual(expect.arrayContaining(pressed));
    const own = startOf().pieces.flatMap(({ steps }) => steps);
    expect(whole[2]?.pieces.flatMap(({ steps }) => steps)).toEqual(own);
    expect(new Set(reply.steps.map((step) => JSON.stringify(step))).size).toBe(reply.steps.length);
    expect(unpackNow(packNow(whole))).toEqual(whole);
  });

  it('are given to a class: each piece has the name of who makes it', async () => {
    const start = startOf();
    const [piece] = start.pieces;
    const named = { ...start, pieces: [{ ...piece, names: ['Ada', 'Ben', 'Cleo'] }] } as MakingStart;
    expect((await begin(named)).pieces[0]?.names).toEqual(['Ada', 'Ben', 'Cleo']);
    expect(((await agent.get('/api/makings/now')).body as NowReply).makings[0]?.pieces[0]?.names).toHaveLength(3);
    const few = { ...startOf(), pieces: [{ ...piece, names: ['Ada'] }] };
    expect((await agent.post('/api/makings').send(few)).status).toBe(400);
  });

  it('stand in the calendar beside what orders ask of hands and kiln, as far as it still lies ahead', async () => {
    const [start, end] = [Date.now() + 3_600_000, Date.now() + 7_200_000];
    const block = { line: 0, set: 1, block: 'wrap', pieces: 4, held: false };
    const laid = {
      of: 'x',
      blocks: [
        { ...block, start, end },
        { ...block, set: 2, start: start - 1e9, end: end - 1e9 },
      ],
      sets: [[4, 4]],
      kiln: [{ kind: 'glaze', from: end, to: end + 1e8 }],
      dryBy: end,
      late: [0],
      left: [0],
      never: [],
    };
    const line = {
      design: randomUUID(),
      revision: 1,
      name: 'Soup cup',
      count: 8,
      blocks: [{ id: 'wrap', title: 'Curl the wall', once: 0, each: 20, waits: null }],
    };
    const body = {
      name: 'The galley',
      start: '2026-12-01',
      ready: '2026-12-20',
      week: [],
      once: true,
      bisque: 22,
      glaze: 24,
      glazing: 6,
      load: 60,
      pace: 1,
      air: ROOM,
      lines: [line],
      held: [],
      laid,
    };
    expect((await agent.post('/api/records/order').send({ body })).status).toBe(201);
    const reply = await agent.get('/api/makings/calendar.ics');
    const events = new ICAL.Component(ICAL.parse(reply.text) as never)
      .getAllSubcomponents('vevent')
      .map((event) => new ICAL.Event(event));
    expect(events.map(({ summary }) => summary)).toEqual([
      'Curl the wall: 4 × Soup cup',
      'Glaze firing and cooling: The galley',
    ]);
    expect(events[0]?.startDate.toUnixTime()).toBe(Math.floor(start / 1000));
    expect(events.map(({ component }) => component.getAllSubcomponents('valarm').length)).toEqual([1, 0]);
    const spoilt = await agent.post('/api/records/order').send({ body: { ...body, ready: '2026-02-30' } });
    expect(spoilt.status).toBe(422);
  });

  it('tell what hands found of a clay in every making', async () => {
    const clay = (
      await agent
        .post('/api/records/clay')
        .send({ body: { name: 'Siding buff', wetDensity: 1.95, shrinkage: 0.12, basis: 'maker', bars: [] } })
    ).body as { id: string };
    const { id } = await begin({ ...startOf(), clay: clay.id });
    const found = {
      ...spot(),
      step: 'stiffen',
      kind: 'ready' as const,
      drying: { part: { thickness: 6, faces: 'one' as const, cover: 'open' as const }, hours: 2 },
    };
    await agent.post(`/api/makings/${id}/entries`).send({ marks: [found, { ...spot(), kind: 'done' }] });
    expect((await agent.get(`/api/makings/found?clay=${clay.id}`)).body).toEqual([{ ...found, air: ROOM }]);
    expect((await agent.get(`/api/makings/found?clay=${randomUUID()}`)).body).toEqual([]);
  });

  it.each([
    [
      'no step of a piece',
      (start: MakingStart) => ({ ...start, pieces: [{ ...start.pieces[0], steps: [] }] }),
      400,
      'bad-request',
    ],
    [
      'two steps of one id',
      (start: MakingStart) => ({ ...start, pieces: [{ ...start.pieces[0], steps: [STEPS[0], STEPS[0]] }] }),
      400,
      'bad-request',
    ],
    [
      'a revision that is not there',
      (start: MakingStart) => ({ ...start, pieces: [{ ...start.pieces[0], revision: 9 }] }),
      404,
      'revision-not-found',
    ],
    [
      'air that no shed has',
      (start: MakingStart) => ({ ...start, air: { ...ROOM, humidity: 55 } }),
      400,
      'bad-request',
    ],
  ])('are refused with %s', async (_, spoilt, status, error) => {
    const reply = await agent.post('/api/makings').send(spoilt(startOf()));
    expect([reply.status, (reply.body as { error: string }).error]).toEqual([status, error]);
    expect((await agent.get('/api/makings')).body).toEqual([]);
  });

  it.each([
    ['get', ''],
    ['delete', ''],
    ['post', '/put-back'],
  ] as const)('%s of one that is not there is refused', async (method, path) => {
    expect((await agent[method](`/api/makings/${randomUUID()}${path}`)).body).toMatchObject({
      error: 'making-not-found',
    });
  });
});
