import { rectangle } from '../../geometry/outline/shapes.ts';
import { moved } from '../../geometry/outline/outline.ts';
import { MM_PER_INCH } from '../../numbers.ts';
import { isRolled, type Part } from '../../parts/part/part.ts';
import type { LengthStyle } from '../../units/writeLength.ts';
import type { About } from './about.ts';
import type { Primitive } from '../../studio/printer/drawing.ts';
import { isPrinted, isWhole, type PlannedPart } from './pagePlan.ts';
import { PAPER_MARGIN, type PaperName } from '../../studio/printer/paper.ts';
import { printerWords, type CheckedPrinter } from '../../studio/printer/printerCheck.ts';
import { rollArrow } from './rollArrow.ts';
import { checkedWords, EDGE_WORDS, leanWords, sizeWords, titleWords, type Checked } from './words.ts';

/** Length of the metric check ruler (mm). */
export const RULER_MM = 100;

/** Length of the inch check ruler (inches). */
export const RULER_INCHES = 4;

/** What stands at the foot of a page. */
export interface FooterOptions {
  readonly parts: readonly PlannedPart[];
  readonly name: string;
  readonly style: LengthStyle;
  readonly about?: About;
  readonly printer?: CheckedPrinter;
  readonly checked?: readonly Checked[];
  readonly paper: PaperName;
  /** Width of a roll that takes the place of sheets (mm). */
  readonly roll?: number;
  /** Width of the paper as it lies (mm), and which page of how many it is. */
  readonly width: number;
  readonly number: number;
  readonly total: number;
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

/** The little map of the first part's pages, this one shaded, those that are not printed left out. */
function pageMap({ parts: [first], width }: FooterOptions): Primitive[] {
  if (!first || isWhole(first.grid)) return [];
  const { grid, column, row } = first;
  const cellHeight = Math.min(5, 13 / grid.rows);
  const cellWidth = Math.min(7, 34 / grid.columns);
  const x0 = width - PAPER_MARGIN - grid.columns * cellWidth;
  const y0 = PAPER_MARGIN + 2;
  const cells: Primitive[] = [];
  for (let r = 0; r < grid.rows; r += 1) {
    for (let c = 0; c < grid.columns; c += 1) {
      if (!isPrinted(grid, c, r)) continue;
      const here = r === row && c === column;
      cells.push({
        kind: 'path',
        layer: 'mark',
        outline: moved(rectangle(cellWidth, cellHeight), x0 + c * cellWidth, y0 + r * cellHeight),
        ...(here && { fill: 'shade' as const }),
      });
    }
  }
  return cells;
}

const leansOf = ({ leans }: Part) => leans.map((lean) => `${EDGE_WORDS[lean.edge]} ${leanWords(lean)}`).join(', ');

/** Lines at the foot of a page of one part: large, with all that is told of it. */
function linesOfOne(part: Part, { name, style, about, number, total }: FooterOptions, text: Text): Primitive[] {
  return [
    text(37, 4, `${titleWords(part)} · ${sizeWords(part, style)}`, 'bold'),
    text(32.5, 3, about?.whole ?? name, 'bold'),
    ...(about?.of(part) ?? []).map((words, index) => text(28.5 - 3.6 * index, 2.7, words)),
    text(17.5, 2.7, `${leansOf(part)}. Page ${number} of ${total}.`),
  ];
}

/** Lines at the foot of a page of several parts: a line with its size and leans for each, and what is told of it. */
function linesOfSeveral({ parts, name, style, about, number, total }: FooterOptions, text: Text): Primitive[] {
  const rows = parts.flatMap(({ part }): (readonly [words: string, weight?: 'bold'])[] => [
    [`${titleWords(part)} · ${sizeWords(part, style)}${part.leans.length > 0 ? ` · ${leansOf(part)}` : ''}`, 'bold'],
    ...(about?.of(part) ?? []).map((words) => [words] as const),
  ]);
  return [
    text(38, 3, `${about?.whole ?? name} · page ${number} of ${total}`, 'bold'),
    ...rows.map(([words, weight], index) => text(34 - 3.4 * index, 2.6, words, weight)),
  ];
}

/** What was measured of the parts on this page, as far as there is room between the words beside the rulers. */
function checkedRows({ parts, checked = [] }: FooterOptions): string[] {
  const rows = checked.filter(({ id }) => parts.some(({ part }) => part.id === id));
  const [first] = rows;
  if (!first) return [];
  if (rows.length === 1) return [checkedWords(first)];
  return [
    `Checked in this file: ${rows.length} parts, off by ${Math.max(...rows.map(({ off }) => off)).toFixed(2)} mm.`,
  ];
}

type Text = (up: number, size: number, words: string, weight?: 'bold') => Primitive;

/** Rulers, name, size, leans and page map at the foot of a page: everything that must not cross a join. */
export function footer(options: FooterOptions): Primitive[] {
  const { parts, width, printer, paper, roll } = options;
  const [x, y] = [PAPER_MARGIN, PAPER_MARGIN];
  const at = (left: number, up: number, size: number, words: string, weight?: 'bold'): Primitive => ({
    kind: 'text',
    layer: 'text',
    at: [left, y + up],
    size,
    text: words,
    anchor: 'start',
    ...(weight && { weight }),
  });
  const text: Text = (up, size, words, weight) => at(x, up, size, words, weight);
  const [first] = parts;
  return [
    ...(first && parts.length === 1 ? linesOfOne(first.part, options, text) : linesOfSeveral(options, text)),
    ...(parts.some(({ part }) => isRolled(part)) ? rollArrow(width - PAPER_MARGIN - 52, y + 14) : []),
    ...ruler(x, y + 9, RULER_MM, 10, 5),
    at(x + RULER_MM + 2, 9, 2.8, '100 mm'),
    ...ruler(x, y + 1, RULER_INCHES * MM_PER_INCH, MM_PER_INCH / 2, 2),
    at(x + RULER_INCHES * MM_PER_INCH + 2, 1, 2.8, '4 inch'),
    ...checkedRows(options).map((words, index) => at(x + RULER_MM + 16, 6.2 - 2.4 * index, 2, words)),
    ...(printer ? [at(x, 14.2, 2.6, printerWords(printer, roll === undefined ? paper : 'roll'), 'bold')] : []),
    at(x + RULER_MM + 16, 9, 2.6, 'Print at 100 %,'),
    at(x + RULER_MM + 16, 1, 2.6, 'then lay a ruler on both.'),
    ...pageMap(options),
  ];
}
