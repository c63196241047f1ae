import { onUnmounted } from 'vue';

/** What a drag tells: how far the pointer has moved since it went down (px). */
export interface DragVerbs {
  readonly move: (dx: number, dy: number) => void;
  readonly end: () => void;
}

/** Follows one pointer from its going down until it is let go; Escape is left to the caller. */
export function useDrag(verbs: DragVerbs) {
  let from: readonly [number, number] | null = null;

  const onMove = (event: PointerEvent) => {
    if (from) verbs.move(event.clientX - from[0], event.clientY - from[1]);
  };
  const stop = () => {
    if (!from) return;
    from = null;
    window.removeEventListener('pointermove', onMove);
    window.removeEventListener('pointerup', stop);
    window.removeEventListener('pointercancel', stop);
    verbs.end();
  };
  const start = (event: PointerEvent) => {
    if (event.button !== 0) return;
    event.preventDefault();
    from = [event.clientX, event.clientY];
    window.addEventListener('pointermove', onMove);
    window.addEventListener('pointerup', stop);
    window.addEventListener('pointercancel', stop);
  };
  onUnmounted(stop);
  return { start };
}
