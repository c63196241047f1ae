import type { Blank } from '../kind/blank.ts';
import { cutBlank, dartWay, type BlankBase, type BlankRun } from './blank.ts';
import { cutMesh, type CutLine } from './cutMesh.ts';
import type { Dart, StrainLimits } from '../../target/mouldForm.ts';

/** What a blank is judged by: its slab's thickness (mm), and the limits of its clay (fractions). */
export interface DartReading {
  readonly thickness: number;
  readonly limits: StrainLimits;
}

/** Strain at a blank's worst place over what the clay takes: over 1 is too much. */
export function readingOf({ strain }: Blank, limits: StrainLimits): number {
  return Math.max(strain.most.stretch / limits.stretch, strain.most.gather / limits.gather);
}

/** Ends beyond the floor's edge that are tried for cuts into the floor, as shares of the way there. */
const ABOUT_EDGE = [1.2, 1.08, 0.96] as const;

/** Points within this share of the whole height from the floor count as floor. */
const FLOOR = 0.02;

/** Tolerance of a dart's flat sides (mm), and the most fine layouts. */
const CLOSE = 0.1;
const MOST_FINE = 4;

/** The search stops when a layout leaves more than this share of the error: the mesh limits it then, not the cut's length. */
const NEARER = 0.6;

/** How fast flat sides grow with the cut (mm per mm), from 1 to 4; 1 where the cut changed by under a hundredth of a millimetre. */
const growthOf = (sides: number, cut: number): number =>
  Math.abs(cut) > CLOSE / 10 ? Math.max(1, Math.min(4, sides / cut)) : 1;

/** Usual ratio of flat to formed dart sides. */
const FLAT_LONGER = 1.03;

/** A dart's line all the way across: how far along it the layout and the formed piece are where it meets the mesh (mm), and how far down to the floor. */
interface Course {
  readonly line: CutLine;
  readonly along: readonly number[];
  readonly formed: readonly number[];
  /** From 0 at the rim to 1 on the floor. */
  readonly down: readonly number[];
}

function courseOf(base: BlankBase, at: number): Course {
  const line: CutLine = { ...dartWay(base, at), length: Infinity };
  const cut = cutMesh(base, line);
  if (!cut) return { line, along: [0, 1], formed: [0, 1], down: [0, 0] };
  const { positions } = cut.mesh;
  const heights = base.mesh.positions.filter((_, index) => index % 3 === 2);
  const rim = base.border.reduce((sum, vertex) => sum + (heights[vertex] as number), 0) / base.border.length;
  const floor = heights.reduce((far, z) => (Math.abs(z - rim) > Math.abs(far - rim) ? z : far), rim);
  const { left } = cut.cut;
  let length = 0;
  const formed = left.map((vertex, step) => {
    const before = left[step - 1] ?? vertex;
    length += Math.hypot(
      ...[0, 1, 2].map((axis) => (positions[3 * vertex + axis] as number) - (positions[3 * before + axis] as number)),
    );
    return length;
  });
  return {
    line,
    along: left.map(
      (vertex) =>
        line.way[0] * ((cut.uv[2 * vertex] as number) - line.from[0]) +
        line.way[1] * ((cut.uv[2 * vertex + 1] as number) - line.from[1]),
    ),
    formed,
    down: left.map((vertex) => (floor === rim ? 0 : ((positions[3 * vertex + 2] as number) - rim) / (floor - rim))),
  };
}

/** Interpolates another list at the first place where a rising list reaches a value; extrapolated past its end. */
function readAt(rising: readonly number[], wanted: number, beside: readonly number[]): number {
  const found = rising.findIndex((value) => value >= wanted);
  const high = Math.max(1, found < 0 ? rising.length - 1 : found);
  const [a, b] = [rising[high - 1] as number, rising[high] as number];
  const [p, q] = [beside[high - 1] as number, beside[high] as number];
  return b === a ? q : p + ((wanted - a) / (b - a)) * (q - p);
}

/** How long each dart's sides are on the flat blank (mm), by its place in the list; 0 for one that is missed. */
export function flatDepths({ uv, cuts, missed }: Blank, count: number): number[] {
  let next = 0;
  return Array.from({ length: count }, (_, index) => {
    const left = missed.includes(index) ? [] : (cuts[next++]?.left ?? []);
    return left.slice(1).reduce((sum, vertex, step) => {
      const before = left[step] as number;
      return (
        sum +
        Math.hypot(
          (uv[2 * vertex] as number) - (uv[2 * before] as number),
          (uv[2 * vertex + 1] as number) - (uv[2 * before + 1] as number),
        )
      );
    }, 0);
  });
}

