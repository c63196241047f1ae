import { parentPort } from 'node:worker_threads';
import type { Numbered } from './pool.ts';
import { doWork, type WorkOrder } from './work.ts';

/** What a thread of the pool runs: it tells that the order is begun, which starts its time, and carries it out. */
export default function begin({ number, order }: Numbered<WorkOrder>) {
  parentPort?.postMessage(number);
  return doWork(order);
}
