import { rectangle } from '../outline/shapes.ts';
import { moved, type Outline } from '../outline/outline.ts';
import type { SizeState, Target } from './target.ts';
import { firedPiece, wetPiece } from './wetPiece.ts';

/** The piece seen from the side, standing on y = 0 about x = 0 (mm). */
export interface Elevation {
  readonly outer: Outline;
  /** The hollow inside, as a section would show it. */
  readonly hollow: Outline;
  readonly width: number;
  readonly height: number;
}

/** Side elevation of a target in the wet or the fired state; the same scale for both, so they can be laid over one another. */
export function elevation(target: Target, state: SizeState): Elevation {
  const piece = state === 'wet' ? wetPiece(target) : firedPiece(target);
  return {
    outer: moved(rectangle(piece.outside, piece.height), -piece.outside / 2, 0),
    hollow: moved(rectangle(piece.inside, piece.height - piece.floor), -piece.inside / 2, piece.floor),
    width: piece.outside,
    height: piece.height,
  };
}
