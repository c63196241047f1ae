import type { Group } from './dxfText.ts';
import { dxfTables, HANDLE, LAYERS } from './dxfTables.ts';

/** The rows of each table, by its name: what stands between `TABLE` and `ENDTAB`, split at code 0. */
function tablesIn(groups: readonly Group[]): Map<string, { head: Group[]; rows: Group[][] }> {
  const tables = new Map<string, { head: Group[]; rows: Group[][] }>();
  let now: { head: Group[]; rows: Group[][] } | null = null;
  groups.forEach(([code, value], index) => {
    if (code === 0 && value === 'TABLE') {
      now = { head: [], rows: [] };
      tables.set(String(groups[index + 1]?.[1]), now);
    } else if (code === 0) {
      if (value === 'ENDTAB') now = null;
      now?.rows.push([[code, value]]);
    } else (now?.rows.at(-1) ?? now?.head)?.push([code, value]);
  });
  return tables;
}

const numbered = () => {
  let count = 0x30;
  return () => (count++).toString(16).toUpperCase();
};
const groups = dxfTables({ width: 300, height: 200 }, numbered());
const tables = tablesIn(groups);
const values = (rows: readonly Group[][] | undefined, code: number) =>
  (rows ?? []).map((row) => row.find(([own]) => own === code)?.[1]);

describe('the tables of a DXF file', () => {
  it('are the nine that R2000 asks for, each with as many rows as it says, all of its own kind', () => {
    expect([...tables.keys()]).toEqual([
      'VPORT',
      'LTYPE',
      'LAYER',
      'STYLE',
      'VIEW',
      'UCS',
      'APPID',
      'DIMSTYLE',
      'BLOCK_RECORD',
    ]);
    for (const [name, { head, rows }] of tables) {
      expect(head.find(([code]) => code === 70)?.[1]).toBe(rows.length);
      expect(values(rows, 0)).toEqual(rows.map(() => name));
      const [handle] = values([head], 5);
      expect(values(rows, 330)).toEqual(rows.map(() => handle));
    }
  });

  it('give each object a handle of its own', () => {
    const handles = groups.filter(([code]) => code === 5).map(([, value]) => value);
    expect(new Set(handles).size).toBe(handles.length);
    expect(values(tables.get('BLOCK_RECORD')?.rows, 5)).toEqual([HANDLE.modelSpace, HANDLE.paperSpace]);
  });

  it('name the layers with their colours, on a line type that is there', () => {
    const { rows } = tables.get('LAYER') ?? { rows: [] };
    expect(values(rows, 2)).toEqual(['0', ...Object.values(LAYERS).map(({ name }) => name)]);
    expect(values(rows, 62).map(Number)).toEqual([7, ...Object.values(LAYERS).map(({ colour }) => colour)]);
    expect(values(tables.get('LTYPE')?.rows, 2)).toEqual(expect.arrayContaining(values(rows, 6)));
  });

  it('say of a line type how many dashes it has and how long they are together', () => {
    for (const row of tables.get('LTYPE')?.rows ?? []) {
      const dashes = row.filter(([code]) => code === 49).map(([, value]) => Number(value));
      expect(Number(values([row], 73)[0])).toBe(dashes.length);
      expect(Number(values([row], 40)[0])).toBeCloseTo(
        dashes.reduce((sum, dash) => sum + Math.abs(dash), 0),
        9,
      );
    }
  });

  it('open the file on the whole sheet', () => {
    const [view] = tables.get('VPORT')?.rows ?? [];
    expect([12, 22, 40, 41].map((code) => values([view ?? []], code)[0])).toEqual([150, 100, 200, 1.5]);
  });
});
