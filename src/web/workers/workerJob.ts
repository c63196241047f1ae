import { ref } from 'vue';

/** What of a worker a job needs. */
export type JobWorker = Pick<Worker, 'postMessage' | 'terminate' | 'onmessage' | 'onerror'>;

/** How a kind of work is asked for. */
export interface JobKind<Reply> {
  readonly make: () => JobWorker;
  /** Whether a reply ends the work; others tell how far it is, or what has been found so far. */
  readonly ends: (reply: Reply) => boolean;
  /** What stands for an answer when the worker itself breaks down. */
  readonly broken: Reply;
}

/** One question at a time to a worker of its own: a new question, or `stop`, ends the work on the one before. */
export function workerJob<Question, Reply>({ make, ends, broken }: JobKind<Reply>) {
  const busy = ref(false);
  let end: (reply: Reply | null) => void = () => undefined;

  /** The answer, or null when the work was stopped; what comes on the way goes to `part`. */
  function ask(question: Question, part: (reply: Reply) => void = () => undefined): Promise<Reply | null> {
    stop();
    const worker = make();
    busy.value = true;
    return new Promise((resolve) => {
      let over = false;
      const own = (reply: Reply | null) => {
        if (over) return;
        over = true;
        worker.terminate();
        if (end === own) busy.value = false;
        resolve(reply);
      };
      end = own;
      worker.onmessage = ({ data }: MessageEvent<Reply>) => {
        if (over) return;
        if (ends(data)) own(data);
        else part(data);
      };
      worker.onerror = () => own(broken);
      worker.postMessage(question);
    });
  }

  /** Gives the work up: who waits for it gets null. */
  function stop(): void {
    end(null);
  }

  return { busy, ask, stop };
}
