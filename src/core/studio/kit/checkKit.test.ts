import { checkKitItem } from './checkKit.ts';
import { KIT, KIT_KINDS, KIT_LIMITS, type KitItem, type KitKind } from './kit.ts';

/** A thing of the kit with its usual figures. */
const usual = (kind: KitKind): KitItem => ({
  kind,
  name: KIT[kind].one,
  sizes: Object.fromEntries(KIT[kind].sizes.map(({ key, usual: size }) => [key, size])),
});
const paths = (item: KitItem) => checkKitItem(item).map(({ path }) => path);

describe.each(KIT_KINDS)('a thing of the kit: %s', (kind) => {
  const item = usual(kind);

  it('is taken with its usual figures', () => {
    expect(paths(item)).toEqual([]);
  });

  it('needs each of its figures, in its range', () => {
    for (const { key, none } of KIT[kind].sizes) {
      const rest = Object.entries(item.sizes).filter(([name]) => name !== key);
      expect(paths({ ...item, sizes: Object.fromEntries(rest) })).toEqual([`sizes.${key}`]);
      for (const wrong of [-1, NaN, Infinity, KIT_LIMITS.size + 1])
        expect(paths({ ...item, sizes: { ...item.sizes, [key]: wrong } })).toEqual([`sizes.${key}`]);
      expect(paths({ ...item, sizes: { ...item.sizes, [key]: 0 } })).toEqual(none ? [] : [`sizes.${key}`]);
    }
  });

  it('has no other figures, and a name', () => {
    expect(paths({ ...item, sizes: { ...item.sizes, colour: 3 } })).toEqual(['sizes.colour']);
    expect(paths({ ...item, name: ' ' })).toEqual(['name']);
    expect(paths({ ...item, note: 'x'.repeat(KIT_LIMITS.text + 1) })).toEqual(['note']);
  });

  it('has settings only when it is a roller', () => {
    expect(paths({ ...item, settings: [4, 6] })).toEqual(kind === 'roller' ? [] : ['settings']);
  });
});

describe('the settings of a roller', () => {
  it.each<readonly [readonly number[], readonly string[]]>([
    [[], []],
    [[3, 6, 9.5], []],
    [[3, 0], ['settings.1']],
    [[NaN], ['settings.0']],
    [Array.from({ length: KIT_LIMITS.settings + 1 }, () => 5), ['settings']],
  ])('%j: %j', (settings, wanted) => {
    expect(paths({ ...usual('roller'), settings })).toEqual(wanted);
  });
});

describe('a printer’s check', () => {
  const printer = usual('printer');
  const check = { paper: 'a4', across: 146, up: 198.2, day: '2026-11-23' } as const;
  it.each<readonly [string, KitItem, readonly string[]]>([
    ['is kept', { ...printer, check }, []],
    ['needs lengths near those of the sheet', { ...printer, check: { ...check, across: 15 } }, ['check.across']],
    ['needs a day', { ...printer, check: { ...check, day: 'today' } }, ['check.day']],
    ['belongs to a printer', { ...usual('cutter'), check }, ['check']],
  ])('%s', (_, item, wanted) => expect(paths(item)).toEqual(wanted));
});
