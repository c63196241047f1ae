import type { Blank } from '../../core/forms/kind/blank.ts';
import { onScopeDispose, ref } from 'vue';
import type { BlankQuestion, BlankReply } from '../workers/blankWork.ts';
import { blankJob } from '../workers/blankJob.ts';

/** Asks the worker for one thing at a time: a new question, or `stop`, ends the work on the last one. */
export function useBlankWork() {
  /** How far the work is (0 to 1); null when nothing is worked on. */
  const far = ref<number | null>(null);
  const job = blankJob();

  function stop(): void {
    job.stop();
    far.value = null;
  }

  /** The answer, or null when it was stopped; what is found on the way goes to `early`. */
  async function ask(question: BlankQuestion, early?: (blank: Blank) => void): Promise<BlankReply | null> {
    const answer = job.ask(question, (reply) => {
      if (reply.kind === 'far') far.value = reply.share;
      else if (reply.kind === 'early') early?.(reply.blank);
    });
    far.value = 0;
    const reply = await answer;
    if (!job.busy.value) far.value = null;
    return reply;
  }

  onScopeDispose(stop);
  return { far, ask, stop };
}
