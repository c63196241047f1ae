import { randomUUID } from 'node:crypto';
import { openTable, type TestTable } from '../../e2e/testTable.ts';
import type { Design } from '../contract/api.ts';
import type { ArchiveOffer } from '../contract/archive.ts';
import type { Entries, Making, MakingLine, MakingStart } from '../contract/makings.ts';
import type { MadeLine } from '../contract/made.ts';
import { OPERATIONS } from '../contract/operations/operations.ts';
import { RECORD_KINDS } from '../contract/recordSchema.ts';
import type { Kept } from '../contract/records.ts';
import { ROOM } from '../core/studio/drying/air.ts';
import { DEFAULT_SCHOOLS } from '../core/studio/making/workStep.ts';
import { AT, NONE, STEPS, TARGET } from './makings.test.helper.ts';

let table: TestTable;
beforeAll(async () => {
  table = await openTable({ demo: true, pages: false });
});
afterAll(() => table.close());

/** Operations with a JSON reply, and those of them that were checked. */
const WITH_REPLY = OPERATIONS.filter(({ reply }) => reply.body).map(({ method, path }) => `${method} ${path}`);
const checked = new Set<string>();

/** Sends a request by its "method path", and holds its reply against the schema that the contract has for it. */
async function reply<T>(
  name: string,
  { params = {}, query = '', body }: { params?: Record<string, string | number>; query?: string; body?: unknown } = {},
): Promise<T> {
  const operation = OPERATIONS.find(({ method, path }) => `${method} ${path}` === name);
  if (!operation) throw new Error(`no operation ${name}`);
  const address = operation.path.slice(1).replace(/:(\w+)/g, (_, key: string) => String(params[key]));
  const raw = body instanceof Uint8Array || typeof body === 'string';
  const type = raw && operation.body && 'type' in operation.body ? String(operation.body.type) : 'application/json';
  const response = await fetch(`${table.url}${address}${query}`, {
    method: operation.method.toUpperCase(),
    ...(body !== undefined && {
      headers: { 'Content-Type': type },
      body: raw ? (body as string) : JSON.stringify(body),
    }),
  });
  const text = await response.text();
  expect([name, response.status, response.status < 300 ? '' : text]).toEqual([name, operation.reply.status, '']);
  const read = JSON.parse(text) as T;
  const { error } = operation.reply.body?.validate(read, { convert: false, abortEarly: false }) ?? {};
  expect([name, error?.message]).toEqual([name, undefined]);
  checked.add(name);
  return read;
}

