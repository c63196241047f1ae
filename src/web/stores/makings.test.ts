import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import type { Making, MakingLine, MakingStart } from '../../contract/makings.ts';
import { ROOM } from '../../core/studio/drying/air.ts';
import { struckOut } from '../../core/studio/making/strikes.ts';
import { DEFAULT_SCHOOLS } from '../../core/studio/making/workStep.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { held } from '../held.ts';
import { NONE } from './entries.ts';
import { useMakings } from './makings.ts';

const AT = '2026-11-29T09:00:00.000Z';
const STEP = { id: 'cut', act: 'cut', title: 'Cut', says: [], tools: [], until: '', minutes: 5 } as const;
const startOf = (id: string, ...designs: string[]): MakingStart => ({
  id,
  name: id,
  clay: null,
  startedAt: AT,
  dueAt: null,
  schools: DEFAULT_SCHOOLS,
  air: ROOM,
  pieces: designs.map((designId) => ({ designId, revision: 1, name: designId, count: 2, steps: [STEP] })),
});
const makingOf = (start: MakingStart): Making => ({ ...start, ...NONE, photographs: [], endedAt: null, updatedAt: AT });
const lineOf = ({ id, name, clay, startedAt, dueAt, pieces }: MakingStart): MakingLine => ({
  id,
  name,
  clay,
  startedAt,
  dueAt,
  endedAt: null,
  pieces,
});

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
  await settled();
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
      expect([
        again.making?.id,
        again.making?.marks.map(({ piece, number }) => [piece, number]),
        again.waiting,
      ]).toEqual(['three', [[1, 2]], 2]);
    }
  });
});

/** Has the server answer, or be away for everything. */
function answers(away: boolean) {
  const reply = <T>(value: T) => (away ? Promise.reject(new Unreachable()) : Promise.resolve(value));
  jest.spyOn(api, 'health').mockImplementation(() => reply(undefined) as ReturnType<typeof api.health>);
  jest.spyOn(api, 'found').mockImplementation(() => reply([]));
  jest.spyOn(api, 'makingsOf').mockImplementation(() => reply([lineOf(ONE)]));
  jest.spyOn(api, 'making').mockImplementation((id) => reply(makingOf(KEPT[id] as MakingStart)));
  const begun = jest.spyOn(api, 'beginMaking').mockImplementation((start) => reply(makingOf(start)));
  const changed = jest
    .spyOn(api, 'changeMaking')
    .mockImplementation((id, head) => reply({ ...makingOf(KEPT[id] as MakingStart), ...head }));
  const entries = jest
    .spyOn(api, 'keepEntries')
    .mockImplementation((id, sent) => reply({ ...makingOf(KEPT[id] as MakingStart), ...sent }));
  return { begun, changed, entries };
}
/** What another page, opened later, sends of what is held. */
async function sentLater() {
  jest.restoreAllMocks();
  setActivePinia(createPinia());
  const server = answers(false);
  await useMakings().sendHeld();
  await settled();
  return { ...server, left: (await held.names('making-')).filter((name) => !name.startsWith('makings-of')) };
}
const press = { piece: 0, number: 1, step: 'cut', kind: 'done' } as const;

describe('with the server away', () => {
  it('a changed name is shown and held, survives the page, and is sent when the server is back', async () => {
    answers(false);
    const makings = useMakings();
    await makings.open('cup');
    answers(true);
    expect(await makings.change({ name: 'For the harbour' })).toBe(true);
    expect([makings.making?.name, makings.lines[0]?.name, makings.waiting]).toEqual([
      'For the harbour',
      'For the harbour',
      1,
    ]);
    setActivePinia(createPinia());
    const again = useMakings();
    await again.open('cup');
    expect(again.making?.name).toBe('For the harbour');
    const { changed, left } = await sentLater();
    expect(changed.mock.calls.map(([id, { name, endedAt }]) => [id, name, endedAt])).toEqual([
      ['one', 'For the harbour', null],
    ]);
    expect(left).toEqual([]);
  });

  it('what is struck out survives the page, and is sent with what was put back, in order', async () => {
    answers(false);
    const makings = useMakings();
    await makings.open('cup');
    answers(true);
    makings.strike('a size', { out: true });
    makings.strike('a note', { out: true });
    await settled();
    makings.strike('a note', { out: false });
    await settled();
    expect([makings.waiting, [...struckOut(makings.making?.strikes ?? [])]]).toEqual([3, ['a size']]);
    const { entries, left } = await sentLater();
    expect(entries.mock.calls.flatMap(([, { strikes }]) => strikes.map(({ of, out }) => [of, out]))).toEqual([
      ['a size', true],
      ['a note', true],
      ['a note', false],
    ]);
    expect(left).toEqual([]);
  });

  it('a making that is put away stays so, and its end is sent with all that was pressed before', async () => {
    answers(false);
    const makings = useMakings();
    await makings.open('cup');
    answers(true);
    makings.press(press);
    await makings.end(AT);
    expect(makings.making).toBeNull();
    const { changed, entries, left } = await sentLater();
    expect(entries.mock.calls.map(([id, { marks }]) => [id, marks.length])).toEqual([['one', 1]]);
    expect(changed.mock.calls.map(([id, { endedAt }]) => [id, endedAt])).toEqual([['one', AT]]);
    expect(left).toEqual([]);
  });

  it('makings that are begun one after another are all sent', async () => {
    answers(true);
    const makings = useMakings();
    for (const id of ['one', 'two']) await makings.begin(KEPT[id] as MakingStart);
    const { begun, left } = await sentLater();
    expect(begun.mock.calls.map(([{ id }]) => id).sort()).toEqual(['one', 'two']);
    expect(left).toEqual([]);
  });
});

describe('with the server there', () => {
  it('a change that it refuses is taken back, and said', async () => {
    const { changed } = answers(false);
    const makings = useMakings();
    await makings.open('cup');
    changed.mockRejectedValue(
      new Refused({ error: 'bad-target', message: 'No.', todo: 'Change it.', faults: [] } as ConstructorParameters<
        typeof Refused
      >[0]),
    );
    expect(await makings.change({ name: 'X' })).toBe(false);
    expect([makings.making?.name, makings.lines[0]?.name, makings.waiting]).toEqual(['one', 'one', 0]);
    expect(makings.trouble).toMatch(/No\. Change it\./);
  });

  it('what is pressed while something else is on its way goes next', async () => {
    const { entries } = answers(false);
    const makings = useMakings();
    await makings.open('cup');
    const change = makings.change({ name: 'Y' });
    makings.press(press);
    makings.press({ ...press, number: 2 });
    await change;
    await settled();
    const sent = entries.mock.calls.flatMap(([, { marks }]) => marks.map(({ number }) => number));
    expect([...new Set(sent)].sort()).toEqual([1, 2]);
    expect(makings.waiting).toBe(0);
  });
});
