/** What a device that makes something tells. `part` is how far it is, from 0 to 1. */
export type MakerEvent<Made> =
  | { readonly kind: 'progress'; readonly part: number }
  | { readonly kind: 'done'; readonly made: Made }
  | { readonly kind: 'refused'; readonly rule: string }
  | { readonly kind: 'lost' };

/** A device that makes something of a file, such as a cutter or a printer: a stand-in, or a real one behind the same verbs. */
export interface Maker<Job, Made> {
  readonly simulated: boolean;
  readonly running: boolean;
  /** Begins a job; one that runs is ended first. */
  send(job: Job): void;
  stop(): void;
  /** Hears events until the returned function is called. */
  on(listener: (event: MakerEvent<Made>) => void): () => void;
}

/** Who listens to a maker, and how they are told. */
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
