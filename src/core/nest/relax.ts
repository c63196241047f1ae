import type { Overlaps, Piece, Strip } from './layout.ts';

/** What pieces are pushed apart with. */
export interface Relaxing {
  readonly strip: Strip;
  readonly weights: Float64Array;
  readonly overlaps: Overlaps;
  readonly steps: number;
}

/** Overlaps shallower than this are none (mm): the gap is kept a little larger than asked, so nothing is lost by it. */
export const TOUCHING = 0.02;

/** First-order moments: how fast they forget, and what keeps a still piece from a division by nothing. */
const MOMENTUM = 0.8;
const SPREAD = 0.95;
const STILL = 1e-9;

/**
 * Pushes overlapping pieces apart: a descent with a step for each piece that follows its own pushes, longer at first. Pieces
 * that may not turn freely keep their turn. Ends early when nothing overlaps.
 */
export function relax(start: readonly Piece[], { strip, weights, overlaps, steps }: Relaxing): Piece[] {
  let pieces = [...start];
  const { push } = overlaps;
  const speed = new Float64Array(push.length);
  const size = new Float64Array(push.length);
  for (let step = 0; step < steps; step += 1) {
    overlaps.all(pieces, strip, weights);
    if (overlaps.deepest <= TOUCHING) return pieces;
    const pace = Math.min(4, 0.25 + overlaps.deepest * 0.35) * (1 - (0.85 * step) / steps);
    pieces = pieces.map((piece, index) => {
      if (piece.fixed) return piece;
      const go = [0, 0, 0];
      for (let axis = 0; axis < 3; axis += 1) {
        const at = 3 * index + axis;
        const force = push[at] as number;
        speed[at] = MOMENTUM * (speed[at] as number) + (1 - MOMENTUM) * force;
        size[at] = SPREAD * (size[at] as number) + (1 - SPREAD) * force * force;
      }
      const travel = Math.sqrt((size[3 * index] as number) + (size[3 * index + 1] as number));
      if (travel > STILL) {
        go[0] = (pace * (speed[3 * index] as number)) / travel;
        go[1] = (pace * (speed[3 * index + 1] as number)) / travel;
      }
      const twist = Math.sqrt(size[3 * index + 2] as number);
      if (piece.turns === 'any' && twist > STILL) {
        go[2] =
          ((pace / piece.shape.reach) * (speed[3 * index + 2] as number)) /
          Math.max(twist, travel * piece.shape.reach * 0.3);
      }
      if (go[0] === 0 && go[1] === 0 && go[2] === 0) return piece;
      return { ...piece, x: piece.x + (go[0] ?? 0), y: piece.y + (go[1] ?? 0), turn: piece.turn + (go[2] ?? 0) };
    });
  }
  overlaps.all(pieces, strip, weights);
  return pieces;
}
