import type { NestGrid } from './nestGrid.ts';
import { distanceTo, RUN, type Distance, type NestShape } from './nestShape.ts';
import type { Poses } from './poses.ts';

/**
 * The points of one piece seen from the shape of another: where they lie in it, or how much room there is. One object serves
 * all pairs and all points, so that nothing is allocated for each.
 */
export class Contact {
  /** Points that are nearer than this to the shape overlap it: the gap, and what a disc reaches beyond its point (mm). */
  near = 0;
  /** From the frame of the points to the frame of the shape: cosine and sine of the turn, then the shift (mm). */
  c = 1;
  s = 0;
  tx = 0;
  ty = 0;
  /** Least room beyond the gap found since it was last reset (mm). */
  room = 0;
  /** The slope of the distance at the last point queried. */
  readonly slope: Distance = { value: 0, gx: 0, gy: 0 };
  private readonly sides: Sides;
  private points!: NestShape;
  private shape!: NestShape;
  private grid!: NestGrid;
  /** Half the shape's box with the room round it. */
  private wide = 0;
  private high = 0;

  constructor(sides: Sides) {
    this.sides = sides;
  }

  /** Sets up the points of slot `i` in the frame of slot `j`; call it before any query. */
  between(i: number, j: number): void {
    const { poses, shapes, grids, gap } = this.sides;
    const { x, y, cos, sin } = poses;
    const points = shapes[i] as NestShape;
    const shape = shapes[j] as NestShape;
    const [ci, si, cj, sj] = [cos[i] as number, sin[i] as number, cos[j] as number, sin[j] as number];
    const [wx, wy] = [(x[i] as number) - (x[j] as number), (y[i] as number) - (y[j] as number)];
    this.points = points;
    this.shape = shape;
    this.grid = grids[j] as NestGrid;
    this.near = gap + points.round;
    this.wide = shape.half[0] + this.near;
    this.high = shape.half[1] + this.near;
    this.c = ci * cj + si * sj;
    this.s = si * cj - ci * sj;
    this.tx = cj * wx + sj * wy;
    this.ty = cj * wy - sj * wx;
  }

  /** Whether all points of the run that starts at `at` are apart from the shape. */
  isRunApart(at: number): boolean {
    const { near, c, s } = this;
    const { runs } = this.points;
    const run = (3 * at) / (2 * RUN);
    const mx = runs[run] as number;
    const my = runs[run + 1] as number;
    const middle = leastDistance(this.grid, c * mx - s * my + this.tx, s * mx + c * my + this.ty);
    const room = middle - (runs[run + 2] as number) - near;
    if (room > 0 && room < this.room) this.room = room;
    return room > 0;
  }

  /** How deep a point, in the shape's frame, lies in it or its gap (mm), and there the slope; 0 or less when it is apart. */
  depthAt(x: number, y: number): number {
    const beside = (x < 0 ? -x : x) - this.wide;
    const beyond = (y < 0 ? -y : y) - this.high;
    if (beside > 0 || beyond > 0) {
      const aside = beside > beyond ? beside : beyond;
      if (aside < this.room) this.room = aside;
      return 0;
    }
    const { near, slope } = this;
    const { left, low, step, columns, cells, spread } = this.grid;
    const column = Math.floor((x - left) / step);
    const row = Math.floor((y - low) / step);
    const cell = 3 * (row * columns + column);
    const about = cells[cell] as number;
    const room = about - spread - near;
    if (room > 0) {
      if (room < this.room) this.room = room;
      return 0;
    }
    if (about + 2 * spread < near) {
      // Deep enough inside for the slope of the cell to do.
      slope.gx = cells[cell + 1] as number;
      slope.gy = cells[cell + 2] as number;
      return near - about - slope.gx * (x - left - (column + 0.5) * step) - slope.gy * (y - low - (row + 0.5) * step);
    }
    distanceTo(this.shape, [x, y], slope);
    const apart = slope.value - near;
    if (apart > 0 && apart < this.room) this.room = apart;
    return -apart;
  }
}

/** The slots whose pieces meet: their poses, shapes and grids, and the gap between pieces (mm). */
export interface Sides {
  readonly poses: Poses;
  readonly shapes: readonly NestShape[];
  readonly grids: readonly NestGrid[];
  readonly gap: number;
}

/** A lower bound of the distance of a point, in the shape's frame, from the shape (mm); negative when it may be inside. */
function leastDistance({ half, left, low, step, columns, cells, spread, margin }: NestGrid, x: number, y: number) {
  const beside = Math.abs(x) - half[0];
  const beyond = Math.abs(y) - half[1];
  if (beside > margin || beyond > margin) return Math.max(beside, beyond);
  const cell = 3 * (Math.floor((y - low) / step) * columns + Math.floor((x - left) / step));
  return (cells[cell] as number) - spread;
}
