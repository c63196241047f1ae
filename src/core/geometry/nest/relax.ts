import type { Overlaps, Piece, Strip } from './layout.ts';

/** The state of the descent. */
export interface Relaxing {
  readonly strip: Strip;
  readonly weights: Float64Array;
  readonly overlaps: Overlaps;
  readonly steps: number;
}

/** Overlaps shallower than this count as none (mm): the gap is kept larger by more than this. */
export const TOUCHING = 0.02;

/** Decay of the moments, and what keeps a piece at rest from a division by zero. */
const MOMENTUM = 0.8;
const SPREAD = 0.95;
const STILL = 1e-9;

/**
 * Pushes overlapping pieces apart in their slots: a descent with a step of its own for each piece, longer at first. Pieces
 * that may not turn freely keep their turn. Ends early when nothing overlaps.
 */
export function relax(start: readonly Piece[], { strip, weights, overlaps, steps }: Relaxing): Piece[] {
  const { push } = overlaps;
  const speed = new Float64Array(push.length);
  const size = new Float64Array(push.length);
  for (let step = 0; step <= steps; step += 1) {
    overlaps.all(strip, weights);
    if (overlaps.deepest <= TOUCHING || step === steps) break;
    const pace = Math.min(4, 0.25 + overlaps.deepest * 0.35) * (1 - (0.85 * step) / steps);
    for (let at = 0; at < 3 * start.length; at += 1) {
      const force = push[at] as number;
      speed[at] = MOMENTUM * (speed[at] as number) + (1 - MOMENTUM) * force;
      size[at] = SPREAD * (size[at] as number) + (1 - SPREAD) * force * force;
    }
    start.forEach(({ fixed, turns, shape }, slot) => {
      if (fixed) return;
      const at = 3 * slot;
      const travel = Math.sqrt((size[at] as number) + (size[at + 1] as number));
      const twist = Math.sqrt(size[at + 2] as number);
      const along = travel > STILL ? pace / travel : 0;
      const about =
        turns === 'any' && twist > STILL ? pace / shape.reach / Math.max(twist, travel * shape.reach * 0.3) : 0;
      if (along === 0 && about === 0) return;
      overlaps.move(slot, {
        dx: along * (speed[at] as number),
        dy: along * (speed[at + 1] as number),
        turned: about * (speed[at + 2] as number),
      });
    });
  }
  return start.map((piece, slot) => overlaps.asLaid(slot, piece));
}
