import type { Layer } from '../../studio/printer/drawing.ts';
import type { Group } from './dxfText.ts';

/** Names and colours of the layers. */
export const LAYERS: Readonly<Record<Layer, { readonly name: string; readonly colour: number }>> = {
  cut: { name: 'CUT', colour: 7 },
  mark: { name: 'MARK', colour: 8 },
  lean: { name: 'LEAN', colour: 5 },
  text: { name: 'TEXT', colour: 3 },
};

/** Fixed handles of the root objects; those of the tables are given with them. */
export const HANDLE = { modelSpace: '1F', paperSpace: '1B', root: 'C', groups: 'D' } as const;

/** Dashes and gaps (mm) of the line types beside the plain ones. */
const LINE_TYPES = [
  { name: 'ByBlock', text: '', dashes: [] },
  { name: 'ByLayer', text: '', dashes: [] },
  { name: 'Continuous', text: 'Solid line', dashes: [] },
  { name: 'DASHED', text: '__ __ __', dashes: [2, -1.2] },
  { name: 'CHAIN', text: '____ _ ____', dashes: [6, -1.5, 1, -1.5] },
] as const;

/** A row of a table: its groups, and its handle where that is fixed. */
interface Row {
  readonly groups: readonly Group[];
  readonly handle?: string;
}

interface Table {
  readonly name: string;
  readonly handle: string;
  /** What its rows are; a table without rows has none. */
  readonly subclass?: string;
  readonly rows: readonly Row[];
}

/** Groups written as in the file: `code value` one after another, with commas between. */
function row(text: string, handle?: string): Row {
  const groups = text.split(',').map((group): Group => {
    const [, code = '', value = ''] = /^\s*(\d+) ?(.*)$/.exec(group) ?? [];
    return [Number(code), value];
  });
  return { groups, ...(handle && { handle }) };
}

function lineType({ name, text, dashes }: (typeof LINE_TYPES)[number]): Row {
  const length = dashes.reduce((sum: number, dash) => sum + Math.abs(dash), 0);
  const { groups } = row(`2 ${name},70 0,3 ${text},72 65,73 ${dashes.length}`);
  return {
    groups: [...groups, [40, length], ...dashes.flatMap((dash): Group[] => [[49, dash], ...row('74 0').groups])],
  };
}

const layerRow = ({ name, colour }: { name: string; colour: number }) =>
  row(`2 ${name},70 0,62 ${colour},6 Continuous`);

/** The tables of a drawing of this size (mm), in the order of the file. */
const tablesOf = (width: number, height: number): readonly Table[] => [
  {
    name: 'VPORT',
    handle: '8',
    subclass: 'AcDbViewportTableRecord',
    rows: [
      {
        groups: [
          ...row('2 *Active,70 0,10 0,20 0,11 1,21 1').groups,
          [12, width / 2],
          [22, height / 2],
          ...row('16 0,26 0,36 1,17 0,27 0,37 0').groups,
          [40, height],
          [41, width / height],
          [42, 50],
        ],
      },
    ],
  },
  { name: 'LTYPE', handle: '5', subclass: 'AcDbLinetypeTableRecord', rows: LINE_TYPES.map(lineType) },
  {
    name: 'LAYER',
    handle: '2',
    subclass: 'AcDbLayerTableRecord',
    rows: [{ name: '0', colour: 7 }, ...Object.values(LAYERS)].map(layerRow),
  },
  {
    name: 'STYLE',
    handle: '3',
    subclass: 'AcDbTextStyleTableRecord',
    rows: [row('2 Standard,70 0,40 0,41 1,50 0,71 0,42 2.5,3 txt,4')],
  },
  { name: 'VIEW', handle: '6', rows: [] },
  { name: 'UCS', handle: '7', rows: [] },
  { name: 'APPID', handle: '9', subclass: 'AcDbRegAppTableRecord', rows: [row('2 ACAD,70 0')] },
  { name: 'DIMSTYLE', handle: 'A', rows: [] },
  {
    name: 'BLOCK_RECORD',
    handle: '1',
    subclass: 'AcDbBlockTableRecord',
    rows: [row('2 *Model_Space', HANDLE.modelSpace), row('2 *Paper_Space', HANDLE.paperSpace)],
  },
];

function tableGroups({ name, handle, subclass = '', rows }: Table, next: () => string): Group[] {
  return [
    [0, 'TABLE'],
    [2, name],
    [5, handle],
    [330, '0'],
    [100, 'AcDbSymbolTable'],
    [70, rows.length],
    ...(name === 'DIMSTYLE' ? ([[100, 'AcDbDimStyleTable']] as const) : []),
    ...rows.flatMap((one): Group[] => [
      [0, name],
      [5, one.handle ?? next()],
      [330, handle],
      [100, 'AcDbSymbolTableRecord'],
      [100, subclass],
      ...one.groups,
    ]),
    [0, 'ENDTAB'],
  ];
}

/** The section of tables for a drawing of this size (mm); `next` gives out handles. */
export function dxfTables({ width, height }: { width: number; height: number }, next: () => string): Group[] {
  return [
    [0, 'SECTION'],
    [2, 'TABLES'],
    ...tablesOf(width, height).flatMap((table) => tableGroups(table, next)),
    [0, 'ENDSEC'],
  ];
}
