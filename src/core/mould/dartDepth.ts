import { dartedOf, type Blank, type BlankBase, type BlankRun } from './blank.ts';
import type { Dart, StrainLimits } from './mouldForm.ts';

/** What a blank is read by: its slab's thickness (mm), and what its clay takes (fractions). */
export interface DartReading {
  readonly thickness: number;
  readonly limits: StrainLimits;
}

/** How much of what the clay takes a blank asks of it at its worst place: over 1 is too much. */
export function readingOf({ strain }: Blank, limits: StrainLimits): number {
  return Math.max(strain.most.stretch / limits.stretch, strain.most.gather / limits.gather);
}

/** How far past the floor's edge a cut is tried, as a part of its way there. */
const PAST_EDGE = 1.15;

/** What lies within this part of the whole height above the lowest place is the floor. */
const FLOOR = 0.02;

/** How far each dart runs from the rim until it comes to the floor (mm along the formed piece); Infinity when it does not. */
function waysToFloor({ mesh, cuts, missed }: Blank, count: number): number[] {
  const { positions } = mesh;
  const heights = positions.filter((_, at) => at % 3 === 2);
  const [low, high] = heights.reduce(
    ([least, most], z) => [Math.min(least, z), Math.max(most, z)],
    [Infinity, -Infinity],
  );
  const cutOnes = Array.from({ length: count }, (_, index) => index).filter((index) => !missed.includes(index));
  const ways = new Array<number>(count).fill(Infinity);
  cuts.forEach(({ left }, place) => {
    const index = cutOnes[place];
    const end = left.findIndex((vertex) => (heights[vertex] ?? high) - low <= FLOOR * (high - low));
    if (index === undefined || end < 0) return;
    ways[index] = left.slice(1, end + 1).reduce((sum, vertex, step) => {
      const before = left[step] ?? vertex;
      return sum + Math.hypot(...[0, 1, 2].map((axis) => (positions[3 * vertex + axis] ?? 0) - (positions[3 * before + axis] ?? 0))); // prettier-ignore
    }, 0);
  });
  return ways;
}

/**
 * Cuts darts no deeper than it helps. The rest of a cut may stay closed, so that a slab need never lie worse for a deeper
 * one; yet the layout of least energy does: once cuts run on into the floor, the worst place between them gathers more
 * again. Those that do are also laid as cut a little past the floor's edge, and the blank that reads better is taken;
 * `cutTo` of the blank says so.
 */
export function bestDarted(
  base: BlankBase,
  darts: readonly Dart[],
  { thickness, limits }: DartReading,
  run: BlankRun = {},
): Blank {
  const asked = dartedOf(base, darts, thickness, run);
  const ways = waysToFloor(asked, darts.length);
  const cutTo = darts.map(({ depth }, index) => Math.min(depth, Math.round(PAST_EDGE * (ways[index] ?? Infinity))));
  if (cutTo.every((depth, index) => depth === darts[index]?.depth)) return asked;
  const shorter = dartedOf(
    base,
    darts.map((dart, index) => ({ ...dart, depth: cutTo[index] ?? dart.depth })),
    thickness,
    run,
  );
  const better = shorter.missed.length === asked.missed.length && readingOf(shorter, limits) < readingOf(asked, limits);
  return better ? { ...shorter, cutTo } : asked;
}
