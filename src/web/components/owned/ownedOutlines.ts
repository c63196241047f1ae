import { radians } from '../../../core/numbers.ts';
import type { Outline } from '../../../core/geometry/outline/outline.ts';
import { circle, rectangle } from '../../../core/geometry/outline/shapes.ts';
import type { ArcTemplate } from '../../../core/target/arcTemplate.ts';

/** A stretch of a ring sector, its angles from upright (degrees), its centre at the origin. */
export function arcOutline({ inner, outer }: ArcTemplate, from: number, to: number): Outline {
  const at = (radius: number, angle: number) =>
    [radius * Math.sin(radians(angle)), radius * Math.cos(radians(angle))] as const;
  const bulge = Math.tan(radians(to - from) / 4);
  return [
    [...at(inner, from), -bulge],
    [...at(inner, to), 0],
    [...at(outer, to), bulge],
    [...at(outer, from), 0],
  ];
}

/** The outline of a round thing (mm). */
export const circleOutline = (diameter: number): Outline => circle(diameter);
/** The outline of a sheet of paper (mm). */
export const sheetOutline = (around: number, up: number): Outline => rectangle(around, up);
