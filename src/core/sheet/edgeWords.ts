import { radians } from '../numbers.ts';
import { alongEdge, bounds, type Bounds, type Outline } from '../outline/outline.ts';
import type { Lean } from '../part/lean.ts';
import type { Part } from '../part/part.ts';
import type { Primitive } from './drawing.ts';
import { EDGE_WORDS, leanWords } from './words.ts';

const WORD_SIZE = 3.4;

/** Steps along an edge when looking for its stretch within a window. */
const EDGE_STEPS = 200;

function within(point: readonly [number, number], window: Bounds, pad: number): boolean {
  return (
    point[0] >= window.minX + pad && point[0] <= window.maxX - pad && point[1] >= window.minY && point[1] <= window.maxY
  );
}

/** The point at `share` of the stretch of an edge that is seen in the window, or null when none is. */
function pointWithin(
  outline: Outline,
  index: number,
  window: Bounds,
  { pad, share }: { pad: number; share: number },
): readonly [number, number] | null {
  const seen = Array.from({ length: EDGE_STEPS + 1 }, (_, step) => alongEdge(outline, index, step / EDGE_STEPS)).filter(
    (point) => within(point, window, pad),
  );
  return seen[Math.floor(seen.length * share)] ?? null;
}

/** Size of the little section drawing (mm). */
const SECTION = { width: 13, height: 4.5, blade: 2.2 } as const;

/**
 * A slab cut through at a leaning edge, with the blade: the piece lies left of the cut, its top face above. Lower left
 * corner of its box at `at`, mm. Also used on the screen.
 */
export function leanSection(lean: number, at: readonly [number, number]): Primitive[] {
  const { width, height, blade } = SECTION;
  const slope = Math.tan(radians(Math.max(-60, Math.min(60, lean))));
  const middle = 0.6 * width;
  const x = (y: number) => at[0] + middle + slope * (height / 2 - y);
  const outline: Outline = [
    [at[0], at[1], 0],
    [x(0), at[1], 0],
    [x(height), at[1] + height, 0],
    [at[0], at[1] + height, 0],
  ];
  return [
    { kind: 'path', layer: 'lean', outline },
    { kind: 'line', layer: 'lean', from: [x(-blade), at[1] - blade], to: [x(height + blade), at[1] + height + blade] },
  ];
}

/** How far along its edge a word stands: those of the ends stay low, clear of the title in the middle. */
const SHARE: Readonly<Record<Lean['edge'], number>> = {
  rim: 0.5,
  foot: 0.5,
  left: 0.78,
  right: 0.22,
  side: 0.5,
  round: 0.5,
  'dart-left': 0.5,
  'dart-right': 0.5,
};

/** Where the words of an edge stand, from the point `at` on it (mm). */
function placeWords(part: Part, lean: Lean, at: readonly [number, number]): readonly [number, number] {
  const box = bounds(part.outline);
  const under = bounds(part.underside);
  switch (lean.edge) {
    case 'left':
    case 'dart-right':
      return [Math.max(at[0], under.minX) + 3, at[1]];
    case 'right':
    case 'dart-left':
      return [at[0] - 3, at[1]];
    case 'rim':
      return [at[0], at[1] - WORD_SIZE - 1];
    case 'side':
    case 'foot':
      return [at[0], Math.max(at[1], under.minY) + 2.5];
    case 'round':
      return [(box.minX + box.maxX) / 2, box.minY + 0.12 * (box.maxY - box.minY)];
  }
}

/** Words and a section at each edge with its lean, set inside the line where it is seen in the window. */
export function edgeWords(part: Part, window: Bounds): Primitive[] {
  return part.leans.flatMap((lean): Primitive[] => {
    const sideways = lean.edge === 'left' || lean.edge === 'right';
    const index = lean.edge === 'round' ? 1 : lean.from;
    const seen = pointWithin(part.outline, index, window, { pad: sideways ? 0 : 22, share: SHARE[lean.edge] });
    if (!seen) return [];
    const at = placeWords(part, lean, seen);
    const anchor = sideways ? (lean.edge === 'left' ? 'start' : 'end') : 'middle';
    const words: Primitive = {
      kind: 'text',
      layer: 'lean',
      at,
      size: WORD_SIZE,
      text: `${EDGE_WORDS[lean.edge]}: ${leanWords(lean)}`,
      anchor,
    };
    if (lean.word === 'straight down') return [words];
    const left = anchor === 'start' ? at[0] : anchor === 'end' ? at[0] - SECTION.width : at[0] - SECTION.width / 2;
    return [words, ...leanSection(lean.lean, [left, at[1] + WORD_SIZE + SECTION.blade + 1])];
  });
}
