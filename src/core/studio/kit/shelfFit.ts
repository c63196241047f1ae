import { ROUNDING, TAU } from '../../numbers.ts';
import { sizeOf, type KitItem } from './kit.ts';
import type { Point } from '../../geometry/point.ts';

/** What a piece takes of a kiln shelf: how far its plan reaches towards a direction (radians), and its height (mm). */
export interface ShelfPiece {
  readonly reach: (phi: number) => number;
  readonly height: number;
}

/** How a piece stands in the kiln: how many on a shelf, where their middles are (mm from the shelf's middle), and whether it is high enough. */
export interface ShelfFit {
  readonly places: readonly (readonly [number, number])[];
  /** All of them stand turned by a quarter. */
  readonly turned: boolean;
  readonly tall: boolean;
}

/** Clear between pieces on a shelf, and above them (mm): wares must not touch. */
export const KILN_GAP = 5;

/** Directions at which a plan is asked for its reach: every two degrees, axes included. */
const STEPS = 180;
const DIRECTIONS = Array.from({ length: STEPS }, (_, step) => (TAU * step) / STEPS);
const COSINES = DIRECTIONS.map(Math.cos);
const SINES = DIRECTIONS.map(Math.sin);

/** A plan by its reaches at {@link DIRECTIONS}. */
interface Plan {
  readonly reach: readonly number[];
  /** Reach to both sides of a line at each direction. */
  readonly width: readonly number[];
  readonly furthest: number;
}

function planOf(reach: (phi: number) => number, turn: number): Plan {
  const all = DIRECTIONS.map((phi) => reach(phi - turn));
  const width = all.map((one, step) => one + (all[(step + STEPS / 2) % STEPS] ?? 0));
  return { reach: all, width, furthest: Math.max(...all) };
}

/**
 * The least shift along y that keeps two equal pieces, shifted by `across` along x, the gap apart: some direction must
 * separate them.
 */
function leastRise({ width }: Plan, across: number): number {
  let least = Infinity;
  for (let step = 0; step < STEPS; step += 1) {
    const need = (width[step] as number) + KILN_GAP - across * (COSINES[step] as number);
    if (need <= ROUNDING) return 0;
    if ((SINES[step] as number) > ROUNDING) least = Math.min(least, need / (SINES[step] as number));
  }
  return least;
}

/** The least shift along x at which two like pieces stay the gap apart. */
function leastStep({ width }: Plan): number {
  return COSINES.reduce(
    (least, cos, step) => (cos > ROUNDING ? Math.min(least, ((width[step] as number) + KILN_GAP) / cos) : least),
    Infinity,
  );
}

/** Shifts of the rows on a round shelf that are tried, as shares of a step. */
const SHIFTS = [0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875] as const;

/** Rows of pieces: a step along each, a rise from each to the next, and the shift of every second one. */
interface Rows {
  readonly step: number;
  readonly rise: number;
  readonly odd: number;
}

function onRectangle(
  { reach }: Plan,
  { step, rise, odd }: Rows,
  { long, wide }: { readonly long: number; readonly wide: number },
): Point[] {
  const [right, up, left, down] = [0, 0.25, 0.5, 0.75].map((turn) => reach[turn * STEPS] ?? 0) as [
    number,
    number,
    number,
    number,
  ];
  const places: Point[] = [];
  const clear = ROUNDING;
  for (let row = 0; down + up + row * rise <= wide + clear; row += 1) {
    for (let x = left + (row % 2) * odd; x + right <= long + clear; x += step) {
      places.push([x - long / 2, down + row * rise - wide / 2]);
    }
  }
  return places;
}

function onDisc(plan: Plan, { step, rise, odd }: Rows, radius: number): Point[] {
  const clear = ROUNDING;
  const within = ([x, y]: Point): boolean => {
    const far = Math.hypot(x, y);
    if (far + plan.furthest <= radius + clear) return true;
    if (far > radius) return false;
    return plan.reach.every(
      (reach, at) => reach + x * (COSINES[at] as number) + y * (SINES[at] as number) <= radius + clear,
    );
  };
  let best: Point[] = [];
  const [rows, columns] = [Math.ceil(radius / rise) + 1, Math.ceil(radius / step) + 1];
  for (const fx of SHIFTS) {
    for (const fy of SHIFTS) {
      const places: Point[] = [];
      for (let row = -rows; row <= rows; row += 1) {
        for (let column = -columns; column <= columns; column += 1) {
          const point: Point = [(fx + column) * step + Math.abs(row % 2) * odd, (fy + row) * rise];
          if (within(point)) places.push(point);
        }
      }
      if (places.length > best.length) best = places;
    }
  }
  return best;
}

/**
 * Packs a piece on a shelf with a gap between, by its own outline, in the best of straight and staggered rows along either
 * side, lying and turned: what is counted can be set out by hand.
 */
export function shelfFit(shelf: KitItem, { reach, height }: ShelfPiece): ShelfFit {
  const isRound = shelf.kind === 'round-shelf';
  const tall = height + KILN_GAP <= sizeOf(shelf, 'clear');
  let best: ShelfFit = { places: [], turned: false, tall };
  for (const turned of [false, true]) {
    for (const swap of isRound ? [false] : [false, true]) {
      // In the frame of the rows, which run along the shelf's length or, swapped, along its width.
      const plan = planOf(reach, (turned ? TAU / 4 : 0) - (swap ? TAU / 4 : 0));
      const step = leastStep(plan);
      const straight: Rows = { step, rise: leastRise(plan, 0), odd: 0 };
      const close = Math.max(leastRise(plan, step / 2), leastRise(plan, -step / 2), leastRise(plan, 0) / 2);
      for (const rows of [straight, { step, rise: close, odd: step / 2 }]) {
        const [long, wide] = swap
          ? [sizeOf(shelf, 'width'), sizeOf(shelf, 'length')]
          : [sizeOf(shelf, 'length'), sizeOf(shelf, 'width')];
        const found = isRound
          ? onDisc(plan, rows, sizeOf(shelf, 'diameter') / 2)
          : onRectangle(plan, rows, { long, wide });
        if (found.length <= best.places.length) continue;
        best = { places: found.map(([x, y]): Point => (swap ? [-y, x] : [x, y])), turned, tall };
      }
    }
  }
  return best;
}
