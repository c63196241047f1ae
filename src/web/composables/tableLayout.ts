/** A box in mm. */
export interface Box {
  readonly width: number;
  readonly height: number;
}

/** What lies on the table. The base is null when the piece has none. */
export interface TableThings {
  /** The wall with the slab that its slanted ends take. */
  readonly wall: Box;
  readonly base: Box | null;
  /** The standing piece, wet. */
  readonly piece: Box;
}

/** Lower left corners on the screen (px) and the one scale of all drawings (px per mm). */
export interface TableLayout {
  readonly scale: number;
  readonly wall: readonly [number, number];
  readonly base: readonly [number, number] | null;
  readonly piece: readonly [number, number];
}

/** Room round each drawing for its dimension lines and words (px). */
const AIR = {
  wall: { left: 24, right: 104, top: 64, bottom: 34 },
  base: { left: 24, right: 24, top: 14, bottom: 58 },
  piece: { left: 28, right: 104, top: 14, bottom: 58 },
} as const;

/** On a table narrower than this the tags of the wall's ends hang below it (px), and need this much more room. */
export const NARROW_TABLE = 520;
const TAG_ROOM = 48;

/** Larger than this the drawing of a small piece gets no clearer (px per mm). */
const GREATEST_SCALE = 4;

interface Cell {
  readonly name: 'wall' | 'base' | 'piece';
  readonly box: Box;
}

type Arrangement = readonly (readonly Cell[])[];

const airX = ({ name }: Cell) => AIR[name].left + AIR[name].right;
const bottomOf = ({ name }: Cell, room: Box) =>
  AIR[name].bottom + (name === 'wall' && room.width < NARROW_TABLE ? TAG_ROOM : 0);
const airY = (cell: Cell, room: Box) => AIR[cell.name].top + bottomOf(cell, room);
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/** The greatest scale at which rows of cells fit the room. */
function scaleOf(rows: Arrangement, room: Box): number {
  const across = rows.map((row) => (room.width - sum(row.map(airX))) / sum(row.map(({ box }) => box.width)));
  const rowAir = rows.map((row) => Math.max(...row.map((cell) => airY(cell, room))));
  const rowHeight = rows.map((row) => Math.max(...row.map(({ box }) => box.height)));
  return Math.min(GREATEST_SCALE, ...across, (room.height - sum(rowAir)) / sum(rowHeight));
}

function place(rows: Arrangement, room: Box, scale: number): TableLayout {
  const at: { wall: [number, number]; base: [number, number] | null; piece: [number, number] } = {
    wall: [0, 0],
    base: null,
    piece: [0, 0],
  };
  const heights = rows.map((row) => Math.max(...row.map((cell) => airY(cell, room) + cell.box.height * scale)));
  const spare = Math.max(0, room.height - sum(heights)) / (rows.length + 1);
  let y = spare;
  rows.forEach((row, index) => {
    const bottom = y + (heights[index] ?? 0) - Math.max(...row.map((cell) => bottomOf(cell, room)));
    const taken = sum(row.map((cell) => airX(cell) + cell.box.width * scale));
    let x = Math.max(0, room.width - taken) / 2;
    for (const cell of row) {
      at[cell.name] = [x + AIR[cell.name].left, bottom];
      x += airX(cell) + cell.box.width * scale;
    }
    y += (heights[index] ?? 0) + spare;
  });
  return { scale, ...at };
}

/**
 * Lays wall, base and standing piece on a table of the room (px), at the one scale that shows them largest: all in a
 * row, the wall above the others, or all under one another.
 */
export function tableLayout(things: TableThings, room: Box): TableLayout {
  const wall: Cell = { name: 'wall', box: things.wall };
  const base: readonly Cell[] = things.base ? [{ name: 'base', box: things.base }] : [];
  const piece: Cell = { name: 'piece', box: things.piece };
  const arrangements: Arrangement[] = [
    [[wall], [piece, ...base]],
    [[piece, wall, ...base]],
    [[wall], ...base.map((cell) => [cell]), [piece]],
  ];
  const best = arrangements.reduce((one, other) => (scaleOf(other, room) > scaleOf(one, room) ? other : one));
  return place(best, room, Math.max(0.05, scaleOf(best, room)));
}
