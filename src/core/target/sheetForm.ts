import type { Outline } from '../geometry/outline/outline.ts';
import type { MouldForm, MouldWall } from './mouldForm.ts';
import type { Point } from '../geometry/point.ts';

/** Feet under a bent sheet that lies hollow side up: how many, and how long the shortest would be (fired mm). */
export interface SheetFeet {
  readonly count: 3 | 4;
  readonly height: number;
  readonly diameter: number;
  /** Where they are placed by hand on the flat sheet (mm), as many as are counted; left out, the program places them. */
  readonly at?: readonly Point[];
}

/** A mould that a sheet is laid on, its middle under the sheet's origin; sizes as it measures today (mm). */
export type SheetMould = Pick<MouldForm, 'rim' | 'foot' | 'depth' | 'side'> & {
  readonly wall: Exclude<MouldWall, 'drawn'>;
};

/**
 * What a sheet is bent over. A cylinder: across it as it measures today, and its axis, degrees anticlockwise from the x axis
 * of the sheet. Or a mould, its x axis at that angle from the sheet's.
 */
export type SheetBend =
  { readonly diameter: number; readonly angle: number } | { readonly mould: SheetMould; readonly angle: number };

/** A flat sheet of any outline, bent. The outline is the wanted one, flat and wet, its inside up (mm). */
export interface SheetForm {
  readonly kind: 'sheet';
  readonly outline: Outline;
  readonly holes?: readonly Outline[];
  /** Lines that are drawn or scored, not cut: veins. */
  readonly lines?: readonly (readonly Point[])[];
  readonly bend: SheetBend;
  readonly feet?: SheetFeet;
  /** How much longer the sheet became when it was smoothed by hand (measured over drawn length): the template is made smaller by it. */
  readonly grew?: number;
}

/** Limits of a sheet's figures (mm, degrees, counts). */
export const SHEET_LIMITS = {
  place: { least: -2500, greatest: 2500 },
  points: { least: 2, greatest: 400 },
  holes: { greatest: 40 },
  lines: { greatest: 80 },
  diameter: { above: 0, greatest: 2000 },
  angle: { least: 0, greatest: 180 },
  grew: { least: 0.8, greatest: 1.3 },
  footHeight: { least: 1, greatest: 100 },
  footAcross: { least: 3, greatest: 60 },
} as const;
