import { inOrder, isTooLate, type Mark, type Spot } from '../making/making.ts';
import { MEASURED, PIECE_STATES, type Measured, type PieceState } from '../making/measured.ts';
import type { WorkStep } from '../making/workStep.ts';
import type { Planned } from './madePiece.ts';

/** What a story is told from: one kind of piece of a making, struck out entries left out. */
export interface StoryOf {
  readonly count: number;
  readonly steps: readonly WorkStep[];
  readonly marks: readonly Mark[];
  readonly measurements: readonly (Spot & {
    readonly id: string;
    readonly at: string;
    readonly what: Measured;
    readonly value: number;
    readonly state?: PieceState;
  })[];
  readonly faults: readonly (Spot & { readonly kind: string })[];
  readonly notes: readonly (Spot & { readonly text: string; readonly at: string; readonly id: string })[];
  readonly planned: Planned | null;
  /** Shrinkage that the pattern was made for (fraction). */
  readonly shrinkage: number;
}

/** Measurements of all pieces in a state: count, median (which resists a slip), least and greatest. */
export interface SizeTold {
  readonly count: number;
  readonly middle: number;
  readonly least: number;
  readonly greatest: number;
}

/** A size in every state, with what was planned of it wet and fired. */
export interface SizeRow {
  readonly what: Measured;
  readonly planned: Partial<Record<PieceState, number>>;
  readonly measured: Partial<Record<PieceState, SizeTold>>;
}

/** The story of one kind of piece: its sizes, windows, faults and notes. */
export interface Story {
  readonly sizes: readonly SizeRow[];
  /** Pieces by their numbers that were joined in time, and too late. */
  readonly kept: readonly number[];
  readonly missed: readonly number[];
  readonly faults: readonly { readonly kind: string; readonly numbers: readonly number[] }[];
  readonly notes: readonly { readonly number: number; readonly text: string }[];
}

/** Sizes that are lengths of the whole piece: wet they are longer by the shrinkage. */
const WET: readonly Measured[] = ['rim', 'foot', 'height', 'length', 'width', 'thickness'];

function toldOf(values: readonly number[]): SizeTold {
  const sorted = [...values].sort((one, other) => one - other);
  return {
    count: values.length,
    middle: ((sorted[Math.ceil(sorted.length / 2) - 1] ?? 0) + (sorted[Math.floor(sorted.length / 2)] ?? 0)) / 2,
    least: Math.min(...values),
    greatest: Math.max(...values),
  };
}

function sizesOf({ measurements, planned, shrinkage }: StoryOf): SizeRow[] {
  // Minutes belong to the price; they are not a size.
  const sizes = measurements.filter(({ what }) => what !== 'minutes');
  const newest = new Map<string, { what: Measured; state: PieceState; value: number }>();
  for (const { what, value, number, state = 'wet' } of inOrder(sizes))
    newest.set(`${what} ${state} ${number}`, { what, state, value });
  const all = [...newest.values()];
  const kinds = new Set([...all.map(({ what }) => what), ...(Object.keys(planned?.sizes ?? {}) as Measured[])]);
  // In a fixed order, whatever was measured first.
  return MEASURED.filter((what) => kinds.has(what)).map((what): SizeRow => {
    const size = planned?.sizes[what];
    const states = PIECE_STATES.flatMap((state) => {
      const values = all.filter((one) => one.what === what && one.state === state).map(({ value }) => value);
      return values.length > 0 ? [[state, toldOf(values)] as const] : [];
    });
    return {
      what,
      planned: size === undefined ? {} : { ...(WET.includes(what) && { wet: size / (1 - shrinkage) }), fired: size },
      measured: Object.fromEntries(states),
    };
  });
}

/** What was felt at the joins of some pieces: marks of windows only. */
function feltAt(steps: readonly WorkStep[], marks: readonly Mark[]): Mark[] {
  const joins = new Set(steps.filter(({ waits }) => waits?.until === 'opens').map(({ id }) => id));
  return marks.filter(({ step, kind }) => joins.has(step) && (kind === 'ready' || isTooLate(kind)));
}

/** Whether a piece was joined within its windows, by its own marks; null where no hand felt it. */
export function joinedInTime(steps: readonly WorkStep[], marks: readonly Mark[]): boolean | null {
  const felt = feltAt(steps, marks);
  return felt.length === 0 ? null : !felt.some(({ kind }) => isTooLate(kind));
}

/** The story of one kind of piece of a making; of each size the newest measurement counts. */
export function storyOf(of: StoryOf): Story {
  const found = feltAt(of.steps, of.marks);
  const numbers = Array.from({ length: of.count }, (_, index) => index + 1);
  const late = new Set(found.filter(({ kind }) => kind !== 'ready').map(({ number }) => number));
  const felt = new Set(found.map(({ number }) => number));
  const kinds = [...new Set(of.faults.map(({ kind }) => kind))];
  const withFault = (kind: string) =>
    numbers.filter((number) => of.faults.some((one) => one.kind === kind && one.number === number));
  return {
    sizes: sizesOf(of),
    kept: numbers.filter((number) => felt.has(number) && !late.has(number)),
    missed: numbers.filter((number) => late.has(number)),
    faults: kinds.map((kind) => ({ kind, numbers: withFault(kind) })),
    notes: inOrder(of.notes).map(({ number, text }) => ({ number, text })),
  };
}

/** Numbers as people write them: 1, 3 to 5 and 8. */
export function numbersText(numbers: readonly number[]): string {
  const runs: string[] = [];
  for (let at = 0; at < numbers.length;) {
    let end = at;
    while (numbers[end + 1] === (numbers[end] ?? 0) + 1) end += 1;
    const [first, last] = [numbers[at], numbers[end]];
    if (end - at >= 2) runs.push(`${first} to ${last}`);
    else runs.push(...numbers.slice(at, end + 1).map(String));
    at = end + 1;
  }
  const last = runs.pop() ?? '';
  return runs.length > 0 ? `${runs.join(', ')} and ${last}` : last;
}
