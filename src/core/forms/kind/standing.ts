import { LENGTH_TOLERANCE, TAU } from '../../numbers.ts';
import { type Support } from '../../geometry/outline/support.ts';
import { planArea } from '../../geometry/outline/planMeasures.ts';

/** A point of a silhouette: height and how far it reaches to the left and right of the middle (mm). */
export type Reach = readonly [height: number, left: number, right: number];

/** The standing piece as it is just made, wet mm. */
export interface Standing {
  /** Overall height, table to rim. */
  readonly height: number;
  /** Height of the inner floor; 0 without a base. */
  readonly floor: number;
  /** Silhouettes of the outside, and of the hollow inside, from below. */
  readonly outer: readonly Reach[];
  /** The outer edge of the rim. */
  readonly rim: Reach;
  readonly hollow: readonly Reach[];
  /** Across the inside along and across the x axis, where it is narrowest in its upper half: what a hand must pass. */
  readonly mouth: readonly [number, number];
  /** Widest across the outside along and across the x axis (mm). */
  readonly across: readonly [number, number];
  /** The level outlines of its outer and its inner face at a height. */
  readonly section: (z: number) => { readonly outer: Support; readonly inner: Support };
  /** Volume of the hollow from the floor to the brim (mm3). */
  readonly hollowVolume: number;
}

/** Silhouette points of level outlines: how far each reaches along the x axis. */
export function reachOf(shape: Support, height: number): Reach {
  return [height, -shape.h(Math.PI), shape.h(0)];
}

/** Across an outline along and across the x axis (mm). */
export function acrossOf(shape: Support): readonly [number, number] {
  return [shape.h(0) + shape.h(Math.PI), shape.h(Math.PI / 2) + shape.h(-Math.PI / 2)];
}

/** Directions in which an opening is measured. */
const LOOKS = 72;

/**
 * What a hand has to pass through an opening (mm): its widths where it is alike from side to side, else the circle that goes
 * into it about its middle, since a width from a corner to the flat across from it lets no hand through.
 */
export function mouthOf(shape: Support): readonly [number, number] {
  const [wide, deep] = acrossOf(shape);
  const [x, y] = [(shape.h(0) - shape.h(Math.PI)) / 2, (shape.h(Math.PI / 2) - shape.h(-Math.PI / 2)) / 2];
  let alike = true;
  for (let look = 0; look < LOOKS / 2 && alike; look += 1) {
    const phi = (TAU * look) / LOOKS;
    const off = x * Math.cos(phi) + y * Math.sin(phi);
    alike = Math.abs(shape.h(phi) - shape.h(phi + Math.PI) - 2 * off) < LENGTH_TOLERANCE;
  }
  if (alike) return [wide, deep];
  const [mx, my] = middleOfPlan(shape);
  const least = [...shape.flats, ...Array.from({ length: LOOKS }, (_, look) => (TAU * look) / LOOKS)].reduce(
    (near, phi) => Math.min(near, shape.h(phi) - mx * Math.cos(phi) - my * Math.sin(phi)),
    Infinity,
  );
  return [2 * least, 2 * least];
}

/** The middle of a plan (Steiner's point of its support function). */
export function middleOfPlan(plan: Support): readonly [number, number] {
  let [x, y] = [0, 0];
  for (let step = 0; step < LOOKS; step += 1) {
    const phi = (TAU * step) / LOOKS;
    x += (2 * plan.h(phi) * Math.cos(phi)) / LOOKS;
    y += (2 * plan.h(phi) * Math.sin(phi)) / LOOKS;
  }
  return [x, y];
}

/** The larger of several widths, each way (mm). */
export function widestOf(widths: readonly (readonly [number, number])[]): readonly [number, number] {
  return [Math.max(...widths.map(([x]) => x)), Math.max(...widths.map(([, y]) => y))];
}

/** Volume between two heights of a solid whose level sections change their size evenly: Simpson's rule is exact. */
export function prismoid(area: (z: number) => number, from: number, to: number): number {
  return ((to - from) * (area(from) + 4 * area((from + to) / 2) + area(to))) / 6;
}

/** Volume of a hollow between heights by its sections' outlines. */
export function hollowOf(section: (z: number) => Support, from: number, to: number): number {
  return prismoid((z) => planArea(section(z)), from, to);
}

/** Volume of a cone's frustum (mm3) by its radii and height. */
export function frustum(low: number, high: number, height: number): number {
  return (Math.PI * height * (low * low + low * high + high * high)) / 3;
}
