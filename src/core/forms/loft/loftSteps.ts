import type { Explained } from '../kind/kind.ts';
import type { FigureId, Step } from '../kind/step.ts';

/** How the girths of a lofted wall came about. */
export function explainLoft(figure: FigureId, { target, developed }: Explained): Step[] {
  const { girthFoot, girthRim } = developed.numbers;
  const girth = figure === 'girthFoot' ? girthFoot : figure === 'girthRim' ? girthRim : undefined;
  if (girth === undefined) return [];
  return [
    {
      rule: 'girth of the neutral surface: the outline, each tangent moved in by (1 − k) × wall × its slope, measured round',
      worked: [`k = ${target.slab.neutralFraction}, wall `, { mm: target.slab.wall }],
      gives: [{ mm: girth }],
    },
  ];
}
