import { onUnmounted, ref } from 'vue';
import type { PlannedSlab } from '../../core/slabPlan/slabPlan.ts';
import type { PlanReply, PlanRequest } from '../workers/plan.worker.ts';

/** How often the progress is drawn (ms). */
const BEAT = 250;

/** Lays out a batch in a worker: the best so far is given out as it comes, and the work can be stopped at any time. */
export function usePlanner(take: (slabs: readonly PlannedSlab[]) => void) {
  const busy = ref(false);
  /** Share of the time that has gone by. */
  const progress = ref(0);
  const trouble = ref('');
  let worker: Worker | null = null;
  let clock: ReturnType<typeof setInterval> | undefined;

  function stop(): void {
    worker?.terminate();
    worker = null;
    clearInterval(clock);
    busy.value = false;
  }

  function start(request: PlanRequest): void {
    stop();
    trouble.value = '';
    progress.value = 0;
    busy.value = true;
    const from = performance.now();
    clock = setInterval(
      () => (progress.value = Math.min(1, (performance.now() - from) / request.seconds / 1000)),
      BEAT,
    );
    const own = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' });
    worker = own;
    own.onmessage = ({ data }: MessageEvent<PlanReply>) => {
      if (worker !== own) return;
      if (data.kind === 'done') stop();
      take(data.slabs);
      if (data.kind !== 'done') return;
      if (data.unfit.length > 0) {
        trouble.value = `Larger than the slab, so not laid out: ${data.unfit.join('; ')}. Cut the wall in pieces, or roll a larger slab.`;
      }
    };
    own.onerror = () => {
      stop();
      trouble.value = 'The plan could not be made: look at the pieces’ figures and try again.';
    };
    // A plain copy: what the stores hold may be watched.
    own.postMessage(JSON.parse(JSON.stringify(request)));
  }

  onUnmounted(stop);
  return { busy, progress, trouble, start, stop };
}
