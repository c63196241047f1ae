import { ROUNDING } from '../../numbers.ts';

/** A stretch of a firing: at a rate (°C/h) to a temperature (°C), then held there (min). */
export interface Segment {
  readonly rate: number;
  readonly to: number;
  readonly hold: number;
}

/** A point of a firing's curve: minutes from the switch, °C. */
export type CurvePoint = readonly [minutes: number, celsius: number];

/** A shed at rest (°C): where a kiln begins. */
export const COLD = 20;

/** A kiln may be opened under this (°C): hotter, wares crack and hands burn. */
export const OPEN_AT = 60;

/** The corners of a schedule, and how long it takes in all. */
export function scheduleCurve(segments: readonly Segment[]): CurvePoint[] {
  const points: CurvePoint[] = [[0, COLD]];
  for (const { rate, to, hold } of segments) {
    const [minutes, celsius] = points.at(-1) as CurvePoint;
    const reached = minutes + (60 * Math.abs(to - celsius)) / rate;
    points.push([reached, to]);
    if (hold > 0) points.push([reached + hold, to]);
  }
  return points;
}

/** Temperature of a curve at a moment (°C), straight between its points; its ends hold beyond it. */
export function celsiusAt(curve: readonly CurvePoint[], minutes: number): number {
  const after = curve.findIndex(([at]) => at >= minutes);
  const [to, from] = [curve[after], curve[after - 1]];
  if (!to) return curve.at(-1)?.[1] ?? COLD;
  if (!from) return to[1];
  return from[1] + ((to[1] - from[1]) * (minutes - from[0])) / Math.max(ROUNDING, to[0] - from[0]);
}

/** The hottest of a curve (°C), and when it was there (min); null of an empty one. */
export function peakOf(curve: readonly CurvePoint[]): { readonly celsius: number; readonly minutes: number } | null {
  return curve.reduce<{ celsius: number; minutes: number } | null>(
    (best, [minutes, celsius]) => (best && best.celsius >= celsius ? best : { celsius, minutes }),
    null,
  );
}

/** Where a curve has no reading for longer than this (min), it was lost. */
const GAP = 20;

/** Stretches of a curve that were not read: from one minute to another. */
export function gapsOf(curve: readonly CurvePoint[]): [number, number][] {
  return curve.slice(1).flatMap(([to], index): [number, number][] => {
    const from = curve[index]?.[0] ?? to;
    return to - from > GAP ? [[from, to]] : [];
  });
}
