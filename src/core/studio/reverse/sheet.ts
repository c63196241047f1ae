import { distanceToUpper, inset, turnedLean } from '../../parts/part/lean.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import { developCylinder } from '../../parts/wall/cylinder.ts';
import { impossible, made, sizeFactor, type Making, type Reversed } from './reversed.ts';

/** A sheet of paper that is wrapped: its sides as bought (mm), and in how many layers it is folded each way. */
export interface PaperSheet {
  /** The side that goes round. */
  readonly around: number;
  /** The side that stands up. */
  readonly up: number;
  readonly layersAround: number;
  readonly layersUp: number;
}

/** Layers that a sheet is folded in. */
export const LAYERS = [1, 2, 3, 4] as const;

/** The straight round piece that a sheet makes, traced on the face that lies up and wrapped (geometry: cylinder, reverse). */
export function pieceFromSheet(sheet: PaperSheet, making: Making): Reversed {
  const around = sheet.around / sheet.layersAround;
  const up = sheet.up / sheet.layersUp;
  if (!(around > 0) || !(up > 0)) return impossible('both sides must be more than 0');
  const { slab, seam, base } = making;
  const { wall: t, base: floor, neutralFraction: k, faceUp } = slab;
  const ring = seam.panels * (around - seamAllowance(seam, t).added);
  const outside = ring / Math.PI + 2 * t * (1 - k);
  // What the base takes of the height does not depend on the height: it is read off a piece of any height.
  const any = developCylinder({ outside, height: 100, wall: t, floor, neutralFraction: k, base });
  const seen = faceUp === 'inside' ? any.footLean : turnedLean(any.footLean);
  const wallHeight = up + inset(seen, distanceToUpper(t, k, faceUp));
  const height = wallHeight + (100 - any.wallHeight);
  const across = making.size.face === 'outside' ? outside : outside - 2 * t;
  const f = sizeFactor(making);
  return made(making, { kind: 'cylinder', diameter: f * across, height: f * height });
}
