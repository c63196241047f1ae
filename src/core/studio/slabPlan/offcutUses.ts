import { bounds, type Outline } from '../../geometry/outline/outline.ts';
import { isPlate, type Part } from '../../parts/part/part.ts';
import { TEST_BAR, type Offcut } from './offcuts.ts';
import { ROUNDING } from '../../numbers.ts';

/** The use of an off-cut: what is cut from it, and how many. */
export interface OffcutUse {
  readonly name: string;
  readonly count: number;
}

/** A base or a strap that a spare one may be cut of: its outline as it is nested (mm). */
export interface SmallPart {
  readonly name: string;
  readonly part: Part;
  readonly outline: Outline;
}

/** How many boxes lie in an off-cut in straight rows, either way round, with a gap between. */
function rowsOf(
  cut: Offcut,
  { long, wide, gap }: { readonly long: number; readonly wide: number; readonly gap: number },
): number {
  const along = (room: number, size: number) => Math.max(0, Math.floor((room + gap + ROUNDING) / (size + gap)));
  return Math.max(along(cut.length, long) * along(cut.width, wide), along(cut.length, wide) * along(cut.width, long));
}

/** The letters that off-cuts go by on a slab. */
export function offcutName(index: number): string {
  return String.fromCharCode(65 + index);
}

/**
 * What each off-cut is given to, in their order: the first that is large enough for a spare base to bases, the next that is
 * for a strap to handles, and whatever is long enough for a bar to test bars.
 */
export function offcutUses(offcuts: readonly Offcut[], parts: readonly SmallPart[], gap: number): (OffcutUse | null)[] {
  const given = new Set<string>();
  const wanted = parts.filter(({ part }) => isPlate(part) || part.role === 'handle');
  return offcuts.map((cut) => {
    for (const { name, outline } of wanted) {
      if (given.has(name)) continue;
      const { minX, maxX, minY, maxY } = bounds(outline);
      const count = rowsOf(cut, { long: maxY - minY, wide: maxX - minX, gap });
      if (count === 0) continue;
      given.add(name);
      return { name, count };
    }
    const bars = rowsOf(cut, { long: TEST_BAR.length, wide: TEST_BAR.width, gap: 0 });
    return bars > 0 ? { name: bars > 1 ? 'test bars' : 'test bar', count: bars } : null;
  });
}
