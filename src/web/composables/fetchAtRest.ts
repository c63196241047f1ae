import { until, useIdle, useTimeoutFn } from '@vueuse/core';
import { onScopeDispose } from 'vue';
import { nextTask } from './nextTask.ts';

/** No key, touch or pointer movement for this long counts as rest (ms). */
const REST = 1000;

/**
 * Fetches parts of the page one at a time, so that every place opens when the server is away: after a delay (ms), and only
 * while nobody types or points, since parsing a script slows the keys. Then calls back. Ends with the component.
 */
export function fetchAtRest(loads: readonly (() => Promise<unknown>)[], delay: number, then?: () => void): void {
  const { idle } = useIdle(REST);
  let ended = false;
  onScopeDispose(() => (ended = true));
  useTimeoutFn(async () => {
    for (const load of loads) {
      await until(idle).toBe(true);
      if (ended) return;
      await load().catch(() => undefined);
      await nextTask();
    }
    if (!ended) then?.();
  }, delay);
}
