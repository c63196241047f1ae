import { UNIT_SIGN, writeFigure, writeLength, type LengthStyle } from './writeLength.ts';

/** Most steps finer that half the width of a narrow interval is written (hundred and twenty-eighths of an inch). */
const FINEST = 3;

/**
 * An interval of lengths (mm): its bounds, or where they read alike, its middle and plus or minus so much, rounded up.
 *
 * @example writeBetween(83.9, 84.2, { unit: 'inch' }) // '3 5/16 ± 1/64"'
 */
export function writeBetween(low: number, high: number, style: LengthStyle): string {
  if (writeFigure(low, style) !== writeFigure(high, style)) {
    return `between ${writeFigure(low, style)} and ${writeLength(high, style)}`;
  }
  const middle = writeFigure((low + high) / 2, style);
  const half = (high - low) / 2;
  for (let finer = 1; finer <= FINEST; finer += 1) {
    const text = writeFigure(half, { ...style, finer });
    if (!/^0(\.0*)?$/.test(text))
      return `${middle} ± ${text}${style.unit === 'inch' ? '' : ' '}${UNIT_SIGN[style.unit]}`;
  }
  return writeLength((low + high) / 2, style);
}
