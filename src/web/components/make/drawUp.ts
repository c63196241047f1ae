import type { Blank } from '../../../core/forms/kind/blank.ts';
import type { Bench } from '../../../core/advice/bench.ts';
import { orderOfWork } from '../../../core/studio/making/orderOfWork.ts';
import type { Schools, WorkStep } from '../../../core/studio/making/workStep.ts';
import { develop } from '../../../core/piece/develop.ts';
import type { Target } from '../../../core/target/target.ts';
import { slabsToRoll } from '../../../core/studio/slabPlan/quickPlan.ts';

/** The order of work of one piece, with the slabs that this bench rolls. */
export function drawUp(
  target: Target,
  { bench, blank, schools }: { bench: Bench; blank: Blank | null; schools: Schools },
): WorkStep[] {
  const developed = develop(target, bench, blank ?? undefined);
  return orderOfWork(target, { developed, slabs: slabsToRoll(target, developed, bench.slab), schools });
}
