import fc from 'fast-check';
import { BAR_RUNS, type ShrinkBar } from '../core/studio/clay/bars.ts';
import { KIT, KIT_KINDS, type KitItem } from '../core/studio/kit/kit.ts';
import { readBarsCsv, readKitCsv, writeBarsCsv, writeKitCsv } from './tableCsv.ts';

const length = fc.double({ min: 1, max: 400, noNaN: true }).map((mm) => Math.round(100 * mm) / 100);
const bar: fc.Arbitrary<ShrinkBar> = fc.record(
  {
    wet: length,
    dry: length,
    bisque: length,
    fired: length,
    run: fc.constantFrom(...BAR_RUNS),
    aside: fc.constant(true as const),
  },
  { requiredKeys: ['wet', 'run'] },
);
const word = fc
  .string({ minLength: 1, maxLength: 30 })
  .map((text) => text.trim())
  .filter((text) => text !== '' && !/[\p{Cc}]/u.test(text));
const item: fc.Arbitrary<KitItem> = fc.constantFrom(...KIT_KINDS).chain((kind) =>
  fc.record({
    kind: fc.constant(kind),
    name: word,
    sizes: fc.record(Object.fromEntries(KIT[kind].sizes.map(({ key }) => [key, length]))) as fc.Arbitrary<
      Record<string, number>
    >,
  }),
);

describe('tables of shrink bars and of the kit', () => {
  it('come back as they were written', () => {
    fc.assert(
      fc.property(fc.array(bar, { minLength: 1, maxLength: 20 }), (bars) =>
        expect(readBarsCsv(writeBarsCsv(bars))).toEqual({ kind: 'rows', rows: bars }),
      ),
    );
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 20 }), (items) =>
        expect(readKitCsv(writeKitCsv(items))).toEqual({ kind: 'rows', rows: items }),
      ),
    );
  });

  it.each([
    ['semicolons and commas', 'wet;fired\n100;87,5\n', [{ wet: 100, fired: 87.5, run: 'any' }]],
    [
      'a mark before it and Windows lines',
      '\uFEFFWet (mm),Fired mm,Run\r\n100 mm,88,Along\r\n\r\n',
      [{ wet: 100, fired: 88, run: 'along' }],
    ],
    ['columns that are not known', 'wet,colour,fired\n100,buff,88\n', [{ wet: 100, fired: 88, run: 'any' }]],
  ])('are read with %s', (_, text, rows) => expect(readBarsCsv(text)).toEqual({ kind: 'rows', rows }));

  it.each([
    ['nothing', '', /no lines/],
    ['a bar without its wet length', 'wet,fired\n,88\n', /line 2: “wet”/],
    ['words for a length', 'wet,fired\n100,88\n100,about 88\n', /line 3: “fired”/],
    ['another run', 'wet,run\n100,askew\n', /“run” must be/],
    ['an open quote', 'wet,fired\n"100,88\n', /quotes/],
    ['too many bars', `wet\n${'100\n'.repeat(500)}`, /more than/],
  ])('of bars with %s are refused with a reason', (_, text, rule) => {
    const read = readBarsCsv(text);
    expect(read.kind === 'refused' && read.rule).toMatch(rule);
  });

  it.each([
    ['another kind', 'kind,name\nspoon,Mine\n', /line 2: “kind” must be/],
    ['a size that is missing', 'kind,name,length\nboard,Mine,900\n', /width/],
    ['a size that cannot be', 'kind,name,diameter\ncutter,Mine,-4\n', /diameter/],
    ['no name', 'kind,name,diameter\ncutter,,90\n', /name/],
  ])('of the kit with %s are refused with a reason', (_, text, rule) => {
    const read = readKitCsv(text);
    expect(read.kind === 'refused' && read.rule).toMatch(rule);
  });

  it('names kinds as the screens do', () => {
    expect(readKitCsv('Kind,Name,Diameter\nRound cutter,Mine,90\n')).toEqual({
      kind: 'rows',
      rows: [{ kind: 'cutter', name: 'Mine', sizes: { diameter: 90 } }],
    });
  });
});
