import { Contact, type Sides } from './contact.ts';
import { nestGrid, type NestGrid } from './nestGrid.ts';
import { RUN, type NestShape, type Turns } from './nestShape.ts';
import { Poses, type Move, type Pose } from './poses.ts';

/** A part on the slab while it is nested: its shape, how it may turn, and where its middle lies (mm, radians). */
export interface Piece extends Pose {
  readonly id: string;
  readonly shape: NestShape;
  readonly turns: Turns;
  /** Fixed: the others are laid round it. */
  readonly fixed?: boolean;
}

/** A slab from x = 0 to width and y = 0 to length, and the gap between parts (mm). */
export interface Strip {
  readonly width: number;
  readonly length: number;
  readonly gap: number;
}

/** How a pose is tried: the slab, the weights of the pairs, and the energy above which the search stops. */
export interface Trial {
  readonly strip: Strip;
  readonly weights: Float64Array;
  readonly enough?: number;
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
  private readonly poses: Poses;
  private readonly shapes: NestShape[];
  private readonly grids: NestGrid[];
  private readonly sides: Sides;
  /** For each pair found apart: a lower bound of its room beyond the gap (mm), and how far both had moved by then. */
  private readonly slack: Float64Array;
  private readonly stamp: Float64Array;
  private readonly contact: Contact;

  constructor(pieces: readonly Piece[], gap: number) {
    this.count = pieces.length;
    this.pairs = new Float64Array(this.count * this.count);
    this.edges = new Float64Array(this.count);
    const slots = this.count + 1;
    this.push = new Float64Array(3 * slots);
    this.poses = new Poses(slots);
    this.slack = new Float64Array(this.count * this.count);
    this.stamp = new Float64Array(this.count * this.count);
    this.shapes = pieces.map(({ shape }) => shape);
    const margin = gap + Math.max(0, ...this.shapes.map(({ round }) => round));
    this.grids = this.shapes.map((shape) => nestGrid(shape, margin));
    this.sides = { poses: this.poses, shapes: this.shapes, grids: this.grids, gap };
    this.contact = new Contact(this.sides);
    pieces.forEach((piece, slot) => this.poses.put(slot, piece));
  }

  /** Puts a slot's piece at a pose. */
  lay(slot: number, pose: Pose): void {
    const { x, y, turn } = this.poses.at(slot);
    this.move(slot, { dx: pose.x - x, dy: pose.y - y, turned: pose.turn - turn });
    this.poses.put(slot, pose);
  }

  /** Moves and turns a slot's piece. */
  move(slot: number, by: Move): void {
    this.poses.move(slot, by, (this.shapes[slot] as NestShape).reach);
  }

  /** The piece of a slot at its present pose. */
  asLaid(slot: number, piece: Piece): Piece {
    const { x, y, turn } = this.poses.at(slot);
    return x === piece.x && y === piece.y && turn === piece.turn ? piece : { ...piece, x, y, turn };
  }

  /** Energy of the points of slot `i` inside the shape of slot `j`; adds their forces unless `weight` is 0. */
  private oneWay(i: number, j: number, weight: number): number {
    const { contact } = this;
    contact.between(i, j);
    const { c, s, tx, ty } = contact;
    const { probes, round } = this.shapes[i] as NestShape;
    const counts = round > 0 ? DISC_WEIGHT : 1;
    const force = weight * counts;
    let energy = 0;
    for (let at = 0; at < probes.length; at += 2) {
      if (at % (2 * RUN) === 0 && contact.isRunApart(at)) {
        at += 2 * (RUN - 1);
        continue;
      }
      const px = probes[at] as number;
      const py = probes[at + 1] as number;
      const depth = contact.depthAt(c * px - s * py + tx, s * px + c * py + ty);
      if (!(depth > 0)) continue;
      contact.room = 0;
      if (depth > this.deepest) this.deepest = depth;
      energy += depth * depth;
      if (force > 0) this.pushApart(i, j, { at, force: force * depth });
    }
    return counts * energy;
  }

  /** Pushes a point of slot `i` out of the shape of slot `j` along its slope, and the shape the other way. */
  private pushApart(i: number, j: number, { at, force }: { readonly at: number; readonly force: number }): void {
    const { push, poses } = this;
    const { c, s, tx, ty } = this.contact;
    const { probes } = this.shapes[i] as NestShape;
    const { gx, gy } = this.contact.slope;
    const px = probes[at] as number;
    const py = probes[at + 1] as number;
    const [x, y] = [c * px - s * py + tx, s * px + c * py + ty];
    const [ci, si, cj, sj] = [
      poses.cos[i] as number,
      poses.sin[i] as number,
      poses.cos[j] as number,
      poses.sin[j] as number,
    ];
    const [ux, uy] = [force * gx, force * gy];
    const [fx, fy] = [cj * ux - sj * uy, sj * ux + cj * uy];
    push[3 * i] = (push[3 * i] as number) + fx;
    push[3 * i + 1] = (push[3 * i + 1] as number) + fy;
    push[3 * i + 2] = (push[3 * i + 2] as number) + (ci * px - si * py) * fy - (si * px + ci * py) * fx;
    push[3 * j] = (push[3 * j] as number) - fx;
    push[3 * j + 1] = (push[3 * j + 1] as number) - fy;
    push[3 * j + 2] = (push[3 * j + 2] as number) - (x * uy - y * ux);
  }

  /** Energy of a pair of slots, both ways. With a weight of 0 no force is added. */
  pair(i: number, j: number, weight: number): number {
    const { contact } = this;
    const { x, y } = this.poses;
    const [a, b] = [this.shapes[i] as NestShape, this.shapes[j] as NestShape];
    const [dx, dy] = [(x[i] as number) - (x[j] as number), (y[i] as number) - (y[j] as number)];
    const apart = a.reach + b.reach + this.sides.gap;
    const square = dx * dx + dy * dy;
    if (square > apart * apart) {
      contact.room = Math.sqrt(square) - apart;
      return 0;
    }
    contact.room = Infinity;
    if (a.round > 0) return this.oneWay(i, j, weight);
    if (b.round > 0) return this.oneWay(j, i, weight);
    return this.oneWay(i, j, weight) + this.oneWay(j, i, weight);
  }

  /** Energy of a slot over the slab's edges; adds its forces unless `weight` is 0. */
  edge(i: number, strip: Strip, weight: number): number {
    const { probes, round, reach, runs } = this.shapes[i] as NestShape;
    const { poses } = this;
    const { x, y } = poses.at(i);
    const [c, s] = [poses.cos[i] as number, poses.sin[i] as number];
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
        const moved = (this.poses.travel[i] as number) + (this.poses.travel[j] as number);
        if (moved - (this.stamp[at] as number) < (this.slack[at] as number)) continue;
        this.pairs[at] = this.pair(i, j, weights[at] as number);
        this.slack[at] = this.contact.room;
        this.stamp[at] = moved;
      }
    }
  }

  /** Weighted energy of a piece tried in place of slot `index`; stops once it is above `enough`. */
  tried(index: number, piece: Piece, { strip, weights, enough = Infinity }: Trial): number {
    const trial = this.count;
    this.shapes[trial] = piece.shape;
    this.poses.put(trial, piece);
    this.grids[trial] = this.grids[index] as NestGrid;
    let energy = this.edge(trial, strip, 0);
    for (let other = 0; other < this.count && energy < enough; other += 1) {
      if (other === index) continue;
      const at = Math.min(index, other) * this.count + Math.max(index, other);
      energy += (weights[at] as number) * this.pair(trial, other, 0);
    }
    return energy;
  }
}
