import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { memory } from '../memory.ts';
import { useSettings } from './settings.ts';

const KEY = 'fawn-settings';

/** The settings of a browser that remembers a text. */
function settingsFrom(text: string | null) {
  if (text === null) memory.forget(KEY);
  else memory.write(KEY, text);
  setActivePinia(createPinia());
  return useSettings();
}

/** Every setting, none of them as it is at first. */
const OTHERS = {
  unit: 'inch',
  marks: 32,
  volumes: 'imperial',
  light: 'evening',
  paper: 'letter',
  roll: 610,
  thin: true,
  hand: 90,
  slab: { length: 700, width: 420 },
  cutters: [62, 88.9],
  enter: 'stays',
  letters: false,
  alerts: true,
  hour: 18.5,
  printer: 'printer 3',
} as const;
type Name = keyof typeof OTHERS;
const NAMES = Object.keys(OTHERS) as Name[];
const shown = (settings: ReturnType<typeof useSettings>) =>
  Object.fromEntries(NAMES.map((name) => [name, settings[name]]));
const DEFAULTS = shown(settingsFrom(null));

describe('settings', () => {
  afterEach(() => memory.forget(KEY));

  it('are all read again as they were chosen', () => {
    expect(shown(settingsFrom(JSON.stringify(OTHERS)))).toEqual(OTHERS);
    for (const name of NAMES) expect([name, DEFAULTS[name]]).not.toEqual([name, OTHERS[name]]);
  });

  it.each(NAMES)('keep a change of %s at once, and everything else', async (name) => {
    const settings = settingsFrom(null);
    (settings as Record<Name, unknown>)[name] = OTHERS[name];
    await nextTick();
    expect(shown(settingsFrom(memory.read(KEY)))).toEqual({ ...DEFAULTS, [name]: OTHERS[name] });
  });

  it.each<[Name, readonly unknown[]]>([
    ['unit', ['feet', 1, null]],
    ['marks', [64, '32']],
    ['volumes', ['pints', true]],
    ['light', ['noon', 0]],
    ['paper', ['a9', {}]],
    ['roll', [-1, 1e9, '610']],
    ['thin', ['yes', 1]],
    ['hand', [0, -90, 1e9, '90']],
    ['cutters', ['50', 7]],
    ['enter', ['goes', null]],
    ['alerts', ['yes', 1]],
    ['hour', [-5, 1e9, '18']],
    ['printer', [3, {}]],
  ])('of %s that make no sense are as they are at first', (name, values) => {
    for (const value of values)
      expect([value, shown(settingsFrom(JSON.stringify({ [name]: value })))]).toEqual([value, DEFAULTS]);
  });

  it.each(['', '{', 'null', '[]', '7', '{"slab":null}', '{"slab":{"length":-1}}'])(
    'in a text that was spoilt are as they are at first: %s',
    (text) => expect(shown(settingsFrom(text))).toEqual(DEFAULTS),
  );

  it('leave out cutters that are no size', () => {
    expect(settingsFrom(JSON.stringify({ cutters: [60, -3, null, '70', 80, 1e9] })).cutters).toEqual([60, 80]);
  });

  it('go through the units and lights in turn', () => {
    const settings = settingsFrom(null);
    const units = [0, 1, 2].map(() => (settings.nextUnit(), settings.unit));
    expect(new Set(units).size).toBe(3);
    expect(units[2]).toBe(DEFAULTS['unit']);
    expect([settings.turnLight(), settings.light, settings.turnLight(), settings.light]).toEqual([
      undefined,
      'evening',
      undefined,
      'day',
    ]);
  });

  it('say how lengths are written', () => {
    expect(settingsFrom(JSON.stringify(OTHERS)).style).toEqual({ unit: 'inch', marks: 32, volumes: 'imperial' });
  });
});
