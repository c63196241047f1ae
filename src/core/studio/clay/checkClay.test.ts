import type { ShrinkBar } from './bars.ts';
import { checkClay, checkScrap } from './checkClay.ts';
import { acceptedAfter, CLAY_LIMITS, type Clay, type ScrapEntry } from './clay.ts';

/** A bar that was fired with others. */
const bar = (lengths: Omit<ShrinkBar, 'run'>): ShrinkBar => ({ ...lengths, run: 'any' });
const CLAY: Clay = {
  name: 'Siding buff',
  wetDensity: 1.95,
  shrinkage: 0.12,
  basis: 'guess',
  price: 14,
  bag: 10_000,
  firing: 'to cone 6',
  note: 'from the yard',
  bars: [bar({ wet: 100, dry: 94, fired: 88 })],
};
const ENTRY: ScrapEntry = { day: '2026-11-23', name: 'Three mugs', out: 1900, back: 700 };
const paths = (faults: readonly { readonly path: string }[]) => faults.map(({ path }) => path);

describe('a clay in the clay book', () => {
  it('is taken as it is, with and without what may be left out', () => {
    expect(checkClay(CLAY)).toEqual([]);
    const { name, wetDensity, shrinkage, basis } = CLAY;
    expect(checkClay({ name, wetDensity, shrinkage, basis, bars: [] })).toEqual([]);
  });

  it.each<readonly [string, Partial<Clay>]>([
    ['name', { name: '   ' }],
    ['name', { name: 'x'.repeat(400) }],
    ['wetDensity', { wetDensity: 0 }],
    ['wetDensity', { wetDensity: NaN }],
    ['shrinkage', { shrinkage: 12 }],
    ['shrinkage', { shrinkage: -0.01 }],
    ['price', { price: -1 }],
    ['bag', { bag: 10 }],
    ['firing', { firing: 'x'.repeat(CLAY_LIMITS.text + 1) }],
    ['note', { note: 'x'.repeat(CLAY_LIMITS.text + 1) }],
    ['bars.0.wet', { bars: [bar({ wet: 5 })] }],
    ['bars.0.wet', { bars: [bar({ wet: Infinity })] }],
    ['bars.1.fired', { bars: [bar({ wet: 100 }), bar({ wet: 100, fired: 60 })] }],
    ['bars.0.dry', { bars: [bar({ wet: 100, dry: 103 })] }],
    ['bars', { bars: Array.from({ length: CLAY_LIMITS.bars + 1 }, () => bar({ wet: 100 })) }],
  ])('is refused at %s: %j', (path, change) => {
    expect(paths(checkClay({ ...CLAY, ...change }))).toEqual([path]);
  });

  it('tells all that is wrong at once', () => {
    expect(paths(checkClay({ ...CLAY, name: '', shrinkage: 2, bag: 0 }))).toEqual(['name', 'shrinkage', 'bag']);
  });
});

describe('an entry of scraps', () => {
  it.each(['2026-11-23', '2024-02-29', '1999-12-31'])('is taken on %s', (day) => {
    expect(checkScrap({ ...ENTRY, day })).toEqual([]);
  });

  it.each([
    '2026-02-29',
    '2026-02-31',
    '2026-04-31',
    '2026-13-01',
    '2026-00-10',
    '2026-11-00',
    '23.11.2026',
    '2026-11-23T10:00',
    '',
    'today',
  ])('is refused on “%s”, which is no day', (day) => {
    expect(paths(checkScrap({ ...ENTRY, day }))).toEqual(['day']);
  });

  it.each<readonly [string, Partial<ScrapEntry>]>([
    ['name', { name: '' }],
    ['out', { out: -1 }],
    ['back', { back: CLAY_LIMITS.bag.greatest + 1 }],
    ['back', { back: NaN }],
    ['note', { note: 'x'.repeat(CLAY_LIMITS.text + 1) }],
  ])('is refused at %s: %j', (path, change) => {
    expect(paths(checkScrap({ ...ENTRY, ...change }))).toEqual([path]);
  });
});

it('an accepted figure keeps the one before it, and no more', () => {
  const one = { shrinkage: 0.12, low: 0.118, high: 0.122, pieces: 11, firings: 2, day: '2026-11-01' };
  const [two, three] = [
    { ...one, shrinkage: 0.121 },
    { ...one, shrinkage: 0.122 },
  ];
  expect(acceptedAfter(one, undefined)).toEqual(one);
  expect(acceptedAfter(three, acceptedAfter(two, one))).toEqual({ ...three, before: two });
});
