import type { Point } from '../../../core/geometry/point.ts';
import { isPlate } from '../../../core/parts/part/part.ts';
import type { PartPlace } from './tablePlaces.ts';

/** Half a tick (px). */
const TICK = 7;

/** Path of a dimension line with its end ticks between two points on one level or one upright (px). */
export function dimensionLine([x1, y1]: Point, [x2, y2]: Point): string {
  const [dx, dy] = y1 === y2 ? [0, TICK] : [TICK, 0];
  const tick = (x: number, y: number) => `M${x - dx} ${y - dy}L${x + dx} ${y + dy}`;
  return `M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`;
}

/** Path of the dimension lines of a flat part: across a disc, along and up any other. */
export function partDimensions({ part, x, y, width, height, round, traced }: PartPlace): string {
  const { left, pxLength, top, pxHeight } = traced;
  const along = isPlate(part) ? y + 28 : y - height - 30;
  const beside = x + width + (isPlate(part) ? 20 : 48);
  return (
    dimensionLine([left, along], [left + pxLength, along]) +
    (round ? '' : dimensionLine([beside, top], [beside, top + pxHeight]))
  );
}
