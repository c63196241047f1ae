import { sizeOf, type KitItem } from './kit.ts';

/** What a piece takes of a kiln shelf: its plan box or the circle round it, and its height (mm). */
export interface ShelfPiece {
  readonly length: number;
  readonly width: number;
  readonly height: number;
  /** Its plan is a circle. */
  readonly round: boolean;
}

/** How a piece stands in the kiln: how many on a shelf, where their middles are (mm from the shelf's middle), and whether it is high enough. */
export interface ShelfFit {
  readonly places: readonly (readonly [number, number])[];
  readonly turned: boolean;
  readonly tall: boolean;
}

/** Clear between pieces on a shelf, and above them (mm): wares must not touch. */
export const KILN_GAP = 5;

type Point = readonly [number, number];

/** A grid of points with its own steps and every second row shifted, about a shift of its middle. */
function lattice(step: Point, odd: number, from: Point, reach: number): Point[] {
  const points: Point[] = [];
  const rows = Math.ceil(reach / step[1]) + 1;
  const columns = Math.ceil(reach / step[0]) + 1;
  for (let row = -rows; row <= rows; row += 1) {
    const shift = Math.abs(row % 2) * odd;
    for (let column = -columns; column <= columns; column += 1) {
      points.push([from[0] + column * step[0] + shift, from[1] + row * step[1]]);
    }
  }
  return points;
}

/** Shares of a step by which a grid is moved about when the best place for it is looked for. */
const SHIFTS = [0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875] as const;

/**
 * Packs a piece on a shelf with a gap between, by the best of straight and staggered rows, lying and turned: what is
 * counted can be set out by hand.
 */
export function shelfFit(shelf: KitItem, piece: ShelfPiece): ShelfFit {
  const isRound = shelf.kind === 'round-shelf';
  const [long, wide] = isRound
    ? [sizeOf(shelf, 'diameter'), sizeOf(shelf, 'diameter')]
    : [sizeOf(shelf, 'length'), sizeOf(shelf, 'width')];
  const tall = piece.height + KILN_GAP <= sizeOf(shelf, 'clear');
  const on = ([x, y]: Point, [l, w]: Point): boolean => {
    if (!isRound) return Math.abs(x) + l / 2 <= long / 2 + 1e-9 && Math.abs(y) + w / 2 <= wide / 2 + 1e-9;
    if (piece.round) return Math.hypot(x, y) + l / 2 <= long / 2 + 1e-9;
    return Math.hypot(Math.abs(x) + l / 2, Math.abs(y) + w / 2) <= long / 2 + 1e-9;
  };
  let best: ShelfFit = { places: [], turned: false, tall };
  for (const turned of piece.round ? [false] : [false, true]) {
    const size: Point = turned ? [piece.width, piece.length] : [piece.length, piece.width];
    const [sx, sy] = [size[0] + KILN_GAP, size[1] + KILN_GAP];
    const high = (sx * Math.sqrt(3)) / 2;
    const grids: readonly { step: Point; odd: number; swap: boolean }[] = [
      { step: [sx, sy], odd: 0, swap: false },
      ...(piece.round
        ? [
            { step: [sx, high], odd: sx / 2, swap: false } as const,
            { step: [sx, high], odd: sx / 2, swap: true } as const,
          ]
        : []),
    ];
    for (const { step, odd, swap } of grids) {
      for (const fx of SHIFTS) {
        for (const fy of SHIFTS) {
          const points = lattice(step, odd, [fx * step[0], fy * step[1]], Math.max(long, wide));
          const places = points.map((point): Point => (swap ? [point[1], point[0]] : point)).filter((point) => on(point, size)); // prettier-ignore
          if (places.length > best.places.length) best = { places, turned, tall };
        }
      }
    }
    // Straight rows from one corner use a rectangle to its end.
    if (!isRound) {
      const count: Point = [Math.floor((long + KILN_GAP) / sx), Math.floor((wide + KILN_GAP) / sy)];
      const places = Array.from({ length: Math.max(0, count[0] * count[1]) }, (_, index): Point => [
        (index % count[0]) * sx + size[0] / 2 - long / 2,
        Math.floor(index / count[0]) * sy + size[1] / 2 - wide / 2,
      ]);
      if (places.length > best.places.length) best = { places, turned, tall };
    }
  }
  return best;
}
