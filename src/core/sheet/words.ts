import { bounds } from '../outline/outline.ts';
import type { Lean } from '../part/lean.ts';
import type { Part } from '../part/part.ts';
import { writeFigure, writeLength, type LengthStyle } from '../units/writeLength.ts';

/** The edge's name as the potter says it. */
export const EDGE_WORDS: Readonly<Record<Lean['edge'], string>> = {
  rim: 'rim',
  foot: 'foot',
  left: 'left end',
  right: 'right end',
  side: 'sides',
  round: 'edge',
};

/** The lean in its fixed words: `straight down`, `spread 45.0°`, `tuck 26.6°`. */
export function leanWords(lean: Lean): string {
  return lean.word === 'straight down'
    ? lean.word
    : `${lean.word} ${Math.abs(lean.lean).toFixed(1).replace(/\.0$/, '')}°`;
}

/** The part's size over its traced line: `281.0 × 119.0 mm`, or `95.5 mm across` for a disc. */
export function sizeWords(part: Part, style: LengthStyle): string {
  const box = bounds(part.outline);
  const round = part.leans.length === 1 && part.leans[0]?.edge === 'round';
  if (round) return `${writeLength(box.maxX - box.minX, style)} across`;
  return `${writeFigure(box.maxX - box.minX, style)} × ${writeLength(box.maxY - box.minY, style)}`;
}

/** Name, how many to cut, and which face lies up: `Wall, cut 1, inside face up`. */
export function titleWords(part: Part): string {
  return `${part.name}, cut ${part.count}, ${part.faceUp} face up`;
}
