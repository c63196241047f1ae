import { KINDS } from '../../../core/forms/kinds.ts';
import type { PlanOutline } from '../../../core/target/plan.ts';
import type { FacetForm, FormKind, Rim } from '../../../core/target/target.ts';
import type { Choice } from '../fields/choice.ts';

/** The forms in the order of how often they are made. */
export const FORM_WAYS: readonly Choice<FormKind>[] = Object.entries(KINDS).map(([kind, { words }]) => ({
  value: kind as FormKind,
  title: words.title,
  why: words.why,
}));

export const FOLD_WAYS: readonly Choice<FacetForm['fold']>[] = [
  { value: 'separate', title: 'separate panels', why: 'Every side is mitred and joined: crisp edges.' },
  {
    value: 'strip',
    title: 'one strip, grooved',
    why: 'Grooved from the inside and folded: the outer skin stays whole.',
  },
];

export const RIM_WAYS: readonly Choice<Rim>[] = [
  {
    value: 'square',
    title: 'square',
    why: 'Cut straight down through the slab: the rim slants a little with the wall.',
  },
  { value: 'level', title: 'level', why: 'Cut on a slant, so that the rim lies level when the wall stands.' },
];

const PLAN_WAYS: readonly Choice<Exclude<PlanOutline['kind'], 'drawn'>>[] = [
  { value: 'circle', title: 'round', why: 'A circle.' },
  { value: 'ellipse', title: 'oval', why: 'An ellipse.' },
  { value: 'rounded', title: 'rectangle', why: 'A rectangle with rounded corners.' },
  { value: 'polygon', title: 'polygon', why: 'Equal sides with rounded corners.' },
];

/** The kinds of a plan outline: one that was read from a drawing can be kept or given up, not chosen. */
export function planWays(now: PlanOutline['kind'] | undefined): readonly Choice<PlanOutline['kind']>[] {
  if (now !== 'drawn') return PLAN_WAYS;
  return [{ value: 'drawn', title: 'as drawn', why: 'Read from a drawing or a photograph.' }, ...PLAN_WAYS];
}

/** A plan outline of another kind, about as wide (mm). */
export function planOfKind(kind: Exclude<PlanOutline['kind'], 'drawn'>, across: number): PlanOutline {
  switch (kind) {
    case 'circle':
      return { kind, diameter: across };
    case 'ellipse':
      return { kind, length: across, width: across * 0.7 };
    case 'rounded':
      return { kind, length: across, width: across, corner: across * 0.2 };
    case 'polygon':
      return { kind, sides: 4, acrossFlats: across, corner: across * 0.15 };
  }
}
