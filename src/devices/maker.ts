/** Events of a device that makes something. `part` is its progress, from 0 to 1. */
export type MakerEvent<Made> =
  | { readonly kind: 'progress'; readonly part: number }
  | { readonly kind: 'done'; readonly made: Made }
  | { readonly kind: 'refused'; readonly rule: string }
  | { readonly kind: 'lost' };

/** A device that makes something of a file, such as a cutter or a printer: a stand-in, or a real one behind the same verbs. */
export interface Maker<Job, Made> {
  readonly simulated: boolean;
  readonly running: boolean;
  /** Begins a job; a running one is stopped first. */
  send(job: Job): void;
  stop(): void;
  /** Listens to events until the returned function is called. */
  on(listener: (event: MakerEvent<Made>) => void): () => void;
}

/** The listeners of a maker. */
export function listenersOf<Made>() {
  const listeners = new Set<(event: MakerEvent<Made>) => void>();
  return {
    tell: (event: MakerEvent<Made>) => {
      for (const listener of listeners) listener(event);
    },
    on: (listener: (event: MakerEvent<Made>) => void) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
