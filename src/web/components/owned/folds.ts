import type { PaperSheet } from '../../../core/studio/reverse/sheet.ts';
import type { Choice } from '../fields/choice.ts';

/** How a sheet is folded before it is wrapped: layers round and upward. */
export type Fold = `${number}x${number}`;

export const FOLDS: readonly Choice<Fold>[] = [
  { value: '1x1', title: 'not at all', why: 'The whole sheet is the wall.' },
  { value: '1x2', title: 'in half, downward', why: 'Two layers: half as high.' },
  { value: '1x3', title: 'in thirds, downward', why: 'Three layers: a third as high.' },
  { value: '1x4', title: 'in quarters, downward', why: 'Four layers: a quarter as high.' },
  { value: '2x1', title: 'in half, across', why: 'Two layers: half as far round.' },
  { value: '2x2', title: 'in half both ways', why: 'Four layers: half as high and half as far round.' },
  { value: '3x1', title: 'in thirds, across', why: 'Three layers: a third as far round.' },
];

/** Layers of the paper by its fold, around and up. */
export function layersOf(fold: Fold): Pick<PaperSheet, 'layersAround' | 'layersUp'> {
  const [layersAround = 1, layersUp = 1] = fold.split('x').map(Number);
  return { layersAround, layersUp };
}

/** The fold by the layers of the paper. */
export function foldOf({ layersAround, layersUp }: PaperSheet): Fold {
  return `${layersAround}x${layersUp}`;
}
