import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import type { Blank } from '../../../core/forms/kind/blank.ts';
import { interpolateLab, piecewise, rgb } from 'd3';
import { feltOver } from '../../../core/forms/mould/felt.ts';
import { bowsOf } from './bows.ts';

/** What is drawn on the map. */
export type MapQuantity = 'gather' | 'stretch' | 'thickness';

/** The map's figures: at each vertex, its scale, and the step of its contour lines. */
export interface MapFigures {
  readonly values: Float64Array;
  /** ... and how far they rise over the straight line in the middle of each triangle's three sides. */
  readonly bows: Float64Array;
  readonly least: number;
  readonly greatest: number;
  /** Between neighbouring contour lines. */
  readonly step: number;
  /** The limit, which is drawn as the strong line. */
  readonly limit: number | null;
}

/** Perceptually even from light to dark: its lightness falls in equal steps. */
export const mapColour = piecewise(interpolateLab, ['#fdf3dc', '#d9a566', '#9a5a3c', '#4a2436']);

/** Shades of the map's scale. */
const SHADES = 512;

/** The scale's shades, red, green and blue of each, from least to greatest. */
export function mapLadder(): Uint8ClampedArray {
  const ladder = new Uint8ClampedArray(3 * SHADES);
  for (let index = 0; index < SHADES; index += 1) {
    const { r, g, b } = rgb(mapColour(index / (SHADES - 1)));
    ladder.set([r, g, b], 3 * index);
  }
  return ladder;
}

/** Steps between contour lines (fractions). */
const STEPS = [0.005, 0.01, 0.02, 0.05, 0.1] as const;

/** Near darts the figures of single vertices jump, so they are averaged over this many thicknesses, as clay does. */
const FELT = 2;

/** Figures of the strain map: a value at each vertex, how it bows along each edge, and the range and steps of the scale. */
export function mapFigures(
  blank: Blank,
  quantity: MapQuantity,
  { limit, thickness }: { limit: number | null; thickness: number },
): MapFigures {
  const { strain } = blank;
  const values = blank.cuts.length > 0 ? feltOver(blank.mesh, strain[quantity], FELT * thickness) : strain[quantity];
  const least = quantity === 'thickness' ? strain.most.thin : 0;
  const greatest = quantity === 'thickness' ? strain.most.thick : Math.max(strain.most[quantity], (limit ?? 0) * 1.1);
  const span = Math.max(LENGTH_TOLERANCE, greatest - least);
  const step = STEPS.find((one) => span / one <= 8) ?? 0.2;
  return { values, bows: bowsOf(blank, values), least, greatest, step, limit };
}
