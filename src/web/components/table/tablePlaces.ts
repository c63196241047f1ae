import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import { bounds } from '../../../core/geometry/outline/outline.ts';
import type { Lean } from '../../../core/parts/part/lean.ts';
import { isPlate, slabBox, type Part } from '../../../core/parts/part/part.ts';
import type { Development } from '../../../core/piece/develop.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import type { Target } from '../../../core/target/target.ts';
import {
  NARROW_TABLE,
  TAG,
  tableLayout,
  type Box,
  type TableLayout,
  type TableThing,
} from '../../composables/tableLayout.ts';

/** A drawing's place on the screen: lower left corner, size with its underside, and size of its traced line (px, mm). */
export interface PartPlace {
  readonly part: Part;
  /** Leaning edges whose tags hang below it, since they do not fit on it. */
  readonly hanging: readonly Lean[];
  /** How many of their tags hang side by side. */
  readonly tagsAcross: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** A disc: one figure across says it all. */
  readonly round: boolean;
  /** The traced line's box: mm as they are measured, px as they are drawn, from the place's upper left corner. */
  readonly traced: {
    readonly length: number;
    readonly height: number;
    readonly left: number;
    readonly pxLength: number;
    readonly pxHeight: number;
    readonly top: number;
  };
}

/** Everything that stands on the table, in px. */
export interface TablePlaces {
  readonly scale: number;
  readonly parts: readonly PartPlace[];
  /** The standing piece, small: where it stands, and what it takes. */
  readonly piece: {
    readonly scale: number;
    readonly at: readonly [number, number];
    readonly left: number;
    readonly right: number;
    readonly top: number;
  };
}

/** The name of the standing piece among the things on the table. */
const PIECE = ' piece';

/** The standing piece is drawn at so much of the scale of its parts. */
const PIECE_SHARE = 0.4;

function slabSize(part: Part): Box {
  const { length, width } = slabBox(part);
  return { width: length, height: width };
}

function partPlace(
  part: Part,
  { scale, hanging, tagsAcross }: LaidTable,
  [x, y]: readonly [number, number],
): PartPlace {
  const size = slabSize(part);
  const up = bounds(part.outline);
  const under = bounds(part.underside);
  const length = up.maxX - up.minX;
  const height = up.maxY - up.minY;
  return {
    part,
    hanging: hanging.has(part.id) ? leaningEdges(part) : [],
    tagsAcross,
    x,
    y,
    width: size.width * scale,
    height: size.height * scale,
    round: isRound(part),
    traced: {
      length,
      height,
      left: x + (up.minX - Math.min(up.minX, under.minX)) * scale,
      pxLength: length * scale,
      pxHeight: height * scale,
      top: y - size.height * scale + (Math.max(up.maxY, under.maxY) - up.maxY) * scale,
    },
  };
}

/** The order in which leaning edges are told: the ends as they lie, left and right, then foot and rim. */
const EDGE_ORDER: readonly Lean['edge'][] = [
  'left',
  'right',
  'dart-left',
  'dart-right',
  'side',
  'foot',
  'rim',
  'round',
];

/** The edges of a part that lean, each once: a strip repeats one lean over its panels. */
export function leaningEdges({ leans }: Part): Lean[] {
  const leaning = leans.filter(({ word }) => word !== 'straight down');
  return leaning
    .filter((lean, index) => leaning.findIndex(({ edge }) => edge === lean.edge) === index)
    .sort((one, other) => EDGE_ORDER.indexOf(one.edge) - EDGE_ORDER.indexOf(other.edge));
}

/** A lower wall has no room for tags (mm). */
const LOW = 25;

/** A plate smaller than this has its name beside it (mm). */
const PAD = 45;

/** A lower wall has the seam's letters beside its tags (px). */
export const LOW_WALL = 110;

/** From an end of a part to the tag on it (px): past the seam's letter on a low wall. */
export const TAG_END = { high: 10, low: 32 } as const;

/** As much of a part a tag on it takes at the most (px). */
const TAG_ON_PART = 160;

