import { onUnmounted, ref } from 'vue';
import type { Target } from '../../core/target/target.ts';
import type { SolveReply, SolveWork } from '../workers/solveWork.ts';
import { workerJob } from '../workers/workerJob.ts';

/** Work shorter than this shows no progress (ms). */
const SILENT = 150;

/** Searches for a changed design in a worker, so that the page stays responsive; the search can be cancelled. */
export function useSolver() {
  const busy = ref(false);
  const trouble = ref('');
  const job = workerJob<{ target: Target; work: SolveWork }, SolveReply>({
    make: () => new Worker(new URL('../workers/solve.worker.ts', import.meta.url), { type: 'module' }),
    ends: () => true,
    broken: { kind: 'none', rule: 'the search stopped: try again' },
  });

  /** The design that was found, or null with the reason in `trouble`; null too when it was cancelled. */
  async function solve(target: Target, work: SolveWork): Promise<Target | null> {
    trouble.value = '';
    // A plain copy, since what the store holds may be reactive.
    const question = JSON.parse(JSON.stringify({ target, work })) as { target: Target; work: SolveWork };
    const answer = job.ask(question);
    const late = setTimeout(() => (busy.value = true), SILENT);
    const reply = await answer;
    clearTimeout(late);
    busy.value = job.busy.value && busy.value;
    if (reply?.kind === 'none') trouble.value = reply.rule;
    return reply?.kind === 'found' ? reply.target : null;
  }

  onUnmounted(job.stop);
  return { busy, trouble, solve, cancel: job.stop };
}
