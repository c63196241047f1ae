import { drag, select, type D3DragEvent } from 'd3';
import type { Directive } from 'vue';

/** Handlers of a drag: its start, its movement since then (px), and its end. */
export interface DragVerbs {
  readonly start: () => void;
  readonly move: (dx: number, dy: number) => void;
  readonly end?: () => void;
}

type Dragged = HTMLElement | SVGElement;
type Event = D3DragEvent<Dragged, unknown, unknown>;

/** The newest handlers of each element, so that a drag goes on when its element is rendered again. */
const verbs = new WeakMap<Dragged, DragVerbs>();
/** Where the pointer went down. Removing an element ends its drag. */
const held = new WeakMap<Dragged, readonly [number, number]>();

function end(element: Dragged): void {
  if (held.delete(element)) verbs.get(element)?.end?.();
}

/** `v-drag="{ start, move, end }"`: an element that is dragged by mouse, pen or finger (d3-drag) and can be focused. */
export const vDrag: Directive<Dragged, DragVerbs> = {
  mounted(element, { value }) {
    verbs.set(element, value);
    const behavior = drag<Dragged, unknown>()
      .container(() => document.documentElement)
      .on('start', ({ x, y }: Event) => {
        held.set(element, [x, y]);
        element.focus({ preventScroll: true });
        verbs.get(element)?.start();
      })
      .on('drag', ({ x, y }: Event) => {
        const from = held.get(element);
        if (from) verbs.get(element)?.move(x - from[0], y - from[1]);
      })
      .on('end', () => end(element));
    select<Dragged, unknown>(element).call(behavior);
  },
  updated(element, { value }) {
    verbs.set(element, value);
  },
  beforeUnmount(element) {
    select(element).on('.drag', null);
    end(element);
  },
};
