import { ref } from 'vue';

/** The part of a worker that a job needs. */
export type JobWorker = Pick<Worker, 'postMessage' | 'terminate' | 'onmessage' | 'onerror'>;

/** Describes a kind of work. */
export interface JobKind<Reply> {
  readonly make: () => JobWorker;
  /** Whether a reply is the last; others report progress or early results. */
  readonly ends: (reply: Reply) => boolean;
  /** The reply when the worker itself fails. */
  readonly broken: Reply;
  /** How long an idle worker is kept for the next request (ms), so that frequent requests do not start one each time. */
  readonly stays?: number;
}

/** One request at a time to one worker: a new request, or `stop`, cancels the one before. */
export function workerJob<Question, Reply>({ make, ends, broken, stays = 0 }: JobKind<Reply>) {
  const busy = ref(false);
  let end: (reply: Reply | null) => void = () => undefined;
  /** The idle worker, and the timer that ends it. */
  let free: { readonly worker: JobWorker; readonly leaves: ReturnType<typeof setTimeout> } | null = null;

  /** Takes over the idle worker, if there is one. */
  function taken(): JobWorker | null {
    const worker = free?.worker ?? null;
    clearTimeout(free?.leaves);
    free = null;
    return worker;
  }

  function rest(worker: JobWorker): void {
    if (stays === 0) return worker.terminate();
    worker.onmessage = null;
    worker.onerror = null;
    free = { worker, leaves: setTimeout(() => taken()?.terminate(), stays) };
  }

  /** The reply, or null when the work was cancelled; earlier replies go to `part`. */
  function ask(question: Question, part: (reply: Reply) => void = () => undefined): Promise<Reply | null> {
    end(null);
    const worker = taken() ?? make();
    busy.value = true;
    return new Promise((resolve) => {
      let over = false;
      const own = (reply: Reply | null, { whole = false } = {}) => {
        if (over) return;
        over = true;
        if (whole) rest(worker);
        else worker.terminate();
        if (end === own) busy.value = false;
        resolve(reply);
      };
      end = own;
      worker.onmessage = ({ data }: MessageEvent<Reply>) => {
        if (over) return;
        if (ends(data)) own(data, { whole: true });
        else part(data);
      };
      worker.onerror = () => own(broken);
      worker.postMessage(question);
    });
  }

  /** Cancels the work and ends the worker; the caller gets null. */
  function stop(): void {
    end(null);
    taken()?.terminate();
  }

  return { busy, ask, stop };
}
