import type { Outline } from '../../geometry/outline/outline.ts';
import { footprintOf, turnedReach } from './footprint.ts';
import { pieceKey, type FiringPiece, type FiringShelf, type KeptFiring, type PieceAt } from './keptFiring.ts';
import type { Loaded, LoadJob, LoadPiece, Placed } from './loadJob.ts';
import { ShelfRoom, type Standing } from './shelfRoom.ts';

/** How a kind of piece stands in the kiln: its outline about the middle of its box and its height, as it is now (mm). */
export interface StandingKind {
  readonly outline: Outline;
  readonly height: number;
}

/** Kinds by making and piece; unknown ones are left out. */
export type StandingKinds = ReadonlyMap<string, StandingKind>;

/** Key of a kind of piece: its making and place. */
export const kindKey = ({ making, piece }: Omit<PieceAt, 'number'>) => `${making} ${piece}`;

/** Pieces still wanted, by kind, in the order in which they came. */
function groupsOf({ wanted }: KeptFiring, kinds: StandingKinds): Map<string, PieceAt[]> {
  const groups = new Map<string, PieceAt[]>();
  for (const one of wanted) {
    const key = kindKey(one);
    if (!kinds.has(key)) continue;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return groups;
}

/** A firing as a load to be packed: locked pieces stay where they stand. */
export function loadJobOf(firing: KeptFiring, kinds: StandingKinds): LoadJob {
  const wanted = new Set(firing.wanted.map(pieceKey));
  const locks = firing.placed.filter((one) => one.locked && wanted.has(pieceKey(one)) && kinds.has(kindKey(one)));
  const locked = Object.fromEntries(
    firing.shelves.map(({ id }) => [
      id,
      locks
        .filter(({ shelf }) => shelf === id)
        .map((one): Placed => ({ id: kindKey(one), x: one.x, y: one.y, turn: one.turn })),
    ]),
  );
  const pieces = [...groupsOf(firing, kinds)].map(([id, group]): LoadPiece => ({
    id,
    count: group.length,
    ...(kinds.get(id) as StandingKind),
  }));
  return { shelves: firing.shelves, gap: firing.gap, pieces, locked };
}

/** The pieces of a firing as a load has them: locked ones keep their place, the others take theirs in the order of their numbers. */
export function placedOf(firing: KeptFiring, kinds: StandingKinds, loaded: Loaded): FiringPiece[] {
  const locks = firing.placed.filter((one) => one.locked && kinds.has(kindKey(one)));
  const taken = new Set(locks.map(pieceKey));
  const groups = groupsOf(firing, kinds);
  const free = new Map([...groups].map(([id, group]) => [id, group.filter((one) => !taken.has(pieceKey(one)))]));
  const placed = [...locks];
  for (const { id: shelf, placements } of loaded.shelves) {
    // The first of each kind on a shelf are its locked ones.
    const locked = new Map<string, number>();
    for (const one of locks) if (one.shelf === shelf) locked.set(kindKey(one), (locked.get(kindKey(one)) ?? 0) + 1);
    for (const { id, x, y, turn } of placements) {
      const still = locked.get(id) ?? 0;
      if (still > 0) {
        locked.set(id, still - 1);
        continue;
      }
      const next = free.get(id)?.shift();
      if (next) placed.push({ ...next, shelf, x, y, turn });
    }
  }
  return placed;
}

/** What is wrong with a piece where it stands. */
export interface Misplaced {
  readonly piece: FiringPiece;
  readonly why: 'too high' | 'over the edge' | 'too near';
}

/** Pieces in an impossible place: too high for their shelf, over its edge, or closer than the gap to another. */
export function misplaced({ shelves, placed, gap }: KeptFiring, kinds: StandingKinds): Misplaced[] {
  return shelves.flatMap((shelf: FiringShelf): Misplaced[] => {
    const room = new ShelfRoom(shelf, gap);
    const own = placed.filter((one) => one.shelf === shelf.id && kinds.has(kindKey(one)));
    const standing = own.map((one, index): Standing => {
      const reach = turnedReach(footprintOf((kinds.get(kindKey(one)) as StandingKind).outline), one.turn);
      return { way: { turn: one.turn, reach, index }, x: one.x, y: one.y };
    });
    return own.flatMap((piece, index): Misplaced[] => {
      const { way, x, y } = standing[index] as Standing;
      if ((kinds.get(kindKey(piece))?.height ?? 0) > shelf.clear) return [{ piece, why: 'too high' }];
      if (!room.isOn(way, x, y)) return [{ piece, why: 'over the edge' }];
      const near = standing.some((other, at) => at !== index && !room.isClear({ way, x, y }, other));
      return near ? [{ piece, why: 'too near' }] : [];
    });
  });
}
