import type { Lean } from '../../parts/part/lean.ts';
import type { DryingPart } from '../drying/partDrying.ts';
import type { Phrase } from '../../units/phrase.ts';

/** What the hands do in a step. */
export const ACTS = [
  'weigh',
  'pat',
  'roll',
  'rib',
  'texture',
  'prepare',
  'cut',
  'wait',
  'form',
  'join',
  'base',
  'coil',
  'true',
  'rim',
  'add',
  'finish',
  'dry',
] as const;

/** An act of the hands. */
export type Act = (typeof ACTS)[number];

/** What a step waits for before it, and which part of the piece dries meanwhile. */
export interface Waiting {
  /** Until it lifts without a mark and still bends; until it keeps its shape; until it is dry enough for the kiln. */
  readonly until: 'opens' | 'leatherHard' | 'dry';
  readonly part: DryingPart;
}

/** One act of the potter, in words that can be read from across the table. */
export interface WorkStep {
  /** Unique within an order of work. */
  readonly id: string;
  readonly act: Act;
  /** The act itself, said to her: "Roll the slab". */
  readonly title: string;
  /** Its figures, one sentence each; the first is shown largest. */
  readonly says: readonly Phrase[];
  /** The part and the edge that are picked out on the drawing. */
  readonly part?: string;
  readonly edge?: Lean['edge'];
  readonly tools: readonly string[];
  /** What to look for: the test that ends it. */
  readonly until: string;
  readonly caution?: string;
  /** Where schools differ: the reasons for either way. */
  readonly schools?: string;
  /** How long the hands are taken (min): a rule of the bench. */
  readonly minutes: number;
  readonly waits?: Waiting;
}

/** How a potter works where schools differ. */
export interface Schools {
  /** What wets a scored join. */
  readonly joins: 'water' | 'slip' | 'nothing';
  readonly texture: 'before' | 'after';
  /** A thin coil in the corner of wall and base. */
  readonly coil: boolean;
  /** The base cut to size before, or traced from the standing wall. */
  readonly base: 'cut' | 'traced';
  readonly seam: 'rolled' | 'paddled';
  /** Thicknesses that her sticks and roller give (mm): a slab is rolled down by them. */
  readonly sticks: readonly number[];
}

/** Sticks that most potters have (mm). */
const USUAL_STICKS = [15, 10, 8, 6, 5, 4, 3];

/** The way of a potter who has chosen nothing. */
export const DEFAULT_SCHOOLS: Schools = {
  joins: 'water',
  texture: 'before',
  coil: true,
  base: 'cut',
  seam: 'rolled',
  sticks: USUAL_STICKS,
};

/** Reasons for either choice, in one line. */
export const WHY: Readonly<Record<Exclude<keyof Schools, 'sticks'>, string>> = {
  joins: 'Water is quick; slip fills a rough join and holds stiffer clay; soft clay needs neither and stays cleaner.',
  texture:
    'Pressed before cutting, the cut edge stays true; pressed after, the pattern can follow the edge, but the slab spreads.',
  coil: 'A coil keeps the corner from leaking; a well-worked corner of soft clay holds without.',
  base: 'Cut to size, both dry alike and nothing is left over; traced, it fits a wall that came out a little different.',
  seam: 'Rolling on the table presses both faces at once; a paddle reaches into shapes that do not roll.',
};
