import { firedLength } from '../../units/shrinkage.ts';
import { LENGTH_TOLERANCE } from '../../numbers.ts';
import { bentSheet } from './bentSheet.ts';
import { scaledSheet } from './sheetForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';

/** The slab that a sheet is cut from: thickness (wet mm), neutral fraction, shrinkage of its clay. */
export interface SheetSlab {
  readonly thickness: number;
  readonly neutralFraction: number;
  readonly shrinkage: number;
}

/** Rounds for reaching a length: over a tight bend the plan grows more slowly than the sheet. */
const ROUNDS = 30;

/** The longer side of a bent sheet in plan, along its neutral surface, fired mm. */
export function finishedLength(form: SheetForm, { thickness, neutralFraction, shrinkage }: SheetSlab): number {
  const { width, length } = bentSheet(form, thickness, neutralFraction);
  return firedLength(Math.max(width, length), shrinkage);
}

/** The sheet with its drawing scaled until it is as long as wanted (mm) once bent and fired; null where no scale does it. */
export function scaledToFinished(form: SheetForm, slab: SheetSlab, wanted: number): SheetForm | null {
  let found = form;
  for (let round = 0; round < ROUNDS; round += 1) {
    const now = finishedLength(found, slab);
    if (!(now > 0)) return null;
    if (Math.abs(now - wanted) < LENGTH_TOLERANCE) return found;
    found = scaledSheet(found, wanted / now);
  }
  return Math.abs(finishedLength(found, slab) - wanted) < 0.01 ? found : null;
}
