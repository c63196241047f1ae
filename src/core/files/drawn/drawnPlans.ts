import { hasCorners } from '../../geometry/outline/arcOutline.ts';
import { bounds, type Outline } from '../../geometry/outline/outline.ts';
import { insideLine } from '../../geometry/outline/insideLine.ts';
import type { DrawnPlan } from '../../target/plan.ts';
import { convexOutline } from './convexOutline.ts';
import { drawnLines, type DrawnLine } from './drawnLines.ts';
import { pathPoints } from './pathPoints.ts';

/** Rim and foot from a drawing: both in their places, or one; or why there is none. */
export type PlansReading =
  | { readonly kind: 'plans'; readonly rim: DrawnPlan; readonly foot: DrawnPlan | null }
  | { readonly kind: 'refused'; readonly rule: string };

const refused = (rule: string): PlansReading => ({ kind: 'refused', rule });

/** Sharp corners of a drawing are rounded to this radius (mm), or to a share of its width where that is less: no slab bends more tightly. */
const ROUNDED = { usual: 12, share: 0.1 } as const;

/** Most lines of one outline, as in the file. */
const MOST_POINTS = 400;

/** Outlines whose middles are closer than this are concentric (mm). */
const SAME_MIDDLE = 0.02;

/** The middle of an outline's box (mm). */
function middleOfBounds(outline: Outline): readonly [number, number] {
  const { minX, minY, maxX, maxY } = bounds(outline);
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}

/** A plan outline of one closed line, or why it is none. */
export function planOf(outline: Outline): DrawnPlan | string {
  const reading = convexOutline(outline);
  if (reading.kind === 'refused') return reading.rule;
  if (reading.points.length > MOST_POINTS) return `has an outline of more than ${MOST_POINTS} lines and arcs`;
  const { minX, minY, maxX, maxY } = bounds(reading.points);
  const most = ROUNDED.share * Math.min(maxX - minX, maxY - minY);
  return {
    kind: 'drawn',
    points: reading.points,
    corner: hasCorners(reading.points) ? Math.min(ROUNDED.usual, most) : 0,
  };
}

/**
 * Rim and foot from the closed lines of a drawing: the larger one is the rim; a smaller one, within it or beside it, the foot.
 * A foot within the rim lies as it is drawn; one beside it is drawn apart and lies under its middle.
 */
export function drawnPlans(lines: readonly DrawnLine[]): PlansReading {
  const { closed } = drawnLines(lines);
  if (closed.length === 0) return refused('has no closed line: an outline ends where it began');
  if (closed.length > 2)
    return refused(`has ${closed.length} closed lines: draw one for the rim, or one for the rim and one for the foot`);
  const size = (outline: Outline) => {
    const { minX, minY, maxX, maxY } = bounds(outline);
    return Math.max(maxX - minX, maxY - minY);
  };
  const [large, small] = [...closed].sort((one, other) => size(other) - size(one)) as [Outline, Outline?];
  const rim = planOf(large);
  if (typeof rim === 'string') return refused(rim);
  if (!small) return { kind: 'plans', rim, foot: null };
  const foot = planOf(small);
  if (typeof foot === 'string') return refused(foot);
  const [[x, y], [u, v]] = [middleOfBounds(large), middleOfBounds(small)];
  const off = [u - x, v - y] as const;
  const within = insideLine(pathPoints(large), [u, v]) && Math.hypot(...off) > SAME_MIDDLE;
  return { kind: 'plans', rim, foot: within ? { ...foot, at: off } : foot };
}
