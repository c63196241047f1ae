/** Sizes, weights, what a piece holds and the minutes that it took at the table, as they are written down of it. */
export const MEASURED = [
  'rim',
  'foot',
  'height',
  'length',
  'width',
  'thickness',
  'other',
  'weight',
  'capacity',
  'minutes',
] as const;

/** A measured quantity. */
export type Measured = (typeof MEASURED)[number];

/** The states in which a piece is measured, in order. */
export const PIECE_STATES = ['wet', 'leather-hard', 'dry', 'bisque', 'fired'] as const;

/** A state in which a piece is measured. */
export type PieceState = (typeof PIECE_STATES)[number];
