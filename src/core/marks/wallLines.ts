import type { Outline } from '../outline/outline.ts';
import { pointOnStretch, stretchLength, type Part } from '../part/part.ts';
import { seamAllowance, type Seam } from '../seam/seam.ts';

/** Foot and rim of a wall's flat part as they lie, from the left, without what the seam adds. Lengths mm. */
export interface WallLines {
  readonly foot: number;
  readonly rim: number;
  /** The point at a fraction of an edge, anticlockwise round the standing piece as seen from above. */
  readonly at: (edge: 'foot' | 'rim', fraction: number) => readonly [number, number];
}

interface Stretch {
  readonly outline: Outline;
  readonly from: number;
  readonly to: number;
}

/**
 * The edges of a wall's part between its two ends, or null for a part that has no single foot and rim.
 * @param lapAt the end at which the seam adds to the part as it lies
 */
export function wallLines(part: Part, seam: Seam, lapAt: 'left' | 'right' = 'right'): WallLines | null {
  const find = (edge: 'foot' | 'rim'): Stretch | null => {
    const found = part.leans.filter((lean) => lean.edge === edge);
    const [only] = found;
    return only && found.length === 1 ? { outline: part.outline, from: only.from, to: only.to } : null;
  };
  const [foot, rim] = [find('foot'), find('rim')];
  if (!foot || !rim) return null;
  const { added } = seamAllowance(seam, part.thickness);
  const lengthOf = ({ outline, from, to }: Stretch) => stretchLength(outline, from, to);
  // Of a wall cut in place, half of what is added stands at either end.
  const before = seam.kind === 'cut-in-place' ? added / 2 : lapAt === 'left' ? added : 0;
  const bare = { foot: lengthOf(foot) - added, rim: lengthOf(rim) - added };
  const at: WallLines['at'] = (edge, fraction) => {
    // Going round anticlockwise runs to the right with the outside up, and to the left with the inside up.
    const along = before + (part.faceUp === 'outside' ? fraction : 1 - fraction) * bare[edge];
    const stretch = edge === 'foot' ? foot : rim;
    const from = edge === 'foot' ? along : lengthOf(rim) - along;
    return pointOnStretch(stretch.outline, stretch.from, stretch.to, from);
  };
  return { ...bare, at };
}
