import { select, zoom, zoomIdentity, type ZoomTransform } from 'd3';
import { computed, onUnmounted, shallowRef, watch, type Ref } from 'vue';

/** Greatest magnification. */
const NEAREST = 8;

/** Factor of one press of a button. */
const STEP = 1.5;

/** Elements that are pressed or dragged themselves do not pan the drawing. */
const ITS_OWN = 'button, input, a, [role="slider"], [data-place]';

/**
 * Zooms and pans a drawing by wheel, pinch, drag and buttons (d3-zoom), up to `nearest` times. The content of `element` takes
 * `style`, or is placed by `place`; at first it fits.
 */
export function useZoom(element: Ref<HTMLElement | null>, nearest = NEAREST) {
  const transform = shallowRef<ZoomTransform>(zoomIdentity);
  const behavior = zoom<HTMLElement, unknown>()
    .scaleExtent([1, nearest])
    .filter((event: Event) => {
      measure();
      if ((event.target as Element).closest?.(ITS_OWN)) return event.type === 'wheel';
      // At scale 1 a wheel without Ctrl and one finger scroll the page, and there is nothing to pan.
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

  /** Keeps the drawing within its frame. */
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

  /** Centres a point of the drawing (px at scale 1), magnified by a factor. */
  function bring([x, y]: readonly [number, number], factor: number): void {
    if (!element.value) return;
    measure();
    select(element.value).call(behavior.scaleBy, factor).call(behavior.translateTo, x, y);
  }

  /** Where a point of the drawing (px at scale 1) is shown. */
  const place = (at: readonly [number, number]): readonly [number, number] => transform.value.apply([at[0], at[1]]);

  const near = computed(() => transform.value.k);
  const style = computed(() => {
    const { k, x, y } = transform.value;
    return k === 1 ? {} : { transform: `translate(${x}px, ${y}px) scale(${k})`, transformOrigin: '0 0' };
  });
  return { near, style, nearer: () => by(STEP), farther: () => by(1 / STEP), fit, bring, place };
}
