import type { LaidPanel } from '../../parts/part/laidPanel.ts';
import { isWall, type Part } from '../../parts/part/part.ts';
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

/** The whole repeats of a width nearest to a length, and what each gives (mm). */
export function fitting(length: number, width: number): Pick<Repeat, 'count' | 'give'> {
  const count = Math.max(1, Math.round(length / width));
  return { count, give: length / count - width };
}

/**
 * The whole repeats of a width (mm) nearest to each edge of the wall; foot and rim of a taper have numbers of their own,
 * and on flat panels each panel has, over its outer face.
 */
export function repeatsOf(parts: readonly Part[], width: number, panels: readonly LaidPanel[] = []): Repeat[] {
  const along = (part: string, lines: { readonly foot: number; readonly rim: number }) =>
    (['rim', 'foot'] as const).map((edge): Repeat => {
      const length = lines[edge];
      return { part, edge, length, ...fitting(length, width) };
    });
  return parts.filter(isWall).flatMap((part) => {
    const lines = panels.find((panel) => panel.part === part.id) ?? wallLines(part);
    return lines ? along(part.id, lines) : [];
  });
}
