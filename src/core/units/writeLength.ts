import type { MassSystem } from './mass.ts';
import type { VolumeSystem } from './volume.ts';
import type { Fault } from '../errors.ts';
import { LENGTH_TOLERANCE } from '../numbers.ts';
import { DEFAULT_INCH_MARKS, MM_PER, type InchMarks, type LengthUnit } from './lengthUnit.ts';

/** How lengths are written: the unit and, for inches, the finest mark of the ruler. */
export interface LengthStyle {
  readonly unit: LengthUnit;
  readonly marks?: InchMarks;
  /** Whose fluid ounces go with inches; those of the United States when left out. */
  readonly volumes?: 'us' | 'imperial';
  /** How many steps finer than usual: each halves an inch's mark, or adds a decimal. */
  readonly finer?: number;
}

/** What masses and volumes are written in beside such lengths: inches go with pounds and fluid ounces. */
export function systemsOf({ unit, volumes = 'us' }: LengthStyle): {
  readonly mass: MassSystem;
  readonly volume: VolumeSystem;
} {
  return unit === 'inch' ? { mass: 'lb', volume: volumes } : { mass: 'g', volume: 'ml' };
}

/** The unit's sign as it follows a figure; only signs that the shipped typeface has, so that they print. */
export const UNIT_SIGN: Readonly<Record<LengthUnit, string>> = { mm: 'mm', cm: 'cm', inch: '"' };

function inchFraction(inches: number, marks: number): string {
  const sign = inches < 0 ? '−' : '';
  const parts = Math.round(Math.abs(inches) * marks);
  const whole = Math.floor(parts / marks);
  let over = parts % marks;
  let under = marks;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  if (over === 0) return `${sign}${whole}`;
  return whole === 0 ? `${sign}${over}/${under}` : `${sign}${whole} ${over}/${under}`;
}

/**
 * The figure of a length without its unit: one decimal in mm, two in cm, a reduced fraction in inches.
 *
 * @param mm the length in mm
 * @example writeFigure(84, { unit: 'inch' }) // '3 5/16'
 */
export function writeFigure(mm: number, style: LengthStyle): string {
  const { unit, marks = DEFAULT_INCH_MARKS, finer = 0 } = style;
  if (unit === 'inch') return inchFraction(mm / MM_PER.inch, marks * 2 ** finer);
  const text = (mm / MM_PER[unit]).toFixed((unit === 'mm' ? 1 : 2) + finer);
  return text.replace(/^-(?=0\.0+$)/, '').replace('-', '−');
}

/** A length with its unit: `84.0 mm`, `8.40 cm`, `3 5/16"`. */
export function writeLength(mm: number, style: LengthStyle): string {
  const gap = style.unit === 'inch' ? '' : ' ';
  return `${writeFigure(mm, style)}${gap}${UNIT_SIGN[style.unit]}`;
}

/**
 * A length as it stands in a field while it is edited: no more digits than it has, so that reading it back
 * gives the same length (inches fall back to decimals when no fraction of the ruler is exact).
 */
export function writeEditable(mm: number, style: LengthStyle): string {
  const value = mm / MM_PER[style.unit];
  if (style.unit === 'inch') {
    const marks = style.marks ?? DEFAULT_INCH_MARKS;
    const exact = Math.abs(value * marks - Math.round(value * marks)) < LENGTH_TOLERANCE;
    if (exact) return inchFraction(value, marks).replace('−', '-');
  }
  return String(Number(value.toFixed(4)));
}

/** Lengths nearer to one another than this are one (mm). */
const ALIKE = 0.005;

/** Most steps that figures are written finer to tell them apart: to a hundred and twenty-eighth of an inch from sixteenths. */
const FINEST = 3;

/**
 * A style fine enough to tell different lengths apart, so that no sentence says "is 3 5/16, needs 3 5/16".
 *
 * @param lengths mm
 */
export function apartStyle(lengths: readonly number[], style: LengthStyle): LengthStyle {
  const distinct = lengths.filter((mm, index) => lengths.findIndex((other) => Math.abs(other - mm) < ALIKE) === index);
  for (let finer = 0; finer <= FINEST; finer += 1) {
    const finerStyle = finer === 0 ? style : { ...style, finer };
    if (new Set(distinct.map((mm) => writeFigure(mm, finerStyle))).size === distinct.length) return finerStyle;
  }
  return { ...style, finer: FINEST };
}

/** Words with lengths in mm, as faults have them, in the reader's unit: `over 46.5 mm` becomes `over 1 13/16"`. */
export function inUnit(words: string, style: LengthStyle): string {
  return words.replace(/(\d+(?:\.\d+)?) mm\b/g, (_, mm: string) => writeLength(Number(mm), style));
}

/** The rule of a figure that is a length: its bounds in the reader's unit too. */
export function lengthRule({ code, rule }: Pick<Fault, 'code' | 'rule'>, style: LengthStyle): string {
  if (code !== 'out-of-range') return inUnit(rule, style);
  return rule.replace(/\d+(?:\.\d+)?/g, (mm) => writeLength(Number(mm), style));
}
