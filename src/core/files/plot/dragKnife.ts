import { radians, TAU } from '../../numbers.ts';
import type { PlotLine, PlotPoint } from './hpgl.ts';

/** Corners flatter than this (radians) are cut straight through: the blade turns by itself. */
const FLAT = radians(4);

/** A blade turns round its corner in steps of this (radians). */
const TURN_STEP = radians(10);

/** Overrun past the start, in offsets, so that the blade, whose first direction is unknown, closes the line. */
const OVERCUT = 3;

interface Stretch {
  readonly from: PlotPoint;
  readonly to: PlotPoint;
  readonly direction: number;
  readonly length: number;
}

function stretchesOf(line: PlotLine): Stretch[] {
  return line.flatMap((from, index): Stretch[] => {
    const to = line[(index + 1) % line.length] ?? from;
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    return length > 0 ? [{ from, to, direction: Math.atan2(to[1] - from[1], to[0] - from[0]), length }] : [];
  });
}

const ahead = ([x, y]: PlotPoint, direction: number, by: number): PlotPoint => [
  x + by * Math.cos(direction),
  y + by * Math.sin(direction),
];

/** The turn from one direction to another, the short way round. */
const turnOf = (from: number, to: number) => ((((to - from + Math.PI) % TAU) + TAU) % TAU) - Math.PI;

/**
 * Where the middle of a drag knife has to go so that its tip, which trails by `offset` mm, follows a closed line: ahead of the tip
 * along the line, and round each corner on an arc about it while the tip stands still in it. The end runs over the beginning.
 */
export function dragKnifeLine(line: PlotLine, offset: number): PlotPoint[] {
  const stretches = stretchesOf(line);
  const [first] = stretches;
  if (!first || offset <= 0) return [...line, ...line.slice(0, 1)];
  const path: PlotPoint[] = [ahead(first.from, first.direction, offset)];
  let direction = first.direction;
  let left = stretches.reduce((sum, { length }) => sum + length, 0) + OVERCUT * offset;
  for (let index = 0; left > 0; index += 1) {
    const { from, to, direction: next, length } = stretches[index % stretches.length] as Stretch;
    const turn = turnOf(direction, next);
    const steps = Math.abs(turn) > FLAT ? Math.ceil(Math.abs(turn) / TURN_STEP) : 0;
    for (let step = 1; step <= steps; step += 1) path.push(ahead(from, direction + (turn * step) / steps, offset));
    direction = next;
    path.push(ahead(left >= length ? to : ahead(from, next, left), next, offset));
    left -= length;
  }
  return path;
}

/**
 * Where the tip of a trailing blade goes when its middle follows a path: it always points at the middle, `offset` mm behind it (a
 * tractrix), followed in steps of `step` mm.
 *
 * @param begins direction in which the blade points when it comes down (radians)
 */
export function tipPath(
  middle: readonly PlotPoint[],
  offset: number,
  { begins = 0, step = 0.01 }: { readonly begins?: number; readonly step?: number } = {},
): PlotPoint[] {
  const [first] = middle;
  if (!first) return [];
  if (offset <= 0) return [...middle];
  let tip = ahead(first, begins, -offset);
  const path: PlotPoint[] = [tip];
  for (let index = 1; index < middle.length; index += 1) {
    const [from, to] = [middle[index - 1] as PlotPoint, middle[index] as PlotPoint];
    const steps = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / step));
    for (let at = 1; at <= steps; at += 1) {
      const here: PlotPoint = [from[0] + ((to[0] - from[0]) * at) / steps, from[1] + ((to[1] - from[1]) * at) / steps];
      const away = Math.hypot(here[0] - tip[0], here[1] - tip[1]);
      if (away > 0)
        tip = [here[0] - ((here[0] - tip[0]) * offset) / away, here[1] - ((here[1] - tip[1]) * offset) / away];
      path.push(tip);
    }
  }
  return path;
}
