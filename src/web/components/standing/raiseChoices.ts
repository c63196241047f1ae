import type { SizeState } from '../../../core/target/target.ts';

/** Where the raised piece is cut open. */
export type CutOpen = 'whole' | 'level' | 'upright';

/** What is shown of the raised piece and beside it. */
export interface RaiseChoices {
  readonly section: CutOpen;
  readonly state: SizeState;
  readonly hand: boolean;
  readonly hole: boolean;
}

export const FIRST_CHOICES: RaiseChoices = { section: 'whole', state: 'wet', hand: false, hole: false };
