import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue';

/** Changes that come faster than this after one another are typing or a drag (ms): what stands beside waits for a rest as long. */
const REST = 120;

/** For so long it waits at most (ms). */
const LONGEST = 400;

/**
 * Follows a value one painted frame later: what stands beside the table is redrawn when the table itself has been, so
 * that a key or a drag is answered on the drawing first. While changes come fast it follows at their first rest.
 */
export function afterPaint<T>(source: () => T): Readonly<ShallowRef<T>> {
  const shown = shallowRef(source());
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** When the source last changed, and first changed without being followed (ms). */
  let [changed, since] = [-Infinity, Infinity];
  const take = () => {
    timer = undefined;
    since = Infinity;
    shown.value = source();
  };
  const follow = (wait: number) => {
    frame = 0;
    clearTimeout(timer);
    timer = setTimeout(take, wait);
  };
  watch(source, () => {
    const now = performance.now();
    const fast = now - changed < REST;
    [changed, since] = [now, Math.min(since, now)];
    if (frame !== 0) return;
    const wait = fast ? Math.max(0, Math.min(REST, since + LONGEST - now)) : 0;
    frame = requestAnimationFrame(() => follow(wait));
  });
  onScopeDispose(() => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  });
  return shown;
}
