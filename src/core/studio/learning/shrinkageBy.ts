import { shrinkageFigure, type ShrinkageFigure } from '../clay/bars.ts';
import { LENGTHS, sizeOf, type MadePiece } from './madePiece.ts';

/** What shrinkages are grouped by. */
export const SHRUNK_BY = ['firing', 'place'] as const;

/** A property by which shrinkages are grouped. */
export type ShrunkBy = (typeof SHRUNK_BY)[number];

/** Pieces of one firing, or of one place in the kiln, and how much they shrank (fractions, one figure a piece). */
export interface ShrunkRow {
  readonly value: string;
  readonly figure: ShrinkageFigure;
}

/** A piece's own shrinkage: the median of its sizes, which resists a slip in one of them; null where none was measured twice. */
function shrinkageOf(piece: MadePiece): number | null {
  const shares = LENGTHS.flatMap((what) => {
    const [wet, fired] = [sizeOf(piece, what, 'wet'), sizeOf(piece, what, 'fired')];
    return wet === null || fired === null ? [] : [1 - fired / wet];
  }).sort((one, other) => one - other);
  const half = shares.length / 2;
  return shares.length === 0 ? null : ((shares[Math.ceil(half) - 1] ?? 0) + (shares[Math.floor(half)] ?? 0)) / 2;
}

/** Shrinkage of a clay's pieces by firing, or by shelf over all firings; what was not written down is left out. */
export function shrinkageBy(pieces: readonly MadePiece[], by: ShrunkBy): ShrunkRow[] {
  const rows = new Map<string, number[]>();
  for (const piece of pieces) {
    const [value, share] = [by === 'firing' ? piece.firing?.name : piece.firing?.shelf, shrinkageOf(piece)];
    if (!value || share === null) continue;
    rows.set(value, [...(rows.get(value) ?? []), share]);
  }
  return [...rows].flatMap(([value, shares]): ShrunkRow[] => {
    const figure = shrinkageFigure(shares);
    return figure ? [{ value, figure }] : [];
  });
}
