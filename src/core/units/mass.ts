import { plainFigures } from './plainFigures.ts';

/** Grams in an avoirdupois ounce and pound. */
export const GRAMS_PER_OUNCE = 28.349523125;
const OUNCES_PER_POUND = 16;
const GRAMS_PER_POUND = OUNCES_PER_POUND * GRAMS_PER_OUNCE;

/** Grams and kilograms, or pounds and ounces. */
export type MassSystem = 'g' | 'lb';

/** A bench scale shows whole steps of this many grams, or of this many ounces. */
export const SCALE_STEPS = { g: 10, lb: 0.5 } as const;

/** Forgives rounding noise when a mass is rounded up (steps of the scale). */
const NOISE = 1e-6;

/** A mass (g) rounded up to what a bench scale shows. */
export function scaleUp(grams: number, system: MassSystem): number {
  const step = system === 'g' ? SCALE_STEPS.g : SCALE_STEPS.lb * GRAMS_PER_OUNCE;
  return Math.ceil(grams / step - NOISE) * step;
}

/** Writes a mass (g): `740 g`, `12.4 kg` from ten kilograms; `1 lb 10 oz`, to half an ounce. */
export function writeMass(grams: number, system: MassSystem): string {
  if (system === 'g') {
    return grams < 10_000 ? `${Math.round(grams)} g` : `${Number((grams / 1000).toFixed(2))} kg`;
  }
  const ounces = Math.round(grams / GRAMS_PER_OUNCE / SCALE_STEPS.lb) * SCALE_STEPS.lb;
  const pounds = Math.floor(ounces / OUNCES_PER_POUND);
  const rest = ounces - pounds * OUNCES_PER_POUND;
  if (pounds === 0) return `${rest} oz`;
  return rest === 0 ? `${pounds} lb` : `${pounds} lb ${rest} oz`;
}

const UNITS: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, lb: GRAMS_PER_POUND };

/**
 * Reads a mass as people write it: `740`, `1.2 kg`, `1 lb 10 oz`, `26 oz`; a bare figure is in grams, or in pounds.
 * @returns grams, or null where no mass can be read
 */
export function readMass(text: string, system: MassSystem): number | null {
  const bare = plainFigures(text).plain.toLowerCase();
  if (/^\d+(\.\d+)?$/.test(bare)) return Number(bare) * (system === 'g' ? 1 : GRAMS_PER_POUND);
  const parts = [...bare.matchAll(/(\d+(?:\.\d+)?)\s*(kg|g|lbs?|oz)\b/g)];
  if (parts.length === 0 || parts.map(([whole]) => whole).join('') !== bare.replace(/\s+(?=\d)/g, '')) return null;
  return parts.reduce(
    (sum, [, figure, unit = 'g']) => sum + Number(figure) * (UNITS[unit.replace('lbs', 'lb')] ?? 0),
    0,
  );
}
