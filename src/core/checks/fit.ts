import type { Fit } from '../piece/target.ts';
import type { Reach } from '../piece/standing.ts';
import type { Check } from './check.ts';

/** The finished piece against its rack hole and its shelf: silhouettes and height, fired mm. */
export interface FiredPiece {
  /** The outside from below: height, and how far it reaches to the left and right. */
  readonly outer: readonly Reach[];
  readonly height: number;
}

/** Height at which a piece that widens upward stops in a hole of a diameter, or null where it drops through or does not enter. */
export function stopsAt({ outer }: FiredPiece, hole: number): number | null {
  for (const [index, [z1, l1, r1]] of outer.entries()) {
    const [z0, l0, r0] = outer[index - 1] ?? [z1, l1, r1];
    const [low, high] = [r0 - l0, r1 - l1];
    if (low <= hole && high > hole) return z0 + ((hole - low) / (high - low)) * (z1 - z0);
  }
  return null;
}

function checkHole(piece: FiredPiece, hole: number, clearance: number): Check {
  const widest = Math.max(...piece.outer.map(([, left, right]) => right - left));
  const [foot] = piece.outer;
  const footWide = foot ? foot[2] - foot[1] : widest;
  const code = 'rack-hole';
  if (widest + clearance <= hole) {
    const phrase = ['Fired it is ', { mm: widest }, ' wide and clears the hole of ', { mm: hole }, ' by ', { mm: hole - widest }, '.'] as const; // prettier-ignore
    return { code, level: 'note', title: 'Drops into the rack hole', phrase };
  }
  const stop = stopsAt(piece, hole);
  if (footWide + clearance <= hole && stop !== null) {
    return {
      code,
      level: 'note',
      title: 'Hangs in the rack hole',
      phrase: ['It stops ', { mm: stop }, ' over its foot, where it is as wide as the hole of ', { mm: hole }, '.'],
    };
  }
  return {
    code,
    level: 'stop',
    title: 'Too wide for the rack hole',
    phrase: [
      'Fired it is ',
      { mm: widest },
      ' wide; a hole of ',
      { mm: hole },
      ' with ',
      { mm: clearance },
      ' to spare takes ',
      { mm: hole - clearance },
      '. Make it narrower.',
    ],
  };
}

function checkShelf({ height }: FiredPiece, shelf: number, clearance: number): Check {
  const spare = shelf - height;
  if (spare >= clearance) {
    const phrase = ['Fired it is ', { mm: height }, ' high, and ', { mm: spare }, ' stays free above it.'] as const;
    return { code: 'shelf', level: 'note', title: 'Stands under the shelf', phrase };
  }
  return {
    code: 'shelf',
    level: 'stop',
    title: 'Too high for the shelf',
    phrase: ['Fired it is ', { mm: height }, ' high; ', { mm: shelf }, ' with ', { mm: clearance }, ' to spare takes ', { mm: shelf - clearance }, '.'], // prettier-ignore
  };
}

/** Whether the finished piece fits what it was made for (fired mm). */
export function checkFit(piece: FiredPiece, fit: Fit | undefined): Check[] {
  if (!fit) return [];
  return [
    ...(fit.hole === undefined ? [] : [checkHole(piece, fit.hole, fit.clearance)]),
    ...(fit.shelf === undefined ? [] : [checkShelf(piece, fit.shelf, fit.clearance)]),
  ];
}
