import {
  analyse,
  columnsOf,
  factorise,
  rowInFront,
  workspace,
  type Factor,
  type Symbolic,
  type Workspace,
} from '../sparse/multifrontal.ts';
import { nestedDissection } from '../sparse/ordering.ts';

/** Neighbours of each vertex of a triangulation, by a start and one list. */
export function neighboursOf(count: number, triangles: Uint32Array): { start: Int32Array; neighbours: Int32Array } {
  const sets: Set<number>[] = Array.from({ length: count }, () => new Set<number>());
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [triangles[at] as number, triangles[at + 1] as number, triangles[at + 2] as number];
    sets[a]?.add(b).add(c);
    sets[b]?.add(a).add(c);
    sets[c]?.add(a).add(b);
  }
  const start = new Int32Array(count + 1);
  sets.forEach((set, vertex) => (start[vertex + 1] = (start[vertex] as number) + set.size));
  const neighbours = new Int32Array(start[count] as number);
  sets.forEach((set, vertex) => neighbours.set([...set], start[vertex]));
  return { start, neighbours };
}

/**
 * A symmetric positive system with a block of `width` by `width` figures for each pair of vertices that share a triangle.
 * Its order of elimination is found once; only the figures change between factorisations.
 */
export class BlockSystem {
  readonly width: number;
  private readonly symbolic: Symbolic;
  private readonly columns: Float64Array[];
  private readonly room: Workspace;
  /** Where each pair of corners of each triangle stands: front, and index of its block; -1 for the upper half. */
  private readonly fronts: Int32Array;
  private readonly blocks: Int32Array;
  /** Length of a column of each front. */
  private readonly heights: Int32Array;

  /** @param x, y places of the vertices in a plane, by which the order of elimination is found */
  constructor(triangles: Uint32Array, x: Float64Array, y: Float64Array, width: number) {
    this.width = width;
    const { start, neighbours } = neighboursOf(x.length, triangles);
    const symbolic = analyse(nestedDissection(x, y, start, neighbours), start, neighbours);
    this.symbolic = symbolic;
    this.columns = columnsOf(symbolic, width);
    this.room = workspace(symbolic, width);
    this.heights = Int32Array.from(symbolic.fronts, ({ places }) => places.length * width);
    this.fronts = new Int32Array(triangles.length * 3).fill(-1);
    this.blocks = new Int32Array(triangles.length * 3);
    for (let at = 0; at < triangles.length; at += 3) {
      for (let one = 0; one < 3; one += 1) {
        for (let other = 0; other < 3; other += 1) {
          const row = symbolic.place[triangles[at + one] as number] as number;
          const column = symbolic.place[triangles[at + other] as number] as number;
          if (row < column) continue;
          const front = symbolic.frontOf[column] as number;
          const own = rowInFront(symbolic, column, column);
          this.fronts[3 * at + 3 * one + other] = front;
          this.blocks[3 * at + 3 * one + other] = own * width * (this.heights[front] as number) + rowInFront(symbolic, column, row) * width; // prettier-ignore
        }
      }
    }
  }

  clear(): void {
    for (const column of this.columns) column.fill(0);
  }

  /** Adds a block for a pair of corners of a triangle (counted by its first corner's index), row by row. */
  add(at: number, one: number, other: number, block: ArrayLike<number>): void {
    const pair = 3 * at + 3 * one + other;
    const front = this.fronts[pair] as number;
    if (front < 0) return;
    const { width } = this;
    const column = this.columns[front] as Float64Array;
    const [base, height] = [this.blocks[pair] as number, this.heights[front] as number];
    for (let c = 0; c < width; c += 1) {
      for (let r = 0; r < width; r += 1) {
        const index = base + c * height + r;
        column[index] = (column[index] as number) + (block[r * width + c] as number);
      }
    }
  }

  /** Adds a share of the diagonal's mean to every place of it, so that what moves freely is held. */
  stiffen(share: number): void {
    const { fronts } = this.symbolic;
    const { width } = this;
    const each = (work: (column: Float64Array, index: number) => void) =>
      fronts.forEach(({ own }, front) => {
        const height = this.heights[front] as number;
        for (let j = 0; j < own * width; j += 1) work(this.columns[front] as Float64Array, j * height + j);
      });
    let [sum, count] = [0, 0];
    each((column, index) => {
      sum += column[index] as number;
      count += 1;
    });
    const value = (share * sum) / count;
    each((column, index) => {
      column[index] = (column[index] as number) + value;
    });
  }

  /** Whether a pair of corners stands in the half that is kept. */
  keeps(at: number, one: number, other: number): boolean {
    return (this.fronts[3 * at + 3 * one + other] as number) >= 0;
  }

  /** Factorises; the factor is good until the next call. */
  factor(): Factor | null {
    return factorise(this.symbolic, this.width, this.columns, this.room);
  }

  /** Solves for one right side, its figures by vertex and component. */
  solve(factor: Factor, right: Float64Array): Float64Array {
    const { width } = this;
    const { place } = this.symbolic;
    const moved = new Float64Array(right.length);
    for (let vertex = 0; vertex < place.length; vertex += 1) {
      for (let c = 0; c < width; c += 1) moved[(place[vertex] as number) * width + c] = right[vertex * width + c] as number; // prettier-ignore
    }
    factor.solve(moved);
    const found = new Float64Array(right.length);
    for (let vertex = 0; vertex < place.length; vertex += 1) {
      for (let c = 0; c < width; c += 1) found[vertex * width + c] = moved[(place[vertex] as number) * width + c] as number; // prettier-ignore
    }
    return found;
  }
}
