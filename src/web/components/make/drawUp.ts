import type { Bench } from '../../../core/checks/bench.ts';
import { orderOfWork } from '../../../core/making/orderOfWork.ts';
import type { Schools, WorkStep } from '../../../core/making/workStep.ts';
import type { Blank } from '../../../core/mould/blank.ts';
import { PAPER_ID } from '../../../core/part/part.ts';
import { develop } from '../../../core/piece/develop.ts';
import type { Target } from '../../../core/piece/target.ts';
import { quickPlan } from '../../../core/slabPlan/quickPlan.ts';
import { DEFAULT_PLAN } from '../../../core/slabPlan/slabPlan.ts';

/** The order of work of one piece, with the slabs that this bench rolls. */
export function drawUp(
  target: Target,
  { bench, blank, schools }: { bench: Bench; blank: Blank | null; schools: Schools },
): WorkStep[] {
  const developed = develop(target, bench, blank ?? undefined);
  const cut = developed.parts.filter(({ id }) => id !== PAPER_ID);
  const slabs = quickPlan(target, cut, { ...bench.slab, ...DEFAULT_PLAN }) ?? developed.slabs;
  return orderOfWork(target, developed, slabs, schools);
}
