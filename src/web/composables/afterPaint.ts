import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue';

/** Changes closer together than this are typing or a drag (ms): the value then waits for a rest of this length. */
const REST = 120;

/** Longest wait (ms). */
const LONGEST = 400;

/**
 * Follows a value one painted frame later: the fields and figures beside the table are rendered after the table itself, so
 * that a key or a drag shows on the drawing first. While changes come fast, it follows at their first rest.
 */
export function afterPaint<T>(source: () => T): Readonly<ShallowRef<T>> {
  const shown = shallowRef(source());
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** Times of the last change, and of the first change not yet followed (ms). */
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
