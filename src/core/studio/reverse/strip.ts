import { checkTarget } from '../../forms/checkTarget.ts';
import { root } from '../../numbers.ts';
import type { Target } from '../../target/target.ts';
import { rollsOf, stripOf } from '../../forms/stand/stand.ts';
import { STAND_LIMITS, type Rolls } from '../../target/standForm.ts';

/** Rolls are never made smaller than by this factor. */
const LEAST_FACTOR = 1e-3;

/** The stand that an owned strip makes, or why it makes none. */
export type StandFromStrip =
  { readonly kind: 'made'; readonly target: Target } | { readonly kind: 'impossible'; readonly rule: string };

/**
 * The rolls that a strip of a length gives (wet mm): both grow or shrink together, in the proportion that they have, until
 * two turns and the floor between them take all of it.
 */
export function standFromStrip(target: Target, length: number): StandFromStrip {
  const { form, slab, clay } = target;
  if (form.kind !== 'stand') return { kind: 'impossible', rule: 'only a stand is rolled from a strip' };
  const { back, front } = rollsOf(form);
  const scaled = (factor: number): Rolls => ({ back: back * factor, front: front * factor });
  const made = (factor: number): Target => {
    const rolls = scaled(factor);
    return { ...target, form: { ...form, roll: back === front ? rolls.back : rolls } };
  };
  const longer = (factor: number) =>
    stripOf({ ...form, roll: scaled(factor) }, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage })
      .length - length;
  const factor = root(longer, LEAST_FACTOR, STAND_LIMITS.size.greatest / Math.max(back, front));
  if (factor === null) return { kind: 'impossible', rule: 'no rolls take a strip of this length' };
  const [fault] = checkTarget(made(factor));
  if (fault) return { kind: 'impossible', rule: `gives rolls of ${scaled(factor).front.toFixed(1)} mm: ${fault.rule}` };
  return { kind: 'made', target: made(factor) };
}
