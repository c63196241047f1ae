import type { MadePiece } from './madePiece.ts';
import { chanceOfDifference, shareOf, type Share } from './shares.ts';

/** Properties by which faults are counted. */
export const BY = ['window', 'thickness', 'seam', 'base', 'drying'] as const;

/** A property by which faults are counted. */
export type By = (typeof BY)[number];

/** Pieces that are alike in something, and how many of them have a fault. */
export interface FaultRow {
  readonly value: string;
  readonly share: Share;
}

/** A pattern: a fault that is more frequent where a window was missed. */
export interface Pattern {
  readonly fault: string;
  readonly missed: Share;
  readonly kept: Share;
}

/** Least number of pieces on either side of a comparison. */
const LEAST = 3;

/** A difference that chance explains more often than this is not reported. */
const CHANCE = 0.05;

const DRYING_STEPS = [24, 48, 96, 168] as const;

/** The value by which a piece is counted; null where it is not known. */
function valueOf(piece: MadePiece, by: By): string | null {
  if (by === 'window') return piece.missed === null ? null : piece.missed ? 'a window missed' : 'within its windows';
  if (by === 'drying') {
    if (piece.drying === null) return null;
    const hours = piece.drying;
    const step = DRYING_STEPS.find((most) => hours < most);
    return step === undefined ? 'a week and more' : `under ${step} h`;
  }
  return by === 'thickness' ? `${piece.thickness} mm` : piece[by];
}

/** Faults of one kind, or of any, by what pieces have in common; rows in the order of their values. */
export function faultsBy(pieces: readonly MadePiece[], by: By, fault: string | null): FaultRow[] {
  const rows = new Map<string, { count: number; of: number }>();
  for (const piece of pieces) {
    const value = valueOf(piece, by);
    if (value === null) continue;
    const row = rows.get(value) ?? { count: 0, of: 0 };
    const has = fault === null ? piece.faults.length > 0 : piece.faults.includes(fault);
    rows.set(value, { count: row.count + Number(has), of: row.of + 1 });
  }
  return [...rows]
    .sort(([one], [other]) => one.localeCompare(other, 'en', { numeric: true }))
    .map(([value, { count, of }]) => ({ value, share: shareOf(count, of) }));
}

/** Faults that came more often after a missed window than chance would have it, the clearest first. */
export function patternsOf(pieces: readonly MadePiece[]): Pattern[] {
  const [missed, kept] = [pieces.filter((one) => one.missed === true), pieces.filter((one) => one.missed === false)];
  if (missed.length < LEAST || kept.length < LEAST) return [];
  const kinds = [...new Set(pieces.flatMap(({ faults }) => faults))];
  const count = (of: readonly MadePiece[], fault: string) =>
    shareOf(of.filter(({ faults }) => faults.includes(fault)).length, of.length);
  return kinds
    .map((fault): Pattern => ({ fault, missed: count(missed, fault), kept: count(kept, fault) }))
    .map((pattern) => ({ pattern, chance: chanceOfDifference(pattern.missed, pattern.kept) }))
    .filter(
      ({ pattern, chance }) =>
        chance < CHANCE && pattern.missed.count / pattern.missed.of > pattern.kept.count / pattern.kept.of,
    )
    .sort((one, other) => one.chance - other.chance)
    .map(({ pattern }) => pattern);
}
