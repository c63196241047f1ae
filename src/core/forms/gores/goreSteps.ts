import type { Explained } from '../kind/kind.ts';
import type { FigureId, Step } from '../kind/step.ts';
import { tracedEdge, tracedStep } from '../kind/tracedSteps.ts';
import { goresOf } from './goreWall.ts';

/** How a figure of a strip came about. */
export function explainGores(figure: FigureId, { target, developed: { numbers, parts } }: Explained): Step[] {
  const { strips } = goresOf(target);
  const { slant = 0, girthFoot = 0, girthRim = 0, panelFoot = 0, panelRim = 0, panelWidest = 0 } = numbers;
  const share = (girth: number, width: number): Step => ({
    rule: 'girth of the neutral surface there ÷ number of strips',
    worked: [{ mmPlain: girth }, ` ÷ ${strips}`],
    gives: [{ mm: width }],
  });
  const strip = parts.find(({ id }) => id === 'gore');
  const traced = (from: number, edge: 'foot' | 'rim') =>
    strip ? tracedStep(from, tracedEdge(strip, edge).length, strip.faceUp) : [];
  switch (figure) {
    case 'panelFoot':
      return [share(girthFoot, panelFoot), ...traced(panelFoot, 'foot')];
    case 'panelRim':
      return [share(girthRim, panelRim), ...traced(panelRim, 'rim')];
    case 'panelWidest':
      return [share(strips * panelWidest, panelWidest)];
    case 'slant':
      return [
        {
          rule: 'length of the side on the neutral surface, (1 − k) × wall inside the outer face, from the foot of the wall to the rim',
          worked: [`k = ${target.slab.neutralFraction}, wall `, { mm: target.slab.wall }],
          gives: [{ mm: slant }],
        },
      ];
    default:
      return [];
  }
}
