import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import type { Kept } from '../../contract/records.ts';
import { api } from '../api.ts';
import { useClays } from './records.ts';

type Clay = Kept<'clay'>;
const AT = '2026-12-02T09:00:00.000Z';
const clay = (id: string, name: string, revision = 1): Clay => ({
  id,
  revision,
  createdAt: AT,
  updatedAt: AT,
  body: { name, wetDensity: 1.95, shrinkage: 0.12, basis: 'maker', bars: [] },
});
const settled = () => new Promise((resolve) => setTimeout(resolve, 20));

/** The server's list as it was when it was asked for, to be answered when the test wants. */
let answers: ((found: Clay[]) => void)[];
let server: Map<string, Clay>;

function put(kept: Clay): Promise<Clay> {
  server.set(kept.id, kept);
  return Promise.resolve(kept);
}

beforeEach(() => {
  answers = [];
  server = new Map([clay('a', 'Siding buff'), clay('b', 'Galley white')].map((one) => [one.id, one]));
  jest.restoreAllMocks();
  jest.spyOn(api, 'records').mockImplementation((() => {
    const found = [...server.values()];
    return new Promise<Clay[]>((resolve) => answers.push(() => resolve(found)));
  }) as never);
  jest
    .spyOn(api, 'writeRecord')
    .mockImplementation(((_: string, id: string, { body, baseRevision }: never) =>
      put({ ...clay(id, '', baseRevision + 1), body })) as never);
  jest
    .spyOn(api, 'createRecord')
    .mockImplementation(((_: string, id: string, body: never) => put({ ...clay(id, ''), body })) as never);
  jest
    .spyOn(api, 'removeRecord')
    .mockImplementation(((_: string, id: string) => Promise.resolve(void server.delete(id))) as never);
  setActivePinia(createPinia());
});

const names = () => useClays().list.map(({ body, revision }) => `${body.name} ${revision}`);

async function loaded(): Promise<ReturnType<typeof useClays>> {
  const clays = useClays();
  const first = clays.load();
  answers.pop()?.([]);
  await first;
  expect(names()).toEqual(['Siding buff 1', 'Galley white 1']);
  return clays;
}

describe('a list that was asked for before a change and comes after it', () => {
  it.each<[string, (clays: ReturnType<typeof useClays>) => unknown, string[]]>([
    [
      'that was kept',
      ({ change, keepAll }) => {
        change('a', clay('a', 'Siding red').body);
        keepAll();
      },
      ['Siding red 2', 'Galley white 1'],
    ],
    [
      'that added a record',
      ({ create }) => create(clay('c', 'Porthole grey').body, 'c'),
      ['Siding buff 1', 'Galley white 1', 'Porthole grey 1'],
    ],
    ['that removed a record', ({ remove }) => remove('b'), ['Siding buff 1']],
  ])('leaves what is here: one %s', async (_, act, left) => {
    const clays = await loaded();
    const again = clays.load();
    await act(clays);
    await settled();
    answers.pop()?.([]);
    await again;
    expect(names()).toEqual(left);
    expect([...server.values()].map(({ body, revision }) => `${body.name} ${revision}`)).toEqual(left);
    expect(clays.conflicts).toEqual({});
  });

  it('shows what others changed, added and removed', async () => {
    const clays = await loaded();
    server = new Map([clay('a', 'Siding red', 5), clay('d', 'Lamp black')].map((one) => [one.id, one]));
    const again = clays.load();
    answers.pop()?.([]);
    await again;
    expect(names()).toEqual(['Siding red 5', 'Lamp black 1']);
  });
});
