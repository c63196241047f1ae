import { heightOf } from '../sparse/denseFront.ts';
import { analyse, rowInFront, type Symbolic } from '../sparse/fronts.ts';
import { columnsOf, factorise, workspace, type Factor, type Workspace } from '../sparse/multifrontal.ts';
import type { Mesh } from '../mesh/mesh.ts';
import { nestedDissection } from '../sparse/ordering.ts';

/** Neighbours of each vertex of a triangulation, as compressed rows: a start for each vertex, and one list. */
export function neighboursOf(count: number, triangles: Uint32Array): { start: Int32Array; neighbours: Int32Array } {
  const start = new Int32Array(count + 1);
  for (let corner = 0; corner < triangles.length; corner += 1) {
    const after = (triangles[corner] as number) + 1;
    start[after] = (start[after] as number) + 2;
  }
  for (let vertex = 0; vertex < count; vertex += 1)
    start[vertex + 1] = (start[vertex + 1] as number) + (start[vertex] as number);
  const next = start.slice();
  const neighbours = new Int32Array(start[count] as number);
  const put = (vertex: number, other: number) => {
    if (vertex === other) return;
    neighbours[next[vertex] as number] = other;
    next[vertex] = (next[vertex] as number) + 1;
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [triangles[at] as number, triangles[at + 1] as number, triangles[at + 2] as number];
    put(a, b);
    put(a, c);
    put(b, c);
    put(b, a);
    put(c, a);
    put(c, b);
  }
  // An inner edge appears twice.
  const met = new Int32Array(count).fill(-1);
  let kept = 0;
  for (let vertex = 0; vertex < count; vertex += 1) {
    const [from, end] = [start[vertex] as number, next[vertex] as number];
    start[vertex] = kept;
    for (let at = from; at < end; at += 1) {
      const other = neighbours[at] as number;
      if (met[other] === vertex) continue;
      met[other] = vertex;
      neighbours[kept] = other;
      kept += 1;
    }
  }
  start[count] = kept;
  return { start, neighbours: neighbours.slice(0, kept) };
}

/** Where each vertex and edge of a triangulation is stored in the matrix, for any block width. */
export interface Pattern {
  readonly symbolic: Symbolic;
  /** For each pair of corners of each triangle: its front, and its column and row there; -1 in the upper half. */
  readonly fronts: Int32Array;
  readonly columns: Int32Array;
  readonly rows: Int32Array;
}

/** The sparsity pattern of a mesh, with an elimination order from the positions of its vertices. */
export function patternOf({ positions, triangles }: Mesh): Pattern {
  const axes = [0, 1, 2].map((axis) => positions.filter((_, index) => index % 3 === axis));
  const { start, neighbours } = neighboursOf(positions.length / 3, triangles);
  const symbolic = analyse(nestedDissection(axes, start, neighbours), start, neighbours);
  const { place, frontOf } = symbolic;
  const fronts = new Int32Array(triangles.length * 3).fill(-1);
  const columns = new Int32Array(triangles.length * 3);
  const rows = new Int32Array(triangles.length * 3);
  for (let at = 0; at < triangles.length; at += 3) {
    for (let one = 0; one < 3; one += 1) {
      const row = place[triangles[at + one] as number] as number;
      for (let other = 0; other < 3; other += 1) {
        const column = place[triangles[at + other] as number] as number;
        if (row < column) continue;
        const pair = 3 * at + 3 * one + other;
        fronts[pair] = frontOf[column] as number;
        columns[pair] = rowInFront(symbolic, column, column);
        rows[pair] = rowInFront(symbolic, column, row);
      }
    }
  }
  return { symbolic, fronts, columns, rows };
}

/**
 * A symmetric positive system with a block of `width` by `width` for each pair of vertices that share a triangle.
 * The elimination order is found once; only the values change between factorisations.
 */
export class BlockSystem {
  readonly width: number;
  private readonly symbolic: Symbolic;
  private readonly columns: Float64Array[];
  private readonly room: Workspace;
  /** For each pair of corners of each triangle: its front, and the index of its block; -1 in the upper half. */
  private readonly fronts: Int32Array;
  private readonly blocks: Int32Array;
  /** Length of a column of each front. */
  private readonly heights: Int32Array;

  constructor({ symbolic, fronts, columns, rows }: Pattern, width: number) {
    this.width = width;
    this.symbolic = symbolic;
    this.columns = columnsOf(symbolic, width);
    this.room = workspace(symbolic, width);
    const heights = Int32Array.from(symbolic.fronts, ({ places }) => heightOf(places.length * width));
    this.heights = heights;
    this.fronts = fronts;
    this.blocks = rows.map(
      (row, pair) => width * ((columns[pair] as number) * (heights[fronts[pair] as number] ?? 0) + row),
    );
  }

  clear(): void {
    for (const column of this.columns) column.fill(0);
  }

  /** Adds a block, row by row, for a pair of corners. */
  add(pair: number, block: ArrayLike<number>): void {
    const front = this.fronts[pair] as number;
    if (front < 0) return;
    const { width } = this;
    const column = this.columns[front] as Float64Array;
    const base = this.blocks[pair] as number;
    const height = this.heights[front] as number;
    for (let c = 0; c < width; c += 1) {
      for (let r = 0; r < width; r += 1) {
        const index = base + c * height + r;
        column[index] = (column[index] as number) + (block[r * width + c] as number);
      }
    }
  }

  /** The same for width 2, without a loop. */
  addTwo(pair: number, block: Float64Array): void {
    const front = this.fronts[pair] as number;
    if (front < 0) return;
    const column = this.columns[front] as Float64Array;
    const first = this.blocks[pair] as number;
    const second = first + (this.heights[front] as number);
    column[first] = (column[first] as number) + (block[0] as number);
    column[first + 1] = (column[first + 1] as number) + (block[2] as number);
    column[second] = (column[second] as number) + (block[1] as number);
    column[second + 1] = (column[second + 1] as number) + (block[3] as number);
  }

  /** Adds a share of the mean diagonal to the whole diagonal, which holds free motions. */
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

  /** The number of a pair of corners of the triangle whose first corner has this index. */
  pairOf(at: number, one: number, other: number): number {
    return 3 * at + 3 * one + other;
  }

  /** Whether a pair of corners is in the stored half. */
  keeps(pair: number): boolean {
    return (this.fronts[pair] as number) >= 0;
  }

  /** Factorises; the factor is good until the next call. */
  factor(): Factor | null {
    return factorise({ symbolic: this.symbolic, width: this.width, columns: this.columns, room: this.room });
  }

  /** Solves for one right side, interleaved by vertex and component. */
  solve(factor: Factor, right: Float64Array): Float64Array {
    const { width } = this;
    const { place } = this.symbolic;
    const moved = new Float64Array(right.length);
    for (let vertex = 0; vertex < place.length; vertex += 1) {
      for (let c = 0; c < width; c += 1)
        moved[(place[vertex] as number) * width + c] = right[vertex * width + c] as number;
    }
    factor.solve(moved);
    const found = new Float64Array(right.length);
    for (let vertex = 0; vertex < place.length; vertex += 1) {
      for (let c = 0; c < width; c += 1)
        found[vertex * width + c] = moved[(place[vertex] as number) * width + c] as number;
    }
    return found;
  }
}
