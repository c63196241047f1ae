import { select, zoom, zoomIdentity, type ZoomTransform } from 'd3';
import { computed, onUnmounted, shallowRef, watch, type Ref } from 'vue';

/** How far a drawing can be brought nearer. */
const NEAREST = 8;

/** One press of a button. */
const STEP = 1.5;

/** What is pressed or dragged itself does not move the drawing. */
const ITS_OWN = 'button, input, a, [role="slider"], [data-place]';

/**
 * Brings a drawing nearer and moves it: by wheel, pinch, drag and buttons (d3-zoom), up to `nearest` times. What is drawn in
 * `element` takes `style`, or stands where `place` says; at first it fits.
 */
export function useZoom(element: Ref<HTMLElement | null>, nearest = NEAREST) {
  const transform = shallowRef<ZoomTransform>(zoomIdentity);
  const behavior = zoom<HTMLElement, unknown>()
    .scaleExtent([1, nearest])
    .filter((event: Event) => {
      measure();
      if ((event.target as Element).closest?.(ITS_OWN)) return event.type === 'wheel';
      // As it fits, a wheel scrolls the page unless Ctrl is held, and so does one finger; a drag has nothing to move.
      if (transform.value.k > 1) return true;
      if (event.type.startsWith('touch')) return (event as TouchEvent).touches.length > 1;
      return event instanceof WheelEvent && event.ctrlKey;
    })
    .on('zoom', ({ transform: now }: { transform: ZoomTransform }) => (transform.value = now));

  watch(
    element,
    (now, before) => {
      if (before) select(before).on('.zoom', null);
      if (now) select(now).call(behavior).on('dblclick.zoom', null);
    },
    { immediate: true, flush: 'post' },
  );
  onUnmounted(() => element.value && select(element.value).on('.zoom', null));

  function by(factor: number): void {
    if (!element.value) return;
    measure();
    select(element.value).call(behavior.scaleBy, factor);
  }

  /** The drawing never leaves its frame. */
  function measure(): void {
    if (!element.value) return;
    const { clientWidth: width, clientHeight: height } = element.value;
    behavior
      .extent([
        [0, 0],
        [width, height],
      ])
      .translateExtent([
        [0, 0],
        [width, height],
      ]);
  }

  function fit(): void {
    if (element.value) select(element.value).call(behavior.transform, zoomIdentity);
  }

  /** Brings a place of the drawing (px as it fits) to the middle, so many times nearer than it is seen now. */
  function bring([x, y]: readonly [number, number], factor: number): void {
    if (!element.value) return;
    measure();
    select(element.value).call(behavior.scaleBy, factor).call(behavior.translateTo, x, y);
  }

  /** Where a place of the drawing (px as it fits) is seen. */
  const place = (at: readonly [number, number]): readonly [number, number] => transform.value.apply([at[0], at[1]]);

  const near = computed(() => transform.value.k);
  const style = computed(() => {
    const { k, x, y } = transform.value;
    return k === 1 ? {} : { transform: `translate(${x}px, ${y}px) scale(${k})`, transformOrigin: '0 0' };
  });
  return { near, style, nearer: () => by(STEP), farther: () => by(1 / STEP), fit, bring, place };
}
