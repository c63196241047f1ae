import { degrees, LENGTH_TOLERANCE, radians } from '../../numbers.ts';
import { edgeAt } from '../../geometry/outline/outline.ts';
import type { Face } from '../../target/face.ts';
import type { Lean } from '../../parts/part/lean.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Development } from '../develop.ts';
import type { BandFigures } from '../../forms/kind.ts';
import type { Target } from '../../target/target.ts';
import type { FigureId, Step } from './step.ts';

/** The band that a figure belongs to: of a taper the only one. */
function bandOf({ numbers }: Development, band: number): BandFigures | undefined {
  if (numbers.bands) return numbers.bands[band];
  const { halfAngle, slant, arcFoot = null, arcRim = null, sweep, girthFoot, girthRim } = numbers;
  if (halfAngle === undefined || slant === undefined || sweep === undefined) return undefined;
  if (girthFoot === undefined || girthRim === undefined) return undefined;
  return { halfAngle, slant, arcFoot, arcRim, sweep, girthFoot, girthRim };
}

/** From the figure on the neutral surface, or the outer face, to the line that is traced; none where they are one. */
function tracedStep(from: number, traced: number, faceUp: Face): Step[] {
  const off = traced - from;
  if (Math.abs(off) < LENGTH_TOLERANCE) return [];
  return [
    {
      rule: `the edges lean: on the ${faceUp} face, which lies up, the line is ${off > 0 ? 'longer' : 'shorter'} by`,
      worked: [{ mmPlain: from }, off > 0 ? ' + ' : ' − ', { mmPlain: Math.abs(off) }],
      gives: [{ mm: traced }],
    },
  ];
}

/** The edge of a part by its name, as it is traced (mm). */
export function tracedEdge({ outline, leans }: Part, name: Lean['edge']): { length: number; radius: number } {
  const lean = leans.find(({ edge }) => edge === name);
  return edgeAt(outline, lean?.from ?? 0);
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

function panelSteps(figure: FigureId, target: Target, { numbers, parts }: Development): Step[] {
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

/** How a figure of a tapered, stacked, facetted or lofted piece came about; empty when it has no steps of its own. */
export function shapedSteps(figure: FigureId, target: Target, developed: Development, band: number): Step[] {
  const cone = bandOf(developed, band);
  const walls = developed.parts.filter(({ role }) => role === 'wall');
  const wall = walls[developed.numbers.bands ? band : 0];
  if (cone && wall) return coneSteps(figure, cone, wall);
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