describe('replies have the shapes that the contract gives them', () => {
  it('about the server and the session', async () => {
    await reply('get /api/health');
    await reply('get /api/session');
  });

  it('about designs and patterns', async () => {
    await reply('get /api/designs', { query: '?limit=100' });
    const { id } = await reply<Design>('post /api/designs', { body: { target: TARGET } });
    const params = { id };
    await reply('get /api/designs/:id', { params });
    await reply('put /api/designs/:id', { params, body: { target: { ...TARGET, name: 'Another' }, baseRevision: 1 } });
    await reply('get /api/designs/:id/file', { params });
    await reply('get /api/designs/:id/revisions', { params });
    await reply('get /api/designs/:id/revisions/:number', { params: { id, number: 1 } });
    await reply('post /api/designs/:id/revisions/:number/restore', {
      params: { id, number: 1 },
      body: { baseRevision: 2 },
    });
    await reply('post /api/designs/:id/duplicate', { params });
    await fetch(`${table.url}api/designs/${id}`, { method: 'DELETE' });
    await reply('post /api/designs/:id/put-back', { params });
    for (const { target } of await reply<Design[]>('get /api/designs'))
      if (target.form.kind !== 'mesh') await reply('post /api/develop', { body: { target } });
  });

  it('about records of every kind', async () => {
    for (const kind of RECORD_KINDS) {
      const [first] = await reply<Kept[]>('get /api/records/:kind', { params: { kind } });
      if (!first || kind === 'way') continue;
      const { id } = await reply<Kept>('post /api/records/:kind', { params: { kind }, body: { body: first.body } });
      const params = { kind, id };
      await reply('put /api/records/:kind/:id', { params, body: { body: first.body, baseRevision: 1 } });
      await fetch(`${table.url}api/records/${kind}/${id}`, { method: 'DELETE' });
      await reply('post /api/records/:kind/:id/put-back', { params });
    }
  });

  it('about makings, before and after entries', async () => {
    const [design] = await reply<Design[]>('get /api/designs');
    const [clay] = await reply<Kept<'clay'>[]>('get /api/records/:kind', { params: { kind: 'clay' } });
    const start: MakingStart = {
      id: randomUUID(),
      name: 'Tumblers for the galley',
      clay: clay?.id ?? null,
      startedAt: AT,
      dueAt: null,
      schools: DEFAULT_SCHOOLS,
      air: ROOM,
      pieces: [
        { designId: design?.id ?? '', revision: 1, name: 'Rack tumbler', count: 2, names: ['Ann', 'Bo'], steps: STEPS },
      ],
    };
    const making = await reply<Making>('post /api/makings', { body: start });
    const params = { id: making.id };
    const spot = (number: number) => ({ id: randomUUID(), piece: 0, number, step: 'stiffen', at: AT });
    const note = { ...spot(1), text: 'A thin place at the rim.' };
    const drying = { part: { thickness: 6, faces: 'one', cover: 'open' }, hours: 4 } as const;
    const entries: Entries = {
      ...NONE,
      marks: [
        { ...spot(1), kind: 'ready', drying },
        { ...spot(2), kind: 'done' },
      ],
      measurements: [
        { ...spot(1), what: 'rim', value: 95.2, state: 'wet' },
        { ...spot(1), what: 'minutes', value: 20 },
      ],
      faults: [{ ...spot(2), kind: 'warped', x: 0.5, y: null }],
      notes: [note],
      strikes: [{ id: randomUUID(), of: note.id, out: true, at: AT }],
      critiques: [{ ...spot(1), holds: true, even: null, balanced: false, fits: null, rating: 4, text: '' }],
    };
    await reply('post /api/makings/:id/entries', { params, body: entries });
    await reply('get /api/makings/:id', { params });
    await reply('get /api/makings/now');
    await reply('get /api/makings/found', { query: `?clay=${clay?.id}` });
    const head = { ...start, id: undefined, pieces: undefined };
    await reply('put /api/makings/:id', { params, body: { ...head, endedAt: AT } });
    await reply('get /api/makings');
    await fetch(`${table.url}api/makings/${making.id}`, { method: 'DELETE' });
    await reply('post /api/makings/:id/put-back', { params });
    for (const { id } of await reply<MakingLine[]>('get /api/makings'))
      await reply('get /api/makings/:id', { params: { id } });
  });

  it('about what was made', async () => {
    const lines = await reply<MadeLine[]>('get /api/made');
    expect(lines.length).toBeGreaterThan(1);
    for (const { making, piece } of lines)
      await reply('get /api/made/costs/:making/:piece', { params: { making, piece } });
    await reply('get /api/made/learning');
    await reply('get /api/made/dry');
    const records = await (await fetch(`${table.url}api/made/records.csv`)).text();
    await reply('post /api/made/records.csv', { body: records });
  });

  it('about an archive', async () => {
    const archive = new Uint8Array(await (await fetch(`${table.url}api/archive`)).arrayBuffer());
    const { clashes } = await reply<ArchiveOffer>('post /api/archive', { body: archive });
    expect(clashes).toEqual([]);
    const [clay] = await reply<Kept<'clay'>[]>('get /api/records/:kind', { params: { kind: 'clay' } });
    if (!clay) throw new Error('the demo has clays');
    await reply('put /api/records/:kind/:id', {
      params: { kind: 'clay', id: clay.id },
      body: { body: { ...clay.body, note: 'Another bag.' }, baseRevision: clay.revision },
    });
    expect((await reply<ArchiveOffer>('post /api/archive', { body: archive })).clashes).toHaveLength(1);
  });

  it('and nothing that replies with JSON is left out', () => {
    expect([...checked].sort()).toEqual([...WITH_REPLY].sort());
    expect(OPERATIONS.filter(({ reply: { status, body, types } }) => status !== 204 && !body && !types)).toEqual([]);
  });
});
