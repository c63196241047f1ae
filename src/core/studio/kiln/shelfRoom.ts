import { ROUNDING, TINY } from '../../numbers.ts';
import { COSINES, DIRECTIONS, SINES } from './footprint.ts';
import type { Point } from '../../geometry/point.ts';

/** A kiln shelf (mm): a rectangle from its lower left corner, or a disc about its middle. */
export type Shelf = { readonly width: number; readonly depth: number } | { readonly diameter: number };

/** A way in which a piece can stand: its turn (degrees), its reaches, and its number among all ways of a load. */
export interface Way {
  readonly turn: number;
  readonly reach: Float64Array;
  readonly index: number;
}

/** Something that stands on a shelf: how, and where its middle is (mm). */
export interface Standing {
  readonly way: Way;
  readonly x: number;
  readonly y: number;
}

/** Two shapes side by side (mm): the least distance of their middles in each direction that can separate them. */
export interface Pair {
  readonly apart: Float64Array;
  /** Along rays from the middle of one: where the other just touches, with the gap between. */
  readonly rays: Float64Array;
  /** Closer than this they overlap in any direction; further than this they never do. */
  readonly least: number;
  readonly most: number;
}

/** Where a piece that stands somewhere is slid: a direction of length 1. */
export type Slide = (at: Point) => Point;

/** Added to the gap between pieces (mm), so that rounding cannot reduce it. */
const SPARE = 1e-6;

/** Share of a disc that is used: a corner between two directions reaches farther than either says. */
const BETWEEN = Math.cos(Math.PI / DIRECTIONS);

/** Directions in which places beside a piece are tried: every ten degrees; sliding finds those in between. */
const RAY_STEP = 10;

/** Halvings of a quarter turn round the rim: a hundredth of a mm on any shelf. */
const RIM_STEPS = 20;

/** Slides of a piece towards its corner, until they are shorter than this (mm). */
const SLIDES = 24;
const SETTLED = 1e-4;

/** How far a piece can go from a place in a direction until it meets the rim of a disc (mm). */
function toRim(
  reach: Float64Array,
  { x, y, vx, vy, radius }: { readonly [figure in 'x' | 'y' | 'vx' | 'vy' | 'radius']: number },
): number {
  const cosines = COSINES;
  const sines = SINES;
  const least = ROUNDING;
  let far = Infinity;
  for (let step = 0; step < reach.length; step += 1) {
    const cos = cosines[step] as number;
    const sin = sines[step] as number;
    const speed = vx * cos + vy * sin;
    if (speed <= least) continue;
    const free = (radius - (reach[step] as number) - x * cos - y * sin) / speed;
    if (free < far) far = free;
  }
  return Math.max(0, far);
}

/** The room of one shelf: what stands on it, and where more can. */
export class ShelfRoom {
  readonly shelf: Shelf;
  private readonly gap: number;
  readonly standing: Standing[] = [];
  private readonly pairs: (Pair | undefined)[][];

  /** @param pairs what is known of ways beside one another; shared by all shelves with one gap */
  constructor(shelf: Shelf, gap: number, pairs: (Pair | undefined)[][] = []) {
    this.shelf = shelf;
    this.pairs = pairs;
    this.gap = gap + SPARE;
  }

  /** What is known of two ways beside one another. */
  private pairOf(one: Way, other: Way): Pair {
    const known = (this.pairs[one.index] ??= []);
    return (known[other.index] ??= this.newPair(one.reach, other.reach));
  }

  private newPair(one: Float64Array, other: Float64Array): Pair {
    const apart = Float64Array.from(
      one,
      (far, step) => far + (other[(step + DIRECTIONS / 2) % DIRECTIONS] as number) + this.gap,
    );
    const rays = new Float64Array(DIRECTIONS / RAY_STEP);
    for (let ray = 0; ray < rays.length; ray += 1) {
      let least = Infinity;
      for (let off = -89; off <= 89; off += 1) {
        const far = apart[(ray * RAY_STEP + off + DIRECTIONS) % DIRECTIONS] as number;
        least = Math.min(least, far / (COSINES[(off + DIRECTIONS) % DIRECTIONS] as number));
      }
      rays[ray] = least;
    }
    return { apart, rays, least: Math.min(...apart), most: Math.max(...rays, ...apart) };
  }

  /** Whether a piece lies wholly on the shelf. */
  isOn({ reach }: Way, x: number, y: number): boolean {
    const { shelf } = this;
    if ('width' in shelf) {
      return (
        x + (reach[0] as number) <= shelf.width + SPARE &&
        x - (reach[180] as number) >= -SPARE &&
        y + (reach[90] as number) <= shelf.depth + SPARE &&
        y - (reach[270] as number) >= -SPARE
      );
    }
    const radius = (shelf.diameter / 2) * BETWEEN + SPARE;
    if (x * x + y * y > radius * radius) return false;
    for (let step = 0; step < DIRECTIONS; step += 1) {
      if (x * (COSINES[step] as number) + y * (SINES[step] as number) + (reach[step] as number) > radius) return false;
    }
    return true;
  }

  /** Whether a piece is clear of another: some direction separates them by the gap. */
  isClear({ way, x, y }: Standing, other: Standing): boolean {
    const dx = x - other.x;
    const dy = y - other.y;
    const { apart, least, most } = this.pairOf(other.way, way);
    const square = dx * dx + dy * dy;
    if (square >= most * most) return true;
    if (square < (least - SPARE) * (least - SPARE)) return false;
    for (let step = 0; step < DIRECTIONS; step += 1) {
      const along = dx * (COSINES[step] as number) + dy * (SINES[step] as number);
      if (along >= (apart[step] as number) - SPARE / 2) return true;
    }
    return false;
  }

