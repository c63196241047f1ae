import fc from 'fast-check';
import type { DrawingReading } from '../core/files/drawn/drawnLines.ts';
import { drawnPlans } from '../core/files/drawn/drawnPlans.ts';
import { drawnSheet } from '../core/files/drawn/drawnSheet.ts';
import { writeDxf } from '../core/files/format/dxf.ts';
import { writeSvg } from '../core/files/format/svg.ts';
import { readDxf } from '../core/files/drawn/readDxf.ts';
import { readObj } from '../core/geometry/mesh/readObj.ts';
import { readStl } from '../core/geometry/mesh/readStl.ts';
import { developWhole } from '../core/piece/develop.ts';
import { processorTime } from '../core/processorTime.test.helper.ts';
import { newTarget } from '../core/target/target.ts';
import { plotSheet } from '../core/files/plot/plotSheet.ts';
import { readHpgl } from '../core/files/plot/readHpgl.ts';
import { readCurve } from '../core/studio/kiln/readCurve.ts';
import { sheetOf } from '../core/files/sheet/sheet.ts';
import { readSvg } from './components/mould/readSvg.ts';
import { namesOfTable } from '../contract/classList.ts';
import { readRecordsCsv } from '../contract/recordsCsv.ts';
import { readBarsCsv, readKitCsv } from '../contract/tableCsv.ts';
import { readTargetText } from '../contract/targetSchema.ts';

const CUP = newTarget('Rack tumbler');
const SHEET = sheetOf('x', developWhole(CUP).parts, { style: { unit: 'mm' } });
const OBJ = 'v 0 0 0\nv 100 0 0\nv 0 100 0\nv 50 50 40\nf 1 2 4\nf 2 3 4\nf 3 1 4\n';
const STL =
  'solid x\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 100 0 0\nvertex 0 100 0\nendloop\nendfacet\nendsolid x\n';

/** A reader, a file that it reads, and words of its language. */
type Case = readonly [name: string, read: (text: string) => unknown, sample: string, words: readonly string[]];
const CASES: readonly Case[] = [
  [
    'target',
    readTargetText,
    JSON.stringify(CUP),
    ['"kind":', 'null', '1e999', '-0', '[[', '{}', '"__proto__":{}', '\u2028'],
  ],
  [
    'DXF',
    (text) => drawnFrom(readDxf(text)),
    writeDxf(SHEET).slice(0, 6000),
    [
      '0\nSPLINE\n',
      '0\nINSERT\n',
      '0\nHATCH\n',
      '9\n$INSUNITS\n70\n4\n',
      '10\n1e308\n',
      '42\n-1\n',
      '70\n1\n',
      '\r',
      '0\nELLIPSE\n40\n0\n',
    ],
  ],
  [
    'SVG',
    (text) => drawnFrom(readSvg(text)),
    writeSvg(SHEET).slice(0, 4000),
    [
      '<path d="M0 0A1 0 0 1 1 5 5Z"/>',
      '<g transform="matrix(0 0 0 0 0 0)">',
      '</g>',
      '<!DOCTYPE x>',
      '&#0;',
      '<rect width="1e999" height="-1"/>',
      'C1 1 2 2',
      '<circle r="NaN"/>',
      '<use href="#a"/>',
    ],
  ],
  ['OBJ', readObj, OBJ, ['v ', 'f 1 2 3\n', 'f -1 -2 -3\n', 'f 9 9 9\n', 'NaN', '1e999', '//', '\\\n']],
  [
    'STL',
    (text) => readStl(Buffer.from(text, 'latin1')),
    STL,
    ['solid', 'vertex 1 2', 'vertex NaN 0 0\n', 'endsolid', '\0\0\0\x01', 'facet'],
  ],
  [
    'plot file',
    readHpgl,
    plotSheet(SHEET, 0).slice(0, 3000),
    ['PU', 'PD', 'PR', 'PA;', '1e9,', ',,', 'SP1;', 'AA0,0,90;', '\x1b.'],
  ],
  [
    'table of bars',
    readBarsCsv,
    'wet,dry,fired,run\n100,95,88,along\n',
    ['"', '""', ',', ';', '\r\n', '=1+1', '1,5', '-3'],
  ],
  [
    'table of kit',
    readKitCsv,
    'kind,name,diameter\ncutter,Mine,90\n',
    ['"', 'kind', 'roller', 'settings', '\t', '1e9', '=cmd'],
  ],
  [
    'table of records',
    readRecordsCsv,
    'row,id,making,making name,piece\nmeasurement,1,2,x,0\n',
    ['"', '{', 'firing', 'making', '2026-11-28T09:05:00.000Z', "'=1"],
  ],
  ['list of names', namesOfTable, 'Name\n"Ann, the elder"\nBo\n', ['"', '\u202E', '\0', ',', ';', '\r']],
  [
    'firing curve',
    (text) => readCurve(text),
    'time,temperature\n0,20\n60,100\n',
    ['"', '99999', '-400', ';', ':', '\n\n'],
  ],
];

function drawnFrom(reading: DrawingReading): unknown {
  return reading.kind === 'lines' ? [drawnSheet(reading.lines), drawnPlans(reading.lines)] : reading;
}

/** Runs of each case: a good file cut, torn, doubled and filled with words of its language or with anything. */
const RUNS = Number(process.env['FAWN_FUZZ'] ?? 1000);

/** The most processor time that one file may take (ms): forty times what any has taken. */
const HANGS = 4000;

describe.each(CASES)('a %s', (_, read, sample, words) => {
  const place = fc.nat(sample.length);
  const torn = fc
    .tuple(place, place, fc.constantFrom(...words), fc.nat(3))
    .map(([from, to, word, times]) => sample.slice(0, from) + word.repeat(times) + sample.slice(to));
  const file = fc.oneof(
    { weight: 5, arbitrary: torn },
    { weight: 2, arbitrary: fc.tuple(torn, torn).map(([one, other]) => one + other) },
    {
      weight: 2,
      arbitrary: fc
        .array(fc.oneof(fc.constantFrom(...words), fc.string({ maxLength: 12 })), { maxLength: 60 })
        .map((parts) => parts.join('')),
    },
    { weight: 1, arbitrary: fc.string({ maxLength: 400, unit: 'binary' }) },
  );

  it('that is spoilt in any way is read or refused: it neither throws nor hangs', () => {
    fc.assert(
      fc.property(file, (text) => {
        const from = processorTime();
        const reading = read(text);
        return reading !== undefined && processorTime() - from < HANGS;
      }),
      { numRuns: RUNS },
    );
  });
});
