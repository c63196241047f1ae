import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue';

/** Changes closer together than this are typing or a drag: the value waits for a pause of this length (ms). */
const REST = 120;

/** Longest wait (ms). */
const LONGEST = 400;

/**
 * Follows a value one painted frame later: the fields and figures beside the table are rendered after the table itself, so
 * that a key or a drag shows on the drawing first. While changes come fast, it follows at their first rest.
 * @param of what the value belongs to, such as the open piece: once this changes, the value follows at once
 */
export function afterPaint<T>(source: () => T, of: () => unknown = () => null): Readonly<ShallowRef<T>> {
  const shown = shallowRef(source());
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** Times of the last change, and of the first change not yet followed (ms). */
  let [changed, since] = [-Infinity, Infinity];
  let owner = of();
  const stop = () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
    frame = 0;
  };
  const take = () => {
    since = Infinity;
    shown.value = source();
  };
  const follow = (wait: number) => {
    frame = 0;
    clearTimeout(timer);
    timer = setTimeout(take, wait);
  };
  watch(source, () => {
    if (of() !== owner) {
      owner = of();
      stop();
      return take();
    }
    const now = performance.now();
    const fast = now - changed < REST;
    [changed, since] = [now, Math.min(since, now)];
    if (frame !== 0) return;
    const wait = fast ? Math.max(0, Math.min(REST, since + LONGEST - now)) : 0;
    frame = requestAnimationFrame(() => follow(wait));
  });
  onScopeDispose(stop);
  return shown;
}