  /** Whether a piece can stand at a place. */
  canStand(way: Way, x: number, y: number): boolean {
    const one = { way, x, y };
    return this.isOn(way, x, y) && this.standing.every((other) => this.isClear(one, other));
  }

  /** Places worth trying for a piece before anything stands: the corners of a rectangle, the rim and middle of a disc. */
  firstPlaces({ reach }: Way): Point[] {
    const { shelf } = this;
    if ('width' in shelf) {
      const [left, right] = [reach[180] as number, shelf.width - (reach[0] as number)];
      const [low, high] = [reach[270] as number, shelf.depth - (reach[90] as number)];
      return right < left || high < low
        ? []
        : [
            [left, low],
            [right, low],
            [left, high],
            [right, high],
          ];
    }
    const around = Array.from({ length: 24 }, (_, step): Point => this.outermost(reach, (2 * Math.PI * step) / 24));
    return [[0, 0], ...around];
  }

  /** Where a piece touches the rim of a disc in a direction (radians), going out from the middle. */
  private outermost(reach: Float64Array, angle: number): Point {
    const ray: Point = [Math.cos(angle), Math.sin(angle)];
    const far = this.freeTo(reach, [0, 0], ray);
    return [far * ray[0], far * ray[1]];
  }

  /** How far a piece can go along a ray until the shelf ends (mm). */
  private freeTo(reach: Float64Array, [x, y]: Point, [vx, vy]: Point): number {
    const { shelf } = this;
    if ('width' in shelf) {
      const alongX =
        vx > 0 ? (shelf.width - (reach[0] as number) - x) / vx : vx < 0 ? (x - (reach[180] as number)) / -vx : Infinity;
      const alongY =
        vy > 0
          ? (shelf.depth - (reach[90] as number) - y) / vy
          : vy < 0
            ? (y - (reach[270] as number)) / -vy
            : Infinity;
      return Math.max(0, Math.min(alongX, alongY));
    }
    return toRim(reach, { x, y, vx, vy, radius: (shelf.diameter / 2) * BETWEEN });
  }

  /** Places beside a piece that stands where another would touch it with the gap between. */
  placesBeside(way: Way, beside: Standing): Point[] {
    const rim = 'width' in this.shelf ? [] : this.rimBeside(way, beside);
    const round = Array.from(this.pairOf(beside.way, way).rays, (far, ray): Point => {
      const step = ray * RAY_STEP;
      return [beside.x + far * (COSINES[step] as number), beside.y + far * (SINES[step] as number)];
    });
    return [...rim, ...round];
  }

  /** Places at the rim of a disc, on both sides of a piece, where another touches both. */
  private rimBeside(way: Way, beside: Standing): Point[] {
    const from = Math.atan2(beside.y, beside.x);
    return [1, -1].flatMap((side): Point[] => {
      const at = (turn: number) => this.outermost(way.reach, from + side * turn);
      const isFree = (turn: number) => {
        const [x, y] = at(turn);
        return this.isClear({ way, x, y }, beside);
      };
      let [taken, free] = [0, Math.PI / 2];
      if (!isFree(free)) return [];
      for (let step = 0; step < RIM_STEPS; step += 1) {
        const middle = (taken + free) / 2;
        if (isFree(middle)) free = middle;
        else taken = middle;
      }
      return [at(free)];
    });
  }

  /** How far a piece can be slid along a direction before it meets something or the shelf ends (mm). */
  private slide(way: Way, [x, y]: Point, ray: Point): number {
    const [vx, vy] = ray;
    let far = this.freeTo(way.reach, [x, y], ray);
    for (const other of this.standing) {
      const [dx, dy] = [x - other.x, y - other.y];
      const { apart, most } = this.pairOf(other.way, way);
      // Only pieces ahead and in the way can be met.
      if (dx * vx + dy * vy > most || Math.abs(dx * vy - dy * vx) > most) continue;
      let enter = 0;
      let leave = Infinity;
      for (let step = 0; step < DIRECTIONS && enter < leave; step += 1) {
        const cos = COSINES[step] as number;
        const sin = SINES[step] as number;
        const clear = dx * cos + dy * sin - (apart[step] as number);
        const speed = vx * cos + vy * sin;
        if (Math.abs(speed) < TINY) leave = clear >= 0 ? 0 : leave;
        else if (speed < 0) enter = Math.max(enter, clear / -speed);
        else leave = Math.min(leave, -clear / speed);
      }
      if (enter < leave) far = Math.min(far, enter);
    }
    return Math.max(0, far);
  }

  /** A piece slid along directions in turn, until it stays where it is. */
  settled(way: Way, from: Point, slides: readonly Slide[]): Point {
    let [x, y] = from;
    for (let turn = 0; turn < SLIDES; turn += 1) {
      let moved = 0;
      for (const slide of slides) {
        const ray = slide([x, y]);
        const far = this.slide(way, [x, y], ray);
        [x, y] = [x + far * ray[0], y + far * ray[1]];
        moved += far;
      }
      if (moved < SETTLED) break;
    }
    return this.canStand(way, x, y) ? [x, y] : from;
  }
}