/** Whether a part is shorter than the tags that would lie on it side by side, clear of what its underside reaches further. */
function tooShort(part: Part, scale: number): boolean {
  const { minX, maxX, minY, maxY } = bounds(part.outline);
  const traced = maxX - minX;
  const clear = 2 * traced - slabBox(part).length;
  const side = leaningEdges(part).filter(({ edge }) => edge !== 'rim').length;
  const end = (maxY - minY) * scale < LOW_WALL ? TAG_END.low : TAG_END.high;
  return clear * scale < side * TAG_ON_PART + 2 * end;
}

/** Only a long, straight wall on a wide table can carry its tags. */
function mayCarry(part: Part, { narrow }: { readonly narrow: boolean }): boolean {
  const rectangle = part.outline.length === 4 && part.outline.every(([, , bulge]) => bulge === 0);
  const { length, width } = slabBox(part);
  return rectangle && length > 1.3 * width && width > LOW && !narrow;
}

/** A plate as wide as it is long, whichever way it is laid. */
function isRound(part: Part): boolean {
  const { minX, maxX, minY, maxY } = bounds(part.outline);
  return isPlate(part) && Math.abs(maxX - minX - (maxY - minY)) < LENGTH_TOLERANCE;
}

/** How a part is laid on the table. */
export function kindOnTable(part: Part): Exclude<TableThing['kind'], 'piece'> {
  if (!isPlate(part)) return 'wall';
  if (!isRound(part)) return 'plate';
  return slabBox(part).length < PAD ? 'pad' : 'base';
}

/** A laid table, and the parts whose tags hang below them. */
export interface LaidTable extends TableLayout {
  readonly hanging: ReadonlySet<string>;
  /** How many tags hang side by side. */
  readonly tagsAcross: number;
}

/** Lays the piece's drawings into a room (px); tags that a part turns out too short for are hung below it. */
export function layTable(target: Target, { parts }: Development, room: Box): LaidTable {
  const narrow = room.width < NARROW_TABLE;
  const tagsAcross = room.width < 2 * TAG.width ? 1 : 2;
  const { width, height } = elevation(target, 'wet');
  const piece: TableThing = {
    id: PIECE,
    kind: 'piece',
    box: { width: PIECE_SHARE * width, height: PIECE_SHARE * height },
    tags: 0,
  };
  const laid = (carries: (part: Part) => boolean): LaidTable => {
    const things = parts.map((part) => ({
      id: part.id,
      kind: kindOnTable(part),
      box: slabSize(part),
      tags: carries(part) ? 0 : leaningEdges(part).length,
      tagsAcross,
    }));
    const walls = things.filter(({ kind }) => kind === 'wall');
    const bases = things.filter(({ kind }) => kind !== 'wall');
    const hanging = new Set(things.filter(({ tags }) => tags > 0).map(({ id }) => id));
    return { ...tableLayout([...walls, ...bases, piece], room), hanging, tagsAcross };
  };
  // Tags that hang take room and make the whole smaller, so that the next part may become too short for its own.
  let carrying = new Set(parts.filter((part) => mayCarry(part, { narrow })));
  for (;;) {
    const table = laid((part) => carrying.has(part));
    const long = new Set([...carrying].filter((part) => !tooShort(part, table.scale)));
    if (long.size === carrying.size) return table;
    carrying = long;
  }
}

/** Where everything stands in a layout. */
export function tablePlaces(target: Target, developed: Development, layout: LaidTable): TablePlaces {
  const { scale, at } = layout;
  const wet = elevation(target, 'wet');
  const pieceAt = at[PIECE] ?? [0, 0];
  const small = PIECE_SHARE * scale;
  return {
    scale,
    parts: developed.parts.flatMap((part) => {
      const place = at[part.id];
      return place ? [partPlace(part, layout, place)] : [];
    }),
    piece: {
      scale: small,
      at: pieceAt,
      left: pieceAt[0],
      right: pieceAt[0] + wet.width * small,
      top: pieceAt[1] - wet.height * small,
    },
  };
}
