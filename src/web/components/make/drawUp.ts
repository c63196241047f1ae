import type { Bench } from '../../../core/checks/bench.ts';
import { orderOfWork } from '../../../core/making/orderOfWork.ts';
import type { Schools, WorkStep } from '../../../core/making/workStep.ts';
import type { Blank } from '../../../core/mould/blank.ts';
import { develop } from '../../../core/piece/develop.ts';
import type { Target } from '../../../core/piece/target.ts';
import { slabsToRoll } from '../../../core/slabPlan/quickPlan.ts';

/** The order of work of one piece, with the slabs that this bench rolls. */
export function drawUp(
  target: Target,
  { bench, blank, schools }: { bench: Bench; blank: Blank | null; schools: Schools },
): WorkStep[] {
  const developed = develop(target, bench, blank ?? undefined);
  return orderOfWork(target, developed, slabsToRoll(target, developed, bench.slab), schools);
}
