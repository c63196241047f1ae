import { nestGrid, type NestGrid } from './nestGrid.ts';
import { distanceTo, RUN, type Distance, type NestShape, type Turns } from './nestShape.ts';

/** A part on the slab while it is nested: its shape, how it may turn, and where its middle lies (mm, radians). */
export interface Piece {
  readonly id: string;
  readonly shape: NestShape;
  readonly turns: Turns;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  /** Fixed: the others are laid round it. */
  readonly fixed?: boolean;
}

/** A slab from x = 0 to width and y = 0 to length, and the gap between parts (mm). */
export interface Strip {
  readonly width: number;
  readonly length: number;
  readonly gap: number;
}

/** An overlap with the slab's edge weighs more than one with another part: the edge cannot move. */
const EDGE_WEIGHT = 3;

/** A disc is tested only at its middle: the weight stands for the points of another shape that would overlap. */
const DISC_WEIGHT = 6;

/** Kept free along the slab's edges (mm), for arcs that bow between points and overlaps that count as none. */
const EDGE_SPARE = 0.08;

/**
 * The overlap energy of a layout, by pairs and with the slab's edges, and the forces that reduce it. Pieces are stored in
 * numbered slots; one extra slot is for trying a piece elsewhere.
 */
export class Overlaps {
  readonly count: number;
  /** Energy of each pair (row by row) and of each piece with the slab's edges. */
  readonly pairs: Float64Array;
  readonly edges: Float64Array;
  /** Forces on each piece: x, y and torque, interleaved. */
  readonly push: Float64Array;
  /** Deepest overlap (mm) found anywhere. */
  deepest = 0;
  /** The pose of each slot: middle, turn with its cosine and sine, shape, and the shape's distance grid. */
  private readonly x: Float64Array;
  private readonly y: Float64Array;
  private readonly turn: Float64Array;
  private readonly cos: Float64Array;
  private readonly sin: Float64Array;
  private readonly shapes: NestShape[];
  private readonly grids: NestGrid[];
  /** An upper bound of how far any point of each piece has moved in all (mm). */
  private readonly travel: Float64Array;
  /** For each pair found apart: a lower bound of its room beyond the gap (mm), and how far both had moved by then. */
  private readonly slack: Float64Array;
  private readonly stamp: Float64Array;
  /** Least room beyond the gap seen while a pair was computed (mm). */
  private room = 0;
  private readonly found: Distance = { value: 0, gx: 0, gy: 0 };

  constructor(pieces: readonly Piece[], gap: number) {
    this.count = pieces.length;
    this.pairs = new Float64Array(this.count * this.count);
    this.edges = new Float64Array(this.count);
    const slots = this.count + 1;
    this.push = new Float64Array(3 * slots);
    this.x = new Float64Array(slots);
    this.y = new Float64Array(slots);
    this.turn = new Float64Array(slots);
    this.cos = new Float64Array(slots);
    this.sin = new Float64Array(slots);
    this.travel = new Float64Array(slots);
    this.slack = new Float64Array(this.count * this.count);
    this.stamp = new Float64Array(this.count * this.count);
    this.shapes = pieces.map(({ shape }) => shape);
    const margin = gap + Math.max(0, ...this.shapes.map(({ round }) => round));
    this.grids = this.shapes.map((shape) => nestGrid(shape, margin));
    pieces.forEach((piece, slot) => this.lay(slot, piece));
  }

  /** Puts a slot's piece at a pose. */
  lay(slot: number, { x, y, turn }: Piece): void {
    this.move(slot, x - (this.x[slot] as number), y - (this.y[slot] as number), turn - (this.turn[slot] as number));
    this.place(slot, x, y, turn);
  }

  /** Moves and turns a slot's piece (mm, radians). */
  move(slot: number, dx: number, dy: number, turned: number): void {
    const { reach } = this.shapes[slot] as NestShape;
    this.travel[slot] = (this.travel[slot] as number) + Math.sqrt(dx * dx + dy * dy) + reach * Math.abs(turned);
    this.place(
      slot,
      (this.x[slot] as number) + dx,
      (this.y[slot] as number) + dy,
      (this.turn[slot] as number) + turned,
    );
  }

  /** The piece of a slot at its present pose. */
  asLaid(slot: number, piece: Piece): Piece {
    const [x, y, turn] = [this.x[slot] as number, this.y[slot] as number, this.turn[slot] as number];
    return x === piece.x && y === piece.y && turn === piece.turn ? piece : { ...piece, x, y, turn };
  }

