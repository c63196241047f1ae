import { shortValue, type Fault } from './errors.ts';

/** The range of a figure. */
export interface Range {
  readonly least?: number;
  readonly greatest: number;
  /** The figure must be greater than this. */
  readonly above?: number;
}

/** The fault of a figure that is not in its range, in words; none when it is. */
export function rangeFaults(path: string, value: number | undefined, range: Range): Fault[] {
  if (value === undefined) return [];
  const { least = -Infinity, greatest, above } = range;
  if (Number.isFinite(value) && value >= least && value <= greatest && (above === undefined || value > above))
    return [];
  const rule =
    above !== undefined
      ? `must be greater than ${above} and at most ${greatest}`
      : `must be from ${least} to ${greatest}`;
  return [{ code: 'out-of-range', path, value: shortValue(value), rule }];
}

/** The fault of a text that is empty where it must not be, or too long. */
export function textFaults(
  path: string,
  text: string | undefined,
  { most, least = 0 }: { readonly most: number; readonly least?: number },
): Fault[] {
  const length = text?.trim().length ?? 0;
  if (length >= least && length <= most) return [];
  const rule = length < least ? 'must not be empty' : `must have at most ${most} characters`;
  return [{ code: 'wrong-type', path, value: shortValue(text), rule }];
}
