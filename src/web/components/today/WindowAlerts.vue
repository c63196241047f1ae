<script setup lang="ts">
import { watch } from 'vue';
import { newlyOpen } from '../../../core/studio/making/openings.ts';
import { useAgenda } from '../../composables/useAgenda.ts';
import { momentWords } from '../make/momentWords.ts';

/** Sends a browser notification when a waiting window opens, in any place of the page. Shows nothing itself. */
const { lines, now, state } = useAgenda();
/** Windows that were open when the page was loaded are not announced again. */
let known: ReadonlySet<string> | null = null;

watch([lines, state], ([all]) => {
  if (state.value !== 'ready') return;
  const { fresh, open } = newlyOpen(all, known ?? new Set());
  const first = known === null;
  known = open;
  if (first) return;
  for (const { name, numbers, step, then, window: wait } of fresh) {
    const closes = wait?.closes ? `, until about ${momentWords(wait.closes.usual, now.value.getTime())}` : '';
    const what = numbers.length > 1 ? `${numbers.length} × ${name}` : name;
    const note = { body: `${what}${closes}. Check by hand: ${step.until}`, tag: `${step.id} ${name}` };
    try {
      new Notification((wait?.closes ? then : step).title, note);
    } catch {
      // A phone's browser shows notifications through its service worker only.
      void navigator.serviceWorker?.ready.then((worker) => worker.showNotification(then.title, note));
    }
  }
});
</script>

<template>
  <span hidden />
</template>
