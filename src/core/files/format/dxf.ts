import type { Bounds } from '../../geometry/outline/outline.ts';
import type { Layer, Primitive } from '../../studio/printer/drawing.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { dxfText, groupLines, handleMaker, type Group } from './dxfText.ts';

const LAYER_NAMES: Readonly<Record<Layer, string>> = { cut: 'CUT', mark: 'MARK', lean: 'LEAN', text: 'TEXT' };
const LAYER_COLOURS: Readonly<Record<Layer, number>> = { cut: 7, mark: 8, lean: 5, text: 3 };
const LAYERS: readonly Layer[] = ['cut', 'mark', 'lean', 'text'];

/** Fixed handles of the tables and root objects; entities count up from {@link FIRST_FREE}. */
const HANDLE = {
  vport: '8',
  ltype: '5',
  layer: '2',
  style: '3',
  view: '6',
  ucs: '7',
  appid: '9',
  dimstyle: 'A',
  blockRecord: '1',
  modelSpace: '1F',
  paperSpace: '1B',
  root: 'C',
  groups: 'D',
} as const;
const FIRST_FREE = 0x30;

function table(name: string, handle: string, entries: readonly (readonly Group[])[]): Group[] {
  return [
    [0, 'TABLE'],
    [2, name],
    [5, handle],
    [330, '0'],
    [100, 'AcDbSymbolTable'],
    [70, entries.length],
    ...(name === 'DIMSTYLE' ? ([[100, 'AcDbDimStyleTable']] as const) : []),
    ...entries.flat(),
    [0, 'ENDTAB'],
  ];
}

function entry(kind: string, owner: string, handle: string, subclass: string, rest: readonly Group[]): Group[] {
  return [[0, kind], [5, handle], [330, owner], [100, 'AcDbSymbolTableRecord'], [100, subclass], ...rest];
}

function lineType(handle: string, name: string, text: string, dashes: readonly number[]): Group[] {
  const length = dashes.reduce((sum, dash) => sum + Math.abs(dash), 0);
  return entry('LTYPE', HANDLE.ltype, handle, 'AcDbLinetypeTableRecord', [
    [2, name],
    [70, 0],
    [3, text],
    [72, 65],
    [73, dashes.length],
    [40, length],
    ...dashes.flatMap((dash): Group[] => [
      [49, dash],
      [74, 0],
    ]),
  ]);
}

function tables(next: () => string, box: Bounds): Group[] {
  const width = box.maxX - box.minX;
  const height = box.maxY - box.minY;
  return [
    [0, 'SECTION'],
    [2, 'TABLES'],
    ...table('VPORT', HANDLE.vport, [
      entry('VPORT', HANDLE.vport, next(), 'AcDbViewportTableRecord', [
        [2, '*Active'],
        [70, 0],
        [10, 0],
        [20, 0],
        [11, 1],
        [21, 1],
        [12, width / 2],
        [22, height / 2],
        [16, 0],
        [26, 0],
        [36, 1],
        [17, 0],
        [27, 0],
        [37, 0],
        [40, height],
        [41, width / height],
        [42, 50],
      ]),
    ]),
    ...table('LTYPE', HANDLE.ltype, [
      lineType(next(), 'ByBlock', '', []),
      lineType(next(), 'ByLayer', '', []),
      lineType(next(), 'Continuous', 'Solid line', []),
      lineType(next(), 'DASHED', '__ __ __', [2, -1.2]),
      lineType(next(), 'CHAIN', '____ _ ____', [6, -1.5, 1, -1.5]),
    ]),
    ...table('LAYER', HANDLE.layer, [
      entry('LAYER', HANDLE.layer, next(), 'AcDbLayerTableRecord', [
        [2, '0'],
        [70, 0],
        [62, 7],
        [6, 'Continuous'],
      ]),
      ...LAYERS.map((layer) =>
        entry('LAYER', HANDLE.layer, next(), 'AcDbLayerTableRecord', [
          [2, LAYER_NAMES[layer]],
          [70, 0],
          [62, LAYER_COLOURS[layer]],
          [6, 'Continuous'],
        ]),
      ),
    ]),
    ...table('STYLE', HANDLE.style, [
      entry('STYLE', HANDLE.style, next(), 'AcDbTextStyleTableRecord', [
        [2, 'Standard'],
        [70, 0],
        [40, 0],
        [41, 1],
        [50, 0],
        [71, 0],
        [42, 2.5],
        [3, 'txt'],
        [4, ''],
      ]),
    ]),
    ...table('VIEW', HANDLE.view, []),
    ...table('UCS', HANDLE.ucs, []),
    ...table('APPID', HANDLE.appid, [
      entry('APPID', HANDLE.appid, next(), 'AcDbRegAppTableRecord', [
        [2, 'ACAD'],
        [70, 0],
      ]),
    ]),
    ...table('DIMSTYLE', HANDLE.dimstyle, []),
    ...table('BLOCK_RECORD', HANDLE.blockRecord, [
      entry('BLOCK_RECORD', HANDLE.blockRecord, HANDLE.modelSpace, 'AcDbBlockTableRecord', [[2, '*Model_Space']]),
      entry('BLOCK_RECORD', HANDLE.blockRecord, HANDLE.paperSpace, 'AcDbBlockTableRecord', [[2, '*Paper_Space']]),
    ]),
    [0, 'ENDSEC'],
  ];
}

