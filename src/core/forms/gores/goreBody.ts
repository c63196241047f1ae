import { TAU } from '../../numbers.ts';
import type { Target } from '../../target/target.ts';
import { RULINGS, ring, rowsBetween, type Body, type StripWall } from '../kind/body.ts';
import { goreBase, goreWall } from './goreWall.ts';
import { stripOf } from './gores.ts';
import { lengthAlong } from './side.ts';

/** Rows of a strip from foot to rim for each ruling that a bent wall has once round. */
const ROWS_FOR_RULING = 1 / 5;

/** A piece of gores as it stands: strips anticlockwise, the first seam towards the x axis. */
export function goreBody(target: Target, rulings = RULINGS): Body {
  const { slab } = target;
  const strip = stripOf(target);
  const { side, neutral, from, to, strips } = strip;
  const count = Math.ceil(ROWS_FOR_RULING * rulings);
  const rows = Array.from({ length: count + 1 }, (_, row) => {
    const u = from + ((to - from) * row) / count;
    return { ...side.at(u, neutral), along: lengthAlong(side, neutral, { from, to: u }) };
  });
  const clear = rowsBetween(rows, { thickness: slab.wall, neutralFraction: slab.neutralFraction });
  const walls = Array.from({ length: strips }, (_, index): StripWall => ({
    kind: 'strip',
    part: 'gore',
    rows: clear,
    turn: (TAU * (index + 0.5)) / strips,
    sweep: TAU / strips,
    from: -Math.PI / strips,
    to: Math.PI / strips,
    footLean: strip.footLean,
    rimLean: strip.rimLean,
    thickness: slab.wall,
    neutralFraction: slab.neutralFraction,
    seam: strip.seam,
  }));
  const { disc } = goreBase(target);
  return {
    walls,
    base: disc && { under: ring(disc.under / 2), top: ring(disc.top / 2), thickness: slab.base },
    height: goreWall(target).height,
    faceUp: slab.faceUp,
  };
}
