import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import type { Design } from '../../contract/api.ts';
import { newTarget } from '../../core/target/target.ts';
import { api } from '../api.ts';
import { useShelf } from './shelf.ts';

const designOf = (id: string, revision = 1): Design => ({
  id,
  name: id,
  target: newTarget(id),
  revision,
  createdAt: '',
  updatedAt: `${revision}`,
});

/** A server with three pieces whose replies the test releases, each list as it was when it was requested. */
function server() {
  let kept = ['cup', 'vase', 'box'].map((id) => designOf(id));
  const lists: (() => void)[] = [];
  jest.spyOn(api, 'list').mockImplementation(async (page) => {
    const now = kept;
    await new Promise<void>((go) => lists.push(go));
    await page(now);
  });
  jest.spyOn(api, 'remove').mockImplementation((id) => {
    kept = kept.filter((one) => one.id !== id);
    return Promise.resolve(undefined);
  });
  jest.spyOn(api, 'duplicate').mockImplementation((id) => {
    kept = [...kept, designOf(`${id}, copy`)];
    return Promise.resolve(kept.at(-1) as Design);
  });
  jest.spyOn(api, 'write').mockImplementation((id, { target }) => {
    kept = kept.map((one) => (one.id === id ? { ...one, target, name: target.name, revision: 2 } : one));
    return Promise.resolve(kept.find((one) => one.id === id) as Design);
  });
  const settled = () => new Promise((resolve) => setTimeout(resolve, 10));
  return { names: () => kept.map(({ name }) => name), go: async () => (await settled(), lists.shift()?.(), settled()) };
}

beforeEach(() => {
  setActivePinia(createPinia());
  jest.restoreAllMocks();
});

type Shelf = ReturnType<typeof useShelf>;
it.each<[string, (shelf: Shelf, cup: Design) => Promise<unknown>, string[]]>([
  ['taken off', (shelf, cup) => shelf.takeOff([cup]), ['vase', 'box']],
  ['taken off as it was before', (shelf, cup) => shelf.takeOff([{ ...cup }]), ['vase', 'box']],
  ['duplicated', (shelf, cup) => shelf.duplicate(cup), ['cup', 'vase', 'box', 'cup, copy']],
  ['renamed', (shelf, cup) => shelf.rename(cup, 'mug'), ['mug', 'vase', 'box']],
  ['put in a set', (shelf, cup) => shelf.putInSet([cup], 'Class'), ['cup', 'vase', 'box']],
])('a piece that is %s while the shelf is fetched again stays so', async (_, work, names) => {
  const { go, names: kept } = server();
  const shelf = useShelf();
  const first = shelf.load();
  await go();
  await first;
  const again = shelf.load();
  await work(shelf, shelf.designs[0] as Design);
  expect(shelf.designs.map(({ name }) => name)).toEqual(names);
  const shown: string[][] = [];
  // A late list, and the one requested after it.
  for (let list = 0; list < 2; list += 1) {
    await go();
    shown.push(shelf.designs.map(({ name }) => name));
  }
  await again;
  expect(shown).toEqual([names, names]);
  expect(kept()).toEqual(names);
});
