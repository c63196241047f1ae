import { bounds, edges, type Outline } from '../../geometry/outline/outline.ts';
import type { Lean } from '../../parts/part/lean.ts';
import type { Part } from '../../parts/part/part.ts';
import { writeFigure, writeLength, type LengthStyle } from '../../units/writeLength.ts';

/** The edge's name as the potter says it. */
export const EDGE_WORDS: Readonly<Record<Lean['edge'], string>> = {
  rim: 'rim',
  foot: 'foot',
  left: 'left end',
  right: 'right end',
  side: 'sides',
  round: 'edge',
  'dart-left': 'dart, left side',
  'dart-right': 'dart, right side',
};

/** Leans along an edge that differ by less are written as one (degrees): no hand can cut the difference. */
const ONE_LEAN = 1;

const degreesText = (lean: number) => Math.abs(lean).toFixed(1).replace(/\.0$/, '');

/** The lean in its fixed words: `straight down`, `spread 45°`, `tuck 4.5 to 26.6°`, `tuck 3 to spread 8°`. */
export function leanWords(lean: Lean): string {
  if (lean.word === 'straight down') return lean.word;
  const { least = lean.lean, greatest = lean.lean } = lean;
  if (greatest - least < ONE_LEAN) return `${lean.word} ${degreesText(lean.lean)}°`;
  if (least < 0 && greatest > 0) return `tuck ${degreesText(least)} to spread ${degreesText(greatest)}°`;
  const [small, large] = lean.lean < 0 ? [greatest, least] : [least, greatest];
  return `${lean.word} ${degreesText(small)} to ${degreesText(large)}°`;
}

/** An outline whose edges are arcs of one circle. */
function isCircle(outline: Outline): boolean {
  const all = edges(outline);
  const radius = all[0]?.radius ?? Infinity;
  return radius < Infinity && all.every((edge) => Math.abs(edge.radius - radius) < ROUND_WITHIN);
}

/** Arcs whose radii differ by less are of one circle (mm). */
const ROUND_WITHIN = 0.01;

/** The part's size over its traced line: `281.0 × 119.0 mm`, or `95.5 mm across` for a disc. */
export function sizeWords(part: Part, style: LengthStyle): string {
  const box = bounds(part.outline);
  const round = part.leans.length === 1 && part.leans[0]?.edge === 'round' && isCircle(part.outline);
  if (round) return `${writeLength(box.maxX - box.minX, style)} across`;
  return `${writeFigure(box.maxX - box.minX, style)} × ${writeLength(box.maxY - box.minY, style)}`;
}

/** Name, how many to cut, and which face lies up: `Wall, cut 1, inside face up`. */
export function titleWords(part: Part): string {
  if (part.role === 'paper') return `${part.name}, cut ${part.count}`;
  return `${part.name}, cut ${part.count}, ${part.faceUp} face up`;
}

/** What a part's lines measure in a file that was read back: the box of its outline, and how far the worst of its lines is off (mm). */
export interface Checked {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly off: number;
}

/** `Checked: 281.03 × 119.00 mm in this file, off by 0.00.` Always in mm: a hundredth is what is told. */
export function checkedWords({ width, height, off }: Checked): string {
  return `Checked: ${width.toFixed(2)} × ${height.toFixed(2)} mm in this file, off by ${off.toFixed(2)}.`;
}
