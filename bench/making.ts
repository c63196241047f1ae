import { seeded } from '../src/core/seeded.ts';
import { COVERS, ROOM } from '../src/core/studio/drying/air.ts';
import { dryPart, dryPlainly } from '../src/core/studio/drying/partDrying.ts';
import { layOrder } from '../src/core/studio/order/layOrder.ts';
import { CUP, order } from '../src/core/studio/order/orders.test.helper.ts';
import { blocksOf } from '../src/core/studio/order/workBlock.ts';
import { exactEnd } from '../src/core/studio/planning/exactPlan.test.helper.ts';
import { madeUpTask } from '../src/core/studio/planning/madeUpTask.test.helper.ts';
import { layPlan } from '../src/core/studio/planning/plan.ts';
import { measure, type Times } from './measure.ts';

const MODEL = { diffusivity: 1e-9, transfer: 1e-6, initial: 0.27, equilibrium: 0.01 };

const orderOf = (...counts: number[]) => order({ lines: counts.map((count) => ({ count, blocks: blocksOf(CUP) })) });

/** Drying of single parts and of a batch, and plans of small and large batches. */
export async function makings(): Promise<Times[]> {
  const batch = Array.from(
    { length: 60 },
    (_, index) =>
      ({
        thickness: 3 + (index % 8),
        faces: index % 2 ? 'one' : 'both',
        cover: COVERS[index % COVERS.length] ?? 'open',
      }) as const,
  );
  return [
    await measure('10,000 hours of drying, constants', 40, () =>
      dryPlainly({ thickness: 6, faces: 'one' }, MODEL, 10_000),
    ),
    await measure('10,000 hours of drying in the open', 40, () =>
      dryPart({ thickness: 6, faces: 'one', cover: 'open' }, ROOM, { hours: 10_000 }),
    ),
    await measure('60 parts for two weeks', 10, () => batch.map((part) => dryPart(part, ROOM, { hours: 336 }))),
    await measure('plan of 6 pieces', 6, () => layPlan(madeUpTask(seeded(6), 6, 3), { random: seeded(1) })),
    await measure('an order of 12 and 18 pieces, laid', 3, () =>
      layOrder(orderOf(12, 18), { random: seeded(1), rounds: 400 }),
    ),
    await measure('an order of 30 and 30 pieces, laid', 3, () =>
      layOrder(orderOf(30, 30), { random: seeded(1), rounds: 400 }),
    ),
    await measure('plan of 60 pieces', 3, () => layPlan(madeUpTask(seeded(60), 60, 14), { random: seeded(1) })),
  ];
}

/** Tasks that plans are compared on: so many that the exact solver brings to an end in this time for each (s). */
const TASKS = 100;
const EXACT_SECONDS = 8;

/** Prints how much later than an exact solver's the plans of 2 to 8 pieces end. */
export async function exactPlans(): Promise<void> {
  const random = seeded(23);
  let [worst, over, unsolved, left] = [1, 0, 0, 0];
  for (let index = 0; index - unsolved < TASKS; index += 1) {
    const task = madeUpTask(random, 2 + (index % 7), 2);
    const exact = await exactEnd(task, { seconds: EXACT_SECONDS });
    const plan = layPlan(task, { random: seeded(index) });
    if (typeof exact !== 'number') unsolved += 1;
    else if (plan.left.length > 0) left += 1;
    else {
      worst = Math.max(worst, plan.end / exact);
      if (plan.end > 1.03 * exact) over += 1;
    }
  }
  console.log(
    `plans of 2 to 8 pieces: ${TASKS} tasks solved exactly, ${unsolved} were not; ` +
      `worst ${(100 * (worst - 1)).toFixed(2)} % later, ${over} over 3 %, ` +
      `${left} with pieces left out that the exact plan has`,
  );
}
