import type { Design } from '../../../contract/api.ts';
import { DEFAULT_PLAN } from '../../../core/studio/slabPlan/slabPlan.ts';
import { usePlans } from '../../stores/records.ts';

/** Several pieces of the shelf on one slab plan, which belongs to the first of them. */
export function useBatchPlan() {
  const plans = usePlans();

  /**
   * Plans `each` of every design: a plan that the first design has already is changed.
   * Returns the id of the design that the plan belongs to; null when nothing was chosen or it could not be kept.
   */
  async function plan(designs: readonly Design[], each: number): Promise<string | null> {
    const [first] = designs;
    if (!first) return null;
    if (plans.state !== 'ready') await plans.load();
    const pieces = designs.map(({ id }) => ({ design: id, count: each }));
    const known = plans.list.find(({ body }) => body.design === first.id);
    if (known) return plans.change(known.id, { ...known.body, pieces }).length === 0 ? first.id : null;
    const name = first.target.set ?? first.name;
    const made = await plans.create({ name, design: first.id, pieces, ...DEFAULT_PLAN, slabs: [] });
    return made ? first.id : null;
  }

  return { plan };
}