function block(owner: string, name: string, next: () => string): Group[] {
  return [
    [0, 'BLOCK'],
    [5, next()],
    [330, owner],
    [100, 'AcDbEntity'],
    [8, '0'],
    [100, 'AcDbBlockBegin'],
    [2, name],
    [70, 0],
    [10, 0],
    [20, 0],
    [30, 0],
    [3, name],
    [1, ''],
    [0, 'ENDBLK'],
    [5, next()],
    [330, owner],
    [100, 'AcDbEntity'],
    [8, '0'],
    [100, 'AcDbBlockEnd'],
  ];
}

function entityHead(kind: string, layer: Layer, next: () => string, dash?: 'dash' | 'chain'): Group[] {
  const lineTypeName = dash === 'dash' ? 'DASHED' : 'CHAIN';
  return [
    [0, kind],
    [5, next()],
    [330, HANDLE.modelSpace],
    [100, 'AcDbEntity'],
    [8, LAYER_NAMES[layer]],
    ...(dash ? ([[6, lineTypeName]] as const) : []),
  ];
}

const ALIGN = { start: 0, middle: 1, end: 2 } as const;

function entity(item: Primitive, next: () => string): Group[] {
  switch (item.kind) {
    case 'path':
      return [
        ...entityHead('LWPOLYLINE', item.layer, next, item.dash),
        [100, 'AcDbPolyline'],
        [90, item.outline.length],
        [70, item.open ? 0 : 1],
        ...item.outline.flatMap(([x, y, bulge]): Group[] => [
          [10, x],
          [20, y],
          [42, bulge],
        ]),
      ];
    case 'line':
      return [
        ...entityHead('LINE', item.layer, next, item.dash),
        [100, 'AcDbLine'],
        [10, item.from[0]],
        [20, item.from[1]],
        [30, 0],
        [11, item.to[0]],
        [21, item.to[1]],
        [31, 0],
      ];
    case 'text':
      return [
        ...entityHead('TEXT', item.layer, next),
        [100, 'AcDbText'],
        [10, item.at[0]],
        [20, item.at[1]],
        [30, 0],
        [40, item.size],
        [1, dxfText(item.text)],
        [72, ALIGN[item.anchor]],
        ...(item.anchor === 'start'
          ? []
          : ([
              [11, item.at[0]],
              [21, item.at[1]],
              [31, 0],
            ] as const)),
        [100, 'AcDbText'],
      ];
  }
}

function header(sheet: Sheet, seed: string): Group[] {
  return [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1015'],
    [9, '$HANDSEED'],
    [5, seed],
    [9, '$INSUNITS'],
    [70, 4],
    [9, '$MEASUREMENT'],
    [70, 1],
    [9, '$EXTMIN'],
    [10, 0],
    [20, 0],
    [30, 0],
    [9, '$EXTMAX'],
    [10, sheet.width],
    [20, sheet.height],
    [30, 0],
    [0, 'ENDSEC'],
  ];
}

function objects(): Group[] {
  return [
    [0, 'SECTION'],
    [2, 'OBJECTS'],
    [0, 'DICTIONARY'],
    [5, HANDLE.root],
    [330, '0'],
    [100, 'AcDbDictionary'],
    [281, 1],
    [3, 'ACAD_GROUP'],
    [350, HANDLE.groups],
    [0, 'DICTIONARY'],
    [5, HANDLE.groups],
    [330, HANDLE.root],
    [100, 'AcDbDictionary'],
    [281, 1],
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ];
}

/**
 * The sheet as a DXF file (R2000, mm): one closed LWPOLYLINE a part with its bulges on layer CUT; marks, leans and words
 * on layers of their own (docs/format.md).
 */
export function writeDxf(sheet: Sheet): string {
  const { next, seed } = handleMaker(FIRST_FREE);
  const box = { minX: 0, minY: 0, maxX: sheet.width, maxY: sheet.height };
  const body: Group[] = [
    ...tables(next, box),
    [0, 'SECTION'],
    [2, 'BLOCKS'],
    ...block(HANDLE.modelSpace, '*Model_Space', next),
    ...block(HANDLE.paperSpace, '*Paper_Space', next),
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...sheet.parts.flatMap((placed) => placed.drawing.flatMap((item) => entity(item, next))),
    [0, 'ENDSEC'],
    ...objects(),
  ];
  return groupLines([...header(sheet, seed()), ...body]);
}