/** Number of layouts for a blank with darts, for its progress. */
const USUALLY_LAID = 2 + ABOUT_EDGE.length;

const lineOf = ({ line }: Course, length: number): CutLine => ({ ...line, length });

/** How far along its line each dart is cut so that its flat sides are about as long as was asked for (mm). */
const asFormed = (courses: readonly Course[], darts: readonly Dart[]): number[] =>
  courses.map(({ formed, along }, index) => readAt(formed, (darts[index]?.depth ?? 0) / FLAT_LONGER, along));

/** Lays a blank with darts that are about as deep on it as was asked for, within some per cents: quick. */
export function dartedOf(
  base: BlankBase,
  darts: readonly Dart[],
  { thickness, run = {} }: { readonly thickness: number; readonly run?: BlankRun },
): Blank {
  const courses = darts.map(({ at }) => courseOf(base, at));
  const lengths = asFormed(courses, darts);
  const lines = courses.map((course, index) => lineOf(course, lengths[index] ?? 0));
  return cutBlank(base, lines, { as: { thickness, fine: false }, run });
}

/**
 * Lays a blank with darts that are as deep on it as was asked for, and no deeper than it helps. The rest of a cut may stay
 * closed, so that a slab need never lie worse for a deeper one; yet the layout of least energy does: once cuts run on into the
 * floor, the worst place between them gathers more again. Those that do are also laid as cut to about the floor's edge, and
 * the blank that reads best is taken; its `cutTo` says so.
 */
export function bestDarted(
  base: BlankBase,
  darts: readonly Dart[],
  { reading: { thickness, limits }, run = {} }: { readonly reading: DartReading; readonly run?: BlankRun },
): Blank {
  const courses = darts.map(({ at }) => courseOf(base, at));
  let laid = 0;
  const lay = (by: readonly number[], { fine }: { readonly fine: boolean }) => {
    const lines = courses.map((course, index) => lineOf(course, by[index] ?? 0));
    const step = (share: number) => run.step?.(Math.min(0.95, (laid + share) / USUALLY_LAID));
    const blank = cutBlank(base, lines, { as: { thickness, fine }, run: { ...run, step } });
    laid += 1;
    return blank;
  };
  /** How much too long each dart's flat sides are (mm). */
  const tooLong = (blank: Blank) =>
    flatDepths(blank, darts.length).map((flat, index) => (flat > 0 ? flat - (darts[index]?.depth ?? 0) : 0));
  const worst = (off: readonly number[]) => Math.max(...off.map(Math.abs), 0);
  let lengths = asFormed(courses, darts);
  let off = tooLong(lay(lengths, { fine: false }));
  lengths = lengths.map((length, index) => length - (off[index] ?? 0));
  let best = lay(lengths, { fine: true });
  off = tooLong(best);
  /** How fast the flat sides of each dart grow with its cut (mm per mm). */
  let growth = darts.map(() => 1);
  for (let again = 1; again < MOST_FINE && worst(off) >= CLOSE; again += 1) {
    const shorter = off.map((by, index) => by / (growth[index] ?? 1));
    const next = lengths.map((length, index) => length - (shorter[index] ?? 0));
    const blank = lay(next, { fine: true });
    const left = tooLong(blank);
    const before = worst(off);
    growth = shorter.map((by, index) => growthOf((off[index] ?? 0) - (left[index] ?? 0), by));
    if (worst(left) < before) [lengths, best, off] = [next, blank, left];
    if (worst(left) > NEARER * before) break;
  }
  if (best.missed.length > 0) return best;
  const edges = courses.map(({ down, along }) =>
    down.some((share) => share > 1 - FLOOR) ? readAt(down, 1 - FLOOR, along) : Infinity,
  );
  for (const part of ABOUT_EDGE) {
    const cut = lengths.map((length, index) => Math.min(length, part * (edges[index] ?? Infinity)));
    if (cut.every((length, index) => length === lengths[index])) continue;
    const shorter = lay(cut, { fine: true });
    if (shorter.missed.length > 0 || readingOf(shorter, limits) >= readingOf(best, limits)) continue;
    const flat = flatDepths(shorter, darts.length);
    best = {
      ...shorter,
      cutTo: darts.map(({ depth }, index) =>
        cut[index] === lengths[index] ? depth : Math.min(depth, flat[index] ?? depth),
      ),
    };
  }
  return best;
}
