import type { Outline } from '../geometry/outline/outline.ts';

/**
 * A plan outline in the file: sizes in mm, `at` its centre, polygons with one side square to the x axis. A drawn one is convex
 * lines and arcs about its centre, its sharp corners rounded off to the radius `corner`, and grown all round by `grow`.
 */
export type PlanOutline =
  | { readonly kind: 'circle'; readonly diameter: number; readonly at?: readonly [number, number] }
  | {
      readonly kind: 'ellipse';
      readonly length: number;
      readonly width: number;
      readonly at?: readonly [number, number];
    }
  | {
      readonly kind: 'rounded';
      readonly length: number;
      readonly width: number;
      readonly corner: number;
      readonly at?: readonly [number, number];
    }
  | {
      readonly kind: 'polygon';
      readonly sides: number;
      readonly acrossFlats: number;
      readonly corner: number;
      readonly at?: readonly [number, number];
    }
  | DrawnPlan;

/** A plan outline that was drawn or traced (mm). */
export interface DrawnPlan {
  readonly kind: 'drawn';
  readonly points: Outline;
  readonly corner: number;
  readonly grow?: number;
  readonly at?: readonly [number, number];
}

/** All kinds of plan outlines. */
export const PLAN_KINDS: readonly PlanOutline['kind'][] = ['circle', 'ellipse', 'rounded', 'polygon', 'drawn'];
