import { randomUUID } from 'node:crypto';
import type { Entries } from './makings.ts';
import { CSV_HEAD, readRecordsCsv, writeRecordsCsv, type NamedEntries } from './recordsCsv.ts';

const AT = '2026-11-28T09:05:00.000Z';
const spot = (number = 1) => ({ id: randomUUID(), piece: 0, number, step: 'records', at: AT });
const ENTRIES: Entries = {
  marks: [{ ...spot(), kind: 'done' }, { ...spot(2), kind: 'too-soft', drying: { part: { thickness: 6, faces: 'one', cover: 'open', support: 'board' }, hours: 1.25 } }],
  measurements: [{ ...spot(), what: 'rim', value: 83.25, state: 'fired' }, { ...spot(), what: 'weight', value: 402 }],
  faults: [{ ...spot(), kind: 'other', x: null, y: null }, { ...spot(), kind: 'warped', x: 0.5, y: 0 }],
  notes: ['a, "b"\nc', '=1+2', "'=1", "'", '-3', '@you', ' x ', 'größer', 'true', '12'].map((text) => ({ ...spot(), text })),
  strikes: [{ id: randomUUID(), of: randomUUID(), out: false, at: AT }],
  critiques: [{ ...spot(), holds: true, even: false, balanced: null, fits: null, rating: 4, text: '' }],
}; // prettier-ignore
const MADE: NamedEntries = { making: randomUUID(), name: '=Cups, "12"', pieces: ['Soup cup'], entries: ENTRIES };
const OTHER: NamedEntries = { ...MADE, making: randomUUID(), name: 'Others', entries: { ...ENTRIES, notes: [], marks: [] } }; // prettier-ignore

describe('the table of records', () => {
  it('is read again as it was written, whatever is in it', () => {
    const read = readRecordsCsv(CSV_HEAD + writeRecordsCsv([MADE, OTHER]));
    expect(read).toEqual({ kind: 'makings', makings: [MADE, OTHER].map(({ making, name, entries }) => ({ making, name, entries })) }); // prettier-ignore
  });

  it('has no cell that a spreadsheet takes for a formula', () => {
    const text = writeRecordsCsv([MADE]);
    expect(text).not.toMatch(/(^|,|")[=+@]/m);
  });

  it('may have its columns in any order, and a mark of its encoding before them', () => {
    const id = randomUUID();
    const text = `\uFEFFat,value,what,row,id,making,piece,number,step,state\n${AT},"83,5",rim,measurement,${id},m,0,1,records,fired\n`;
    expect(readRecordsCsv(text)).toMatchObject({ makings: [{ making: 'm', entries: { measurements: [{ id, value: 83.5, what: 'rim', state: 'fired' }] } }] }); // prettier-ignore
  });

  it.each([
    ['no head', 'a,b\n1,2\n', ['row', 'id', 'making', 'at']],
    ['a row of no kind', `${CSV_HEAD}sherd,x,y\n`, ['line 2.row']],
    ['a size of nothing', `${CSV_HEAD}measurement,${randomUUID()},m,n,0,p,1,s,${AT},fired,rim,0\n`, ['line 2.value']],
    ['a state that is none', `${CSV_HEAD}measurement,${randomUUID()},m,n,0,p,1,s,${AT},melted,rim,3\n`, ['line 2.state']],
    ['a quote that does not end', `${CSV_HEAD}note,"x\n`, ['line 3']],
  ])('is refused whole with %s', (_, text, paths) => {
    const read = readRecordsCsv(text);
    expect(read.kind).toBe('faults');
    const found = 'faults' in read ? read.faults.map(({ path }) => path) : [];
    expect(found).toEqual(expect.arrayContaining(paths));
  }); // prettier-ignore
});
