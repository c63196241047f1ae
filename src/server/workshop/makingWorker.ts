import { constants, setPriority } from 'node:os';
import { doWork } from './work.ts';

// Of this thread alone, as Linux has it: a long pattern gives way to whoever waits for an answer.
try {
  setPriority(constants.priority.PRIORITY_LOW);
} catch {
  // Where it is not allowed it is made at the usual pace.
}

/** What a thread of the pool runs that makes patterns. */
export default doWork;
