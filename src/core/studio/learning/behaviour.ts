import { shrinkageFigure, type BarRun, type ShrinkageFigure, type ShrinkBar } from '../clay/bars.ts';
import type { PieceState } from '../making/measured.ts';
import type { FormKind } from '../../target/target.ts';
import { learnClay, type Learned, type LearnBar, type LearnPiece, type LengthPair } from './learn.ts';
import { firingOf, LENGTHS, sizeOf, type MadePiece } from './madePiece.ts';

/** A property of the clay, and the number of readings of bars and pieces that it rests on. Shares are fractions. */
export interface Behaves extends Learned {
  readonly count: number;
}

/** Shrinkage in one step, as a fraction of the length before it. */
export interface StepBehaves extends Behaves {
  readonly from: PieceState;
  readonly to: PieceState;
}

/** How a clay behaves besides its total shrinkage; null where too little was measured to say. */
export interface Behaviour {
  readonly steps: readonly StepBehaves[];
  /** Wet to fired along and across the roll of the slab. */
  readonly along: Behaves | null;
  readonly across: Behaves | null;
  /** How much wider mould-made pieces are than the mould made them, as a fraction of their width. */
  readonly springBack: ShrinkageFigure | null;
  /** Share of the difference between long and wide that ovals lose on their way to round. */
  readonly relaxing: ShrinkageFigure | null;
}

/** Steps in order: leather-hard and dry are both counted from wet, so one is not a step of the other. */
const STEPS = [
  ['wet', 'leather-hard'],
  ['wet', 'dry'],
  ['dry', 'bisque'],
  ['bisque', 'fired'],
] as const satisfies readonly (readonly [PieceState, PieceState])[];

/** Least number of readings for a figure of a step or a direction. */
const LEAST = 3;

/** Forms whose walls are cut from a slab along its roll and stood up: girths run along it, heights across. */
const WALLED: readonly string[] = [
  'cylinder',
  'taper',
  'stack',
  'oval',
  'facet',
  'box',
  'loft',
  'former',
] satisfies FormKind[];

/** Forms that lie on a mould until they are stiff. */
const MOULDED: readonly string[] = ['mould', 'mesh'] satisfies FormKind[];

/** Sizes that run with a wall's girth. */
const GIRTHS = ['rim', 'foot', 'length', 'width'] as const;

type Length = (typeof LENGTHS)[number];

function pairOf(
  piece: MadePiece,
  what: Length,
  { from, to }: { readonly from: PieceState; readonly to: PieceState },
): LengthPair[] {
  const [wet, fired] = [sizeOf(piece, what, from), sizeOf(piece, what, to)];
  return wet === null || fired === null ? [] : [{ wet, fired }];
}

/** One figure of bars and pieces by the hierarchical model ({@link learnClay}): `wet` and `fired` are the lengths before and after. */
function behaves(bars: readonly LearnBar[], pieces: readonly LearnPiece[]): Behaves | null {
  const measured = pieces.filter(({ lines }) => lines.length > 0);
  const count = bars.length + measured.reduce((sum, { lines }) => sum + lines.length, 0);
  if (count < LEAST) return null;
  const { shrinkage } = learnClay({ bars, pieces: measured });
  return shrinkage && { count, mean: shrinkage.mean, low: shrinkage.low, high: shrinkage.high };
}

/** Shrinkage from one state to another. Pieces dry in their making, and are fired in their firing. */
function stepOf(
  pieces: readonly MadePiece[],
  bars: readonly ShrinkBar[],
  { from, to }: { readonly from: PieceState; readonly to: PieceState },
): StepBehaves[] {
  const ofBars = bars.flatMap((bar): LearnBar[] => {
    const lengths: Partial<Record<PieceState, number>> = bar;
    const [wet, fired] = [lengths[from], lengths[to]];
    return wet === undefined || fired === undefined ? [] : [{ wet, fired }];
  });
  const together = to === 'leather-hard' || to === 'dry' ? ({ making }: MadePiece) => making : firingOf;
  const ofPieces = pieces.map((piece): LearnPiece => ({
    firing: together(piece),
    lines: LENGTHS.flatMap((what) => pairOf(piece, what, { from, to })),
  }));
  const found = behaves(ofBars, ofPieces);
  return found ? [{ from, to, ...found }] : [];
}

function runOf(pieces: readonly MadePiece[], bars: readonly ShrinkBar[], run: Exclude<BarRun, 'any'>): Behaves | null {
  const ofBars = bars.flatMap(({ wet, fired, run: lay }): LearnBar[] =>
    lay === run && fired !== undefined ? [{ wet, fired }] : [],
  );
  const sizes: readonly Length[] = run === 'along' ? GIRTHS : ['height'];
  const ofPieces = pieces
    .filter(({ form }) => WALLED.includes(form))
    .map((piece): LearnPiece => ({
      firing: firingOf(piece),
      lines: sizes.flatMap((what) => pairOf(piece, what, { from: 'wet', to: 'fired' })),
    }));
  return behaves(ofBars, ofPieces);
}

/** Widths of a mould-made piece measured wet beside those that its mould gives: one figure a piece. */
function springBacks(pieces: readonly MadePiece[]): number[] {
  return pieces
    .filter(({ form }) => MOULDED.includes(form))
    .flatMap((piece) => {
      const shares = GIRTHS.flatMap((what) => {
        const [drawn, wet] = [piece.planned.sizes[what], sizeOf(piece, what, 'wet')];
        return drawn === undefined || wet === null ? [] : [(wet * (1 - piece.shrinkage)) / drawn - 1];
      });
      return shares.length > 0 ? [shares.reduce((sum, share) => sum + share, 0) / shares.length] : [];
    });
}

/** How far a piece is from round: (length - width) over their sum, which no even shrinkage changes. */
const elongation = (length: number, width: number) => (length - width) / (length + width);

/** Share of their elongation that ovals have lost, in the last state in which both sides were measured: one figure a piece. */
function relaxings(pieces: readonly MadePiece[]): number[] {
  return pieces.flatMap((piece) => {
    const { length, width } = piece.planned.sizes;
    if (piece.form !== 'oval' || length === undefined || width === undefined) return [];
    const drawn = elongation(length, width);
    for (const state of ['fired', 'bisque', 'dry', 'leather-hard', 'wet'] as const) {
      const [long, wide] = [sizeOf(piece, 'length', state), sizeOf(piece, 'width', state)];
      if (long !== null && wide !== null) return [1 - elongation(long, wide) / drawn];
    }
    return [];
  });
}

/**
 * How a clay behaves from state to state, along and across the roll, off a mould and as an oval. Steps and directions by the
 * hierarchical model, with the clay's own 95 % interval; springing back and relaxing as means of pieces with Student's t.
 */
export function behaviourOf(pieces: readonly MadePiece[], all: readonly ShrinkBar[]): Behaviour {
  const bars = all.filter(({ aside }) => !aside);
  return {
    steps: STEPS.flatMap(([from, to]) => stepOf(pieces, bars, { from, to })),
    along: runOf(pieces, bars, 'along'),
    across: runOf(pieces, bars, 'across'),
    springBack: shrinkageFigure(springBacks(pieces)),
    relaxing: shrinkageFigure(relaxings(pieces)),
  };
}
