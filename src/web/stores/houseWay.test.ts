import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import type { Kept } from '../../contract/records.ts';
import { HOUSE_WAY_ID, checkHouseWay, houseWayOf } from '../../core/studio/making/houseWay.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { memory } from '../memory.ts';
import { dropHeldRecord } from './heldRecords.ts';
import { useHouseWay } from './houseWay.ts';

const AT = '2026-11-29T09:00:00.000Z';
const KEY = 'fawn-house-way';
const OWN = { order: ['roll', 'own 1'], left: ['coil'], added: [{ id: 'own 1', title: 'Dust the board', minutes: 2 }] };
let stored: Kept<'way'> | null = null;
let away = false;
const answer = <T>(value: () => T) => (away ? Promise.reject(new Unreachable()) : Promise.resolve().then(value));
const settled = (ms = 30) => new Promise((resolve) => setTimeout(resolve, ms));

/** Waits until the server has a revision: a change is sent after a pause. */
async function sent(revision: number): Promise<void> {
  while (stored?.revision !== revision) await settled(5);
  await settled();
}

/** The server's one record of the kind, and a browser's own memory. */
beforeEach(async () => {
  [stored, away] = [null, false];
  const own = new Map<string, string>();
  jest.restoreAllMocks();
  jest.spyOn(memory, 'read').mockImplementation((key) => own.get(key) ?? null);
  jest.spyOn(memory, 'write').mockImplementation((key, text) => own.set(key, text).has(key));
  jest.spyOn(api, 'health').mockImplementation(() => answer(() => undefined) as ReturnType<typeof api.health>);
  jest.spyOn(api, 'records').mockImplementation((() => answer(() => (stored ? [stored] : []))) as never);
  jest
    .spyOn(api, 'createRecord')
    .mockImplementation(((_: 'way', id: string, body: Kept<'way'>['body']) =>
      answer(() => (stored ??= { id, body, revision: 1, createdAt: AT, updatedAt: AT }))) as never);
  jest.spyOn(api, 'writeRecord').mockImplementation(((
    _: 'way',
    id: string,
    { body, baseRevision }: { body: Kept<'way'>['body']; baseRevision: number },
  ) =>
    answer(() => {
      if (stored && stored.revision !== baseRevision)
        throw new Refused({ error: 'record-conflict', message: '', todo: '', record: stored } as never);
      return (stored = { id, body, revision: baseRevision + 1, createdAt: AT, updatedAt: AT });
    })) as never);
  dropHeldRecord('way', HOUSE_WAY_ID);
  setActivePinia(createPinia());
  await settled();
});

const keep = (body: Partial<Kept<'way'>['body']>, revision = 1) =>
  (stored = { id: HOUSE_WAY_ID, body: { ...houseWayOf(), ...body }, revision, createdAt: AT, updatedAt: AT });

describe('the house way', () => {
  it('is that of the server, whatever this browser had before', async () => {
    memory.write(KEY, JSON.stringify({ schools: { joins: 'water' } }));
    keep({ schools: { ...houseWayOf().schools, joins: 'nothing' }, own: { taper: OWN } });
    const way = useHouseWay();
    expect(way.schools.joins).toBe('water');
    await way.load();
    expect([way.schools.joins, way.ownOf('taper'), way.ownOf('box').added]).toEqual(['nothing', OWN, []]);
    await settled();
    expect([stored?.revision, JSON.parse(memory.read(KEY) ?? '{}')]).toMatchObject([
      1,
      { schools: { joins: 'nothing' } },
    ]);
  });

  it('of this browser goes to a server that has none; of a new browser nothing does', async () => {
    await useHouseWay().load();
    await settled();
    expect(stored).toBeNull();
    memory.write(KEY, JSON.stringify({ schools: { joins: 'slip' }, own: { taper: OWN } }));
    setActivePinia(createPinia());
    await useHouseWay().load();
    await settled();
    expect(stored).toMatchObject({ id: HOUSE_WAY_ID, body: { schools: { joins: 'slip' }, own: { taper: OWN } } });
  });

  it('that is chosen before it was fetched goes on top of what the server has', async () => {
    keep({ own: { taper: OWN } });
    const way = useHouseWay();
    way.school({ joins: 'slip' });
    await way.load();
    expect([way.schools.joins, way.ownOf('taper')]).toEqual(['slip', OWN]);
    await sent(2);
    expect(stored).toMatchObject({ revision: 2, body: { schools: { joins: 'slip' }, own: { taper: OWN } } });
  });

  it('that is changed on two tablets is as it was chosen last', async () => {
    keep({});
    const way = useHouseWay();
    await way.load();
    keep({ schools: { ...houseWayOf().schools, base: 'traced' } }, 4);
    way.put({ air: { temperature: 12, humidity: 0.7, speed: 'still' } });
    await sent(5);
    expect(stored).toMatchObject({ revision: 5, body: { air: { temperature: 12 } } });
    expect(way.air.temperature).toBe(12);
  });

  it('that is chosen with the server away stands, and is sent with the next visit', async () => {
    keep({});
    await useHouseWay().load();
    away = true;
    useHouseWay().putOwn('taper', OWN);
    await settled(1500);
    expect(stored?.revision).toBe(1);
    setActivePinia(createPinia());
    const again = useHouseWay();
    expect(again.ownOf('taper')).toEqual(OWN);
    away = false;
    await again.load();
    await sent(2);
    expect(stored).toMatchObject({ revision: 2, body: { own: { taper: OWN } } });
  });

  it.each([
    [
      'a nameless step',
      { own: { taper: { ...OWN, added: [{ id: 'own 1', title: ' ', minutes: 2 }] } } },
      'own.taper.added.0.title',
    ],
    [
      'a step of no length that there is',
      { own: { taper: { ...OWN, added: [{ id: 'own 1', title: 'x', minutes: -1 }] } } },
      'own.taper.added.0.minutes',
    ],
    ['air that is too hot', { air: { temperature: 400, humidity: 0.5, speed: 'still' as const } }, 'air.temperature'],
  ])('is refused for %s', (_, change, path) => {
    expect(checkHouseWay({ ...houseWayOf(), ...change }).map((fault) => fault.path)).toEqual([path]);
    expect(checkHouseWay(houseWayOf())).toEqual([]);
  });
});
