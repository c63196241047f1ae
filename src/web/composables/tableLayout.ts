/** A box in mm. */
export interface Box {
  readonly width: number;
  readonly height: number;
}

/** What is drawn on the table: flat parts, and the standing piece last. */
export interface TableThing {
  readonly id: string;
  readonly kind: 'wall' | 'base' | 'plate' | 'pad' | 'piece';
  readonly box: Box;
  /** Number of lean tags below it, and how many of them stand side by side. */
  readonly tags: number;
  readonly tagsAcross?: number;
}

/** Lower left corners on the screen (px) by id, and the one scale of all drawings (px per mm). */
export interface TableLayout {
  readonly scale: number;
  /** Height of all rows (px). */
  readonly height: number;
  readonly at: Readonly<Record<string, readonly [number, number]>>;
}

/** Margins of each drawing for dimension lines and labels (px). */
export const AIR = {
  wall: { left: 24, right: 104, top: 64, bottom: 34 },
  base: { left: 24, right: 24, top: 14, bottom: 58 },
  plate: { left: 24, right: 110, top: 14, bottom: 58 },
  pad: { left: 24, right: 110, top: 14, bottom: 58 },
  piece: { left: 28, right: 28, top: 22, bottom: 44 },
} as const;

/** On a table narrower than this all lean tags are below their parts (px). */
export const NARROW_TABLE = 520;

/** Size of one tag (px). Two stand side by side where the table is wide enough. */
export const TAG = { width: 176, height: 46 } as const;

/** Limits of the scale (px per mm): above, a small piece gets no clearer; below, nothing can be read. */
const GREATEST_SCALE = 4;
const LEAST_SCALE = 0.05;

/** A row of things: its width, and its greatest height above and depth below the common line (px). */
interface Row {
  readonly things: TableThing[];
  width: number;
  above: number;
  bottom: number;
}

function bottomOf({ kind, tags, tagsAcross = 2 }: TableThing): number {
  return AIR[kind].bottom + Math.ceil(tags / tagsAcross) * TAG.height;
}

function widthOf({ kind, box, tags, tagsAcross = 2 }: TableThing, scale: number): number {
  return Math.max(AIR[kind].left + AIR[kind].right + box.width * scale, Math.min(tagsAcross, tags) * TAG.width);
}

/** Fills rows with the things in order, at one scale. */
function rowsAt(things: readonly TableThing[], room: Box, scale: number): Row[] {
  const rows: Row[] = [];
  for (const thing of things) {
    const width = widthOf(thing, scale);
    const row = rows.at(-1);
    const above = AIR[thing.kind].top + thing.box.height * scale;
    const bottom = bottomOf(thing);
    if (!row || row.width + width > room.width) {
      rows.push({ things: [thing], width, above, bottom });
    } else {
      row.things.push(thing);
      row.width += width;
      row.above = Math.max(row.above, above);
      row.bottom = Math.max(row.bottom, bottom);
    }
  }
  return rows;
}

/** Total height of the rows (px). */
function heightOf(rows: readonly Row[]): number {
  let height = 0;
  for (const { above, bottom } of rows) height += above + bottom;
  return height;
}

/** Whether the things fit into a room at a scale. Many scales are tried, so it builds no rows. */
function fits(things: readonly TableThing[], room: Box, scale: number): boolean {
  let [height, taken, above, bottom] = [0, 0, 0, 0];
  for (const thing of things) {
    const width = widthOf(thing, scale);
    if (width > room.width) return false;
    if (taken + width > room.width) {
      height += above + bottom;
      taken = above = bottom = 0;
    }
    taken += width;
    above = Math.max(above, AIR[thing.kind].top + thing.box.height * scale);
    bottom = Math.max(bottom, bottomOf(thing));
  }
  return height + above + bottom <= room.height;
}

/** The greatest scale at which every single drawing fits (px per mm): larger ones need no trial. */
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
 * Places flat parts and the standing piece in rows on a table of the given size (px), at the greatest scale that fits.
 * The things of a row share a base line. With infinite height the width alone sets the scale.
 */
export function tableLayout(things: readonly TableThing[], room: Box): TableLayout {
  const scale = bestScale(things, room);
  const rows = rowsAt(things, room, scale);
  const height = heightOf(rows);
  const spare = Number.isFinite(room.height) ? Math.max(0, room.height - height) / (rows.length + 1) : 0;
  const at: Record<string, readonly [number, number]> = {};
  let y = spare;
  for (const row of rows) {
    let x = Math.max(0, room.width - row.width) / 2;
    for (const thing of row.things) {
      const spareX = widthOf(thing, scale) - AIR[thing.kind].left - AIR[thing.kind].right - thing.box.width * scale;
      at[thing.id] = [x + AIR[thing.kind].left + spareX / 2, y + row.above];
      x += widthOf(thing, scale);
    }
    y += row.above + row.bottom + spare;
  }
  return { scale, height, at };
}
