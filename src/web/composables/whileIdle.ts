import { onMounted, onScopeDispose } from 'vue';

/** Pause between two rounds in a browser that does not report idle time (ms). */
const REST = 50;

/**
 * Repeats some work while the page is idle and it returns true: as many rounds as fit into each idle period, so that none
 * is overrun. Ends with the component.
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
