import { TAU } from '../../numbers.ts';
import type { BentSheet } from './bentSheet.ts';

/** Clay closer to the table than this touches it (wet mm): it settles by as much while it is soft. */
const TOUCHES = 0.05;

/** A sheet rocks when its centre of mass is less than this inside its contact area (mm, and share of its larger side). A rule of the bench. */
const STEADY = { mm: 3, share: 0.05 } as const;

const DIRECTIONS = 72;

/** Where a sheet without feet touches the table: the size of that place in plan, and whether it stands on it (wet mm). */
export interface Touching {
  readonly size: readonly [number, number];
  /** How far the middle of the mass lies within that place; below 0 it tips over. */
  readonly room: number;
  readonly steady: boolean;
}

/** Where the outer face of a bent sheet touches the table. */
export function touching({ outer, middle, width, length }: BentSheet): Touching {
  const low = outer.filter(([, , z]) => z < TOUCHES);
  const reach = (axis: 0 | 1) => {
    const values = low.map((point) => point[axis]);
    return values.length > 0 ? Math.max(...values) - Math.min(...values) : 0;
  };
  let room = Infinity;
  for (let step = 0; step < DIRECTIONS; step += 1) {
    const [cos, sin] = [Math.cos((step * TAU) / DIRECTIONS), Math.sin((step * TAU) / DIRECTIONS)];
    const most = low.reduce((far, [x, y]) => Math.max(far, (x - middle[0]) * cos + (y - middle[1]) * sin), -Infinity);
    room = Math.min(room, most);
  }
  const steady = room > Math.max(STEADY.mm, STEADY.share * Math.max(width, length));
  return { size: [reach(0), reach(1)], room, steady };
}
