import { radians } from '../../numbers.ts';
import type { Bending } from './bentSheet.ts';
import { pointsOf } from './sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import type { Point } from '../../geometry/point.ts';

/** Further round than this from the lowest line the sheet would close over the cylinder (radians). */
export const MOST_WRAP = 1.5;

/**
 * Over a cylinder: `Rn = R + k t`, plan width `Rn sin(u / Rn)`, rise `Rn (1 - cos(u / Rn))` (geometry: bent sheets). Plan: x
 * across the axis, y along it, about the middle of the sheet's box in that frame.
 */
export function overCylinder(
  { outline }: SheetForm,
  { diameter, angle, depth }: { readonly diameter: number; readonly angle: number; readonly depth: number },
): Bending {
  const neutralRadius = diameter / 2 + depth;
  const [cos, sin] = [Math.cos(radians(angle)), Math.sin(radians(angle))];
  const turned = pointsOf(outline, 1).map(([x, y]): Point => [y * cos - x * sin, x * cos + y * sin]);
  const [us, vs] = [turned.map(([u]) => u), turned.map(([, v]) => v)];
  const [u0, u1, v0, v1] = [Math.min(...us), Math.max(...us), Math.min(...vs), Math.max(...vs)];
  const [uMiddle, vMiddle] = [(u0 + u1) / 2, (v0 + v1) / 2];
  const back = ([u, v]: Point): Point => [
    (v + vMiddle) * cos - (u + uMiddle) * sin,
    (u + uMiddle) * cos + (v + vMiddle) * sin,
  ];
  const wrap = (u1 - u0) / 2 / neutralRadius;
  return {
    place: ([x, y]) => {
      const turn = (y * cos - x * sin - uMiddle) / neutralRadius;
      const v = x * cos + y * sin - vMiddle;
      return {
        at: [neutralRadius * Math.sin(turn), v, neutralRadius * (1 - Math.cos(turn))],
        normal: [-Math.sin(turn), 0, Math.cos(turn)],
      };
    },
    bendRadius: neutralRadius,
    wrap,
    axis: [back([0, -(v1 - v0) / 2]), back([0, (v1 - v0) / 2])],
    strain: null,
  };
}