  private place(slot: number, x: number, y: number, turn: number): void {
    this.x[slot] = x;
    this.y[slot] = y;
    this.turn[slot] = turn;
    this.cos[slot] = Math.cos(turn);
    this.sin[slot] = Math.sin(turn);
  }

  /** A lower bound of the distance of a point, in the frame of slot `j`, from its shape (mm); negative when it may be inside. */
  private apart(j: number, x: number, y: number): number {
    const { half } = this.shapes[j] as NestShape;
    const { left, low, step, columns, cells, spread, margin } = this.grids[j] as NestGrid;
    const beside = Math.abs(x) - half[0];
    const beyond = Math.abs(y) - half[1];
    if (beside > margin || beyond > margin) return Math.max(beside, beyond);
    const cell = 3 * (Math.floor((y - low) / step) * columns + Math.floor((x - left) / step));
    return (cells[cell] as number) - spread;
  }

  /** Energy of the points of slot `i` inside the shape of slot `j`; adds their forces unless `weight` is 0. */
  private oneWay(i: number, j: number, gap: number, weight: number): number {
    const { probes, round, runs } = this.shapes[i] as NestShape;
    const shape = this.shapes[j] as NestShape;
    const { left, low, step, columns, cells, spread } = this.grids[j] as NestGrid;
    const { found, push } = this;
    const [ci, si, cj, sj] = [
      this.cos[i] as number,
      this.sin[i] as number,
      this.cos[j] as number,
      this.sin[j] as number,
    ];
    // From the frame of i into the frame of j.
    const [c, s] = [ci * cj + si * sj, si * cj - ci * sj];
    const [wx, wy] = [(this.x[i] as number) - (this.x[j] as number), (this.y[i] as number) - (this.y[j] as number)];
    const [tx, ty] = [cj * wx + sj * wy, cj * wy - sj * wx];
    const near = gap + round;
    const [wide, high] = [shape.half[0] + near, shape.half[1] + near];
    const force = weight * (round > 0 ? DISC_WEIGHT : 1);
    let { room } = this;
    let energy = 0;
    for (let at = 0; at < probes.length; at += 2) {
      if (at % (2 * RUN) === 0) {
        const run = (3 * at) / (2 * RUN);
        const [mx, my] = [runs[run] as number, runs[run + 1] as number];
        const apart = this.apart(j, c * mx - s * my + tx, s * mx + c * my + ty) - (runs[run + 2] as number) - near;
        if (apart > 0) {
          if (apart < room) room = apart;
          at += 2 * (RUN - 1);
          continue;
        }
      }
      const px = probes[at] as number;
      const py = probes[at + 1] as number;
      const x = c * px - s * py + tx;
      const y = s * px + c * py + ty;
      const beside = (x < 0 ? -x : x) - wide;
      const beyond = (y < 0 ? -y : y) - high;
      if (beside > 0 || beyond > 0) {
        const aside = beside > beyond ? beside : beyond;
        if (aside < room) room = aside;
        continue;
      }
      const column = Math.floor((x - left) / step);
      const row = Math.floor((y - low) / step);
      const cell = 3 * (row * columns + column);
      const about = cells[cell] as number;
      if (about - spread > near) {
        if (about - spread - near < room) room = about - spread - near;
        continue;
      }
      let depth: number;
      let gx: number;
      let gy: number;
      if (about + 2 * spread < near) {
        // Deep enough inside for the slope of the cell to do.
        gx = cells[cell + 1] as number;
        gy = cells[cell + 2] as number;
        depth = near - about - gx * (x - left - (column + 0.5) * step) - gy * (y - low - (row + 0.5) * step);
      } else {
        distanceTo(shape, x, y, found);
        depth = near - found.value;
        gx = found.gx;
        gy = found.gy;
        if (-depth < room) room = -depth;
      }
      if (depth <= 0) continue;
      room = 0;
      if (depth > this.deepest) this.deepest = depth;
      energy += depth * depth;
      if (weight === 0) continue;
      const [ux, uy] = [force * depth * gx, force * depth * gy];
      const [fx, fy] = [cj * ux - sj * uy, sj * ux + cj * uy];
      push[3 * i] = (push[3 * i] as number) + fx;
      push[3 * i + 1] = (push[3 * i + 1] as number) + fy;
      push[3 * i + 2] = (push[3 * i + 2] as number) + (ci * px - si * py) * fy - (si * px + ci * py) * fx;
      push[3 * j] = (push[3 * j] as number) - fx;
      push[3 * j + 1] = (push[3 * j + 1] as number) - fy;
      push[3 * j + 2] = (push[3 * j + 2] as number) - (x * uy - y * ux);
    }
    this.room = room;
    return round > 0 ? DISC_WEIGHT * energy : energy;
  }

