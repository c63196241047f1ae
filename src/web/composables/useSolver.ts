import { onUnmounted, ref } from 'vue';
import type { Target } from '../../core/piece/target.ts';
import type { SolveReply, SolveWork } from '../workers/solveWork.ts';

/** Work that is done before this is not worth a word (ms). */
const SILENT = 150;

/** Looks for a changed design in a worker, so that the page never waits; what is looked for can be given up. */
export function useSolver() {
  const busy = ref(false);
  const trouble = ref('');
  let worker: Worker | null = null;
  let giveUp: () => void = () => undefined;

  function cancel(): void {
    worker?.terminate();
    worker = null;
    busy.value = false;
    giveUp();
  }

  /** The design that was found, or null with the reason in `trouble`; null too when it was given up. */
  async function solve(target: Target, work: SolveWork): Promise<Target | null> {
    cancel();
    trouble.value = '';
    const own = new Worker(new URL('../workers/solve.worker.ts', import.meta.url), { type: 'module' });
    worker = own;
    const late = setTimeout(() => (busy.value = worker === own), SILENT);
    const reply = await new Promise<SolveReply | null>((resolve) => {
      giveUp = () => resolve(null);
      own.onmessage = ({ data }: MessageEvent<SolveReply>) => resolve(data);
      own.onerror = () => resolve({ kind: 'none', rule: 'the search stopped: try again' });
      // A plain copy: what the store holds may be watched.
      own.postMessage(JSON.parse(JSON.stringify({ target, work })));
    });
    clearTimeout(late);
    if (worker === own) {
      own.terminate();
      worker = null;
      busy.value = false;
    }
    if (reply?.kind === 'none') trouble.value = reply.rule;
    return reply?.kind === 'found' ? reply.target : null;
  }

  onUnmounted(cancel);
  return { busy, trouble, solve, cancel };
}
