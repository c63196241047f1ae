import { localDay } from '../../../core/day.ts';
import { USUAL_SEGMENTS, type KeptFiring, type PieceAt } from '../../../core/studio/kiln/keptFiring.ts';

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' });

/** A firing of today, with what is to be in it. */
export function freshFiring(wanted: readonly PieceAt[] = []): KeptFiring {
  const now = new Date();
  return {
    name: `Firing of ${day.format(now)}`,
    kind: 'once',
    day: localDay(now),
    cone: '',
    segments: USUAL_SEGMENTS.once,
    curve: [],
    witness: [],
    gap: 5,
    shelves: [],
    wanted,
    placed: [],
    opened: null,
    note: '',
  };
}
