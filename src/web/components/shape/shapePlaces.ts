import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import { elevation, type Elevation } from '../../../core/piece/elevation.ts';
import type { Outline } from '../../../core/geometry/outline/outline.ts';
import type { Target } from '../../../core/target/target.ts';
import { NARROW_TABLE, type Box } from '../../composables/tableLayout.ts';
import type { DraggedSize } from '../table/draggedSizes.ts';
import { dimensionLine } from '../table/dimensionLines.ts';

/** Where the standing piece is drawn (px): the one scale, the middle of the piece and the level of the table. */
export interface ShapePlaces {
  readonly scale: number;
  readonly middle: number;
  readonly ground: number;
  readonly fired: Elevation;
  readonly wet: Elevation;
  /** Edges of what is drawn, wet, and of the fired piece alone. */
  readonly wetLeft: number;
  readonly wetRight: number;
  readonly wetTop: number;
  /** The right end of all that is drawn, a rack board among it. */
  readonly farRight: number;
  readonly left: number;
  readonly right: number;
  readonly foot: number;
  readonly top: number;
}

/** Room for dimensions round the piece (px). */
const AIR = { left: 104, right: 132, top: 84, bottom: 78 } as const;
const NARROW_AIR = { left: 44, right: 130, top: 76, bottom: 66 } as const;

/** A small piece gets no clearer when it is drawn larger than this (px per mm). */
const GREATEST_SCALE = 6;
const LEAST_SCALE = 0.02;

/** How far a rack board is drawn on each side of its hole (fired mm). */
export const RACK_REACH = 24;

/** The one scale (px per mm), and where the middle of the piece and the table are (px). */
type Frame = Pick<ShapePlaces, 'scale' | 'middle' | 'ground'>;

/** How far to both sides, and how high, the piece reaches with what it must fit (mm). */
function extentOf(target: Target): { readonly left: number; readonly right: number; readonly tallest: number } {
  const wet = elevation(target, 'wet');
  const board = target.fit?.hole === undefined ? 0 : target.fit.hole / 2 + RACK_REACH;
  return {
    left: Math.min(wet.left, -board),
    right: Math.max(wet.right, board),
    tallest: Math.max(wet.height, target.fit?.shelf ?? 0),
  };
}

function frameIn(target: Target, room: Box): Frame {
  const { left, right, tallest } = extentOf(target);
  const air = room.width < NARROW_TABLE ? NARROW_AIR : AIR;
  const [width, height] = [room.width - air.left - air.right, room.height - air.top - air.bottom];
  const scale = Math.max(LEAST_SCALE, Math.min(GREATEST_SCALE, width / (right - left), height / tallest));
  return {
    scale,
    middle: air.left + (width - (right - left) * scale) / 2 - left * scale,
    ground: room.height - air.bottom - (height - tallest * scale) / 2,
  };
}

/**
 * Stands the piece in a room (px) as large as it can be, with the rack board or the shelf above it that it must fit; in a
 * frame that is given, it stands where it did while its sizes change.
 */
export function shapePlaces(target: Target, room: Box, frame: Frame = frameIn(target, room)): ShapePlaces {
  const { scale, middle, ground } = frame;
  const [fired, wet] = [elevation(target, 'fired'), elevation(target, 'wet')];
  return {
    scale,
    middle,
    ground,
    fired,
    wet,
    wetLeft: middle + wet.left * scale,
    wetRight: middle + wet.right * scale,
    wetTop: ground - wet.height * scale,
    farRight: middle + extentOf(target).right * scale,
    left: middle + fired.body.left * scale,
    right: middle + fired.body.right * scale,
    foot: ground - fired.body.foot * scale,
    top: ground - fired.body.top * scale,
  };
}

/** Reach to the right of the middle at a height, of an outline that runs up its right side first (mm). */
export function reachAt(outline: Outline, z: number): number {
  const side = outline.slice(0, outline.length / 2);
  for (let index = 1; index < side.length; index += 1) {
    const [x0 = 0, z0 = 0] = side[index - 1] ?? [];
    const [x1 = 0, z1 = 0] = side[index] ?? [];
    if (z <= z1 + LENGTH_TOLERANCE && z1 > z0) return x0 + (Math.max(0, z - z0) / (z1 - z0)) * (x1 - x0);
  }
  return side.at(-1)?.[0] ?? 0;
}

