import { doWork } from './work.ts';

/** What a thread of the pool runs. */
export default doWork;
