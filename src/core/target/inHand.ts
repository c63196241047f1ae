/**
 * What the potter has in hand and keeps to, paper first: a sheet as it is wrapped (mm), the arc template that the design
 * owns, or a cutter for the base (mm across). While a design keeps to it, a change of slab, seam, base or clay changes the piece.
 */
export type InHand =
  | { readonly kind: 'sheet'; readonly around: number; readonly up: number }
  | { readonly kind: 'arc' }
  | { readonly kind: 'cutter'; readonly across: number };

/** All kinds of things in hand. */
export const IN_HAND_KINDS: readonly InHand['kind'][] = ['sheet', 'arc', 'cutter'];
