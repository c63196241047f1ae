import { inOrder } from './making.ts';

/** Strikes an entry out, or restores it: a measurement, fault, note or photograph, by its id. */
export interface Strike {
  /** Made by the browser, so that one that is sent twice is kept once. */
  readonly id: string;
  readonly of: string;
  readonly out: boolean;
  /** ISO 8601 in UTC. */
  readonly at: string;
}

/** The ids of all entries that are struck out; the last strike of each counts. Nothing is ever deleted. */
export function struckOut(strikes: readonly Strike[]): ReadonlySet<string> {
  return new Set(
    [...new Map(inOrder(strikes).map(({ of, out }) => [of, out]))].flatMap(([of, out]) => (out ? [of] : [])),
  );
}
