import { distanceTo, type Distance, type NestShape, type Turns } from './nestShape.ts';

/** A part on the slab while it is nested: its shape, how it may turn, and where its middle lies (mm, radians). */
export interface Piece {
  readonly id: string;
  readonly shape: NestShape;
  readonly turns: Turns;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  /** Lies where it lies: the others are laid round it. */
  readonly fixed?: boolean;
}

/** A slab from x = 0 to width and y = 0 to length, and the clay to be left between parts (mm). */
export interface Strip {
  readonly width: number;
  readonly length: number;
  readonly gap: number;
}

/** Over the slab's edge weighs more than over another part: the edge does not give way. */
const EDGE_WEIGHT = 3;

/** Kept free along the slab's edges (mm), for arcs that bow between points and overlaps that count as none. */
const EDGE_SPARE = 0.08;

/** A piece as it lies: its points on the slab and the box round them. */
interface Laid {
  piece: Piece;
  cos: number;
  sin: number;
  readonly points: Float64Array;
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

/**
 * How badly pieces lie, pair by pair and over the slab's edges, with the push that would mend it. Pieces are laid into
 * numbered slots; one slot more than there are pieces is there for trying a piece elsewhere.
 */
export class Overlaps {
  readonly count: number;
  readonly trial: number;
  /** Energy of each pair (row by row) and of each piece with the slab's edges. */
  readonly pairs: Float64Array;
  readonly edges: Float64Array;
  /** Forces on each piece: x, y and torque in turn. */
  readonly push: Float64Array;
  /** Deepest overlap (mm) found anywhere. */
  deepest = 0;
  /** How far each piece has been moved in all, by any of its points (mm): never less than it truly was. */
  private readonly travel: Float64Array;
  /** For each pair that was found apart: by how much beyond the gap at least (mm), and how far both had been moved then. */
  private readonly slack: Float64Array;
  private readonly stamp: Float64Array;
  /** Least room beyond the gap that was seen while a pair was worked out (mm). */
  private room = 0;
  private readonly found: Distance = { value: 0, gx: 0, gy: 0 };
  private readonly laid: Laid[] = [];

  constructor(count: number) {
    this.count = count;
    this.trial = count;
    this.pairs = new Float64Array(count * count);
    this.edges = new Float64Array(count);
    this.push = new Float64Array(3 * (count + 1));
    this.travel = new Float64Array(count + 1);
    this.slack = new Float64Array(count * count);
    this.stamp = new Float64Array(count * count);
  }

  /** Lays a piece into a slot. */
  lay(slot: number, piece: Piece): void {
    const { samples } = piece.shape;
    let laid = this.laid[slot];
    if (!laid || laid.points.length !== samples.length) {
      laid = { piece, cos: 1, sin: 0, points: new Float64Array(samples.length), minX: 0, minY: 0, maxX: 0, maxY: 0 };
      this.laid[slot] = laid;
    }
    const before = laid.piece;
    if (before !== piece) {
      const turned = Math.abs(piece.turn - before.turn);
      this.travel[slot] =
        (this.travel[slot] as number) + Math.hypot(piece.x - before.x, piece.y - before.y) + piece.shape.reach * turned;
    }
    const [cos, sin] = [Math.cos(piece.turn), Math.sin(piece.turn)];
    let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
    for (let at = 0; at < samples.length; at += 2) {
      const [px, py] = [samples[at] as number, samples[at + 1] as number];
      const x = piece.x + cos * px - sin * py;
      const y = piece.y + sin * px + cos * py;
      laid.points[at] = x;
      laid.points[at + 1] = y;
      if (x < minX) minX = x;
      if (x > maxX) maxX = x;
      if (y < minY) minY = y;
      if (y > maxY) maxY = y;
    }
    Object.assign(laid, { piece, cos, sin, minX, minY, maxX, maxY });
  }

