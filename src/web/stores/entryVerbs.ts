import type { Critique, Entries, Measurement, Note, PieceFault } from '../../contract/makings.ts';
import type { Mark } from '../../core/studio/making/making.ts';
import { newId } from './heldRecords.ts';

/** The id and time of an entry. */
export const stamp = () => ({ id: newId(), at: new Date().toISOString() });

type New<T> = Omit<T, 'id' | 'at'>;

/** The kinds of entries in a making: each method stamps its entry and passes it to `add`. */
export function entryVerbs(add: (entries: Partial<Entries>) => void) {
  return {
    press: (mark: New<Mark>) => add({ marks: [{ ...stamp(), ...mark }] }),
    pressMany: (marks: readonly New<Mark>[]) => add({ marks: marks.map((mark) => ({ ...stamp(), ...mark })) }),
    measure: (one: New<Measurement>) => add({ measurements: [{ ...stamp(), ...one }] }),
    fault: (one: New<PieceFault>) => add({ faults: [{ ...stamp(), ...one }] }),
    note: (one: New<Note>) => add({ notes: [{ ...stamp(), ...one }] }),
    critique: (one: New<Critique>) => add({ critiques: [{ ...stamp(), ...one }] }),
    /** Removes an entry, or restores it. */
    strike: (of: string, { out }: { readonly out: boolean }) => add({ strikes: [{ ...stamp(), of, out }] }),
  };
}
