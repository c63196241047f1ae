/** How a slab lies on a mould: over a hump, on its bulging side, or in a hollow. */
export type MouldSide = 'hump' | 'slump';

/** Both sides of a mould. */
export const MOULD_SIDES: readonly MouldSide[] = ['hump', 'slump'];
