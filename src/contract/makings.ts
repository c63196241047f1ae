import type { Air } from '../core/studio/drying/air.ts';
import type { Mark, Spot } from '../core/studio/making/making.ts';
import type { Measured, PieceState } from '../core/studio/making/measured.ts';
import type { Strike } from '../core/studio/making/strikes.ts';
import type { Schools, WorkStep } from '../core/studio/making/workStep.ts';

/** One kind of piece of a making: a revision of a design, how many, and the order of work as it was drawn up for it. */
export interface MakingPiece {
  readonly designId: string;
  readonly revision: number;
  readonly name: string;
  readonly count: number;
  /** Who makes each of them, where it is given to a class: as many as there are pieces. */
  readonly names?: readonly string[];
  readonly steps: readonly WorkStep[];
}

/** The head of a making: its data as a whole, which can be changed. */
export interface MakingHead {
  readonly name: string;
  /** The clay's record in the clay book; null when it is not in it. */
  readonly clay: string | null;
  /** ISO 8601 in UTC. */
  readonly startedAt: string;
  readonly dueAt: string | null;
  readonly schools: Schools;
  readonly air: Air;
}

/** A making as the browser begins it, with an id of its own. */
export interface MakingStart extends MakingHead {
  readonly id: string;
  readonly pieces: readonly MakingPiece[];
}

/** A measurement: mm, g for a weight, ml for what it holds. Without a state it was taken at a step, before the piece was dry. */
export interface Measurement extends Spot {
  readonly id: string;
  readonly what: Measured;
  readonly value: number;
  readonly state?: PieceState;
  readonly at: string;
}

/** Kinds of faults. */
export const FAULTS = [
  'crack at the seam',
  'crack at the base',
  'crack at the rim',
  'crack at the handle',
  'crack at a corner',
  'warped',
  'slumped',
  'stuck to the mould',
  'blew up',
  'lid does not fit',
  'leaks',
  'glaze crawled',
  'other',
] as const;

/** A kind of fault. */
export type FaultKind = (typeof FAULTS)[number];

/** Something that went wrong, and where on the piece's drawing: shares of its width and height from the lower left. */
export interface PieceFault extends Spot {
  readonly id: string;
  readonly kind: FaultKind;
  readonly x: number | null;
  readonly y: number | null;
  readonly at: string;
}

/** A note at a step of one piece. */
export interface Note extends Spot {
  readonly id: string;
  readonly text: string;
  readonly at: string;
}

/** A photograph at a step, kept under the hash of its picture (SHA-256); width and height in px. */
export interface Photograph extends Spot {
  readonly id: string;
  readonly hash: string;
  readonly width: number;
  readonly height: number;
  readonly at: string;
}

/** The maker's own critique of a finished piece; null where nothing was said. The newest counts. */
export interface Critique extends Spot {
  readonly id: string;
  /** Whether it holds what it should, is evenly thick, is balanced, fits where it must. */
  readonly holds: boolean | null;
  readonly even: boolean | null;
  readonly balanced: boolean | null;
  readonly fits: boolean | null;
  /** From 1 to 5, by its maker. */
  readonly rating: number | null;
  readonly text: string;
  readonly at: string;
}

/** The entries of a making; sent in any order, each kept once by its id. */
export interface Entries {
  readonly marks: readonly Mark[];
  readonly measurements: readonly Measurement[];
  readonly faults: readonly PieceFault[];
  readonly notes: readonly Note[];
  readonly strikes: readonly Strike[];
  readonly critiques: readonly Critique[];
}

/** A making as it is kept. */
export interface Making extends MakingStart, Entries {
  /** When nothing is left to do; null while it is in work. */
  readonly endedAt: string | null;
  readonly updatedAt: string;
  readonly photographs: readonly Photograph[];
}

/** A making as a list shows it: without its steps. */
export interface MakingLine extends Omit<MakingHead, 'schools' | 'air'> {
  readonly id: string;
  readonly endedAt: string | null;
  readonly pieces: readonly Omit<MakingPiece, 'steps'>[];
}

/** What is in work, for Today: steps and marks, without what was measured. */
export type MakingNow = Omit<Making, 'measurements' | 'faults' | 'notes' | 'strikes' | 'critiques' | 'photographs'>;

/** What is in work, packed for sending: steps and names are listed once, pieces and marks refer to them by index. */
export interface NowReply {
  readonly steps: readonly WorkStep[];
  readonly names: readonly string[];
  readonly makings: readonly (Omit<MakingNow, 'pieces' | 'marks'> & {
    readonly pieces: readonly PackedPiece[];
    readonly marks: readonly PackedMark[];
  })[];
}
type PackedPiece = Omit<MakingPiece, 'steps'> & { readonly steps: readonly number[] };
type PackedMark = readonly [
  id: string,
  piece: number,
  number: number,
  step: number,
  kind: Mark['kind'],
  at: string,
  drying?: Mark['drying'],
];

/** A list without duplicates, and the index in it of each value. */
function places<T>() {
  const known = new Map<T, number>();
  const placeOf = (thing: T): number => {
    const place = known.get(thing) ?? known.size;
    known.set(thing, place);
    return place;
  };
  return { placeOf, list: () => [...known.keys()] };
}

/** A step shared by several pieces is sent once. */
export function packNow(makings: readonly MakingNow[]): NowReply {
  const [steps, names] = [places<WorkStep>(), places<string>()];
  const packed = makings.map((making) => ({
    ...making,
    pieces: making.pieces.map((piece) => ({ ...piece, steps: piece.steps.map(steps.placeOf) })),
    marks: making.marks.map(({ id, piece, number, step, kind, at, drying }): PackedMark => [
      id,
      piece,
      number,
      names.placeOf(step),
      kind,
      at,
      ...((drying ? [drying] : []) as [Mark['drying']?]),
    ]),
  }));
  return { steps: steps.list(), names: names.list(), makings: packed };
}

/** The inverse of {@link packNow}. */
export function unpackNow({ steps, names, makings }: NowReply): MakingNow[] {
  return makings.map((making) => ({
    ...making,
    pieces: making.pieces.map((piece) => ({ ...piece, steps: piece.steps.map((place) => steps[place] as WorkStep) })),
    marks: making.marks.map(([id, piece, number, step, kind, at, drying]): Mark => ({
      id,
      piece,
      number,
      step: names[step] as string,
      kind,
      at,
      ...(drying && { drying }),
    })),
  }));
}
