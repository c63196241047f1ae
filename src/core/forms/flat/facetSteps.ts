import { radians } from '../../numbers.ts';
import type { Explained } from '../kind/kind.ts';
import type { FigureId, Step } from '../kind/step.ts';
import { tracedEdge, tracedStep } from '../kind/tracedSteps.ts';

/** How a figure of a facetted piece came about. */
export function explainFacet(figure: FigureId, { target, developed: { numbers, parts } }: Explained): Step[] {
  const { panelFoot, panelRim, slant, sideMitre, lean = 0 } = numbers;
  if (target.form.kind !== 'facet' || panelFoot === undefined || panelRim === undefined) return [];
  const { sides } = target.form;
  const half = Math.tan(Math.PI / sides);
  const width = (value: number): Step => ({
    rule: 'panel = across flats, wet × tan(180° ÷ sides)',
    worked: [{ mmPlain: value / half }, ` × tan(180° ÷ ${sides})`],
    gives: [{ mm: value }],
  });
  const panel = parts.find(({ id }) => id === 'panel');
  const traced = (from: number, edge: 'foot' | 'rim') =>
    panel ? tracedStep(from, tracedEdge(panel, edge).length, panel.faceUp) : [];
  switch (figure) {
    case 'panelFoot':
      return [width(panelFoot), ...traced(panelFoot, 'foot')];
    case 'panelRim':
      return [width(panelRim), ...traced(panelRim, 'rim')];
    case 'slant':
      return [
        {
          rule: 'slant = height of the wall ÷ cos a',
          worked: [{ mmPlain: (slant ?? 0) * Math.cos(radians(lean)) }, ' ÷ cos ', { degrees: lean }],
          gives: [{ mm: slant ?? 0 }],
        },
      ];
    case 'sideMitre':
      return [
        {
          rule: 'half the angle between two outer faces: acos(cos²a × cos(360° ÷ sides) + sin²a) ÷ 2',
          worked: ['acos(cos² ', { degrees: lean }, ` × cos(360° ÷ ${sides}) + sin² `, { degrees: lean }, ') ÷ 2'],
          gives: [{ degrees: sideMitre ?? 0 }],
        },
      ];
    default:
      return [];
  }
}
