import { slabBox, type Part } from '../../parts/part/part.ts';

/** Clay left between two parts on one slab (mm): room for a knife's wall of clay. */
export const PART_GAP = 5;

/** A slab to roll. Lengths wet mm, along the roll first. */
export interface SlabNeeded {
  readonly thickness: number;
  readonly length: number;
  readonly width: number;
  /** Mass of the whole slab (g). */
  readonly mass: number;
  readonly parts: readonly string[];
}

/** Copies of one part are laid side by side up to this length of slab (mm), unless one alone is longer. */
const ROW_LENGTH = 450;

/** Box of all copies of one part in rows. */
function copies(part: Part): { readonly length: number; readonly width: number } {
  const box = slabBox(part);
  const across = Math.max(1, Math.min(part.count, Math.floor((ROW_LENGTH + PART_GAP) / (box.length + PART_GAP))));
  const rows = Math.ceil(part.count / across);
  const total = (size: number, number: number) => number * size + (number - 1) * PART_GAP;
  return { length: total(box.length, across), width: total(box.width, rows) };
}

/**
 * The least slabs for the parts as they are laid out: copies of one part side by side, different parts of one thickness
 * above one another, the longest side along the roll, {@link PART_GAP} apart. Density in g/cm3.
 */
export function slabsNeeded(parts: readonly Part[], wetDensity: number): SlabNeeded[] {
  const thicknesses = [...new Set(parts.map((part) => part.thickness))];
  return thicknesses.map((thickness) => {
    const here = parts.filter((part) => part.thickness === thickness);
    const boxes = here.map(copies);
    const length = Math.max(...boxes.map((box) => box.length));
    const width = boxes.reduce((sum, box) => sum + box.width, 0) + PART_GAP * (boxes.length - 1);
    return {
      thickness,
      length,
      width,
      mass: ((length * width * thickness) / 1000) * wetDensity,
      parts: here.map((part) => part.id),
    };
  });
}
