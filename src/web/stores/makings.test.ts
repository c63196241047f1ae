import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import type { Making, MakingLine, MakingStart } from '../../contract/makings.ts';
import { ROOM } from '../../core/drying/air.ts';
import { DEFAULT_SCHOOLS } from '../../core/making/workStep.ts';
import { api, Unreachable } from '../api.ts';
import { held } from '../held.ts';
import { NONE } from './entries.ts';
import { useMakings } from './makings.ts';

const AT = '2026-11-29T09:00:00.000Z';
const STEP = { id: 'cut', act: 'cut', title: 'Cut', says: [], tools: [], until: '', minutes: 5 } as const;
const startOf = (id: string, ...designs: string[]): MakingStart => ({
  id, name: id, clay: null, startedAt: AT, dueAt: null, schools: DEFAULT_SCHOOLS, air: ROOM,
  pieces: designs.map((designId) => ({ designId, revision: 1, name: designId, count: 2, steps: [STEP] })),
}); // prettier-ignore
const makingOf = (start: MakingStart): Making => ({ ...start, ...NONE, photographs: [], endedAt: null, updatedAt: AT });
const lineOf = ({ id, name, clay, startedAt, dueAt, pieces }: MakingStart): MakingLine => ({ id, name, clay, startedAt, dueAt, endedAt: null, pieces }); // prettier-ignore

const ONE = startOf('one', 'cup');
const TWO = startOf('two', 'tumbler', 'cup');
const KEPT: Readonly<Record<string, MakingStart>> = { one: ONE, two: TWO };

/** The server's answers, each given when its name is let go; null where it is away. */
function server(): { letGo: (name: string) => void } {
  const gates = new Map<string, () => void>();
  const free = new Set<string>();
  const gate = (name: string) =>
    free.has(name) ? Promise.resolve() : new Promise<void>((open) => gates.set(name, open));
  jest.spyOn(api, 'makingsOf').mockImplementation(async (design) => {
    await gate(`list ${design}`);
    return [TWO, ONE].filter(({ pieces }) => pieces.some(({ designId }) => designId === design)).map(lineOf);
  });
  jest.spyOn(api, 'making').mockImplementation(async (id) => {
    await gate(`making ${id}`);
    return makingOf(KEPT[id] as MakingStart);
  });
  jest.spyOn(api, 'found').mockResolvedValue([]);
  return {
    letGo: (name) => {
      free.add(name);
      gates.get(name)?.();
    },
  };
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 20));

beforeEach(async () => {
  setActivePinia(createPinia());
  jest.restoreAllMocks();
  for (const name of await held.names('making')) held.forget(name);
});

describe('the making in hand', () => {
  it.each([
    ['the newest of the design', 'cup', undefined, 'two'],
    ['the one that is asked for', 'cup', 'one', 'one'],
    ['the newest where the one that is asked for is not there', 'cup', 'three', 'two'],
  ])('is %s', async (_, design, wanted, expected) => {
    const { letGo } = server();
    for (const name of ['list cup', 'making one', 'making two']) letGo(name);
    const makings = useMakings();
    await makings.open(design, wanted);
    expect([makings.state, makings.making?.id]).toEqual(['ready', expected]);
  });

  it.each([
    ['the list', ['list tumbler', 'making two', 'list cup', 'making one']],
    ['the making', ['list cup', 'list tumbler', 'making two', 'making one']],
    ['nothing', ['list cup', 'making one', 'list tumbler', 'making two']],
  ])('is that of the design opened last, though %s of the one before comes late', async (_, order) => {
    const { letGo } = server();
    const makings = useMakings();
    const first = makings.open('cup', 'one');
    await settled();
    const second = makings.open('tumbler');
    for (const name of order) {
      letGo(name);
      await settled();
    }
    await Promise.all([first, second]);
    expect([makings.state, makings.making?.id, makings.lines.map(({ id }) => id)]).toEqual(['ready', 'two', ['two']]);
  });

  it('of several kinds is found from each of them with the server away, with all that was pressed', async () => {
    const away = () => Promise.reject(new Unreachable());
    jest.spyOn(api, 'makingsOf').mockImplementation(away);
    jest.spyOn(api, 'making').mockImplementation(away);
    jest.spyOn(api, 'beginMaking').mockImplementation(away);
    jest.spyOn(api, 'health').mockImplementation(away);
    const makings = useMakings();
    await makings.begin(startOf('three', 'cup', 'tumbler'));
    makings.press({ piece: 1, number: 2, step: 'cut', kind: 'done' });
    await settled();
    for (const design of ['tumbler', 'cup']) {
      setActivePinia(createPinia());
      const again = useMakings();
      await again.open(design);
      expect([again.making?.id, again.making?.marks.map(({ piece, number }) => [piece, number]), again.waiting]).toEqual(['three', [[1, 2]], 2]); // prettier-ignore
    }
  });
});
