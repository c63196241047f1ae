import type { GreyImage, Pixel } from './image.ts';

/** Where the value lies between two neighbouring dots, as a share of the way from one to the other. */
const share = (one: number, other: number, value: number) => (one === other ? 0.5 : (value - one) / (other - one));

/**
 * Closed lines along which a picture has a value, darker dots to their left as numbers go (marching squares; Lorensen and Cline
 * 1987 in the plane). Lines that run off the picture are left out.
 */
export function contoursAt({ width, height, light }: GreyImage, value: number): Pixel[][] {
  const at = (x: number, y: number) => light[y * width + x] as number;
  const dark = (x: number, y: number) => at(x, y) < value;
  /** Whether a square of four dots, from its upper left, has dark ones and bright ones. */
  const isCrossed = (x: number, y: number) => {
    const one = dark(x, y);
    return one !== dark(x + 1, y) || one !== dark(x, y + 1) || one !== dark(x + 1, y + 1);
  };
  // Index of a grid edge: across from (x, y) it is 2 n, down from there 2 n + 1.
  const across = (x: number, y: number) => 2 * (y * width + x);
  const down = (x: number, y: number) => 2 * (y * width + x) + 1;
  const place = (edge: number): Pixel => {
    const [x, y] = [(edge >> 1) % width, Math.floor((edge >> 1) / width)];
    return edge & 1 ? [x, y + share(at(x, y), at(x, y + 1), value)] : [x + share(at(x, y), at(x + 1, y), value), y];
  };
  const next = new Map<number, number>();
  for (let y = 0; y + 1 < height; y += 1) {
    for (let x = 0; x + 1 < width; x += 1) {
      if (!isCrossed(x, y)) continue;
      const corners = [dark(x, y), dark(x + 1, y), dark(x + 1, y + 1), dark(x, y + 1)];
      const edges = [across(x, y), down(x + 1, y), across(x, y + 1), down(x, y)];
      const enters: number[] = [];
      const leaves: number[] = [];
      corners.forEach((one, side) => {
        const other = corners[(side + 1) % 4];
        // Going clockwise round the square as seen, the line enters where it grows bright.
        if (one && !other) enters.push(side);
        if (!one && other) leaves.push(side);
      });
      enters.forEach((side, index) => {
        // Two opposite dark corners are not connected.
        const to = leaves.length === 1 ? leaves[0] : (leaves.find((one) => (one + 1) % 4 === side) ?? leaves[index]);
        if (to !== undefined) next.set(edges[side] as number, edges[to] as number);
      });
    }
  }
  const lines: Pixel[][] = [];
  while (next.size > 0) {
    const [start] = next.keys().next().value === undefined ? [] : [next.keys().next().value as number];
    const line: Pixel[] = [];
    let edge: number | undefined = start;
    while (edge !== undefined && next.has(edge)) {
      line.push(place(edge));
      const to: number | undefined = next.get(edge);
      next.delete(edge);
      edge = to;
    }
    if (edge === start && line.length > 3) lines.push(line);
  }
  return lines;
}

/** Signed area of a closed line (positive counter-clockwise by its coordinates). */
export function areaOf(line: readonly Pixel[]): number {
  return line.reduce((sum, [x, y], at) => {
    const [u, v] = line[(at + 1) % line.length] as Pixel;
    return sum + (x * v - u * y) / 2;
  }, 0);
}
