import { isDraped } from '../../forms/mould/draped.ts';
import { isWall } from '../../parts/part/part.ts';
import type { Development } from '../../piece/develop.ts';
import type { Target } from '../../target/target.ts';
import type { SlabNeeded } from '../../bench/slab/slabNeeded.ts';
import { baseWork } from './baseSteps.ts';
import { addedWork, dryWork, isPressed, rimWork, trueStep } from './finishSteps.ts';
import { mouldWork, sheetWork, standWork } from './otherForms.ts';
import { slabWork } from './slabSteps.ts';
import { stiffen, wallWork } from './wallSteps.ts';
import { DEFAULT_SCHOOLS, type Schools, type WorkStep } from './workStep.ts';

/** What stands between the cut parts and the finished shape, by the form. */
function formingWork(target: Target, developed: Development, schools: Schools): WorkStep[] {
  const { form } = target;
  if (isDraped(target)) return mouldWork(target, target.form, { developed, schools });
  if (form.kind === 'sheet') return sheetWork(target, form, developed);
  if (form.kind === 'stand') return standWork(target, form, developed);
  const walls = developed.parts.filter(isWall);
  const base = developed.parts.find(({ role }) => role === 'base');
  const set = baseWork(target, base, schools);
  const trued = trueStep(target, developed);
  return [
    stiffen(target.slab.wall),
    ...wallWork(target, walls, { schools, groove: developed.numbers.groove }),
    ...(isPressed(target) ? [trued, ...set] : [...set, trued]),
    ...rimWork(target),
    ...addedWork(target, developed, schools),
  ];
}

/**
 * The order in which a piece is made, from the bag to bone dry: one act a step, with the figures of this piece.
 *
 * @param developed the target developed whole
 * @param slabs how its clay is weighed and rolled, as the slab plan has it
 */
export function orderOfWork(
  target: Target,
  {
    developed,
    slabs,
    schools = DEFAULT_SCHOOLS,
  }: { readonly developed: Development; readonly slabs: readonly SlabNeeded[]; readonly schools?: Schools },
): WorkStep[] {
  const traced = schools.base === 'traced' && target.base.trim === 0;
  const cut = developed.parts.filter(({ role }) => role !== 'paper' && !(traced && role === 'base'));
  return [
    ...slabWork(slabs, cut, { repeat: target.marks?.repeat, schools }),
    ...formingWork(target, developed, schools),
    ...dryWork(target, Math.max(target.slab.wall, target.slab.base)),
  ];
}
