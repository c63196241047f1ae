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

function ruler(
  x: number,
  y: number,
  { length, step, long }: { readonly length: number; readonly step: number; readonly long: number },
): Primitive[] {
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
    text(37, { words: `${titleWords(part)} · ${sizeWords(part, style)}`, size: 4, weight: 'bold' }),
    text(32.5, { words: about?.whole ?? name, size: 3, weight: 'bold' }),
    ...(about?.of(part) ?? []).map((words, index) => text(28.5 - 3.6 * index, { words, size: 2.7 })),
    text(17.5, { words: `${leansOf(part)}. Page ${number} of ${total}.`, size: 2.7 }),
  ];
}

/** Lines at the foot of a page of several parts: a line with its size and leans for each, and what is told of it. */
function linesOfSeveral({ parts, name, style, about, number, total }: FooterOptions, text: Text): Primitive[] {
  const rows = parts.flatMap(({ part }): (readonly [words: string, weight?: 'bold'])[] => [
    [`${titleWords(part)} · ${sizeWords(part, style)}${part.leans.length > 0 ? ` · ${leansOf(part)}` : ''}`, 'bold'],
    ...(about?.of(part) ?? []).map((words) => [words] as const),
  ]);
  return [
    text(38, { words: `${about?.whole ?? name} · page ${number} of ${total}`, size: 3, weight: 'bold' }),
    ...rows.map(([words, weight], index) => text(34 - 3.4 * index, { words, size: 2.6, weight })),
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

/** Words of the footer: their size (mm), and whether they are bold. */
interface FooterWords {
  readonly words: string;
  readonly size: number;
  readonly weight?: 'bold';
}

/** Writes words at the left edge, so far up (mm). */
type Text = (up: number, words: FooterWords) => Primitive;

/** Rulers, name, size, leans and page map at the foot of a page: everything that must not cross a join. */
export function footer(options: FooterOptions): Primitive[] {
  const { parts, width, printer, paper, roll } = options;
  const [x, y] = [PAPER_MARGIN, PAPER_MARGIN];
  const at = (left: number, up: number, { words, size, weight }: FooterWords): Primitive => ({
    kind: 'text',
    layer: 'text',
    at: [left, y + up],
    size,
    text: words,
    anchor: 'start',
    ...(weight && { weight }),
  });
  const text: Text = (up, words) => at(x, up, words);
  const [first] = parts;
  return [
    ...(first && parts.length === 1 ? linesOfOne(first.part, options, text) : linesOfSeveral(options, text)),
    ...(parts.some(({ part }) => isRolled(part)) ? rollArrow(width - PAPER_MARGIN - 52, y + 14) : []),
    ...ruler(x, y + 9, { length: RULER_MM, step: 10, long: 5 }),
    at(x + RULER_MM + 2, 9, { words: '100 mm', size: 2.8 }),
    ...ruler(x, y + 1, { length: RULER_INCHES * MM_PER_INCH, step: MM_PER_INCH / 2, long: 2 }),
    at(x + RULER_INCHES * MM_PER_INCH + 2, 1, { words: '4 inch', size: 2.8 }),
    ...checkedRows(options).map((words, index) => at(x + RULER_MM + 16, 6.2 - 2.4 * index, { words, size: 2 })),
    ...(printer
      ? [at(x, 14.2, { words: printerWords(printer, roll === undefined ? paper : 'roll'), size: 2.6, weight: 'bold' })]
      : []),
    at(x + RULER_MM + 16, 9, { words: 'Print at 100 %,', size: 2.6 }),
    at(x + RULER_MM + 16, 1, { words: 'then lay a ruler on both.', size: 2.6 }),
    ...pageMap(options),
  ];
}
