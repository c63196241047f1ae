import type { Air } from '../drying/air.ts';
import type { DryingFactor } from '../drying/factor.ts';
import { progressOf, waitBegan, type Mark, type StepState } from './making.ts';
import { stateAt, waitWindow, type WaitWindow } from './waitWindow.ts';
import type { Waiting, WorkStep } from './workStep.ts';

/** A kind of piece in work, as its agenda is made from it. */
export interface InWork {
  readonly making: string;
  readonly piece: number;
  readonly name: string;
  readonly count: number;
  readonly steps: readonly WorkStep[];
  readonly marks: readonly Mark[];
  readonly air: Air;
}

/** How urgent something is: missed, closing, open, to be done at any time, or waiting. */
export const AGENDA_STATES = ['missed', 'closing', 'open', 'past', 'act', 'waits'] as const;

/** A degree of urgency. */
export type AgendaState = (typeof AGENDA_STATES)[number];

/** Pieces of one kind that stand at the same step, and what is next for them. */
export interface AgendaLine {
  readonly making: string;
  readonly piece: number;
  readonly name: string;
  /** Which of them, by their numbers. */
  readonly numbers: readonly number[];
  readonly step: WorkStep;
  /** What is done once the wait is over; the step itself when it is no wait. */
  readonly then: WorkStep;
  readonly state: AgendaState;
  /** Of the first of them to open, and the first to close. */
  readonly window: WaitWindow | null;
  readonly began: number | null;
}

const earlier = (one: number | undefined, other: number | undefined) => (one ?? Infinity) - (other ?? Infinity);

/** The wait of one piece: when it began, and its window. */
function waitAt(
  { steps, air }: InWork,
  spot: { step: WorkStep; number: number },
  {
    progress,
    factorOf,
  }: {
    readonly progress: ReadonlyMap<string, readonly StepState[]>;
    readonly factorOf: (waits: Waiting) => DryingFactor;
  },
) {
  const { waits } = spot.step;
  const began = waits ? waitBegan(steps, progress, { step: spot.step.id, number: spot.number }) : null;
  if (!waits || began === null) return null;
  const ms = Date.parse(began);
  return { began: ms, window: waitWindow(waits, { began: ms, air, factor: factorOf(waits) }) };
}

/** Everything in work of one kind of piece: those that stand at the same step together. */
function linesOf(work: InWork, now: number, factorOf: (waits: Waiting) => DryingFactor): AgendaLine[] {
  const progress = progressOf(work.steps, work, work.marks);
  const groups = new Map<string, number[]>();
  for (let number = 1; number <= work.count; number += 1) {
    const step = work.steps.find(
      ({ id }) => !['done', 'skipped'].includes(progress.get(id)?.[number - 1]?.state ?? 'open'),
    );
    if (!step) continue;
    const missed = progress.get(step.id)?.[number - 1]?.state === 'missed';
    const key = `${missed ? 'missed' : 'open'} ${step.id}`;
    groups.set(key, [...(groups.get(key) ?? []), number]);
  }
  return [...groups].flatMap(([key, numbers]): AgendaLine[] => {
    const place = work.steps.findIndex(({ id }) => key.endsWith(` ${id}`));
    const step = work.steps[place];
    if (!step) return [];
    const waits = numbers.flatMap((number) => waitAt(work, { step, number }, { progress, factorOf }) ?? []);
    const first = [...waits].sort((one, other) => earlier(one.window.opens?.usual, other.window.opens?.usual))[0];
    const window = first?.window ?? null;
    const state = key.startsWith('missed') ? 'missed' : window ? stateAt(window, now) : 'act';
    const { making, piece, name } = work;
    return [
      {
        making,
        piece,
        name,
        numbers,
        step,
        then: (step.waits && work.steps[place + 1]) || step,
        state,
        window,
        began: first?.began ?? null,
      },
    ];
  });
}

/**
 * What to do now and next, over everything in work: missed and closing windows first, then open ones by when they
 * close, then what can be done at any time, then waits by when they open.
 *
 * @param now ms since 1970
 */
export function agendaOf(
  works: readonly InWork[],
  now: number,
  factorOf: (work: InWork, waits: Waiting) => DryingFactor,
): AgendaLine[] {
  const urgency = ({ state }: AgendaLine) => AGENDA_STATES.indexOf(state);
  const moment = ({ state, window }: AgendaLine) =>
    (state === 'waits' ? window?.opens?.usual : window?.closes?.usual) ?? Infinity;
  return works
    .flatMap((work) => linesOf(work, now, (waits) => factorOf(work, waits)))
    .sort((one, other) => {
      const [a, b] = [moment(one), moment(other)];
      return urgency(one) - urgency(other) || (a === b ? 0 : a - b);
    });
}