  /** Energy of the points of slot `i` in the shape of slot `j`; their pushes are added when `weight` is not 0. */
  private oneWay(i: number, j: number, gap: number, weight: number): number {
    const a = this.laid[i] as Laid;
    const b = this.laid[j] as Laid;
    const { points } = a;
    const { found, push } = this;
    const [left, right, low, high] = [b.minX - gap, b.maxX + gap, b.minY - gap, b.maxY + gap];
    const { x: bx, y: by, shape } = b.piece;
    const { x: ax, y: ay } = a.piece;
    const [cos, sin] = [b.cos, b.sin];
    let energy = 0;
    for (let at = 0; at < points.length; at += 2) {
      const px = points[at] as number;
      const py = points[at + 1] as number;
      if (px < left || px > right || py < low || py > high) {
        const aside = Math.max(left - px, px - right, low - py, py - high);
        if (aside < this.room) this.room = aside;
        continue;
      }
      const [wx, wy] = [px - bx, py - by];
      distanceTo(shape, cos * wx + sin * wy, cos * wy - sin * wx, found);
      const depth = gap - found.value;
      if (-depth < this.room) this.room = -depth;
      if (depth <= 0) continue;
      if (depth > this.deepest) this.deepest = depth;
      energy += depth * depth;
      if (weight === 0) continue;
      const fx = weight * depth * (cos * found.gx - sin * found.gy);
      const fy = weight * depth * (sin * found.gx + cos * found.gy);
      push[3 * i] = (push[3 * i] as number) + fx;
      push[3 * i + 1] = (push[3 * i + 1] as number) + fy;
      push[3 * i + 2] = (push[3 * i + 2] as number) + (px - ax) * fy - (py - ay) * fx;
      push[3 * j] = (push[3 * j] as number) - fx;
      push[3 * j + 1] = (push[3 * j + 1] as number) - fy;
      push[3 * j + 2] = (push[3 * j + 2] as number) - (wx * fy - wy * fx);
    }
    return energy;
  }

  /** Energy of a pair of slots, both ways. With a weight of 0 nothing is pushed. */
  pair(i: number, j: number, gap: number, weight: number): number {
    const a = this.laid[i] as Laid;
    const b = this.laid[j] as Laid;
    this.room = Math.max(a.minX - b.maxX, b.minX - a.maxX, a.minY - b.maxY, b.minY - a.maxY) - gap;
    if (this.room > 0) return 0;
    this.room = Infinity;
    return this.oneWay(i, j, gap, weight) + this.oneWay(j, i, gap, weight);
  }

  /** Energy of a slot over the slab's edges; its pushes are added when `weight` is not 0. */
  edge(i: number, strip: Strip, weight: number): number {
    const { piece, points, minX, minY, maxX, maxY } = this.laid[i] as Laid;
    const [right, top] = [strip.width - EDGE_SPARE, strip.length - EDGE_SPARE];
    if (minX >= EDGE_SPARE && minY >= EDGE_SPARE && maxX <= right && maxY <= top) return 0;
    const { push } = this;
    let energy = 0;
    for (let at = 0; at < points.length; at += 2) {
      const [x, y] = [points[at] as number, points[at + 1] as number];
      const ox = x < EDGE_SPARE ? EDGE_SPARE - x : x > right ? right - x : 0;
      const oy = y < EDGE_SPARE ? EDGE_SPARE - y : y > top ? top - y : 0;
      if (ox === 0 && oy === 0) continue;
      this.deepest = Math.max(this.deepest, Math.abs(ox), Math.abs(oy));
      energy += ox * ox + oy * oy;
      if (weight === 0) continue;
      push[3 * i] = (push[3 * i] as number) + EDGE_WEIGHT * ox;
      push[3 * i + 1] = (push[3 * i + 1] as number) + EDGE_WEIGHT * oy;
      push[3 * i + 2] = (push[3 * i + 2] as number) + EDGE_WEIGHT * ((x - piece.x) * oy - (y - piece.y) * ox);
    }
    return EDGE_WEIGHT * energy;
  }

  /** Lays all pieces and works out the energy of the layout with weights for its pairs, and the push on every piece. */
  all(pieces: readonly Piece[], strip: Strip, weights: Float64Array): void {
    this.push.fill(0);
    this.deepest = 0;
    pieces.forEach((piece, index) => this.lay(index, piece));
    for (let i = 0; i < this.count; i += 1) {
      this.edges[i] = this.edge(i, strip, 1);
      for (let j = i + 1; j < this.count; j += 1) {
        const at = i * this.count + j;
        // A pair that had room enough for all that both were moved since is still apart.
        const moved = (this.travel[i] as number) + (this.travel[j] as number);
        if (moved - (this.stamp[at] as number) < (this.slack[at] as number)) continue;
        this.pairs[at] = this.pair(i, j, strip.gap, weights[at] as number);
        this.slack[at] = this.room;
        this.stamp[at] = moved;
      }
    }
  }

  /** Weighted energy of a piece tried in place of slot `index`, the others as they lie; no more than `enough` is worked out. */
  tried(index: number, piece: Piece, strip: Strip, weights: Float64Array, enough = Infinity): number {
    this.lay(this.trial, piece);
    let energy = this.edge(this.trial, strip, 0);
    for (let other = 0; other < this.count && energy < enough; other += 1) {
      if (other === index) continue;
      const at = Math.min(index, other) * this.count + Math.max(index, other);
      energy += (weights[at] as number) * this.pair(this.trial, other, strip.gap, 0);
    }
    return energy;
  }
}
