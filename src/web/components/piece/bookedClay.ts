import type { Kept } from '../../../contract/records.ts';
import { knownShrinkage, type KnownShrinkage } from '../../../core/studio/clay/bars.ts';
import type { Clay } from '../../../core/studio/clay/clay.ts';
import type { Target } from '../../../core/target/target.ts';

/** Shrinkages that differ by less are one: half a tenth of a percent. */
const SAME_SHRINKAGE = 0.0005;

/** The clay of a design as it stands in the book. */
export interface BookedClay {
  readonly clay: Clay;
  readonly known: KnownShrinkage;
  /** The design was cut for another figure than the book has now. */
  readonly apart: boolean;
}

/** Finds a design's clay in the book by its name; null when it names none, or one that is not there. */
export function bookedClay({ clay }: Target, book: readonly Kept<'clay'>[]): BookedClay | null {
  const found = clay.name === undefined ? undefined : book.find(({ body }) => body.name === clay.name)?.body;
  if (!found) return null;
  const known = knownShrinkage(found);
  return { clay: found, known, apart: Math.abs(known.shrinkage - clay.shrinkage) > SAME_SHRINKAGE };
}
