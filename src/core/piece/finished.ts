import { FIRED_MASS_FRACTION } from '../clay/shrinkage.ts';
import type { Part } from '../part/part.ts';
import type { Target } from './target.ts';
import { firedPiece } from './wetPiece.ts';

/** What the piece will be. Volume in ml, masses in g, lengths fired mm. */
export interface Finished {
  /** Brim capacity at fired size (ml); 0 for a tube without a base, which holds nothing. */
  readonly capacityBrim: number;
  /** Mass of the parts as cut, and an estimate of the fired piece. */
  readonly mass: { readonly wet: number; readonly fired: number };
  readonly outside: number;
  readonly inside: number;
  readonly height: number;
}

/** Capacity from the inner faces at fired size; mass from the volume of the flat parts times wet density. */
export function finished(target: Target, parts: readonly Part[]): Finished {
  const piece = firedPiece(target);
  const holds = target.base.join === 'none' ? 0 : (Math.PI / 4) * piece.inside ** 2 * (piece.height - piece.floor);
  const volume = parts.reduce((sum, part) => sum + part.count * part.volume, 0);
  const wet = (volume / 1000) * target.clay.wetDensity;
  return {
    capacityBrim: holds / 1000,
    mass: { wet, fired: wet * FIRED_MASS_FRACTION },
    outside: piece.outside,
    inside: piece.inside,
    height: piece.height,
  };
}
