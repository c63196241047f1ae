import { bounds } from '../../geometry/outline/outline.ts';
import { rectangle } from '../../geometry/outline/shapes.ts';
import { PAPER_ID, type Part } from '../../parts/part/part.ts';
import type { Target } from '../../target/target.ts';

/** How far a sleeve stands above the wall, to be pulled out by (mm). */
export const SLEEVE_STANDS_OVER = 25;

/** Overlap of a sleeve's ends (mm). */
export const SLEEVE_TAPE = 15;

/**
 * The paper that is wrapped round a former under the clay, of one layer: it closes round the former at its own middle,
 * `pi (D + sleeve)`, and a line shows how far its end is taped over its beginning. Null without a former or a sleeve.
 */
export function onFormer({ form, slab }: Target, parts: readonly Part[]): Part | null {
  const wall = parts.find(({ id }) => id === 'wall');
  if (form.kind !== 'former' || !(form.sleeve > 0) || !wall) return null;
  const { minY, maxY } = bounds(wall.outline);
  const round = Math.PI * (form.diameter + form.sleeve);
  const [length, height] = [round + SLEEVE_TAPE, maxY - minY + SLEEVE_STANDS_OVER];
  const outline = rectangle(length, height);
  return {
    id: PAPER_ID,
    role: 'paper',
    name: 'Sleeve paper',
    count: 1,
    thickness: form.sleeve,
    faceUp: slab.faceUp,
    outline,
    underside: outline,
    leans: [],
    marks: [
      { kind: 'line', name: 'overlap', from: [round, 0], to: [round, height] },
      { kind: 'words', at: [round + SLEEVE_TAPE / 2, height / 2], text: 'tape' },
    ],
    volume: length * height * form.sleeve,
  };
}
