import { firedLength, wetLength } from '../clay/shrinkage.ts';
import type { Target } from './target.ts';

/** The standing piece as it is just made. Wet mm. */
export interface WetPiece {
  readonly outside: number;
  readonly inside: number;
  readonly height: number;
  /** Height of the inner floor above the table; 0 for a tube without a base. */
  readonly floor: number;
}

/** A size of the target as a wet length: fired sizes are divided by `1 - s`, wet ones are kept. */
export function toWet(size: number, target: Target): number {
  return target.size.state === 'fired' ? wetLength(size, target.clay.shrinkage) : size;
}

/** The wet piece that a target asks for. The slab's thickness is set wet and never scaled by shrinkage on the way in. */
export function wetPiece(target: Target): WetPiece {
  const across = toWet(target.form.diameter, target);
  const outside = target.size.face === 'outside' ? across : across + 2 * target.slab.wall;
  return {
    outside,
    inside: outside - 2 * target.slab.wall,
    height: toWet(target.form.height, target),
    floor: target.base.join === 'none' ? 0 : target.slab.base,
  };
}

/** The same piece after firing (mm). */
export function firedPiece(target: Target): WetPiece {
  const wet = wetPiece(target);
  const s = target.clay.shrinkage;
  return {
    outside: firedLength(wet.outside, s),
    inside: firedLength(wet.inside, s),
    height: firedLength(wet.height, s),
    floor: firedLength(wet.floor, s),
  };
}
