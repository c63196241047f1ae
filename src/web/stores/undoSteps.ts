import { shallowRef } from 'vue';

/** One undo step: the states before and after. */
export interface Step<T> {
  readonly before: T;
  readonly after: T;
}

/** Undo and redo of one record or of a whole book. Changes of one group (a field, a drag) are one step until they end. */
export function undoSteps<T>() {
  const past = shallowRef<readonly Step<T>[]>([]);
  const future = shallowRef<readonly Step<T>[]>([]);
  let gesture: string | null = null;

  function push(before: T, after: T, group: string | null = null): void {
    const last = past.value.at(-1);
    if (group !== null && group === gesture && last) past.value = [...past.value.slice(0, -1), { ...last, after }];
    else past.value = [...past.value, { before, after }];
    gesture = group;
    if (future.value.length > 0) future.value = [];
  }

  /** The field was left or the drag ended: the next change is a new step. */
  function end(): void {
    gesture = null;
  }

  /** Moves the newest step to the other list and returns it; null when there is none. */
  function back(): Step<T> | null {
    const last = past.value.at(-1);
    end();
    if (!last) return null;
    past.value = past.value.slice(0, -1);
    future.value = [...future.value, last];
    return last;
  }

  function forth(): Step<T> | null {
    const next = future.value.at(-1);
    end();
    if (!next) return null;
    future.value = future.value.slice(0, -1);
    past.value = [...past.value, next];
    return next;
  }

  return { past, future, push, end, back, forth };
}

/** The return type of undoSteps. */
export type UndoSteps<T> = ReturnType<typeof undoSteps<T>>;
