import { Semaphore, withTimeout } from 'async-mutex';
import { Piscina } from 'piscina';
import { Refusal } from '../refusal.ts';

/** What the threads of a pool run, how many there are and how they rank beside others. */
export interface PoolOptions {
  /** Path of a module whose default export takes a `Numbered` order, posts its number to the parent, and resolves to what is done. */
  readonly file: string;
  /** Threads kept while there is nothing to do. */
  readonly least: number;
  readonly most: number;
  /** Steps of niceness. */
  readonly niceIncrement: number;
  /** Longest wait for a thread to take an order (ms). */
  readonly longestWait?: number;
}

/** Threads that carry out orders. */
export interface Pool<Order, Done> {
  /**
   * Carries out an order. Its time counts from when a thread takes it: neither the wait for others nor the start of a thread is
   * the order's fault.
   *
   * @param limit how long the work itself may take (ms)
   * @throws Refusal `too-slow` when the work takes longer or needs more memory than a thread has; `busy` when too many orders wait,
   *   or this one has waited too long
   */
  readonly run: (order: Order, limit: number) => Promise<Done>;
  readonly close: () => Promise<void>;
}

/** Orders that may wait at a time; more are refused at once. */
const MOST_WAITING = 100;

/** The longest wait (ms): those who asked have given up by then, and even a very busy machine has started a thread. */
const LONGEST_WAIT = 60_000;

/** Memory of one thread (MB): the largest mesh takes a fifth of it. */
const THREAD_MEMORY = 512;

/** Time without orders (ms) after which a surplus thread ends. */
const IDLE = 60_000;

/** An order on its way to a thread. */
export interface Numbered<Order> {
  readonly number: number;
  readonly order: Order;
}

/** Makes a pool of threads, which start at once. Orders are taken in the order in which they came. */
export function poolOf<Order, Done>(options: PoolOptions): Pool<Order, Done> {
  const { file, least, most, niceIncrement, longestWait = LONGEST_WAIT } = options;
  const threads = new Piscina<Numbered<Order>, Done>({
    filename: file,
    execArgv: [],
    niceIncrement,
    minThreads: least,
    maxThreads: most,
    idleTimeout: IDLE,
    resourceLimits: { maxOldGenerationSizeMb: THREAD_MEMORY },
  });
  // A thread that dies by itself is replaced; its order is refused below.
  threads.on('error', () => undefined);
  const begins = new Map<number, () => void>();
  threads.on('message', (number: number) => begins.get(number)?.());
  let last = 0;

  /** Carries out an order for which there is a thread, or one that is starting. */
  async function work(order: Order, limit: number): Promise<Done> {
    const number = (last += 1);
    const stop = new AbortController();
    const giveUp = () => stop.abort();
    let begun = false;
    let timer = setTimeout(giveUp, longestWait);
    begins.set(number, () => {
      begun = true;
      clearTimeout(timer);
      timer = setTimeout(giveUp, limit);
    });
    try {
      return await threads.run({ number, order }, { signal: stop.signal });
    } catch (error) {
      if (stop.signal.aborted) throw new Refusal(begun ? 'too-slow' : 'busy');
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') throw new Refusal('too-slow');
      throw error;
    } finally {
      clearTimeout(timer);
      begins.delete(number);
    }
  }

  // Piscina's own queue neither counts tasks that can be aborted nor takes them in order.
  const free = new Semaphore(most);
  let waiting = 0;
  return {
    run: async (order, limit) => {
      if (waiting >= MOST_WAITING) throw new Refusal('busy');
      waiting += 1;
      const [, release] = await withTimeout(free, longestWait, new Refusal('busy'))
        .acquire()
        .finally(() => (waiting -= 1));
      return work(order, limit).finally(release);
    },
    close: () => threads.close({ force: true }),
  };
}
