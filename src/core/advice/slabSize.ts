import { slabBox, type Part } from '../parts/part/part.ts';
import { fitsOn, type GreatestSlab } from '../bench/slab/panelsFor.ts';
import type { Check } from './check.ts';

/** Advice when a part is larger than the greatest slab (mm). `pieces` is how many the wall is cut in to fit, if any number does. */
export function checkSlabSize(parts: readonly Part[], slab: GreatestSlab, pieces: number | null): Check | null {
  const large = parts.find((part) => !fitsOn(part, slab));
  if (!large) return null;
  const box = slabBox(large);
  return {
    code: 'slab-size',
    level: 'stop',
    title: 'Larger than your slab',
    phrase: [
      `${large.name} needs `,
      { mmPlain: box.length },
      ' × ',
      { mm: box.width },
      ', your slab is ',
      { mmPlain: slab.length },
      ' × ',
      { mm: slab.width },
      pieces === null
        ? '. Cut the wall in more pieces, make it smaller, or join two slabs.'
        : `. Cut the wall in ${pieces} pieces.`,
    ],
  };
}
