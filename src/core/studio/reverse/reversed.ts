import { faultLine } from '../../errors.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import type { Form, SizeState, Target } from '../../target/target.ts';

/** The design that an owned tool makes, or why it makes none. */
export type Reversed =
  { readonly kind: 'made'; readonly target: Target } | { readonly kind: 'impossible'; readonly rule: string };

/** The answer when there is no such design, with the reason. */
export const impossible = (rule: string): Reversed => ({ kind: 'impossible', rule });

/** How a design is made from an owned tool: everything of a target but its form. */
export type Making = Omit<Target, 'form'>;

/** Wet lengths as they are written in a target of a state. */
export function sizeFactor({ clay, size }: Making): number {
  return ({ fired: 1 - clay.shrinkage, wet: 1 } satisfies Record<SizeState, number>)[size.state];
}

/** The design of a form, when a slab can make it. */
export function made(making: Making, form: Form): Reversed {
  const target: Target = { ...making, form };
  const [fault] = checkTarget(target);
  return fault ? impossible(faultLine(fault)) : { kind: 'made', target };
}
