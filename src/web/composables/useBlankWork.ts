import { onScopeDispose, ref } from 'vue';
import type { Blank } from '../../core/mould/blank.ts';
import type { BlankQuestion, BlankReply } from '../workers/blankWork.ts';

/** Asks the worker for one thing at a time: a new question, or `stop`, ends the work on the last one. */
export function useBlankWork() {
  /** How far the work is (0 to 1); null when nothing is worked on. */
  const far = ref<number | null>(null);
  let worker: Worker | null = null;
  let giveUp: () => void = () => undefined;

  function stop(): void {
    worker?.terminate();
    worker = null;
    far.value = null;
    giveUp();
    giveUp = () => undefined;
  }

  /** The answer, or null when it was stopped; what is found on the way goes to `early`. */
  function ask(question: BlankQuestion, early?: (blank: Blank) => void): Promise<BlankReply | null> {
    stop();
    const own = new Worker(new URL('../workers/blank.worker.ts', import.meta.url), { type: 'module' });
    worker = own;
    far.value = 0;
    return new Promise((resolve) => {
      const end = (reply: BlankReply | null) => {
        if (worker === own) {
          own.terminate();
          worker = null;
          far.value = null;
        }
        resolve(reply);
      };
      giveUp = () => resolve(null);
      own.onmessage = ({ data }: MessageEvent<BlankReply>) => {
        if (data.kind === 'far') far.value = data.share;
        else if (data.kind === 'early') early?.(data.blank);
        else end(data);
      };
      own.onerror = () => end({ kind: 'failed', rule: 'the work stopped: try again' });
      own.postMessage(question);
    });
  }

  onScopeDispose(stop);
  return { far, ask, stop };
}
