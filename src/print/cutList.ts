import Papa from 'papaparse';
import { bounds } from '../core/geometry/outline/outline.ts';
import { slabBox, type Part } from '../core/parts/part/part.ts';
import { leanWords } from '../core/files/sheet/words.ts';

/** Figures of a cut list are read by other programs: mm and ml, three places, a point. */
const figure = (value: number): string => String(Math.round(1000 * value) / 1000);

/** The parts of pieces as a table: what is cut, how many of each, of which slab. Sizes are those of the cut line, wet. */
export function writeCutList(pieces: readonly { readonly name: string; readonly parts: readonly Part[] }[]): string {
  const rows = pieces.flatMap(({ name, parts }) =>
    parts
      .filter(({ role }) => role !== 'paper')
      .map((part) => {
        const { minX, maxX, minY, maxY } = bounds(part.outline);
        const slab = slabBox(part);
        return {
          piece: name,
          part: part.name,
          count: part.count,
          'thickness mm': figure(part.thickness),
          'length mm': figure(maxX - minX),
          'width mm': figure(maxY - minY),
          'slab length mm': figure(slab.length),
          'slab width mm': figure(slab.width),
          'volume ml': figure(part.volume / 1000),
          'face up': part.faceUp,
          leans: [...new Set(part.leans.map((lean) => `${lean.edge}: ${leanWords(lean)}`))].join('; '),
          holes: part.holes?.length ?? 0,
        };
      }),
  );
  return `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
