import { firedLength } from '../../units/shrinkage.ts';
import { scaledDrawn, supportOf } from '../../parts/plan/plan.ts';
import { kindOf } from '../../forms/kinds.ts';
import { acrossOf } from '../../forms/kind/standing.ts';
import type { Target } from '../../target/target.ts';
import type { DrapedTarget } from '../../forms/mould/draped.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { LENGTH_TOLERANCE } from '../../numbers.ts';

/** A size of the finished piece over its outside, fired. */
export type FormedSize = 'length' | 'width' | 'height';

/** What a mould gives over the outside (fired mm). */
export function formedSize(target: DrapedTarget, size: FormedSize): number {
  const { across, height } = kindOf(target).standing(target);
  const wet = { length: across[0], width: across[1], height }[size];
  return firedLength(wet, target.clay.shrinkage);
}

/** A plan grown along or across by mm. */
function grown<T extends MouldForm['rim']>(plan: T, size: FormedSize, by: number): T {
  if (plan.kind === 'circle') return { ...plan, diameter: plan.diameter + by };
  if (plan.kind === 'polygon') return { ...plan, acrossFlats: plan.acrossFlats + by };
  if (plan.kind === 'drawn') {
    const [length, width] = acrossOf(supportOf(plan));
    const own = size === 'length' ? length : width;
    return { ...plan, ...scaledDrawn(plan, (own + by) / own) };
  }
  return size === 'length' ? { ...plan, length: plan.length + by } : { ...plan, width: plan.width + by };
}

function changed(form: MouldForm, size: FormedSize, by: number): MouldForm {
  if (size === 'height') return { ...form, depth: form.depth + by };
  return { ...form, rim: grown(form.rim, size, by), ...(form.foot && { foot: grown(form.foot, size, by) }) };
}

/** Rounds for reaching a size: the offset at the rim hardly changes with it. */
const ROUNDS = 6;

/** The target with the mould that is needed for a finished outside size (fired mm); foot and rim change alike. */
export function mouldFor(target: DrapedTarget, size: FormedSize, wanted: number): Target {
  let found = target;
  for (let round = 0; round < ROUNDS; round += 1) {
    const { form } = found;
    if (form.kind !== 'mould') return found;
    const by = (wanted - formedSize(found, size)) / (1 - target.clay.shrinkage);
    if (Math.abs(by) < LENGTH_TOLERANCE) break;
    found = { ...found, form: changed(form, size, by) };
  }
  return found;
}
