import type { Behaviour } from '../core/studio/learning/behaviour.ts';
import type { Finding } from '../core/studio/learning/findings.ts';
import type { MadePiece, Planned } from '../core/studio/learning/madePiece.ts';
import type { Pattern } from '../core/studio/learning/patterns.ts';
import type { CostOf } from '../core/studio/price/priceOf.ts';
import type { MakingPiece } from './makings.ts';

/** Figures of a revision's pieces; null while they are unknown, or can no longer be computed. Thickness mm, wet. */
export interface RevisionFacts {
  readonly form: string;
  readonly thickness: number;
  readonly seam: string;
  readonly base: string;
  readonly shrinkage: number;
  readonly planned: Planned;
}

/** One kind of piece of a making, as a list of records shows it. */
export interface MadeLine extends Omit<MakingPiece, 'steps'> {
  readonly making: string;
  readonly piece: number;
  /** The making's name. */
  readonly called: string;
  /** The clay's record and name in the clay book; null where it is not in it. */
  readonly clay: string | null;
  readonly clayName: string | null;
  readonly startedAt: string;
  readonly endedAt: string | null;
  readonly facts: RevisionFacts | null;
  /** How many of its pieces have a fault, and how many were measured fired. */
  readonly faulty: number;
  readonly fired: number;
}

/** What the pieces of one clay show. */
export interface ClayRecords {
  /** The clay's record, its name, and the shrinkage that is worked with (fraction). */
  readonly clay: string;
  readonly name: string;
  readonly now: number;
  readonly finding: Finding;
  readonly patterns: readonly Pattern[];
  readonly behaviour: Behaviour;
  readonly pieces: readonly MadePiece[];
}

/** Pieces of one kind of a making that are dry and were in no firing yet, by their numbers. */
export interface DryLine {
  readonly making: string;
  readonly piece: number;
  readonly name: string;
  readonly called: string;
  readonly numbers: readonly number[];
}

/** What one kind of piece of a making cost, without what the page knows: minutes that were noted, and the price of an hour. */
export type MadeCosts = Omit<CostOf, 'minutes' | 'hour'>;
