import { watchDebounced } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { useLengths } from '../../composables/useLengths.ts';
import type { Figure } from './figures.ts';

/** Pause after the last key before results are announced (ms). */
const AFTER = 500;

/** Number of figures announced: the others can be read in the list. */
const MOST = 4;

/** The first figures in words, as they are after a change has settled; nothing before the first change. */
export function useSaid(figures: Readonly<Ref<readonly Figure[]>>): Ref<string> {
  const lengths = useLengths();
  const said = ref('');
  const words = () =>
    figures.value
      .slice(0, MOST)
      .map(
        ({ label, phrase, unit }) =>
          `${label} ${lengths.phrase(phrase)}${unit === 'length' ? ` ${lengths.sign()}` : ''}`,
      )
      .join(', ');
  watchDebounced(words, (now, before) => (said.value = before ? now : ''), { debounce: AFTER });
  return said;
}
