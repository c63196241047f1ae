import type { Target } from '../../../core/target/target.ts';
import type { WorkStep } from '../../../core/studio/making/workStep.ts';
import { withOwnWork } from '../../../core/studio/making/ownWork.ts';
import { isDraped } from '../../../core/forms/mould/draped.ts';
import { useBlankWork } from '../../composables/useBlankWork.ts';
import { useBench } from '../../stores/bench.ts';
import { useHouseWay } from '../../stores/houseWay.ts';
import { packed } from '../../workers/blankWork.ts';
import { drawUp } from './drawUp.ts';

/** Draws up the order of work of a piece in the house way; a blank over a mould is laid flat for it first. */
export function useDrawUp() {
  const bench = useBench();
  const way = useHouseWay();
  const work = useBlankWork();

  /** @throws Error when a blank cannot be laid flat */
  async function usual(target: Target): Promise<WorkStep[]> {
    if (!isDraped(target)) return drawUp(target, { bench: bench.bench, blank: null, schools: way.schools });
    const reply = await work.ask(packed('lay', target));
    if (reply?.kind !== 'laid') throw new Error('The blank could not be laid flat. Look at its figures and try again.');
    return drawUp(target, { bench: bench.bench, blank: reply.blank, schools: way.schools });
  }

  /** The order of work as it is drawn up, and as this potter does it. */
  return { usual, own: async (target: Target) => withOwnWork(await usual(target), way.ownOf(target.form.kind)) };
}
