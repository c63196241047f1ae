import { degrees, radians } from '../../numbers.ts';
import type { Development } from '../develop.ts';
import type { BandFigures } from '../kinds/kind.ts';
import type { Target } from '../target.ts';
import type { FigureId, Step } from './step.ts';

/** The band that a figure belongs to: of a taper the only one. */
function bandOf({ numbers }: Development, band: number): BandFigures | undefined {
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

function coneSteps(figure: FigureId, band: BandFigures): Step[] {
  const a = Math.abs(band.halfAngle);
  switch (figure) {
    case 'arcFoot':
      return arcSteps(band, band.girthFoot, band.arcFoot);
    case 'arcRim':
      return arcSteps(band, band.girthRim, band.arcRim);
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
      ];
    default:
      return [];
  }
}

function panelSteps(figure: FigureId, target: Target, { numbers }: Development): Step[] {
  const { panelFoot, panelRim, slant, sideMitre, lean = 0 } = numbers;
  if (target.form.kind !== 'facet' || panelFoot === undefined || panelRim === undefined) return [];
  const { sides } = target.form;
  const half = Math.tan(Math.PI / sides);
  const width = (value: number): Step => ({
    rule: 'panel = across flats, wet × tan(180° ÷ sides)',
    worked: [{ mmPlain: value / half }, ` × tan(180° ÷ ${sides})`],
    gives: [{ mm: value }],
  });
  switch (figure) {
    case 'panelFoot':
      return [width(panelFoot)];
    case 'panelRim':
      return [width(panelRim)];
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
          worked: ['a = ', { degrees: lean }, `, ${sides} sides`],
          gives: [{ degrees: sideMitre ?? 0 }],
        },
      ];
    default:
      return [];
  }
}

/** How a figure of a tapered, stacked, facetted or lofted piece came about; empty when it has no steps of its own. */
export function shapedSteps(figure: FigureId, target: Target, developed: Development, band: number): Step[] {
  const cone = bandOf(developed, band);
  if (cone) return coneSteps(figure, cone);
  if (target.form.kind === 'facet') return panelSteps(figure, target, developed);
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
