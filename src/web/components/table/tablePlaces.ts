import { bounds } from '../../../core/outline/outline.ts';
import { slabBox, type Part } from '../../../core/part/part.ts';
import type { Development } from '../../../core/piece/develop.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import type { Target } from '../../../core/piece/target.ts';
import { tableLayout, type Box, type TableLayout } from '../../composables/tableLayout.ts';

/** A drawing's place on the screen: lower left corner, size with its underside, and size of its traced line (px, mm). */
interface PartPlace {
  readonly part: Part;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** The traced line's box: mm as they are measured, px as they are drawn. */
  readonly traced: {
    readonly length: number;
    readonly height: number;
    readonly pxLength: number;
    readonly pxHeight: number;
  };
}

/** Everything that stands on the table, in px. */
export interface TablePlaces {
  readonly scale: number;
  readonly wall: PartPlace;
  readonly base: PartPlace | null;
  /** The standing piece: its fired outline, and the wet one's right edge. */
  readonly piece: {
    readonly at: readonly [number, number];
    readonly left: number;
    readonly right: number;
    readonly wetRight: number;
    readonly middle: number;
    readonly y: number;
    readonly top: number;
  };
}

function slabSize(part: Part): Box {
  const { length, width } = slabBox(part);
  return { width: length, height: width };
}

function partPlace(part: Part, at: readonly [number, number], scale: number): PartPlace {
  const size = slabSize(part);
  const box = bounds(part.outline);
  const length = box.maxX - box.minX;
  const height = box.maxY - box.minY;
  return {
    part,
    x: at[0],
    y: at[1],
    width: size.width * scale,
    height: size.height * scale,
    traced: { length, height, pxLength: length * scale, pxHeight: height * scale },
  };
}

function partOf(developed: Development, id: string): Part | undefined {
  return developed.parts.find((part) => part.id === id);
}

/** Lays the piece's drawings into a room (px). */
export function layTable(target: Target, developed: Development, room: Box): TableLayout {
  const wall = partOf(developed, 'wall');
  const base = partOf(developed, 'base');
  return tableLayout(
    {
      wall: wall ? slabSize(wall) : { width: 1, height: 1 },
      base: base ? slabSize(base) : null,
      piece: elevation(target, 'wet'),
    },
    room,
  );
}

/** Where everything stands in a layout; null when there is no wall. */
export function tablePlaces(target: Target, developed: Development, layout: TableLayout): TablePlaces | null {
  const { scale } = layout;
  const wall = partOf(developed, 'wall');
  const base = partOf(developed, 'base');
  if (!wall) return null;
  const wet = elevation(target, 'wet');
  const fired = elevation(target, 'fired');
  const middle = layout.piece[0] + (wet.width / 2) * scale;
  return {
    scale,
    wall: partPlace(wall, layout.wall, scale),
    base: base && layout.base ? partPlace(base, layout.base, scale) : null,
    piece: {
      at: layout.piece,
      left: middle - (fired.width / 2) * scale,
      right: middle + (fired.width / 2) * scale,
      wetRight: middle + (wet.width / 2) * scale,
      middle,
      y: layout.piece[1],
      top: layout.piece[1] - fired.height * scale,
    },
  };
}
