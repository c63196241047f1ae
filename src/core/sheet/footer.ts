import { rectangle } from '../outline/shapes.ts';
import { moved } from '../outline/outline.ts';
import { MM_PER_INCH } from '../numbers.ts';
import { isRolled, type Part } from '../part/part.ts';
import type { LengthStyle } from '../units/writeLength.ts';
import type { About } from './about.ts';
import type { Primitive } from './drawing.ts';
import { PAPER_MARGIN } from './paper.ts';
import { rollArrow } from './rollArrow.ts';
import { EDGE_WORDS, leanWords, sizeWords, titleWords } from './words.ts';

/** Length of the metric check ruler (mm). */
export const RULER_MM = 100;

/** Length of the inch check ruler (inches). */
export const RULER_INCHES = 4;

/** What stands at the foot of a page. */
export interface FooterOptions {
  readonly part: Part;
  readonly name: string;
  readonly style: LengthStyle;
  readonly about?: About;
  readonly column: number;
  readonly row: number;
  readonly grid: { readonly width: number; readonly columns: number; readonly rows: number };
}

function ruler(x: number, y: number, length: number, step: number, long: number): Primitive[] {
  const ticks = Math.round(length / step);
  const line = (from: readonly [number, number], to: readonly [number, number]): Primitive => ({
    kind: 'line',
    layer: 'mark',
    from,
    to,
  });
  return [
    line([x, y], [x + length, y]),
    ...Array.from({ length: ticks + 1 }, (_, tick) => {
      const height = tick % long === 0 ? 4 : 2;
      return line([x + tick * step, y], [x + tick * step, y + height]);
    }),
  ];
}

/** The little map of the part's pages, this one shaded, the first at the upper left as they are laid out. */
function pageMap({ grid, column, row }: FooterOptions): Primitive[] {
  const cellHeight = Math.min(5, 13 / grid.rows);
  const cellWidth = Math.min(7, 34 / grid.columns);
  const right = grid.width - PAPER_MARGIN;
  const x0 = right - grid.columns * cellWidth;
  const y0 = PAPER_MARGIN + 2;
  const cells: Primitive[] = [];
  for (let r = 0; r < grid.rows; r += 1) {
    for (let c = 0; c < grid.columns; c += 1) {
      const number = (grid.rows - 1 - r) * grid.columns + c + 1;
      const here = r === row && c === column;
      const x = x0 + c * cellWidth;
      const y = y0 + r * cellHeight;
      cells.push({
        kind: 'path',
        layer: 'mark',
        outline: moved(rectangle(cellWidth, cellHeight), x, y),
        ...(here && { fill: 'shade' as const }),
      });
      if (cellHeight >= 4 && cellWidth >= 4) {
        cells.push({
          kind: 'text',
          layer: 'text',
          at: [x + cellWidth / 2, y + cellHeight / 2 - 1],
          size: 2.6,
          text: String(number),
          anchor: 'middle',
          ...(here && { weight: 'bold' as const }),
        });
      }
    }
  }
  return cells;
}

/** Rulers, name, size, leans and page map at the foot of a page: everything that must not cross a join. */
export function footer(options: FooterOptions): Primitive[] {
  const { part, name, style, about, grid, row, column } = options;
  const x = PAPER_MARGIN;
  const y = PAPER_MARGIN;
  const total = grid.columns * grid.rows;
  const number = (grid.rows - 1 - row) * grid.columns + column + 1;
  const leans = part.leans.map((lean) => `${EDGE_WORDS[lean.edge]} ${leanWords(lean)}`).join(', ');
  const text = (at: readonly [number, number], size: number, words: string, weight?: 'bold'): Primitive => ({
    kind: 'text',
    layer: 'text',
    at,
    size,
    text: words,
    anchor: 'start',
    ...(weight && { weight }),
  });
  return [
    text([x, y + 37], 4, `${titleWords(part)} · ${sizeWords(part, style)}`, 'bold'),
    text([x, y + 32.5], 3, about?.whole ?? name, 'bold'),
    ...(about?.of(part) ?? []).map((words, index) => text([x, y + 28.5 - 3.6 * index], 2.7, words)),
    text([x, y + 17.5], 2.7, `${leans}. Page ${number} of ${total}.`),
    ...(!isRolled(part) ? [] : rollArrow(grid.width - PAPER_MARGIN - 52, y + 30)),
    ...ruler(x, y + 9, RULER_MM, 10, 5),
    text([x + RULER_MM + 2, y + 9], 2.8, '100 mm'),
    ...ruler(x, y + 1, RULER_INCHES * MM_PER_INCH, MM_PER_INCH / 2, 2),
    text([x + RULER_INCHES * MM_PER_INCH + 2, y + 1], 2.8, '4 inch'),
    text([x + RULER_MM + 16, y + 9], 2.6, 'Print at 100 %,'),
    text([x + RULER_MM + 16, y + 1], 2.6, 'then lay a ruler on both.'),
    ...pageMap(options),
  ];
}
