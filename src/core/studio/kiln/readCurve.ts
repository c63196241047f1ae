import { FIRING_LIMITS } from './keptFiring.ts';
import type { CurvePoint } from './schedule.ts';

/** A curve that was read, or the first bad line, counted from 1, and the reason. */
export type CurveReading =
  | { readonly kind: 'curve'; readonly curve: readonly CurvePoint[] }
  | { readonly kind: 'fault'; readonly line: number; readonly why: string };

/** A time and a temperature: `2:30 180`, `2.5 h, 180 °C`, `2,5; 180`. */
const LINE = /^\s*(\d+(?::[0-5]\d|[.,]\d+)?)\s*h?\s*[\s;,\t]\s*(-?\d+(?:[.,]\d+)?)\s*(?:°?\s*C)?\s*$/i;

const MINUTES = 60;

function minutesOf(text: string): number {
  const [hours, minutes] = text.split(':');
  if (minutes !== undefined) return MINUTES * Number(hours) + Number(minutes);
  return MINUTES * Number(text.replace(',', '.'));
}

/**
 * Reads a written log of a kiln: a line for each reading, with hours from the switch (h:mm or a decimal) and °C. Empty lines are
 * skipped; times must rise.
 */
export function readCurve(text: string): CurveReading {
  const { least, greatest } = FIRING_LIMITS.celsius;
  const curve: CurvePoint[] = [];
  for (const [index, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue;
    const fault = (why: string): CurveReading => ({ kind: 'fault', line: index + 1, why });
    const [, time = '', celsius = ''] = LINE.exec(line) ?? [];
    if (time === '') return fault('Write hours and °C, as in 2:30 180.');
    const point: CurvePoint = [minutesOf(time), Number(celsius.replace(',', '.'))];
    if (point[0] <= (curve.at(-1)?.[0] ?? -1)) return fault('Its time must be later than that of the line before.');
    if (point[1] < least || point[1] > greatest)
      return fault(`Its temperature must lie between ${least} and ${greatest} °C.`);
    if (curve.length >= FIRING_LIMITS.curve) return fault(`A curve has at most ${FIRING_LIMITS.curve} readings.`);
    curve.push(point);
  }
  return { kind: 'curve', curve };
}

/** A curve as it is typed: a line for each reading. */
export function curveText(curve: readonly CurvePoint[]): string {
  return curve
    .map(([minutes, celsius]) => {
      const whole = Math.round(minutes);
      return `${Math.floor(whole / MINUTES)}:${String(whole % MINUTES).padStart(2, '0')} ${Math.round(celsius)}`;
    })
    .join('\n');
}
