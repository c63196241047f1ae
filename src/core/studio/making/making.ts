import { FOUND, type Found } from '../drying/factor.ts';
import type { DryingPart } from '../drying/partDrying.ts';
import type { WorkStep } from './workStep.ts';

/** What a mark says about a step: done, skipped or open again; what was felt by hand; what is done about a missed window. */
export const MARK_KINDS = ['done', 'skipped', 'open', ...FOUND, 'wetted', 'again'] as const;

/** A kind of mark. */
export type MarkKind = (typeof MARK_KINDS)[number];

/** Which step of which piece is meant: the kind of piece by its place in the making, one of them by its number from 1. */
export interface Spot {
  readonly piece: number;
  readonly number: number;
  readonly step: string;
}

/** One mark, kept for good: the last one at a spot counts. */
export interface Mark extends Spot {
  /** Made by the browser, so that a mark that is sent twice is kept once. */
  readonly id: string;
  readonly kind: MarkKind;
  /** When it was pressed, ISO 8601 in UTC. */
  readonly at: string;
  /** For how long and how the part had dried by then, where the hand found something. */
  readonly drying?: { readonly part: DryingPart; readonly hours: number };
}

/** The state of one piece at a step. */
export interface StepState {
  readonly state: 'open' | 'done' | 'skipped' | 'missed';
  /** When that was pressed. */
  readonly at?: string;
  /** Hours are counted from here after a part was wetted again. */
  readonly wetted?: string;
}

/** Which findings end a wait for a state, and which one says that its window was missed. */
const ENDS: Readonly<Record<NonNullable<WorkStep['waits']>['until'], readonly MarkKind[]>> = {
  opens: ['ready'],
  leatherHard: ['leather-hard', 'dry'],
  dry: ['dry'],
};
/** Findings of a hand that say that a join's window has closed. */
const MISSED: readonly MarkKind[] = ['too-stiff', 'leather-hard', 'dry'];

/** Whether a finding says that the window has closed. */
export const isTooLate = (kind: MarkKind) => MISSED.includes(kind);

/** Marks in the order in which they were pressed; those of one moment by their ids, so that every tablet agrees. */
export function inOrder<T extends { readonly at: string; readonly id: string }>(marks: readonly T[]): T[] {
  return [...marks].sort((one, other) =>
    one.at === other.at ? (one.id < other.id ? -1 : 1) : one.at < other.at ? -1 : 1,
  );
}

const OPEN: StepState = { state: 'open' };

function after(step: WorkStep, before: StepState, { kind, at }: Mark): StepState {
  if (kind === 'done' || kind === 'skipped') return { state: kind, at };
  if (kind === 'open') return OPEN;
  if (kind === 'wetted') return { state: 'open', wetted: at };
  if (!step.waits || kind === 'again') return before;
  if (ENDS[step.waits.until].includes(kind)) return { state: 'done', at };
  return step.waits.until === 'opens' && isTooLate(kind) ? { state: 'missed', at } : before;
}

/** How each of one kind of piece stands at each step: by step, then by number from 1. */
export type Progress = ReadonlyMap<string, readonly StepState[]>;

/**
 * Follows all marks of one kind of piece. A part that is made again opens every step up to its own once more.
 *
 * @param marks of all pieces of the making, in any order; doubles are harmless
 */
export function progressOf(
  steps: readonly WorkStep[],
  { piece, count }: { piece: number; count: number },
  marks: readonly Mark[],
): Progress {
  const states = new Map(steps.map(({ id }) => [id, Array.from({ length: count }, () => OPEN)]));
  for (const mark of inOrder(marks)) {
    const place = steps.findIndex(({ id }) => id === mark.step);
    const step = steps[place];
    const row = step && states.get(step.id);
    if (mark.piece !== piece || !row || mark.number < 1 || mark.number > count) continue;
    row[mark.number - 1] = after(step, row[mark.number - 1] ?? OPEN, mark);
    if (mark.kind !== 'again') continue;
    for (const { id } of steps.slice(0, place + 1)) {
      const earlier = states.get(id);
      if (earlier) earlier[mark.number - 1] = OPEN;
    }
  }
  return states;
}

/** The first unfinished step, and the first piece for which it is open; null when all is done. */
export function nextSpot(steps: readonly WorkStep[], progress: Progress): { step: WorkStep; number: number } | null {
  for (const step of steps) {
    const place = (progress.get(step.id) ?? []).findIndex(({ state }) => state === 'open' || state === 'missed');
    if (place >= 0) return { step, number: place + 1 };
  }
  return null;
}

/** When a part began to dry before a wait: when the step before it was done with, or when it was wetted again. Null while that is open. */
export function waitBegan(
  steps: readonly WorkStep[],
  progress: Progress,
  { step, number }: Omit<Spot, 'piece'>,
): string | null {
  const stateOf = (id: string | undefined) => (id === undefined ? undefined : progress.get(id)?.[number - 1]);
  const wetted = stateOf(step)?.wetted;
  if (wetted) return wetted;
  const place = steps.findIndex(({ id }) => id === step);
  const before = steps.slice(0, place).map(({ id }) => stateOf(id));
  // Clay dries from the last thing that was done to it before the wait.
  const times = before.flatMap((state) => (state?.at === undefined ? [] : [state.at])).sort();
  return before.every((state) => state?.state === 'done' || state?.state === 'skipped') ? (times.at(-1) ?? null) : null;
}

/** The findings that can be marked at a wait. */
export const FINDINGS: Readonly<Record<NonNullable<WorkStep['waits']>['until'], readonly Found[]>> = {
  opens: ['too-soft', 'ready', 'too-stiff'],
  leatherHard: ['too-soft', 'leather-hard', 'dry'],
  dry: ['leather-hard', 'dry'],
};
