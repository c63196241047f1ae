import { cpus } from 'node:os';
import { newTarget } from '../../core/target/target.ts';
import { Refusal } from '../refusal.ts';
import { poolOf } from './pool.ts';
import { workerFile } from './workerFile.ts';
import { doWork, type ReadTarget, type WorkDone, type WorkKind, type WorkOrder } from './work.ts';

/** Reads bodies of requests and makes patterns, outside the thread that answers, which so stays free. */
export interface Workshop {
  /** The target in the body of a write. Refuses with its faults. */
  readonly read: (kind: 'create' | 'write', body: Uint8Array) => Promise<ReadTarget>;
  /** A developed pattern as JSON text, or a template file. */
  readonly make: (
    kind: 'develop' | 'sheets' | 'class' | 'learn' | 'records',
    body: Uint8Array,
  ) => Promise<Exclude<WorkDone, { kind: 'faults' | 'target' }>>;
  readonly close: () => Promise<void>;
}

/** How long the work on one order may take (ms): reading is short whatever is read, a fine blank with its darts takes seconds. */
export const TIME_LIMITS = { read: 5000, make: 20_000 } as const;

/** A body up to this size (bytes) is read in a few milliseconds, whatever it holds: nobody's small save waits for a large one. */
const SMALL_BODY = 64 * 1024;

/** Lower priority of threads that make patterns or read large bodies (steps of niceness). */
const GIVES_WAY = 10;

type Run = (order: WorkOrder, limit: number) => Promise<WorkDone>;

function workshopOf(reading: Run, making: Run, close: () => Promise<void>): Workshop {
  const done = async (
    run: Run,
    kind: WorkKind,
    { body, limit }: { readonly body: Uint8Array; readonly limit: number },
  ) => {
    const found = await run({ kind, body }, limit);
    if (found.kind === 'faults') throw new Refusal(found.error, { faults: found.faults });
    return found;
  };
  return {
    read: async (kind, body) => {
      const found = await done(reading, kind, { body, limit: TIME_LIMITS.read });
      if (found.kind !== 'target') throw new Refusal('internal');
      return found.read;
    },
    make: async (kind, body) => {
      const found = await done(making, kind, { body, limit: TIME_LIMITS.make });
      if (found.kind === 'target') throw new Refusal('internal');
      return found;
    },
    close,
  };
}

/** A workshop in the calling thread: for tests and tools. */
export function ownWorkshop(): Workshop {
  return workshopOf(doWork, doWork, () => Promise.resolve());
}

/** Orders that warm a thread up. */
const WARMING = 30;

/**
 * Starts the thread of a pool and warms it up on a plain design, so that no request waits for either.
 */
async function warmed(run: Run, times: number): Promise<void> {
  const body = new TextEncoder().encode(JSON.stringify({ target: newTarget('Warming') }));
  for (let order = 0; order < times; order += 1)
    await run({ kind: 'create', body }, TIME_LIMITS.make).catch(() => undefined);
}

/** A workshop with separate threads for small bodies, large ones, and patterns, so that none delays a save. */
export function threadedWorkshop(): Workshop {
  const file = workerFile();
  const pool = (least: number, most: number, niceIncrement: number) =>
    poolOf<WorkOrder, WorkDone>({ file, least, most, niceIncrement });
  const small = pool(1, 1, 0);
  const large = pool(0, 1, GIVES_WAY);
  const making = pool(1, Math.max(1, cpus().length - 1), GIVES_WAY);
  void warmed(small.run, WARMING);
  void warmed(making.run, 1);
  const reading: Run = (order, limit) => (order.body.byteLength > SMALL_BODY ? large : small).run(order, limit);
  return workshopOf(reading, making.run, async () => {
    await Promise.all([small.close(), large.close(), making.close()]);
  });
}
