import { type Support } from '../outline/support.ts';
import { planArea } from '../outline/planMeasures.ts';

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
