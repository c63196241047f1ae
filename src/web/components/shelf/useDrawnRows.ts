import { computed, onUnmounted, ref, watch } from 'vue';
import { nextTask } from '../../composables/nextTask.ts';

/** About so many pieces are drawn at first; more of them as the end of the drawn rows comes into sight. */
const AT_FIRST = 60;
/** So many are drawn in one task: the page answers in between. */
const IN_ONE_TASK = 4;

/**
 * How many rows of the shelf are drawn yet.
 *
 * @param counts how many pieces stand in each row
 */
export function useDrawnRows(counts: () => readonly number[]) {
  const wanted = ref(IN_ONE_TASK);
  const rest = ref<HTMLElement | null>(null);
  let there = true;

  async function drawFirst(): Promise<void> {
    while (there && wanted.value < AT_FIRST) {
      await nextTask();
      wanted.value += IN_ONE_TASK;
    }
  }

  const drawnRows = computed(() => {
    const all = counts();
    let count = 0;
    const full = all.findIndex((row) => (count += row) >= wanted.value);
    return full < 0 ? all.length : full + 1;
  });
  const further = new IntersectionObserver(
    (seen) => {
      if (seen.some(({ isIntersecting }) => isIntersecting)) wanted.value += AT_FIRST;
    },
    { rootMargin: '600px' },
  );
  watch([rest, drawnRows], () => {
    // Observing it again reports once more if it is still in view.
    further.disconnect();
    if (rest.value) further.observe(rest.value);
  });
  onUnmounted(() => {
    there = false;
    further.disconnect();
  });

  return { rest, drawnRows, drawFirst };
}
