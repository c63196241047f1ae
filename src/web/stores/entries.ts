import type { Entries } from '../../contract/makings.ts';

export const NONE: Entries = { marks: [], measurements: [], faults: [], notes: [], strikes: [], critiques: [] };
const KINDS = ['marks', 'measurements', 'faults', 'notes', 'strikes', 'critiques'] as const;

/** Merges two lists; each entry appears once, by its id. */
function together<T extends { readonly id: string }>(one: readonly T[], other: readonly T[]): T[] {
  return [...new Map([...one, ...other].map((entry) => [entry.id, entry])).values()];
}

/** A making, or entries, with more entries added. What an earlier version held has no strikes and no critiques. */
export function withEntries<T extends Entries>(
  to: T,
  { marks, measurements, faults, notes, strikes = [], critiques = [] }: Entries,
): T {
  return {
    ...to,
    marks: together(to.marks, marks),
    measurements: together(to.measurements, measurements),
    faults: together(to.faults, faults),
    notes: together(to.notes, notes),
    strikes: together(to.strikes ?? [], strikes),
    critiques: together(to.critiques ?? [], critiques),
  };
}

/** Entries without those that were removed, by id. */
export function without(from: Entries, gone: Entries): Entries {
  const sent = new Set(KINDS.flatMap((kind) => (gone[kind] ?? []).map(({ id }) => id)));
  const left = <T extends { readonly id: string }>(list: readonly T[]) => list.filter(({ id }) => !sent.has(id));
  return {
    marks: left(from.marks),
    measurements: left(from.measurements),
    faults: left(from.faults),
    notes: left(from.notes),
    strikes: left(from.strikes),
    critiques: left(from.critiques),
  };
}

/** Number of entries. */
export const countOf = (entries: Entries) => KINDS.reduce((sum, kind) => sum + entries[kind].length, 0);
