import { onMounted, onScopeDispose } from 'vue';

/** Rest between two rounds in a browser that does not tell when it is idle (ms). */
const REST = 50;

/**
 * Does some work again and again while the page has nothing else to do, as long as it says true: as many rounds as fit
 * well into each idle time that the browser offers, so that none of them is overrun. Ends with the component.
 */
export function whileIdle(work: () => boolean): void {
  let waiting = 0;
  const idle = 'requestIdleCallback' in window;
  const next = () => {
    waiting = idle ? window.requestIdleCallback(rounds) : window.setTimeout(rounds, REST);
  };
  const rounds = (free?: IdleDeadline) => {
    let took = 0;
    do {
      const from = performance.now();
      if (!work()) return;
      took = performance.now() - from;
    } while (free && free.timeRemaining() > 3 * took);
    next();
  };
  onMounted(next);
  onScopeDispose(() => (idle ? window.cancelIdleCallback(waiting) : window.clearTimeout(waiting)));
}
