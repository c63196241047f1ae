import type { Blank } from '../../core/forms/kind/blank.ts';
import { onScopeDispose, ref } from 'vue';
import type { BlankQuestion, BlankReply } from '../workers/blankWork.ts';
import { blankJob } from '../workers/blankJob.ts';

/** Sends the worker one request at a time: a new request, or `stop`, cancels the last one. */
export function useBlankWork() {
  /** Progress (0 to 1); null when there is no work. */
  const far = ref<number | null>(null);
  const job = blankJob();

  function stop(): void {
    job.stop();
    far.value = null;
  }

  /** The answer, or null when it was cancelled. Early results go to `early`. */
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
