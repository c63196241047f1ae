/** Where a piece lies: its middle (mm) and its turn (radians). */
export interface Pose {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** A move of a piece (mm, radians). */
export interface Move {
  readonly dx: number;
  readonly dy: number;
  readonly turned: number;
}

/** The poses of numbered slots, each turn with its cosine and sine. */
export class Poses {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly turn: Float64Array;
  readonly cos: Float64Array;
  readonly sin: Float64Array;
  /** An upper bound of how far any point of each piece has moved in all (mm). */
  readonly travel: Float64Array;

  constructor(slots: number) {
    this.x = new Float64Array(slots);
    this.y = new Float64Array(slots);
    this.turn = new Float64Array(slots);
    this.cos = new Float64Array(slots);
    this.sin = new Float64Array(slots);
    this.travel = new Float64Array(slots);
  }

  at(slot: number): Pose {
    return { x: this.x[slot] as number, y: this.y[slot] as number, turn: this.turn[slot] as number };
  }

  put(slot: number, { x, y, turn }: Pose): void {
    this.x[slot] = x;
    this.y[slot] = y;
    this.turn[slot] = turn;
    this.cos[slot] = Math.cos(turn);
    this.sin[slot] = Math.sin(turn);
  }

  /** Moves and turns a piece; `reach` is its farthest point from its middle (mm). */
  move(slot: number, { dx, dy, turned }: Move, reach: number): void {
    const { x, y, turn } = this.at(slot);
    this.travel[slot] = (this.travel[slot] as number) + Math.sqrt(dx * dx + dy * dy) + reach * Math.abs(turned);
    this.put(slot, { x: x + dx, y: y + dy, turn: turn + turned });
  }
}