  /** Energy of a pair of slots, both ways. With a weight of 0 no force is added. */
  pair(i: number, j: number, gap: number, weight: number): number {
    const [a, b] = [this.shapes[i] as NestShape, this.shapes[j] as NestShape];
    const [dx, dy] = [(this.x[i] as number) - (this.x[j] as number), (this.y[i] as number) - (this.y[j] as number)];
    const apart = a.reach + b.reach + gap;
    const square = dx * dx + dy * dy;
    if (square > apart * apart) {
      this.room = Math.sqrt(square) - apart;
      return 0;
    }
    this.room = Infinity;
    if (a.round > 0) return this.oneWay(i, j, gap, weight);
    if (b.round > 0) return this.oneWay(j, i, gap, weight);
    return this.oneWay(i, j, gap, weight) + this.oneWay(j, i, gap, weight);
  }

  /** Energy of a slot over the slab's edges; adds its forces unless `weight` is 0. */
  edge(i: number, strip: Strip, weight: number): number {
    const { probes, round, reach, runs } = this.shapes[i] as NestShape;
    const [x, y, c, s] = [this.x[i] as number, this.y[i] as number, this.cos[i] as number, this.sin[i] as number];
    const [left, right, top] = [
      EDGE_SPARE + round,
      strip.width - EDGE_SPARE - round,
      strip.length - EDGE_SPARE - round,
    ];
    const rest = reach - round;
    if (x - rest >= left && y - rest >= left && x + rest <= right && y + rest <= top) return 0;
    const { push } = this;
    const force = EDGE_WEIGHT * (round > 0 ? DISC_WEIGHT : 1);
    let energy = 0;
    for (let at = 0; at < probes.length; at += 2) {
      if (at % (2 * RUN) === 0) {
        const run = (3 * at) / (2 * RUN);
        const [mx, my, radius] = [runs[run] as number, runs[run + 1] as number, runs[run + 2] as number];
        const [rx, ry] = [x + c * mx - s * my, y + s * mx + c * my];
        if (rx - radius >= left && ry - radius >= left && rx + radius <= right && ry + radius <= top) {
          at += 2 * (RUN - 1);
          continue;
        }
      }
      const rx = c * (probes[at] as number) - s * (probes[at + 1] as number);
      const ry = s * (probes[at] as number) + c * (probes[at + 1] as number);
      const ox = x + rx < left ? left - x - rx : x + rx > right ? right - x - rx : 0;
      const oy = y + ry < left ? left - y - ry : y + ry > top ? top - y - ry : 0;
      if (ox === 0 && oy === 0) continue;
      this.deepest = Math.max(this.deepest, Math.abs(ox), Math.abs(oy));
      energy += ox * ox + oy * oy;
      if (weight === 0) continue;
      push[3 * i] = (push[3 * i] as number) + force * ox;
      push[3 * i + 1] = (push[3 * i + 1] as number) + force * oy;
      push[3 * i + 2] = (push[3 * i + 2] as number) + force * (rx * oy - ry * ox);
    }
    return force * energy;
  }

  /** Computes the energy of the layout, with weights for its pairs, and the force on every piece. */
  all(strip: Strip, weights: Float64Array): void {
    this.push.fill(0);
    this.deepest = 0;
    for (let i = 0; i < this.count; i += 1) {
      this.edges[i] = this.edge(i, strip, 1);
      for (let j = i + 1; j < this.count; j += 1) {
        const at = i * this.count + j;
        // A pair whose room is greater than all that both have moved since is still apart.
        const moved = (this.travel[i] as number) + (this.travel[j] as number);
        if (moved - (this.stamp[at] as number) < (this.slack[at] as number)) continue;
        this.pairs[at] = this.pair(i, j, strip.gap, weights[at] as number);
        this.slack[at] = this.room;
        this.stamp[at] = moved;
      }
    }
  }

  /** Weighted energy of a piece tried in place of slot `index`; stops once it is above `enough`. */
  tried(index: number, piece: Piece, strip: Strip, weights: Float64Array, enough = Infinity): number {
    const trial = this.count;
    this.shapes[trial] = piece.shape;
    this.place(trial, piece.x, piece.y, piece.turn);
    this.grids[trial] = this.grids[index] as NestGrid;
    let energy = this.edge(trial, strip, 0);
    for (let other = 0; other < this.count && energy < enough; other += 1) {
      if (other === index) continue;
      const at = Math.min(index, other) * this.count + Math.max(index, other);
      energy += (weights[at] as number) * this.pair(trial, other, strip.gap, 0);
    }
    return energy;
  }
}
