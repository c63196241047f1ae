import { randomUUID } from 'node:crypto';
import type { Entries } from './makings.ts';
import { ROOM } from '../core/studio/drying/air.ts';
import { USUAL_SEGMENTS, type KeptFiring } from '../core/studio/kiln/keptFiring.ts';
import { DEFAULT_SCHOOLS } from '../core/studio/making/workStep.ts';
import {
  CSV_HEAD,
  readRecordsCsv,
  writeFiringsCsv,
  writeRecordsCsv,
  type NamedEntries,
  type WholeStart,
} from './recordsCsv.ts';

const AT = '2026-11-28T09:05:00.000Z';
const spot = (number = 1) => ({ id: randomUUID(), piece: 0, number, step: 'records', at: AT });
const ENTRIES: Entries = {
  marks: [
    { ...spot(), kind: 'done' },
    {
      ...spot(2),
      kind: 'too-soft',
      drying: { part: { thickness: 6, faces: 'one', cover: 'open', support: 'board' }, hours: 1.25 },
    },
  ],
  measurements: [
    { ...spot(), what: 'rim', value: 83.25, state: 'fired' },
    { ...spot(), what: 'weight', value: 402 },
  ],
  faults: [
    { ...spot(), kind: 'other', x: null, y: null },
    { ...spot(), kind: 'warped', x: 0.5, y: 0 },
  ],
  notes: ['a, "b"\nc', '=1+2', "'=1", "'", '-3', '@you', ' x ', 'größer', 'true', '12'].map((text) => ({
    ...spot(),
    text,
  })),
  strikes: [{ id: randomUUID(), of: randomUUID(), out: false, at: AT }],
  critiques: [{ ...spot(), holds: true, even: false, balanced: null, fits: null, rating: 4, text: '' }],
};
const START = {
  id: randomUUID(),
  name: '=Cups, "12"',
  clay: null,
  startedAt: AT,
  dueAt: null,
  endedAt: AT,
  schools: DEFAULT_SCHOOLS,
  air: ROOM,
  pieces: [
    {
      designId: randomUUID(),
      revision: 2,
      name: 'Soup cup',
      count: 2,
      steps: [{ id: 'cut', act: 'cut', title: 'Cut it', says: [['=a, "b"']], tools: [], until: 'x', minutes: 1 }],
    },
  ],
} as unknown as WholeStart;
const MADE: NamedEntries = {
  making: START.id,
  name: START.name,
  pieces: ['Soup cup'],
  start: START,
  photographs: [{ ...spot(), hash: 'a'.repeat(64), width: 3, height: 2 }],
  entries: ENTRIES,
};
const FIRING: KeptFiring = {
  name: 'Firing of 2 November',
  kind: 'once',
  day: '2026-11-02',
  cone: '6',
  segments: USUAL_SEGMENTS.once,
  curve: [
    [0, 20],
    [90, 140.5],
  ],
  witness: [],
  gap: 5,
  price: 9.3,
  shelves: [],
  wanted: [],
  placed: [],
  opened: null,
  note: 'a, "b"\n=c',
};
const OTHER: NamedEntries = {
  ...MADE,
  making: randomUUID(),
  name: 'Others',
  start: undefined,
  photographs: [],
  entries: { ...ENTRIES, notes: [], marks: [] },
};

describe('the table of records', () => {
  it('is read again as it was written, whatever is in it', () => {
    const firing = { id: randomUUID(), body: FIRING };
    const read = readRecordsCsv(CSV_HEAD + writeRecordsCsv([MADE, OTHER]) + writeFiringsCsv([firing]));
    expect(read).toEqual({
      kind: 'makings',
      firings: [firing],
      makings: [MADE, OTHER].map((one) => ({ ...one, pieces: undefined })),
    });
  });

  it('has no cell that a spreadsheet takes for a formula', () => {
    const text = writeRecordsCsv([MADE]);
    expect(text).not.toMatch(/(^|,)"?[=+@]/m);
  });

  it('may have its columns in any order, and a mark of its encoding before them', () => {
    const id = randomUUID();
    const text = `\uFEFFat,value,what,row,id,making,piece,number,step,state\n${AT},"83,5",rim,measurement,${id},m,0,1,records,fired\n`;
    expect(readRecordsCsv(text)).toMatchObject({
      makings: [{ making: 'm', entries: { measurements: [{ id, value: 83.5, what: 'rim', state: 'fired' }] } }],
    });
  });

  it.each([
    ['no head', 'a,b\n1,2\n', ['row', 'id', 'making', 'at']],
    ['a row of no kind', `${CSV_HEAD}sherd,x,y\n`, ['line 2.row']],
    ['a size of nothing', `${CSV_HEAD}measurement,${randomUUID()},m,n,0,p,1,s,${AT},fired,rim,0\n`, ['line 2.value']],
    [
      'a state that is none',
      `${CSV_HEAD}measurement,${randomUUID()},m,n,0,p,1,s,${AT},melted,rim,3\n`,
      ['line 2.state'],
    ],
    ['a making without its steps', `${CSV_HEAD}making,${randomUUID()},m,n,,,,,${AT},,,,,,,{}\n`, ['line 2.id']],
    ['a firing that is none', `${CSV_HEAD}firing,${randomUUID()},,n,,,,,${AT},,,,,,,{\n`, ['line 2.name']],
    [
      'a photograph without its picture',
      `${CSV_HEAD}photograph,${randomUUID()},m,n,0,p,1,s,${AT},,,,,,,{}\n`,
      ['line 2.hash'],
    ],
    ['a quote that does not end', `${CSV_HEAD}note,"x\n`, ['line 3']],
  ])('is refused whole with %s', (_, text, paths) => {
    const read = readRecordsCsv(text);
    expect(read.kind).toBe('faults');
    const found = 'faults' in read ? read.faults.map(({ path }) => path) : [];
    expect(found).toEqual(expect.arrayContaining(paths));
  });
});
