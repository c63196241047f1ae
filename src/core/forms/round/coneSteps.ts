import { degrees, radians } from '../../numbers.ts';
import type { Part } from '../../parts/part/part.ts';
import type { BandFigures, Explained } from '../kind/kind.ts';
import type { FigureId, Step } from '../kind/step.ts';
import { tracedEdge, tracedStep } from '../kind/tracedSteps.ts';

/** The band that a figure belongs to: of a taper the only one. */
function bandOf({ developed: { numbers }, band }: Explained): BandFigures | undefined {
  if (numbers.bands) return numbers.bands[band];
  const { halfAngle, slant, arcFoot = null, arcRim = null, sweep, girthFoot, girthRim } = numbers;
  if (halfAngle === undefined || slant === undefined || sweep === undefined) return undefined;
  if (girthFoot === undefined || girthRim === undefined) return undefined;
  return { halfAngle, slant, arcFoot, arcRim, sweep, girthFoot, girthRim };
}

function angleStep(band: BandFigures): Step {
  const grows = (band.girthRim - band.girthFoot) / (2 * Math.PI);
  return {
    rule: 'the wall slants by a = asin(growth of the neutral radius ÷ slant)',
    worked: ['asin(', { mmPlain: grows }, ' ÷ ', { mmPlain: band.slant }, ')'],
    gives: [{ degrees: degrees(Math.asin(grows / band.slant)) }],
  };
}

function girthStep(girth: number): Step {
  return {
    rule: 'neutral radius = girth of the neutral surface ÷ 2π',
    worked: [{ mmPlain: girth }, ' ÷ 2π'],
    gives: [{ mm: girth / (2 * Math.PI) }],
  };
}

function arcSteps(band: BandFigures, girth: number, arc: number | null): Step[] {
  if (arc === null) return [];
  return [
    angleStep(band),
    girthStep(girth),
    {
      rule: 'radius on the flat = neutral radius ÷ sin a',
      worked: [{ mmPlain: girth / (2 * Math.PI) }, ' ÷ sin ', { degrees: Math.abs(band.halfAngle) }],
      gives: [{ mm: arc }],
    },
  ];
}

function coneSteps(figure: FigureId, band: BandFigures, wall: Part): Step[] {
  const a = Math.abs(band.halfAngle);
  const traced = (from: number | null, edge: 'foot' | 'rim') =>
    from === null ? [] : tracedStep(from, tracedEdge(wall, edge).radius, wall.faceUp);
  switch (figure) {
    case 'arcFoot':
      return [...arcSteps(band, band.girthFoot, band.arcFoot), ...traced(band.arcFoot, 'foot')];
    case 'arcRim':
      return [...arcSteps(band, band.girthRim, band.arcRim), ...traced(band.arcRim, 'rim')];
    case 'sweep':
      return [
        angleStep(band),
        { rule: 'sweep = 360° × sin a', worked: ['360° × sin ', { degrees: a }], gives: [{ degrees: band.sweep }] },
      ];
    case 'slant':
      return [
        {
          rule: 'slant = height of the wall ÷ cos a',
          worked: [{ mmPlain: band.slant * Math.cos(radians(a)) }, ' ÷ cos ', { degrees: a }],
          gives: [{ mm: band.slant }],
        },
        ...tracedStep(band.slant, tracedEdge(wall, 'left').length, wall.faceUp),
      ];
    default:
      return [];
  }
}

/** How a figure of a taper or of one band of a stack came about. */
export function explainCone(figure: FigureId, explained: Explained): Step[] {
  const { numbers, parts } = explained.developed;
  const cone = bandOf(explained);
  const wall = parts.filter(({ role }) => role === 'wall')[numbers.bands ? explained.band : 0];
  return cone && wall ? coneSteps(figure, cone, wall) : [];
}
