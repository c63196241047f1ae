/** A box in mm. */
export interface Box {
  readonly width: number;
  readonly height: number;
}

/** What lies or stands on the table: flat parts, and the standing piece last. */
export interface TableThing {
  readonly id: string;
  readonly kind: 'wall' | 'base' | 'pad' | 'piece';
  readonly box: Box;
  /** How many lean tags hang below it. */
  readonly tags: number;
}

/** Lower left corners on the screen (px) by id, and the one scale of all drawings (px per mm). */
export interface TableLayout {
  readonly scale: number;
  /** Height that the rows take (px). */
  readonly height: number;
  readonly at: Readonly<Record<string, readonly [number, number]>>;
}

/** Room round each drawing for its dimension lines and words (px). */
export const AIR = {
  wall: { left: 24, right: 104, top: 64, bottom: 34 },
  base: { left: 24, right: 24, top: 14, bottom: 58 },
  pad: { left: 24, right: 110, top: 14, bottom: 58 },
  piece: { left: 28, right: 104, top: 14, bottom: 58 },
} as const;

/** On a table narrower than this all lean tags hang below their parts (px). */
export const NARROW_TABLE = 520;

/** Room of one hanging tag (px); two hang side by side. */
export const TAG = { width: 176, height: 46 } as const;

/** Scales between which the drawings fit: larger a small piece gets no clearer, smaller nothing can be read (px per mm). */
const GREATEST_SCALE = 4;
const LEAST_SCALE = 0.05;

interface Row {
  readonly things: readonly TableThing[];
  readonly width: number;
  readonly height: number;
  readonly bottom: number;
}

function bottomOf({ kind, tags }: TableThing): number {
  return AIR[kind].bottom + Math.ceil(tags / 2) * TAG.height;
}

function widthOf({ kind, box, tags }: TableThing, scale: number): number {
  return Math.max(AIR[kind].left + AIR[kind].right + box.width * scale, Math.min(2, tags) * TAG.width);
}

function rowOf(things: readonly TableThing[], scale: number): Row {
  const bottom = Math.max(...things.map(bottomOf));
  const above = Math.max(...things.map(({ kind, box }) => AIR[kind].top + box.height * scale));
  const width = things.reduce((sum, thing) => sum + widthOf(thing, scale), 0);
  return { things, width, height: above + bottom, bottom };
}

/** Things one after another into rows, at a scale. */
function rowsAt(things: readonly TableThing[], room: Box, scale: number): Row[] {
  const rows: TableThing[][] = [];
  let taken = Infinity;
  for (const thing of things) {
    const width = widthOf(thing, scale);
    if (taken + width > room.width) {
      rows.push([]);
      taken = 0;
    }
    taken += width;
    rows.at(-1)?.push(thing);
  }
  return rows.map((row) => rowOf(row, scale));
}

function fits(things: readonly TableThing[], room: Box, scale: number): boolean {
  const rows = rowsAt(things, room, scale);
  const height = rows.reduce((sum, row) => sum + row.height, 0);
  return height <= room.height && rows.every((row) => row.width <= room.width);
}

/** No drawing alone may be larger than the room: the steps of scale above this need not be tried (px per mm). */
function boundScale(things: readonly TableThing[], room: Box): number {
  return Math.min(
    ...things.map(({ kind, box }) => (room.width - AIR[kind].left - AIR[kind].right) / box.width),
    ...things.map((thing) => (room.height - AIR[thing.kind].top - bottomOf(thing)) / thing.box.height),
  );
}

/** The greatest scale at which everything fits. Fitting is not monotone in the scale, so it is searched downward. */
function bestScale(things: readonly TableThing[], room: Box): number {
  const bound = boundScale(things, room);
  for (let scale = GREATEST_SCALE; scale > LEAST_SCALE; scale *= 0.985) {
    if (scale <= bound && fits(things, room, scale)) return scale;
  }
  return LEAST_SCALE;
}

/**
 * Lays flat parts and the standing piece on a table of the room (px), in rows, at the one scale that shows them largest.
 * What stands in one row stands on one line. A room of infinite height is a table that grows: the width sets the scale.
 */
export function tableLayout(things: readonly TableThing[], room: Box): TableLayout {
  const scale = bestScale(things, room);
  const rows = rowsAt(things, room, scale);
  const height = rows.reduce((sum, row) => sum + row.height, 0);
  const spare = Number.isFinite(room.height) ? Math.max(0, room.height - height) / (rows.length + 1) : 0;
  const at: Record<string, readonly [number, number]> = {};
  let y = spare;
  for (const row of rows) {
    let x = Math.max(0, room.width - row.width) / 2;
    for (const thing of row.things) {
      const spareX = widthOf(thing, scale) - AIR[thing.kind].left - AIR[thing.kind].right - thing.box.width * scale;
      at[thing.id] = [x + AIR[thing.kind].left + spareX / 2, y + row.height - row.bottom];
      x += widthOf(thing, scale);
    }
    y += row.height + spare;
  }
  return { scale, height, at };
}
