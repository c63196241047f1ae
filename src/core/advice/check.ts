import type { Phrase } from '../units/phrase.ts';

/** How much a check asks for: a note, take care, or stop and think. It never blocks an export. */
export type CheckLevel = 'note' | 'care' | 'stop';

/** One piece of advice: what it is about, the reason with its figure, and what to do. */
export interface Check {
  readonly code: string;
  readonly level: CheckLevel;
  readonly title: string;
  readonly phrase: Phrase;
}
