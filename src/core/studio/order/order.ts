import type { Air, Cover } from '../drying/air.ts';
import type { Firing, KilnStretch } from './kilnDays.ts';
import type { DayHours } from './weekHours.ts';
import type { WorkBlock } from './workBlock.ts';

/** Pieces of one design in an order, and how one of them is made. */
export interface OrderLine {
  readonly count: number;
  readonly blocks: readonly WorkBlock[];
  /** What was learned of its clay: drying times over those of the model, by cover; 1 where nothing was. */
  readonly factors?: Readonly<Partial<Record<Cover, number>>>;
}

/** One block of one set of a line: lines from 0, sets from 1. */
export interface BlockSpot {
  readonly line: number;
  readonly set: number;
  readonly block: string;
}

/** A block that stays where it was put (ms since 1970). */
export interface HeldBlock extends BlockSpot {
  readonly start: number;
}

/** A block that was finished at a moment (ms since 1970). */
export interface DoneBlock extends BlockSpot {
  readonly at: number;
}

/** An order to be planned; moments in ms since 1970. */
export interface OrderTask {
  readonly lines: readonly OrderLine[];
  /** When the work can begin, and when all has to be fired. */
  readonly start: number;
  readonly ready: number;
  readonly week: readonly DayHours[];
  /** Stretches in which the potter is busy with something else. */
  readonly taken: readonly (readonly [number, number])[];
  readonly firing: Firing;
  /** The potter's minutes over those of the order of work. */
  readonly pace: number;
  readonly air: Air;
  readonly held: readonly HeldBlock[];
  /** What is done already; later waits are counted from there. */
  readonly done: readonly DoneBlock[];
  /** No work is begun before it. */
  readonly now: number;
  /** Pieces of each set of each line; chosen here where nothing stands. */
  readonly sets?: readonly (readonly number[] | null)[];
}

/** A block on the calendar. */
export interface LaidBlock extends HeldBlock {
  readonly end: number;
  readonly pieces: number;
  readonly held: boolean;
  /** Whether it is done; left out, it is still to come. */
  readonly done?: true;
}

/** Why pieces of a line cannot be planned at all. */
export type NoWay =
  /** A block takes longer than the longest stretch of the week. */
  | {
      readonly kind: 'stretch';
      readonly line: number;
      readonly block: string;
      readonly minutes: number;
      readonly stretch: number;
    }
  /** So many pieces have waited longer than their window for the block allows. */
  | { readonly kind: 'waited'; readonly line: number; readonly block: string; readonly pieces: number }
  /** In this air a wait never ends. */
  | { readonly kind: 'never-dry'; readonly line: number; readonly block: string };

/** An order on the calendar. */
export interface LaidOrder {
  readonly blocks: readonly LaidBlock[];
  /** Pieces of each set of each line. */
  readonly sets: readonly (readonly number[])[];
  readonly kiln: readonly KilnStretch[];
  /** When all has to be dry; null when no time is left to fire it. */
  readonly dryBy: number | null;
  /** Pieces of each line that are dry too late, and that find no place at all. */
  readonly late: readonly number[];
  readonly left: readonly number[];
  readonly never: readonly NoWay[];
}

/** Whether everything is fired in time. */
export const makesIt = ({ late, left, dryBy }: LaidOrder): boolean =>
  dryBy !== null && [...late, ...left].every((pieces) => pieces === 0);
