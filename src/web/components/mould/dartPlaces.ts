import type { Blank } from '../../../core/forms/kind/blank.ts';
import type { Dart } from '../../../core/target/mouldForm.ts';
import type { Projected } from './mapViews.ts';

/** A dart's tip on the flat blank (px), with the dart that it belongs to. */
export interface DartTip {
  readonly index: number;
  readonly at: readonly [number, number];
}

/** Where the tips of the darts that are cut lie on the screen. */
export function dartTips(blank: Blank, seen: Projected, darts: readonly Dart[]): DartTip[] {
  const cut = darts.map((_, index) => index).filter((index) => !blank.missed.includes(index));
  return blank.cuts.flatMap(({ left }, place): DartTip[] => {
    const tip = left.at(-1);
    const index = cut[place];
    return tip === undefined || index === undefined
      ? []
      : [{ index, at: [seen.x[tip] as number, seen.y[tip] as number] }];
  });
}

/** The dart whose tip is drawn at a place of the flat blank (px): from the rim that lies nearest to it, square to it. */
export function dartTo(blank: Blank, seen: Projected, { px, py }: { readonly px: number; readonly py: number }): Dart {
  let [best, found] = [Infinity, blank.border[0] ?? 0];
  const sides = new Set(blank.cuts.flatMap(({ left, right }) => [...left.slice(1), ...right.slice(1)]));
  for (const vertex of blank.border) {
    if (sides.has(vertex)) continue;
    const far = Math.hypot((seen.x[vertex] as number) - px, (seen.y[vertex] as number) - py);
    if (far < best) [best, found] = [far, vertex];
  }
  const { positions } = blank.mesh;
  const rim = blank.border.filter((vertex) => !sides.has(vertex));
  const middle = [0, 1].map(
    (axis) => rim.reduce((sum, vertex) => sum + (positions[3 * vertex + axis] as number), 0) / rim.length,
  );
  const angle = Math.atan2(
    (positions[3 * found + 1] as number) - (middle[1] ?? 0),
    (positions[3 * found] as number) - (middle[0] ?? 0),
  );
  return {
    at: ((Math.round((angle * 1800) / Math.PI) + 3600) % 3600) / 10,
    depth: Math.max(5, Math.round(best / seen.scale)),
  };
}
