import type { Outline } from './outline.ts';

/** A rectangle from (0, 0) to (width, height), mm, starting at its lower left corner. */
export function rectangle(width: number, height: number): Outline {
  return [
    [0, 0, 0],
    [width, 0, 0],
    [width, height, 0],
    [0, height, 0],
  ];
}

/** A circle of the diameter (mm) about the origin, as two half arcs. */
export function circle(diameter: number): Outline {
  return [
    [diameter / 2, 0, 1],
    [-diameter / 2, 0, 1],
  ];
}
