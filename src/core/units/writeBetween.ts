import { DEFAULT_INCH_MARKS, MM_PER } from './lengthUnit.ts';
import { UNIT_SIGN, writeFigure, writeLength, type LengthStyle } from './writeLength.ts';

/** The plus or minus of a narrow interval is written at most this many steps finer than usual. */
const FINEST = 3;

/** Forgives rounding noise when a length is rounded up (shares of a step). */
const NOISE = 1e-9;

/** The smallest length that is written at so many steps finer than usual (mm). */
function stepOf({ unit, marks = DEFAULT_INCH_MARKS }: LengthStyle, finer: number): number {
  return unit === 'inch' ? MM_PER.inch / (marks * 2 ** finer) : 0.1 / 10 ** finer;
}

/**
 * An interval of lengths (mm): its bounds, or where they read alike, its middle and plus or minus half its width, rounded up.
 *
 * @example writeBetween(83.9, 84.3, { unit: 'inch' }) // '3 5/16 ± 1/64"'
 */
export function writeBetween(low: number, high: number, style: LengthStyle): string {
  if (writeFigure(low, style) !== writeFigure(high, style)) {
    return `between ${writeFigure(low, style)} and ${writeLength(high, style)}`;
  }
  const half = (high - low) / 2;
  if (half === 0) return writeLength(low, style);
  const finer = [1, 2].find((steps) => stepOf(style, steps) <= half) ?? FINEST;
  const step = stepOf(style, finer);
  const rounded = step * Math.ceil(half / step - NOISE);
  const gap = style.unit === 'inch' ? '' : ' ';
  return `${writeFigure((low + high) / 2, style)} ± ${writeFigure(rounded, { ...style, finer })}${gap}${UNIT_SIGN[style.unit]}`;
}
