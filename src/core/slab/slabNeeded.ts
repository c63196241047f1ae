import { slabBox, type Part } from '../part/part.ts';

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

/**
 * The least slabs for the parts as they are laid out: parts of one thickness above one another on one slab, the longest
 * side along the roll, {@link PART_GAP} apart. Density in g/cm3.
 */
export function slabsNeeded(parts: readonly Part[], wetDensity: number): SlabNeeded[] {
  const thicknesses = [...new Set(parts.map((part) => part.thickness))];
  return thicknesses.map((thickness) => {
    const here = parts.filter((part) => part.thickness === thickness);
    const boxes = here.flatMap((part) => Array.from({ length: part.count }, () => slabBox(part)));
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
