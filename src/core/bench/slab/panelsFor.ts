import { slabBox, type Part } from '../../parts/part/part.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { kindOf } from '../../forms/kinds.ts';
import { LIMITS, type Target } from '../../target/target.ts';

/** The greatest slab that can be rolled: along the roll and across it (mm). */
export interface GreatestSlab {
  readonly length: number;
  readonly width: number;
}

/** Whether a part, laid along the roll as it is drawn, lies on a slab. */
export function fitsOn(part: Part, slab: GreatestSlab): boolean {
  const box = slabBox(part);
  return box.length <= slab.length && box.width <= slab.width;
}

/** The target with its wall in `panels` pieces; a folded strip of facets becomes separate panels. */
function inPieces(target: Target, panels: number): Target | null {
  const { form } = target;
  if (form.kind === 'box') return null;
  if (form.kind === 'facet') {
    return form.fold === 'strip' ? { ...target, form: { ...form, fold: 'separate' } } : null;
  }
  return { ...target, seam: { ...target.seam, panels } };
}

/**
 * The same design with its wall cut in the fewest pieces that lie on the slab, or null when no number does, or when its
 * developed `parts` do so already. Each piece has its own seam.
 */
export function cutToFit(target: Target, parts: readonly Part[], slab: GreatestSlab): Target | null {
  const wallsFit = (all: readonly Part[]) => all.every((part) => part.role === 'base' || fitsOn(part, slab));
  if (wallsFit(parts)) return null;
  for (let panels = target.seam.panels + 1; panels <= LIMITS.panels.greatest; panels += 1) {
    const cut = inPieces(target, panels);
    if (!cut || checkTarget(cut).length > 0) return null;
    if (wallsFit(kindOf(cut).develop(cut).parts)) return cut;
    if (cut.form.kind === 'facet') return null;
  }
  return null;
}
