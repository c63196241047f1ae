import { isWall, type Part } from '../part/part.ts';
import type { Seam } from '../seam/seam.ts';
import { wallLines } from './wallLines.ts';

/** How often a stamp or texture of a width fits along one edge of the wall as it lies. Lengths wet mm. */
export interface Repeat {
  readonly part: string;
  readonly edge: 'foot' | 'rim';
  readonly length: number;
  readonly count: number;
  /** How much each must give: stretched (+) or squeezed (-). */
  readonly give: number;
}

/** The whole repeats of a width (mm) nearest to each edge of the wall; foot and rim of a taper have numbers of their own. */
export function repeatsOf(parts: readonly Part[], seam: Seam, width: number): Repeat[] {
  return parts.flatMap((part) => {
    const lines = !isWall(part) ? null : wallLines(part, seam);
    if (!lines) return [];
    return (['rim', 'foot'] as const).map((edge): Repeat => {
      const count = Math.max(1, Math.round(lines[edge] / width));
      return { part: part.id, edge, length: lines[edge], count, give: lines[edge] / count - width };
    });
  });
}
