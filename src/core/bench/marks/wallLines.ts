import { Stretch } from '../../geometry/outline/stretch.ts';
import type { Part } from '../../parts/part/part.ts';

/** Foot and rim of a wall's flat part as they lie, from the left, without what the seam adds. Lengths mm. */
export interface WallLines {
  readonly foot: number;
  readonly rim: number;
  /** The point at a fraction of an edge, anticlockwise round the standing piece as seen from above. */
  readonly at: (edge: 'foot' | 'rim', fraction: number) => readonly [number, number];
}

/** The edges of a wall's part between its two ends, or null for a part that has no single foot and rim. */
export function wallLines(part: Part): WallLines | null {
  const find = (edge: 'foot' | 'rim'): Stretch | null => {
    const found = part.leans.filter((lean) => lean.edge === edge);
    const [only] = found;
    return only && found.length === 1 ? new Stretch(part.outline, only.from, only.to) : null;
  };
  const [foot, rim] = [find('foot'), find('rim')];
  if (!foot || !rim) return null;
  const none = { left: 0, right: 0 };
  const added = part.added ?? { foot: none, rim: none };
  const bareOf = (edge: 'foot' | 'rim', length: number) => length - added[edge].left - added[edge].right;
  const bare = { foot: bareOf('foot', foot.length), rim: bareOf('rim', rim.length) };
  const at: WallLines['at'] = (edge, fraction) => {
    // Going round anticlockwise runs to the right with the outside up, and to the left with the inside up.
    const along = added[edge].left + (part.faceUp === 'outside' ? fraction : 1 - fraction) * bare[edge];
    return edge === 'foot' ? foot.pointAt(along) : rim.pointAt(rim.length - along);
  };
  return { ...bare, at };
}
