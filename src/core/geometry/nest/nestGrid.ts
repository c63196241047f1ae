import { distanceTo, type NestShape } from './nestShape.ts';

/**
 * Signed distances to a shape at the centres of square cells over its box and a margin: a quick answer for points well
 * outside or well inside. Coordinates from the shape's middle, mm.
 */
export interface NestGrid {
  /** Half the shape's box. */
  readonly half: readonly [number, number];
  readonly left: number;
  readonly low: number;
  readonly step: number;
  readonly columns: number;
  readonly margin: number;
  /** Row by row: the distance at the cell's centre, and its gradient in x and y. */
  readonly cells: Float32Array;
  /** Half a cell's diagonal: the most by which the distance can differ within a cell. */
  readonly spread: number;
}

/** Cells along the longer side. */
const CELLS = 96;

const known = new WeakMap<NestShape, NestGrid>();

/** The grid of a shape with at least this margin round its box (mm); kept, and made again only for a wider margin. */
export function nestGrid(shape: NestShape, margin: number): NestGrid {
  const found = known.get(shape);
  if (found && found.margin >= margin) return found;
  const grid = gridOf(shape, margin);
  known.set(shape, grid);
  return grid;
}

function gridOf(shape: NestShape, margin: number): NestGrid {
  const [wide, high] = [shape.half[0] + margin, shape.half[1] + margin];
  const step = (2 * Math.max(wide, high)) / CELLS;
  // One more cell, for points on the far edge.
  const columns = Math.ceil((2 * wide) / step) + 1;
  const rows = Math.ceil((2 * high) / step) + 1;
  const cells = new Float32Array(3 * columns * rows);
  const distance = { value: 0, gx: 0, gy: 0 };
  for (let row = 0, at = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1, at += 3) {
      distanceTo(shape, [-wide + (column + 0.5) * step, -high + (row + 0.5) * step], distance);
      cells[at] = distance.value;
      cells[at + 1] = distance.gx;
      cells[at + 2] = distance.gy;
    }
  }
  // Slightly more than half a diagonal, to allow for single precision.
  return {
    half: shape.half,
    left: -wide,
    low: -high,
    step,
    columns,
    margin,
    cells,
    spread: step * Math.SQRT1_2 * 1.001,
  };
}
