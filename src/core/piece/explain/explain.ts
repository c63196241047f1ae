import { FIRED_MASS_FRACTION } from '../../units/shrinkage.ts';
import { PART_GAP } from '../../bench/slab/slabNeeded.ts';
import type { Development } from '../develop.ts';
import { kindOf } from '../../forms/kinds.ts';
import type { Target } from '../../target/target.ts';
import { flangeSteps, handleSteps, lidSteps } from './added.ts';
import type { FigureId, Step } from '../../forms/kind/step.ts';

function slabSteps({ slabs, parts }: Development): Step[] {
  return slabs.map((slab) => ({
    rule: `parts of one thickness one above the other, copies side by side${slab.parts.length > 1 ? ', a gap between them' : ''}; the slanted ends count`,
    worked: parts
      .filter((part) => slab.parts.includes(part.id))
      .flatMap((part, index) => [
        ...(index > 0 ? [' + ', { mmPlain: PART_GAP }, ' gap + '] : []),
        `${part.count > 1 ? `${part.count} × ` : ''}${part.name.toLowerCase()}`,
      ]),
    gives: [{ mmPlain: slab.length }, ' × ', { mm: slab.width }, ', ', { mm: slab.thickness }, ' thick'],
  }));
}

function massSteps(target: Target, { slabs, lumps = [] }: Development): Step[] {
  const pulled = lumps.map(({ id, name, count, mass }) => ({
    rule:
      id === 'pulled-handle'
        ? 'pulled handles: what stands on the piece and half as much again, to hold and to cut off'
        : `${name.toLowerCase()}: its round area × its wet length × density`,
    worked: [`${count} × `, { grams: mass }],
    gives: [{ grams: count * mass }],
  }));
  const rolled = slabs.map((slab) => ({
    rule: 'slab length × width × thickness × density of the wet clay',
    worked: [
      { mmPlain: slab.length },
      ' × ',
      { mmPlain: slab.width },
      ' × ',
      { mm: slab.thickness },
      `, ${target.clay.wetDensity} g/cm³`,
    ],
    gives: [{ grams: slab.mass }],
  }));
  return [...rolled, ...pulled];
}

function capacitySteps(target: Target, { finished }: Development): Step[] {
  if (finished.capacityBrim === 0) return [];
  const wet = kindOf(target).standing(target).hollowVolume / 1000;
  return [
    {
      rule: 'the hollow between the inner faces, from the floor to the brim, shrunk: wet volume × (1 − shrinkage)³',
      worked: [{ ml: wet }, ` × (1 − ${target.clay.shrinkage})³`],
      gives: [{ ml: finished.capacityBrim }],
    },
  ];
}

function bevelSteps({ seam, slab }: Target, { numbers }: Development): Step[] {
  if (seam.kind !== 'bevel' || numbers.bevelRun === 0) return [];
  return [
    {
      rule: 'slant = wall ÷ tan(bevel angle)',
      worked: [{ mmPlain: slab.wall }, ' ÷ tan ', { degrees: seam.angle }],
      gives: [{ mm: numbers.bevelRun }],
    },
  ];
}

/**
 * How a figure came about: the formula and the same with this piece's figures, one line a step.
 *
 * @param band which band of a stack, from 0
 * @returns the steps in order; empty when the piece has no such figure, or none of its own steps for it
 */
export function explain(
  figure: FigureId,
  { target, developed, band = 0 }: { readonly target: Target; readonly developed: Development; readonly band?: number },
): Step[] {
  const { finished } = developed;
  switch (figure) {
    case 'bevelRun':
      return bevelSteps(target, developed);
    case 'handleLength':
      return handleSteps(target);
    case 'lidAcross':
      return lidSteps(target);
    case 'flangeLength':
      return flangeSteps(target);
    case 'slab':
      return slabSteps(developed);
    case 'weighOut':
      return massSteps(target, developed);
    case 'capacityBrim':
      return capacitySteps(target, developed);
    case 'massFired':
      return [
        {
          rule: 'about what is left when the water and what burns off are gone: an estimate until you weigh one',
          worked: [{ grams: finished.mass.wet }, ` × ${FIRED_MASS_FRACTION}`],
          gives: [{ grams: finished.mass.fired }],
        },
      ];
    default:
      return kindOf(target).explain(figure, { target, developed, band });
  }
}
