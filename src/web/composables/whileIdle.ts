import { onMounted, onScopeDispose } from 'vue';

/** Rest between two rounds in a browser that does not tell when it is idle (ms). */
const REST = 50;

/**
 * Does some work again and again while the page has nothing else to do, until `most` ms of it are done: code that has run
 * before is answered faster, so the first key is not the slowest. Ends with the component.
 */
export function whileIdle(work: () => void, most: number): void {
  let spent = 0;
  let waiting = 0;
  const idle = 'requestIdleCallback' in window;
  const next = () => {
    waiting = idle ? window.requestIdleCallback(round) : window.setTimeout(round, REST);
  };
  const round = () => {
    const from = performance.now();
    work();
    spent += performance.now() - from;
    if (spent < most) next();
  };
  onMounted(next);
  onScopeDispose(() => (idle ? window.cancelIdleCallback(waiting) : window.clearTimeout(waiting)));
}
