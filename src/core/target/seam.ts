/** How the two ends of a wall meet. Angles in degrees from the slab's face, overlaps and margins in mm. */
export type Seam =
  | { readonly kind: 'bevel'; readonly angle: number; readonly panels: number }
  | { readonly kind: 'butt'; readonly panels: number }
  | { readonly kind: 'lap'; readonly overlap: number; readonly panels: number }
  | { readonly kind: 'half-lap'; readonly overlap: number; readonly panels: number }
  | { readonly kind: 'cut-in-place'; readonly margin: number; readonly panels: number };

/** A kind of seam. */
export type SeamKind = Seam['kind'];

/** All kinds of seams. */
export const SEAM_KINDS: readonly SeamKind[] = ['bevel', 'butt', 'lap', 'half-lap', 'cut-in-place'];

/** Default bevel (degrees from the slab's face): the common figure at the bench. */
export const DEFAULT_BEVEL_ANGLE = 45;

/** Default overlap of a lap or half-lap seam (mm). */
export const DEFAULT_OVERLAP = 10;

/** Default margin beyond the wrap at each end of a wall that is cut in place (mm). */
export const DEFAULT_MARGIN = 15;

/** A bevel is cut between these angles (degrees from the slab's face). */
export const BEVEL_LIMITS = { least: 20, greatest: 90 } as const;
