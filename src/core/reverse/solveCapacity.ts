import { root } from '../numbers.ts';
import { checkTarget } from '../piece/checkTarget.ts';
import { formSizes } from '../piece/formSizes.ts';
import { kindOf } from '../piece/kinds/kinds.ts';
import type { Form, Target } from '../piece/target.ts';

/** What stays as it is while the rest is made larger or smaller. */
export type Keep = 'proportions' | 'height' | 'width';

export const KEEPS: readonly Keep[] = ['proportions', 'height', 'width'];

/** The piece that holds what was wanted, or why none does. */
export type CapacitySolution =
  | { readonly kind: 'solved'; readonly target: Target; readonly factor: number }
  | { readonly kind: 'unsolved'; readonly rule: string };

/** How far and in what steps the sizes are changed in search of a bracket: up to twenty times larger or smaller. */
const WALK = { step: 0.25, most: 40, greatest: 20 } as const;

function isHeight(key: string): boolean {
  return key === 'height' || /^profile\.\d+\.0$/.test(key);
}

/** The form with its sizes multiplied, as far as they are not kept. Counts, and the thickness of a sleeve, stay. */
function scaled(form: Form, factor: number, keep: Keep): Form {
  return formSizes(form)
    .filter(({ key, unit }) => unit === 'length' && key !== 'sleeve')
    .filter(({ key }) => keep === 'proportions' || isHeight(key) === (keep === 'width'))
    .reduce((changed, { key, value }) => {
      const size = formSizes(changed).find((one) => one.key === key);
      return size ? size.put(value * factor) : changed;
    }, form);
}

/** Brim capacity at fired size (ml); NaN when no slab makes the piece. */
function capacityOf(target: Target): number {
  if (checkTarget(target).length > 0) return NaN;
  return (kindOf(target).standing(target).hollowVolume * (1 - target.clay.shrinkage) ** 3) / 1000;
}

/**
 * Finds the piece that holds `wanted` ml to the brim, fired, by changing its sizes by one factor and keeping what `keep`
 * says. Bracketed root finding; the slab's thickness is never changed (geometry: capacity and clay).
 */
export function solveCapacity(target: Target, wanted: number, keep: Keep): CapacitySolution {
  if (!(wanted > 0) || !Number.isFinite(wanted)) return { kind: 'unsolved', rule: 'must be more than 0 ml' };
  if (target.base.join === 'none') return { kind: 'unsolved', rule: 'a piece without a base holds nothing' };
  const at = (factor: number): Target => ({ ...target, form: scaled(target.form, factor, keep) });
  const missing = (factor: number) => capacityOf(at(factor)) - wanted;
  const grows = missing(1) < 0;
  const end = lastBefore(missing, grows);
  const factor = end.crossed ? root(missing, ...end.bracket) : null;
  if (factor !== null) return { kind: 'solved', target: at(factor), factor };
  const reach = Math.round(missing(end.bracket[grows ? 1 : 0]) + wanted);
  const kept = keep === 'proportions' ? 'its proportions' : `its ${keep}`;
  return {
    kind: 'unsolved',
    rule: `no size does it: keeping ${kept}, the piece can hold no ${grows ? 'more' : 'less'} than about ${reach} ml`,
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
function lastBefore(f: (factor: number) => number, grows: boolean): Stretch {
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
