import { watchDebounced } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { useLengths } from '../../composables/useLengths.ts';
import type { Figure } from './figures.ts';

/** Results are said so long after the last key (ms). */
const AFTER = 500;

/** No more figures than these are said: the others are read in the list. */
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
