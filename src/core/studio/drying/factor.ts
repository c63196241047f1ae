import { normalBelow } from '../../normal.ts';
import type { DryingState } from './dryingClay.ts';

/** What is felt by hand. */
export const FOUND = ['too-soft', 'ready', 'too-stiff', 'leather-hard', 'dry'] as const;

/** Something felt by hand. */
export type Found = (typeof FOUND)[number];

/** A mark: what was felt some hours after the part began to dry, and when the model reaches each state. */
export interface DryingMark {
  readonly hours: number;
  readonly found: Found;
  /** Hours of the model with a factor of 1; null where it gives none. */
  readonly reached: Readonly<Record<DryingState, number | null>>;
}

/** Times over those of the model, with the 95 % interval; `marks` is how many it rests on. */
export interface DryingFactor {
  readonly usual: number;
  readonly low: number;
  readonly high: number;
  readonly marks: number;
}

/** Spread of the factor before any mark (log): the model may be twice too slow or too fast. */
const PRIOR_SPREAD = 0.35;

/** Error of a mark: of the hand's finding and of the shed's air (log of the time). */
export const MARK_SPREAD = 0.1;

/** Share of marks that are simply wrong, so that these do not shift the factor. */
const WRONG = 0.02;

/** Grid of the log of the factor. */
const GRID = { from: Math.log(0.1), to: Math.log(10), steps: 1200 };

/** Hours of the model between which the part must have been, for what was found. */
function bracketOf({ found, reached }: DryingMark): readonly [number, number] | null {
  const states: Readonly<Record<Found, readonly [DryingState | null, DryingState | null]>> = {
    'too-soft': [null, 'opens'],
    ready: ['opens', 'closes'],
    'too-stiff': ['closes', null],
    'leather-hard': ['leatherHard', 'dry'],
    dry: ['dry', null],
  };
  const [from, to] = states[found];
  const low = from === null ? 0 : reached[from];
  const high = to === null ? Infinity : (reached[to] ?? Infinity);
  return low === null || low >= high ? null : [low, high];
}

/**
 * Learns how much longer a clay takes under a cover than the model says.
 *
 * The factor f has a log-normal prior. A mark at t hours says that the part was between two states, which the model reaches
 * after a and b hours: ln f lies between ln(t/b) and ln(t/a), each known to {@link MARK_SPREAD}; its likelihood is
 * Phi((ln(t/a) - ln f) / s) - Phi((ln(t/b) - ln f) / s), an interval-censored observation (Gelman and others, Bayesian Data
 * Analysis, 3rd edition, 8.7). The posterior is summed on a grid.
 */
export function learnFactor(marks: readonly DryingMark[]): DryingFactor {
  const { from, to, steps } = GRID;
  const at = (index: number) => from + ((to - from) * index) / (steps - 1);
  const logs = Float64Array.from({ length: steps }, (_, index) => -0.5 * (at(index) / PRIOR_SPREAD) ** 2);
  let counted = 0;
  for (const mark of marks) {
    const bracket = bracketOf(mark);
    if (!bracket || !(mark.hours > 0)) continue;
    counted += 1;
    const [low, high] = bracket;
    const [least, most] = [Math.log(mark.hours / high), low > 0 ? Math.log(mark.hours / low) : Infinity];
    for (let index = 0; index < steps; index += 1) {
      const value = at(index);
      const over = most === Infinity ? 1 : normalBelow((most - value) / MARK_SPREAD);
      const under = least === -Infinity ? 0 : normalBelow((least - value) / MARK_SPREAD);
      logs[index] = (logs[index] as number) + Math.log((1 - WRONG) * Math.max(0, over - under) + WRONG);
    }
  }
  const highest = logs.reduce((most, value) => Math.max(most, value), -Infinity);
  const weights = logs.map((value) => Math.exp(value - highest));
  const sum = weights.reduce((all, weight) => all + weight, 0);
  const quantile = (share: number) => {
    let passed = 0;
    for (let index = 0; index < steps; index += 1) {
      const weight = weights[index] as number;
      if (passed + weight >= share * sum) {
        const part = (share * sum - passed) / weight - 0.5;
        return Math.exp(at(index) + (part * (to - from)) / (steps - 1));
      }
      passed += weight;
    }
    return Math.exp(to);
  };
  return { usual: quantile(0.5), low: quantile(0.025), high: quantile(0.975), marks: counted };
}
