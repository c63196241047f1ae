import { inject, provide, readonly, ref, watch, type InjectionKey, type Ref } from 'vue';
import { nextTask } from './nextTask.ts';

/** The parts of a piece's page, in the order in which they are mounted. */
const PARTS = [
  'drawing',
  'form',
  'sizes',
  'more sizes',
  'all sizes',
  'plan file',
  'hold',
  'clay',
  'slab',
  'filling line',
  'measured',
  'figures',
  'more figures',
  'advice',
  'additions',
  'fits',
  'finished',
  'formed',
  'moulds',
  'kit',
  'hollow',
  'hollow face',
  'filled',
  'said',
] as const;
type Part = (typeof PARTS)[number];

/** Number of mounted parts. */
const STOOD: InjectionKey<Readonly<Ref<number>>> = Symbol('parts that stand');

/** Mounts the parts once the piece is ready, each in its own task so that the page stays responsive; then calls `whole`. */
export function openInParts(ready: () => boolean, whole: () => void): (part: Part) => boolean {
  const stood = ref(0);
  provide(STOOD, readonly(stood));
  let opening = 0;
  watch(
    ready,
    async (now) => {
      const mine = (opening += 1);
      stood.value = 0;
      for (let part = 1; now && part <= PARTS.length; part += 1) {
        await nextTask();
        if (mine !== opening) return;
        stood.value = part;
      }
      if (now) whole();
    },
    { immediate: true },
  );
  return (part) => stood.value > PARTS.indexOf(part);
}

/** Whether a part of a piece's page may be mounted. */
export function useOpenedParts(): (part: Part) => boolean {
  const stood = inject(STOOD);
  return (part) => !stood || stood.value > PARTS.indexOf(part);
}
