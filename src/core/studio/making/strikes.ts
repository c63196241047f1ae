import { inOrder } from './making.ts';

/** A word that something written down no longer counts, or counts again: a measurement, fault, note or photograph by its id. */
export interface Strike {
  /** Made by the browser, so that one that is sent twice is kept once. */
  readonly id: string;
  readonly of: string;
  readonly out: boolean;
  /** ISO 8601 in UTC. */
  readonly at: string;
}

/** The ids of all that is struck out; the last word on each counts. Nothing is ever taken away. */
export function struckOut(strikes: readonly Strike[]): ReadonlySet<string> {
  return new Set(
    [...new Map(inOrder(strikes).map(({ of, out }) => [of, out]))].flatMap(([of, out]) => (out ? [of] : [])),
  );
}
