import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue';

/**
 * Follows a value one painted frame later: what stands beside the table is redrawn when the table itself has been, so
 * that a key or a drag is answered on the drawing first.
 */
export function afterPaint<T>(source: () => T): Readonly<ShallowRef<T>> {
  const shown = shallowRef(source());
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const take = () => {
    timer = undefined;
    shown.value = source();
  };
  const painted = () => {
    frame = 0;
    timer = setTimeout(take);
  };
  watch(source, () => {
    if (frame === 0 && timer === undefined) frame = requestAnimationFrame(painted);
  });
  onScopeDispose(() => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  });
  return shown;
}
