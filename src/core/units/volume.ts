import { plainFigures } from './plainFigures.ts';

/** Millilitres, or fluid ounces, pints and quarts as in the United States or as in Britain. */
export type VolumeSystem = 'ml' | 'us' | 'imperial';

/** Fluid ounces of each, in millilitres; and how many make a pint, of which two are a quart. */
const OUNCES = { us: { ml: 29.5735295625, pint: 16 }, imperial: { ml: 28.4130625, pint: 20 } } as const;

/** Fluid ounces are written to so much of one; quarts to hundredths. */
const STEP = 0.5;

/** From so many pints on a volume is written in quarts. */
const IN_QUARTS = 2;

/** Writes a volume (ml): `443 ml`, `1.25 l` from two litres; `15 fl oz`, `1.5 qt` from a quart. */
export function writeVolume(ml: number, system: VolumeSystem): string {
  if (system === 'ml') return ml < 2000 ? `${Math.round(ml)} ml` : `${Number((ml / 1000).toFixed(2))} l`;
  const { ml: ounce, pint } = OUNCES[system];
  const ounces = ml / ounce;
  if (ounces < IN_QUARTS * pint) return `${Math.round(ounces / STEP) * STEP} fl oz`;
  return `${Number((ounces / pint / 2).toFixed(2))} qt`;
}

/**
 * Reads a volume as people write it: `350`, `1.4 l`, `35 cl`, `48 fl oz`, `1.5 qt`, `1 pt 4 oz`; a bare figure is in
 * millilitres, or in fluid ounces.
 * @returns millilitres, or null where no volume can be read
 */
export function readVolume(text: string, system: VolumeSystem): number | null {
  const bare = plainFigures(text).plain.toLowerCase();
  const { ml: ounce, pint } = OUNCES[system === 'imperial' ? 'imperial' : 'us'];
  const units: Readonly<Record<string, number>> = {
    ml: 1,
    cl: 10,
    l: 1000,
    oz: ounce,
    pt: pint * ounce,
    qt: 2 * pint * ounce,
    gal: 8 * pint * ounce,
  };
  if (/^(\d+(\.\d+)?|\.\d+)$/.test(bare)) return Number(bare) * (system === 'ml' ? 1 : ounce);
  const parts = [
    ...bare.matchAll(
      /(\d+(?:\.\d+)?|\.\d+)(?:\s+(\d+)\/(\d+))?\s*(ml|cl|litres?|liters?|l|fl\.?\s*oz|oz|pints?|pt|quarts?|qt|gallons?|gal)\b\.?/g,
    ),
  ];
  if (
    parts.length === 0 ||
    parts
      .map(([whole]) => whole)
      .join('')
      .replace(/\s+/g, '') !== bare.replace(/\s+/g, '')
  )
    return null;
  return parts.reduce((sum, [, figure, over, under, unit = 'ml']) => {
    const word = unit
      .replace(/^lit.*/, 'l')
      .replace(/^fl.*/, 'oz')
      .replace(/^pi.*/, 'pt')
      .replace(/^qu.*/, 'qt')
      .replace(/^gal.*/, 'gal');
    const fraction = over && under ? Number(over) / Number(under) : 0;
    return sum + (Number(figure) + fraction) * (units[word] ?? NaN);
  }, 0);
}
