import { Overlaps, type Piece, type Strip } from './layout.ts';
import { endOf, firstLayout, nestedOf, piecesOf, type Nested, type NestJob, type NestPart } from './nestJob.ts';
import { distanceTo } from './nestShape.ts';
import { relax, TOUCHING } from './relax.ts';
import { boxAt, skyline } from './skyline.ts';

/** Randomness and time are given from outside, so that core is deterministic. */
export interface NestRun {
  /** Numbers from 0 to 1. */
  readonly random: () => number;
  /** Whether there is time left. */
  readonly going: () => boolean;
  /** Called with every better layout. */
  readonly better?: (nested: Nested) => void;
}

/** The gap is kept larger by this while nesting (mm), for arcs that bow between points and overlaps that count as none. */
const SPARE = 0.13;

/** The search: share of the slab cut off per try, rounds per try, steps per round, poses tried per piece. */
const SEARCH = { shrink: 0.012, least: 0.0015, rounds: 28, steps: 60, poses: 90, moved: 3 } as const;

/** How the weights of pairs change after a round: those that still overlap grow, the others shrink. */
const WEIGHTS = { grow: 0.9, shrink: 0.93, most: 60 } as const;

/** Pieces further apart than this are not tested (mm): more than any gap. */
const FAR = 600;

/** Turns in which a piece may be laid. */
function anyTurn(piece: Piece, random: () => number): number {
  if (piece.turns === 'none') return 0;
  return piece.turns === 'half' ? Math.PI * Math.floor(2 * random()) : 2 * Math.PI * random();
}

/** The state of the search. */
interface Search {
  readonly strip: Strip;
  readonly weights: Float64Array;
  readonly overlaps: Overlaps;
  readonly random: () => number;
}

/** Moves one piece to the best of many random poses, some of them near the best so far, if that is better. */
function resettle(pieces: readonly Piece[], index: number, { strip, weights, overlaps, random }: Search): Piece[] {
  const piece = pieces[index] as Piece;
  if (piece.fixed) return [...pieces];
  let best = piece;
  let least = overlaps.tried(index, piece, { strip, weights });
  for (let tried = 0; tried < SEARCH.poses && least > 0; tried += 1) {
    const near = tried > SEARCH.poses / 2 || tried % 3 === 2;
    const turn = near ? nearTurn(best, random) : anyTurn(piece, random);
    const far = 0.4 * piece.shape.reach;
    const moved = near
      ? { ...piece, x: best.x + (random() - 0.5) * far, y: best.y + (random() - 0.5) * far, turn }
      : anywhere(piece, { turn, strip, random });
    const energy = overlaps.tried(index, moved, { strip, weights, enough: least });
    if (energy < least) {
      least = energy;
      best = moved;
    }
  }
  overlaps.lay(index, best);
  return best === piece ? [...pieces] : pieces.map((one, at) => (at === index ? best : one));
}

/** A piece at a turn, at a random place where its box is on the slab. */
function anywhere(
  piece: Piece,
  { turn, strip, random }: { readonly turn: number; readonly strip: Strip; readonly random: () => number },
): Piece {
  const { minX, minY, maxX, maxY } = boxAt(piece.shape, turn);
  const within = (low: number, high: number) => (high > low ? low + random() * (high - low) : (low + high) / 2);
  return { ...piece, x: within(-minX, strip.width - maxX), y: within(-minY, strip.length - maxY), turn };
}

function nearTurn(piece: Piece, random: () => number): number {
  return piece.turns === 'any' ? piece.turn + (random() - 0.5) * 0.5 : piece.turn;
}

/** Weights of the pairs after a round: the deepest overlaps weigh more. */
function reweighed(weights: Float64Array, overlaps: Overlaps): void {
  const most = overlaps.pairs.reduce((largest, one) => Math.max(largest, one), 0);
  for (let at = 0; at < weights.length; at += 1) {
    const energy = overlaps.pairs[at] as number;
    const weight = weights[at] as number;
    weights[at] =
      energy > 0 && most > 0
        ? Math.min(WEIGHTS.most, weight * (1.05 + WEIGHTS.grow * (energy / most)))
        : Math.max(1, weight * WEIGHTS.shrink);
  }
}

/** Tries to remove all overlaps from a start on a shorter slab; null when that fails in time. */
function separated(
  start: readonly Piece[],
  strip: Strip,
  { run, rounds }: { readonly run: NestRun; readonly rounds: number },
): Piece[] | null {
  const count = start.length;
  const overlaps = new Overlaps(start, strip.gap);
  const weights = new Float64Array(count * count).fill(1);
  let pieces = [...start];
  for (let round = 0; round < rounds && run.going(); round += 1) {
    pieces = relax(pieces, { strip, weights, overlaps, steps: SEARCH.steps });
    if (overlaps.deepest <= TOUCHING) return pieces;
    reweighed(weights, overlaps);
    const burden = pieces.map((_, index) => {
      let sum = overlaps.edges[index] as number;
      for (let other = 0; other < count; other += 1) {
        sum +=
          (overlaps.pairs[Math.min(index, other) * count + Math.max(index, other)] as number) *
          (index === other ? 0 : 1);
      }
      return { index, sum };
    });
    const worst = burden.filter(({ sum }) => sum > 0).sort((one, other) => other.sum - one.sum);
    for (let moved = 0; moved < SEARCH.moved && worst.length > 0; moved += 1) {
      const pick = Math.floor(sooner(run.random) * worst.length);
      const [{ index } = { index: 0 }] = worst.splice(pick, 1);
      pieces = resettle(pieces, index, { strip, weights, overlaps, random: run.random });
    }
  }
  return null;
}