/** Where the grip of a dragged size stands on the screen (px). */
export function gripAt(
  { at }: DraggedSize,
  { middle, ground, foot, top, scale, fired }: ShapePlaces,
): readonly [number, number] {
  if ('point' in at) return [middle + at.point[0] * scale, ground - at.point[1] * scale];
  const y = foot - at.height * (foot - top);
  return [middle + (at.reach === 'right' ? reachAt(fired.outer, (ground - y) / scale) * scale : 0), y];
}

/** A figure on the drawing: which size it is, where it stands, and its dimension line. */
export interface ShapeTag {
  readonly handle: DraggedSize;
  readonly at: readonly [number, number];
  readonly line: string;
}

/** From the drawing to a dimension line, and on to its figure (px). */
const OFF = { line: 26, figure: 26 } as const;

/** Greatest height of a drawing that counts as small (px). */
const SMALL = 130;

/** Sizes this close to the foot or rim are written there (share of the height). */
const END = 1e-3;

/** The figures of the dragged sizes: rim above the piece, foot below it, widths between them across it, heights beside it. */
export function shapeTags(handles: readonly DraggedSize[], places: ShapePlaces): ShapeTag[] {
  const { middle, ground, foot, top, wetLeft, farRight, wetTop, scale, fired } = places;
  const levelled = handles.flatMap((handle) => ('height' in handle.at ? [{ handle, share: handle.at.height }] : []));
  const across = levelled.filter(({ handle }) => handle.axis === 'across');
  const up = levelled.filter(({ handle }) => handle.axis === 'up');
  const yOf = (share: number) => foot - share * (foot - top);
  const only = across.length === 1;
  const widths = across.map(({ handle, share }): ShapeTag => {
    const half = reachAt(fired.outer, (ground - yOf(share)) / scale) * scale;
    const span = (y: number) => dimensionLine([middle - half, y], [middle + half, y]);
    if (only || share > 1 - END) {
      const y = wetTop - OFF.line;
      return { handle, at: [middle, y - OFF.figure], line: span(y) };
    }
    if (share < END) {
      const y = ground + OFF.line;
      return { handle, at: [middle, y + OFF.figure], line: span(y) };
    }
    return { handle, at: [middle - half / 2, yOf(share)], line: span(yOf(share)) };
  });
  const heights = up.map(({ handle, share }): ShapeTag => {
    const whole = share > 1 - END;
    const x = whole ? farRight + OFF.line : wetLeft - OFF.line;
    const y = whole ? (foot + top) / 2 : yOf(share);
    return {
      handle,
      at: [x + (whole ? 1 : -1) * (OFF.figure + 18), y],
      line: dimensionLine([x, foot], [x, yOf(share)]),
    };
  });
  // On a small drawing only its ends have room for figures; the others are in the fields.
  const isEnd = ({ handle: { at } }: ShapeTag) => !('height' in at) || at.height < END || at.height > 1 - END;
  const all = [...widths, ...heights];
  return only || foot - top > SMALL ? all : all.filter(isEnd);
}

/** Grips closer together than this are joined into one that opens (px). */
export const GRIP = 44;

/** Groups of grips that are too close for a finger, as lists of their indices. */
export function gripGroups(places: readonly (readonly [number, number])[]): number[][] {
  const groups: number[][] = [];
  places.forEach(([x, y], index) => {
    const near = groups.filter((group) =>
      group.some((other) => {
        const [ox, oy] = places[other] ?? [NaN, NaN];
        return Math.hypot(x - ox, y - oy) < GRIP;
      }),
    );
    for (const group of near) groups.splice(groups.indexOf(group), 1);
    groups.push([...near.flat(), index]);
  });
  return groups.map((group) => group.sort((one, other) => one - other));
}
