/** Sizes, weights and what a piece holds, as they are measured of it. */
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
] as const;
export type Measured = (typeof MEASURED)[number];

/** The states in which a piece is measured, in order. */
export const PIECE_STATES = ['wet', 'leather-hard', 'dry', 'bisque', 'fired'] as const;
export type PieceState = (typeof PIECE_STATES)[number];
