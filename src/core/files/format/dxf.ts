import type { Layer, Primitive } from '../../studio/printer/drawing.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { dxfTables, HANDLE, LAYERS } from './dxfTables.ts';
import { dxfText, groupLines, handleMaker, type Group } from './dxfText.ts';

/** Handles of entities count up from here; those below are fixed. */
const FIRST_FREE = 0x30;

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

function entityHead(
  kind: string,
  layer: Layer,
  { next, dash }: { readonly next: () => string; readonly dash?: 'dash' | 'chain' },
): Group[] {
  const lineTypeName = dash === 'dash' ? 'DASHED' : 'CHAIN';
  return [
    [0, kind],
    [5, next()],
    [330, HANDLE.modelSpace],
    [100, 'AcDbEntity'],
    [8, LAYERS[layer].name],
    ...(dash ? ([[6, lineTypeName]] as const) : []),
  ];
}

const ALIGN = { start: 0, middle: 1, end: 2 } as const;

function entity(item: Primitive, next: () => string): Group[] {
  switch (item.kind) {
    case 'path':
      return [
        ...entityHead('LWPOLYLINE', item.layer, { next, dash: item.dash }),
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
        ...entityHead('LINE', item.layer, { next, dash: item.dash }),
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
        ...entityHead('TEXT', item.layer, { next }),
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
  const body: Group[] = [
    ...dxfTables(sheet, next),
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
