import { root } from '../../numbers.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import type { Target } from '../../target/target.ts';
import { scaledTarget, type Keep } from './scaled.ts';

/** The piece that was wanted, or why there is none. */
export type Solution =
  | { readonly kind: 'solved'; readonly target: Target; readonly factor: number }
  | { readonly kind: 'unsolved'; readonly rule: string };

/** What is wanted of a piece: how it is measured, and the value. `measure` gives NaN for a piece that has none. */
export interface Wanted {
  readonly measure: (target: Target) => number;
  readonly value: number;
  readonly keep: Keep;
  /** Says how far the piece can go, for example `it can hold no more than about 300 ml`. */
  readonly reach: (value: number, end: 'most' | 'least') => string;
}

/** How far and in what steps the sizes are changed in search of a bracket: up to twenty times larger or smaller. */
const WALK = { step: 0.25, most: 40, greatest: 20 } as const;

/**
 * Changes the sizes of a piece by one factor, keeping what is to be kept, until what is measured is as wanted. Bracketed
 * root finding; the slab's thickness is never changed (geometry: capacity and clay).
 */
export function solveFor(target: Target, wanted: Wanted): Solution {
  const at = (factor: number): Target => scaledTarget(target, factor, wanted.keep);
  const missing = (factor: number) => {
    const changed = at(factor);
    return checkTarget(changed).length > 0 ? NaN : wanted.measure(changed) - wanted.value;
  };
  const grows = missing(1) < 0;
  const end = lastBefore(missing, { grows });
  const factor = end.crossed ? root(missing, ...end.bracket) : null;
  if (factor !== null) return { kind: 'solved', target: at(factor), factor };
  const reach = missing(end.bracket[grows ? 1 : 0]) + wanted.value;
  const kept = {
    proportions: 'its proportions',
    height: 'its height',
    width: 'its width',
    rim: 'its rim',
    foot: 'its foot',
  };
  return {
    kind: 'unsolved',
    rule: `no size works: keeping ${kept[wanted.keep]}, ${wanted.reach(reach, grows ? 'most' : 'least')}`,
  };
}

/** Two factors, the lower first, and whether `f` changes its sign between them. */
interface Stretch {
  readonly bracket: [number, number];
  readonly crossed: boolean;
}

/**
 * Walks from factor 1 up or down until `f` changes its sign; where the piece cannot be made any more (NaN) the step is
 * halved, so that the walk ends close to the last piece that can.
 */
function lastBefore(f: (factor: number) => number, { grows }: { readonly grows: boolean }): Stretch {
  let from = 1;
  let step = WALK.step;
  for (let walked = 0; walked < WALK.most; walked += 1) {
    const to = grows ? from * (1 + step) : from / (1 + step);
    const value = to > WALK.greatest || to < 1 / WALK.greatest ? NaN : f(to);
    const bracket: [number, number] = grows ? [from, to] : [to, from];
    if (Number.isNaN(value)) step /= 2;
    else if (value === 0 || value > 0 === grows) return { bracket, crossed: true };
    else from = to;
  }
  return { bracket: [from, from], crossed: false };
}
