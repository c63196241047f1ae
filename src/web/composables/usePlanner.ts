import { useIntervalFn } from '@vueuse/core';
import { onUnmounted, ref } from 'vue';
import type { PlannedSlab } from '../../core/studio/slabPlan/slabPlan.ts';
import type { PlanReply, PlanRequest } from '../workers/plan.worker.ts';
import { workerJob } from '../workers/workerJob.ts';

/** Time between two updates of the progress (ms). */
const BEAT = 250;

/** The reply that stands for a failed worker. */
const BROKEN: PlanReply = { kind: 'broken' };

/** Plans a batch in a worker: better plans are reported as they are found, and the work can be stopped at any time. */
export function usePlanner(take: (slabs: readonly PlannedSlab[]) => void) {
  /** Share of the time that has passed (0 to 1). */
  const progress = ref(0);
  const trouble = ref('');
  const job = workerJob<PlanRequest, PlanReply>({
    make: () => new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    ends: ({ kind }) => kind !== 'better',
    broken: BROKEN,
  });
  let from = 0;
  let seconds = 1;
  const clock = useIntervalFn(() => (progress.value = Math.min(1, (performance.now() - from) / seconds / 1000)), BEAT, {
    immediate: false,
  });

  function stop(): void {
    clock.pause();
    job.stop();
  }

  async function start(request: PlanRequest): Promise<void> {
    stop();
    trouble.value = '';
    progress.value = 0;
    from = performance.now();
    seconds = request.seconds;
    clock.resume();
    // A plain copy, since what the stores hold may be reactive.
    const question = JSON.parse(JSON.stringify(request)) as PlanRequest;
    const reply = await job.ask(question, (part) => part.kind === 'better' && take(part.slabs));
    if (!reply) return;
    clock.pause();
    if (reply.kind === 'broken')
      trouble.value = 'The plan could not be made: look at the pieces’ figures and try again.';
    if (reply.kind !== 'done') return;
    take(reply.slabs);
    if (reply.unfit.length > 0) {
      trouble.value = `Larger than the slab, so not laid out: ${reply.unfit.join('; ')}. Cut the wall in pieces, or roll a larger slab.`;
    }
  }

  onUnmounted(stop);
  return { busy: job.busy, progress, trouble, start, stop };
}
