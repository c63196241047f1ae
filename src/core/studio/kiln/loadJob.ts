import { bounds, type Outline } from '../../geometry/outline/outline.ts';
import { footprintOf, turnedReach, type Footprint } from './footprint.ts';
import type { Shelf, Way } from './shelfRoom.ts';

/** Pieces of one kind that are to be fired: their outline seen from above and their height, as they are now (mm). */
export interface LoadPiece {
  readonly id: string;
  readonly count: number;
  readonly outline: Outline;
  readonly height: number;
}

/** A shelf of the kiln, and the height that is clear above it (mm). */
export type LoadShelf = Shelf & { readonly id: string; readonly clear: number };

/** One piece on a shelf: its outline turned about its own origin (degrees), then moved (mm). */
export interface Placed {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** A kiln to be loaded: shelves, the gap between pieces (mm), and what is wanted in it. */
export interface LoadJob {
  readonly shelves: readonly LoadShelf[];
  readonly gap: number;
  readonly pieces: readonly LoadPiece[];
  /** Pieces, counted among the others, that stand where they stand, by the shelf's id. */
  readonly locked?: Readonly<Record<string, readonly Placed[]>>;
}

/** A shelf as it is loaded: what stands where, and the share of it that is covered. */
export interface LoadedShelf {
  readonly id: string;
  readonly placements: readonly Placed[];
  readonly full: number;
}

/** A kiln as it is loaded, and what is left for the next firing. */
export interface Loaded {
  readonly shelves: readonly LoadedShelf[];
  readonly left: readonly { readonly id: string; readonly count: number }[];
}

/** A kind of piece while it is packed: how often it is still to be placed, and the ways it can stand. */
export interface Kind {
  readonly piece: LoadPiece;
  readonly footprint: Footprint;
  readonly box: { readonly width: number; readonly depth: number };
  readonly ways: readonly Way[];
}

/** Turns whose outlines differ by less in every direction count as one (mm): turning a nearly round piece gains nothing. */
const SAME_WAY = 0.5;

/** Turns that are tried (degrees): straight ones first. */
const TURNS = [0, 90, 180, 270, 30, 60, 45, 120, 135, 150] as const;

/** A kind ready to be packed. @param index of its first way: ways are numbered on from there */
export function kindOf(piece: LoadPiece, index: number): Kind {
  const footprint = footprintOf(piece.outline);
  const box = bounds(piece.outline);
  const ways: Way[] = [];
  for (const turn of TURNS) {
    const reach = turnedReach(footprint, turn);
    const known = ways.some((way) =>
      way.reach.every((far, step) => Math.abs(far - (reach[step] as number)) < SAME_WAY),
    );
    if (!known) ways.push({ turn, reach, index: index + ways.length });
  }
  return { piece, footprint, box: { width: box.maxX - box.minX, depth: box.maxY - box.minY }, ways };
}

/** Area of a shelf (mm2). */
export function shelfArea(shelf: Shelf): number {
  return 'width' in shelf ? shelf.width * shelf.depth : (Math.PI * shelf.diameter ** 2) / 4;
}

/** Where a kind's outline lies whose middle stands at a place. */
export function placedAt({ piece, footprint }: Kind, [x, y]: readonly [number, number], turn: number): Placed {
  const [mx, my] = footprint.middle;
  const angle = (turn * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return { id: piece.id, x: x - (c * mx - s * my), y: y - (s * mx + c * my), turn };
}

/** The middle of the box of a placed piece: the inverse of {@link placedAt}. */
export function middleOfPlaced({ footprint }: Kind, { x, y, turn }: Placed): readonly [number, number] {
  const [mx, my] = footprint.middle;
  const angle = (turn * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [x + c * mx - s * my, y + s * mx + c * my];
}
