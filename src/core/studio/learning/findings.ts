import { shrinkageFigure, type ShrinkBar } from '../clay/bars.ts';
import { learnClay, type LearnBar, type LearnJob, type LearnPiece, type Learnt } from './learn.ts';
import { firingOf, LENGTHS, sizeOf, type MadePiece } from './madePiece.ts';

/** Least records before a figure is offered: pieces measured wet and fired, and their firings. */
export const NEEDED = { pieces: 5, firings: 2 } as const;

/** Offered figures are rounded to a tenth of a percent: no kiln repeats more exactly. */
const STEP = 0.001;

/** One size of a piece, for the plot: what was drawn, and what came out (fired mm). */
export interface CameOut {
  readonly piece: MadePiece;
  readonly what: (typeof LENGTHS)[number];
  readonly drawn: number;
  readonly fired: number;
  readonly aside: boolean;
}

/** How pieces of one design came out: the mean difference from what was drawn, with its 95 % interval (mm, fired; null of one piece). */
export interface Difference {
  readonly name: string;
  readonly count: number;
  readonly drawn: number;
  readonly mean: number;
  readonly interval: readonly [number, number] | null;
}

/** What the pieces of a clay show about its shrinkage. */
export interface Finding {
  readonly kind: 'few' | 'agrees' | 'offer';
  /** The shrinkage that would have given the drawn sizes, rounded (fraction); the present one where no other is offered. */
  readonly shrinkage: number;
  readonly learnt: Learnt;
  /** Pieces measured both wet and fired, firings that they were in, and pieces measured fired only. */
  readonly pieces: number;
  readonly firings: number;
  readonly firedOnly: number;
  /** Of the design of which most came out; null where nothing was measured fired. */
  readonly difference: Difference | null;
  readonly cameOut: readonly CameOut[];
}

interface Sourced {
  readonly job: LearnJob;
  /** Which piece and sizes each piece of the job is. */
  readonly sources: readonly { readonly piece: MadePiece; readonly lines: readonly (typeof LENGTHS)[number][] }[];
}

function jobOf(pieces: readonly MadePiece[], bars: readonly ShrinkBar[]): Sourced {
  const firedBars = bars.flatMap(({ wet, fired, aside }): LearnBar[] =>
    fired === undefined || aside ? [] : [{ wet, fired }],
  );
  const sources = pieces.map((piece) => ({
    piece,
    lines: LENGTHS.filter((what) => sizeOf(piece, what, 'wet') !== null && sizeOf(piece, what, 'fired') !== null),
  }));
  const measured = sources.map(({ piece, lines }): LearnPiece => {
    const outside = sizeOf(piece, 'rim', 'wet');
    const { wrap } = piece.planned;
    return {
      firing: firingOf(piece),
      lines: lines.map((what) => ({ wet: sizeOf(piece, what, 'wet') ?? 0, fired: sizeOf(piece, what, 'fired') ?? 0 })),
      ...(wrap && outside !== null && { wrap: { ...wrap, outside } }),
    };
  });
  return { job: { bars: firedBars, pieces: measured }, sources };
}

function cameOutOf(pieces: readonly MadePiece[], aside: ReadonlySet<string>): CameOut[] {
  return pieces.flatMap((piece) =>
    LENGTHS.flatMap((what): CameOut[] => {
      const [drawn, fired] = [piece.planned.sizes[what], sizeOf(piece, what, 'fired')];
      return drawn === undefined || fired === null
        ? []
        : [{ piece, what, drawn, fired, aside: aside.has(asideKey(piece, what)) }];
    }),
  );
}

const asideKey = ({ making, piece, number }: MadePiece, what: string) => `${making} ${piece} ${number} ${what}`;

/** The design of which most pieces came out, by the size that most of them have. */
function differenceOf(all: readonly CameOut[]): Difference | null {
  const groups = new Map<string, CameOut[]>();
  for (const one of all) {
    if (one.aside) continue;
    const key = `${one.piece.name}\n${one.what}\n${one.drawn.toFixed(3)}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  const most = [...groups.values()].reduce<CameOut[]>((best, group) => (group.length > best.length ? group : best), []);
  const first = most[0];
  const figure = shrinkageFigure(most.map(({ fired, drawn }) => fired - drawn));
  if (!first || !figure) return null;
  return {
    name: first.piece.name,
    count: most.length,
    drawn: first.drawn,
    mean: figure.mean,
    interval: figure.interval,
  };
}

/**
 * What a clay's bars and pieces say of its shrinkage, and whether another figure than the one that is worked with is offered: it
 * is when enough was written down and the figure lies outside the 95 % interval of the clay's own mean.
 *
 * @param now the shrinkage that is worked with (fraction)
 */
export function findingOf(pieces: readonly MadePiece[], bars: readonly ShrinkBar[], now: number): Finding {
  const { job, sources } = jobOf(pieces, bars);
  const learnt = learnClay(job);
  const aside = new Set<string>();
  for (const one of learnt.setAside) {
    if (!('line' in one)) continue;
    const source = sources[one.piece];
    if (source) aside.add(asideKey(source.piece, source.lines[one.line] ?? ''));
  }
  const both = sources.filter(({ lines }) => lines.length > 0).map(({ piece }) => piece);
  const firings = new Set(both.map(firingOf)).size;
  const cameOut = cameOutOf(pieces, aside);
  const firedOnly = new Set(cameOut.map(({ piece }) => piece).filter((piece) => !both.includes(piece))).size;
  const found = { learnt, pieces: both.length, firings, firedOnly, difference: differenceOf(cameOut), cameOut };
  const { shrinkage } = learnt;
  if (!shrinkage || both.length < NEEDED.pieces || firings < NEEDED.firings)
    return { kind: 'few', shrinkage: now, ...found };
  if (shrinkage.low <= now && now <= shrinkage.high) return { kind: 'agrees', shrinkage: now, ...found };
  const rounded = Number((Math.round(shrinkage.mean / STEP) * STEP).toFixed(6));
  const offered = shrinkage.low <= rounded && rounded <= shrinkage.high ? rounded : shrinkage.mean;
  return { kind: 'offer', shrinkage: offered, ...found };
}
