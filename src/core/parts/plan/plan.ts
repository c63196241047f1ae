import type { PlanOutline, DrawnPlan } from '../../target/plan.ts';
import { once, TAU } from '../../numbers.ts';
import { arcOutline } from '../../geometry/outline/arcOutline.ts';
import { inward, rememberedSupport } from '../../geometry/outline/derived.ts';
import { bounds, scaled } from '../../geometry/outline/outline.ts';
import {
  circle,
  ellipse,
  movedSupport,
  roundedPolygon,
  type PlanPoint,
  type Support,
} from '../../geometry/outline/support.ts';

/** A drawn outline scaled by a factor. */
export function scaledDrawn(plan: DrawnPlan, factor: number): DrawnPlan {
  return {
    ...plan,
    points: scaled(plan.points, factor),
    corner: plan.corner * factor,
    ...(plan.grow !== undefined && { grow: plan.grow * factor }),
  };
}

/** A drawn outline's greatest size along x or y (mm). */
export function drawnReach({ points, grow = 0 }: DrawnPlan): number {
  const { minX, minY, maxX, maxY } = bounds(points);
  return Math.max(maxX - minX, maxY - minY) + 2 * grow;
}

function polygonCorners(sides: number, apothem: number): PlanPoint[] {
  const reach = apothem / Math.cos(Math.PI / sides);
  const corners: PlanPoint[] = [];
  for (let index = 0; index < sides; index += 1) {
    const angle = (TAU * (index + 0.5)) / sides;
    corners.push([reach * Math.cos(angle), reach * Math.sin(angle)]);
  }
  return corners;
}

/** Adds `extra` mm to the outline all round (negative: takes away), keeping its centre: sizes measured over another face. */
export function grownPlan(plan: PlanOutline, factor: number, extra = 0): PlanOutline {
  const at = plan.at && ([plan.at[0] * factor, plan.at[1] * factor] as const);
  const size = (value: number) => value * factor + 2 * extra;
  switch (plan.kind) {
    case 'circle':
      return { ...plan, diameter: size(plan.diameter), at };
    case 'ellipse':
      return { ...plan, length: size(plan.length), width: size(plan.width), at };
    case 'rounded':
      return { ...plan, length: size(plan.length), width: size(plan.width), corner: plan.corner * factor + extra, at };
    case 'polygon':
      return { ...plan, acrossFlats: size(plan.acrossFlats), corner: plan.corner * factor + extra, at };
    case 'drawn':
      return { ...scaledDrawn(plan, factor), grow: (plan.grow ?? 0) * factor + extra, at };
  }
}

/** A drawn outline, its sharp corners moved in and out again by their radius. */
const drawnSupport = once(({ points, corner, grow = 0 }: DrawnPlan): Support =>
  rememberedSupport(inward(inward(arcOutline(points), corner), -corner - grow)),
);

/** The support function of a plan outline. */
export function supportOf(plan: PlanOutline): Support {
  const at = plan.at ?? [0, 0];
  switch (plan.kind) {
    case 'circle':
      return movedSupport(circle(plan.diameter / 2), at);
    case 'ellipse':
      return movedSupport(ellipse(plan.length / 2, plan.width / 2), at);
    case 'rounded': {
      const x = plan.length / 2 - plan.corner;
      const y = plan.width / 2 - plan.corner;
      return movedSupport(
        roundedPolygon(
          [
            [x, y],
            [-x, y],
            [-x, -y],
            [x, -y],
          ],
          plan.corner,
        ),
        at,
      );
    }
    case 'polygon':
      return movedSupport(
        roundedPolygon(polygonCorners(plan.sides, plan.acrossFlats / 2 - plan.corner), plan.corner),
        at,
      );
    case 'drawn':
      return movedSupport(drawnSupport(plan), at);
  }
}

/** Width of a floor as a share of its rim. */
const FLOOR_SHARE = 0.75;

/** The usual floor of a mould with this rim: the same outline at three quarters of its size. */
export function planShrunk(rim: PlanOutline): PlanOutline {
  const by = (mm: number) => FLOOR_SHARE * mm;
  if (rim.kind === 'circle') return { ...rim, diameter: by(rim.diameter) };
  if (rim.kind === 'drawn') return scaledDrawn(rim, FLOOR_SHARE);
  if (rim.kind === 'polygon') return { ...rim, acrossFlats: by(rim.acrossFlats), corner: by(rim.corner) };
  const sized = { ...rim, length: by(rim.length), width: by(rim.width) };
  return sized.kind === 'rounded' ? { ...sized, corner: by(sized.corner) } : sized;
}

/** Greatest reach across a plan, along its longer side (mm). */
export function planReach(plan: PlanOutline): number {
  if (plan.kind === 'circle') return plan.diameter;
  if (plan.kind === 'drawn') return drawnReach(plan);
  return plan.kind === 'polygon' ? plan.acrossFlats : plan.length;
}