/** A random share from 0 to 1 that favours the start of a list. */
function sooner(random: () => number): number {
  return random() * random();
}

/** Least distance between two pieces (mm), checked once more before a layout is returned. */
function clearance(pieces: readonly Piece[]): number {
  let least = Infinity;
  const found = { value: 0, gx: 0, gy: 0 };
  for (const a of pieces) {
    const [ca, sa] = [Math.cos(a.turn), Math.sin(a.turn)];
    const { probes, round } = a.shape;
    for (const b of pieces) {
      if (a === b || Math.hypot(a.x - b.x, a.y - b.y) > a.shape.reach + b.shape.reach + FAR) continue;
      const [cb, sb] = [Math.cos(b.turn), Math.sin(b.turn)];
      for (let at = 0; at < probes.length; at += 2) {
        const [px, py] = [probes[at] as number, probes[at + 1] as number];
        const [x, y] = [ca * px - sa * py + a.x - b.x, sa * px + ca * py + a.y - b.y];
        distanceTo(b.shape, [cb * x + sb * y, cb * y - sb * x], found);
        if (found.value - round < least) least = found.value - round;
      }
    }
  }
  return least;
}

/** Whether the box of a part fits a slab of a width at an allowed turn. */
export function skylineFits(part: NestPart, width: number): boolean {
  return skyline(piecesOf({ width, gap: 0, parts: [{ ...part, count: 1 }] }), width, 0) !== null;
}

/**
 * Lays parts on the shortest slab found in the time given. It starts from a skyline of bounding boxes and is never longer
 * than that; then it shortens the slab a little, pushes overlaps apart, lifts what still overlaps to another place, and
 * starts again from the best layout. Null when a part is wider than the slab.
 */
export function nest(job: NestJob, run: NestRun): Nested | null {
  const start = firstLayout(job);
  if (!start) return null;
  let best = start.pieces;
  let nested = nestedOf(job, best);
  run.better?.(nested);
  const still = endOf(best.filter((piece) => piece.fixed)) + (best.some((piece) => piece.fixed) ? SPARE : 0);
  if (best.length < 2 || best.every((piece) => piece.fixed)) return nested;
  let from = best;
  let length = start.used;
  let shrink: number = SEARCH.shrink * 3;
  let failed = 0;
  // The slab cannot end before the fixed pieces do.
  while (run.going() && length > still) {
    const strip: Strip = { width: job.width, length: Math.max(still, length * (1 - shrink)), gap: job.gap + SPARE };
    const squeezed = from.map((piece) => (piece.fixed ? piece : { ...piece, y: piece.y * (1 - shrink) }));
    const found = separated(squeezed, strip, { run, rounds: SEARCH.rounds });
    if (found && clearance(found) >= job.gap + TOUCHING) {
      failed = 0;
      best = found;
      from = found;
      length = Math.min(strip.length, endOf(found));
      nested = nestedOf(job, best);
      run.better?.(nested);
    } else {
      shrink = Math.max(SEARCH.least, shrink * 0.6);
      // Restart from the best with some pieces swapped, or now and then from a random layout.
      failed += 1;
      from = failed % 3 === 0 ? scattered(best, strip, run.random) : disturbed(best, run.random, failed % 3);
      if (shrink <= SEARCH.least) shrink = SEARCH.shrink;
    }
  }
  return nested;
}

/** Swaps some pieces and turns others; the larger `much` is, the more. */
function disturbed(pieces: readonly Piece[], random: () => number, much: number): Piece[] {
  const pick = () => Math.floor(random() * pieces.length);
  const next = [...pieces];
  for (let times = 0; times < 1 + Math.floor(random() * 3 * much); times += 1) {
    const [i, j] = [pick(), pick()];
    const [a, b] = [next[i] as Piece, next[j] as Piece];
    if (a.fixed || b.fixed) continue;
    const about = a.turns !== 'none' && random() < 0.5 ? Math.PI : 0;
    next[i] = { ...a, x: b.x, y: b.y, turn: a.turn + about };
    next[j] = { ...b, x: a.x, y: a.y };
  }
  return next;
}

/** All free pieces at random places and allowed turns. */
function scattered(pieces: readonly Piece[], strip: Strip, random: () => number): Piece[] {
  return pieces.map((piece) =>
    piece.fixed
      ? piece
      : {
          ...piece,
          x: strip.width * (0.15 + 0.7 * random()),
          y: strip.length * random(),
          turn: anyTurn(piece, random),
        },
  );
}
