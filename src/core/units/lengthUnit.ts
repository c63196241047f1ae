import { MM_PER_INCH } from '../numbers.ts';

/** The units a person may read lengths in. Files and computation are always in mm. */
export type LengthUnit = 'mm' | 'cm' | 'inch';

/** All units of length. */
export const LENGTH_UNITS: readonly LengthUnit[] = ['mm', 'cm', 'inch'];

/** Fine marks of an inch ruler: sixteenths or thirty-seconds. */
export type InchMarks = 16 | 32;

/** Marks of an inch ruler when nothing is chosen. */
export const DEFAULT_INCH_MARKS: InchMarks = 16;

/** Millimetres in one of the unit. */
export const MM_PER: Readonly<Record<LengthUnit, number>> = { mm: 1, cm: 10, inch: MM_PER_INCH };
