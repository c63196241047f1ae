import { pathPoints } from '../drawn/pathPoints.ts';
import type { Layer, Primitive } from '../../studio/printer/drawing.ts';
import { inverse, mapped, type Homography, type PlanePoint } from './homography.ts';

/** Where a part lies on a table or a screen: its own origin, and how far it is turned against the clock (radians); mm. */
export interface Lying {
  readonly at: PlanePoint;
  readonly turn: number;
}

/** A projected line: points in px of the picture. */
export interface ThrownLine {
  readonly layer: Layer;
  readonly points: readonly PlanePoint[];
  readonly closed: boolean;
}

/** A point of a part where it lies. */
export function lies([x, y]: PlanePoint, { at, turn }: Lying): PlanePoint {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [at[0] + x * cos - y * sin, at[1] + x * sin + y * cos];
}

/** The lines of a drawing where it lies, through the map from mm on the clay to px of the picture; words are left out. */
export function thrownLines(items: readonly Primitive[], lying: Lying, map: Homography): ThrownLine[] {
  const through = (point: PlanePoint) => mapped(map, lies(point, lying));
  return items.flatMap((item): ThrownLine[] => {
    if (item.kind === 'text') return [];
    if (item.kind === 'line') return [{ layer: item.layer, points: [item.from, item.to].map(through), closed: false }];
    return [
      { layer: item.layer, points: pathPoints(item.outline, { open: item.open }).map(through), closed: !item.open },
    ];
  });
}

/** Width on the clay of one px of the picture at a place, the way that it is widest (mm): no line is thrown truer. */
export function pixelOnClay(map: Homography, at: PlanePoint): number {
  const back = inverse(map);
  if (!back) return Infinity;
  const [x, y] = mapped(map, at);
  const [right, up] = [mapped(back, [x + 1, y]), mapped(back, [x, y + 1])];
  return Math.max(Math.hypot(right[0] - at[0], right[1] - at[1]), Math.hypot(up[0] - at[0], up[1] - at[1]));
}
