import type { InHand } from '../../target/inHand.ts';
import type { Fault } from '../../errors.ts';
import { formSizes } from '../../forms/formSizes.ts';
import type { Form, Target } from '../../target/target.ts';
import { pieceFromArc } from './arcTemplate.ts';
import { pieceForCutter } from './cutter.ts';
import type { Reversed } from './reversed.ts';
import { pieceFromSheet } from './sheet.ts';

const WORDS: Readonly<Record<InHand['kind'], string>> = {
  sheet: 'the sheet in your hand',
  arc: 'the template in your hand',
  cutter: 'the cutter in your hand',
};

/** The piece that the tool in hand makes with everything else of a design; null without a tool. */
export function pieceInHand(target: Target): Reversed | null {
  const { inHand, owned, form } = target;
  switch (inHand?.kind) {
    case undefined:
      return null;
    case 'sheet':
      return pieceFromSheet({ ...inHand, layersAround: 1, layersUp: 1 }, target);
    case 'arc':
      if (!owned || form.kind !== 'taper') return null;
      return pieceFromArc(owned, form.rim > form.foot ? 'rim' : 'foot', target);
    case 'cutter':
      return pieceForCutter(target, inHand.across);
  }
}

/** Sizes of two forms that are closer than this are the same: solved ones are written to a hundredth of a mm. */
const SAME = 0.02;

function alike(one: Form, other: Form): boolean {
  const [sizes, others] = [formSizes(one), formSizes(other)];
  return (
    sizes.length === others.length &&
    sizes.every(({ value }, index) => Math.abs(value - (others[index]?.value ?? NaN)) < SAME)
  );
}

/**
 * A change to a design that keeps to the tool in hand: the piece follows it, or the faults say why it cannot. Sizes that the
 * tool sets are refused; others, such as the height over a cutter, are free.
 */
export function followInHand(
  before: Target,
  next: Target,
): { readonly target: Target } | { readonly faults: readonly Fault[] } {
  if (!next.inHand || JSON.stringify(before.inHand) !== JSON.stringify(next.inHand)) return { target: next };
  const fault = (rule: string): Fault => ({
    code: 'impossible-piece',
    path: 'inHand',
    value: next.inHand?.kind ?? '',
    rule,
  });
  if (next.form.kind !== before.form.kind)
    return { faults: [fault(`does not make this form: let ${WORDS[next.inHand.kind]} go first`)] };
  const made = pieceInHand(next);
  if (!made) return { target: next };
  if (made.kind === 'impossible') return { faults: [fault(made.rule)] };
  if (alike(made.target.form, next.form)) return { target: next };
  if (!alike(before.form, next.form))
    return { faults: [fault(`is set by ${WORDS[next.inHand.kind]}: let it go first`)] };
  return { target: { ...next, form: made.target.form } };
}
