import type { MadePiece } from './madePiece.ts';

/** A made-up cup, cut for 12 % shrinkage; nothing of it is measured yet. */
export const CUP: MadePiece = {
  making: 'a',
  piece: 0,
  number: 1,
  name: 'Cup',
  form: 'cylinder',
  firing: null,
  shrinkage: 0.12,
  planned: { sizes: { rim: 84, height: 110 }, clay: { wet: 400, away: 0 }, room: 800, wrap: null },
  measured: [],
  faults: [],
  missed: null,
  thickness: 6,
  seam: 'bevel',
  base: 'under',
  drying: null,
};
