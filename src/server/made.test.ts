import { randomUUID } from 'node:crypto';
import type { DryLine, MadeCosts } from '../contract/made.ts';
import { USUAL_SEGMENTS, type KeptFiring } from '../core/studio/kiln/keptFiring.ts';
import { agent, clay, design, eachTable, fire, learning, make, sizes, spot } from './made.test.helper.ts';
import { AT, NONE } from './makings.test.helper.ts';

eachTable();

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
  const costs = async (making: string, piece = 0) =>
    (await agent.get(`/api/made/costs/${making}/${piece}`)).body as MadeCosts;

  it('is their clay, and their share of each firing by the room they took', async () => {
    const body = { ...clay.body, price: 20, bag: 10_000 };
    await agent.put(`/api/records/clay/${clay.id}`).send({ body, baseRevision: 1 }).expect(200);
    const [own, other] = [
      await make(2, { faults: [{ ...spot(1), kind: 'warped', x: null, y: null }] }),
      await make(6, {}),
    ];
    const pieces = [own, own, other, other, other, other, other, other].map((making, index) => ({
      making,
      piece: 0,
      number: index < 2 ? index + 1 : index - 1,
    }));
    const firing: KeptFiring = {
      name: 'First',
      kind: 'once',
      day: '2026-11-02',
      cone: '6',
      segments: USUAL_SEGMENTS.once,
      curve: [],
      witness: [],
      gap: 5,
      shelves: [],
      wanted: pieces,
      placed: [],
      price: 9.3,
      opened: AT,
      note: '',
    };
    await agent.post('/api/records/firing').send({ body: firing }).expect(201);
    const { clay: mass, ...found } = await costs(own);
    expect(found).toEqual({
      count: 2,
      faulty: 1,
      bag: { price: 20, grams: 10_000 },
      firings: [{ name: 'First', price: 9.3, share: 0.25 }],
    });
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
  const dry = async () =>
    ((await agent.get('/api/made/dry').expect(200)).body as DryLine[]).map(({ making, numbers }) => [
      making,
      ...numbers,
    ]);
  const mark = (number: number, kind: 'dry' | 'again' | 'wetted', second = 0) => ({
    ...spot(number),
    kind,
    at: `2026-11-28T10:00:0${second}.000Z`,
  });

  it('is what a hand found dry, and has not wetted, made again, fired or put into a firing since', async () => {
    const id = await make(6, {
      marks: [1, 2, 3, 4, 5]
        .map((number) => mark(number, 'dry'))
        .concat([mark(2, 'again', 5), mark(3, 'wetted', 5), mark(3, 'dry', 8)]),
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
    expect(pages.map(({ total, makings }) => [total, makings.length])).toEqual([
      ['5', 2],
      ['5', 2],
      ['5', 1],
      ['5', 0],
    ]);
    expect(pages.flatMap(({ makings }) => makings).sort()).toEqual([...ids].sort());
    expect((await page(200, 0)).makings).toEqual(pages.flatMap(({ makings }) => makings));
    await agent.get('/api/made/dry?limit=201').expect(400);
    for (const id of ids) await agent.delete(`/api/makings/${id}`).expect(204);
  });
});
