import { shallowRef } from 'vue';
import type { FoundMark } from '../../core/studio/making/waitWindow.ts';
import { api } from '../api.ts';

/** What was noted by hand about a clay in all of its makings. */
export function foundMarks(note: (error: unknown) => void) {
  const found = shallowRef<readonly FoundMark[]>([]);

  /** Fetches what was noted about a clay; nothing for one that is not in the book. */
  async function learn(clay: string | null): Promise<void> {
    found.value = [];
    if (clay === null) return;
    try {
      found.value = await api.found(clay);
    } catch (error) {
      note(error);
    }
  }

  return { found, learn };
}
