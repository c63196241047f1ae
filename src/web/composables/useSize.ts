import { onMounted, onUnmounted, ref, type Ref } from 'vue';

/** Width and height (px) of an element as it is laid out. */
export function useSize(element: Ref<HTMLElement | null>) {
  const width = ref(0);
  const height = ref(0);
  let observer: ResizeObserver | undefined;
  onMounted(() => {
    if (!element.value) return;
    observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      width.value = entry.contentRect.width;
      height.value = entry.contentRect.height;
    });
    observer.observe(element.value);
    width.value = element.value.clientWidth;
    height.value = element.value.clientHeight;
  });
  onUnmounted(() => observer?.disconnect());
  return { width, height };
}
