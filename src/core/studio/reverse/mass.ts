import { kindOf } from '../../forms/kinds.ts';
import { finished } from '../../piece/finished.ts';
import type { Target } from '../../target/target.ts';
import { impossible, made, type Making, type Reversed } from './reversed.ts';
import { solveFor } from './solveFor.ts';

/** Clay that is at hand, and how tall the straight piece shall be for its width. */
export interface ClayAtHand {
  /** g, wet. */
  readonly mass: number;
  /** Height over width. */
  readonly tall: number;
}

/** Width of the piece that the search starts from (mm). */
const FIRST = 80;

/** Wet mass of the parts of a piece (g): what is rolled round them goes back to the bag. */
function massOf(target: Target): number {
  return finished(target, kindOf(target).develop(target).parts).mass.wet;
}

/** The straight round piece whose parts weigh as much as the clay at hand, without trim. */
export function pieceFromMass({ mass, tall }: ClayAtHand, making: Making): Reversed {
  if (!(mass > 0)) return impossible('the clay must weigh more than 0');
  if (!(tall > 0)) return impossible('the height must be more than 0 times the width');
  const first = made(making, { kind: 'cylinder', diameter: FIRST, height: FIRST * tall });
  if (first.kind !== 'made') return first;
  const solved = solveFor(first.target, {
    measure: massOf,
    value: mass,
    keep: 'proportions',
    reach: (grams, end) => `it weighs no ${end === 'most' ? 'more' : 'less'} than about ${Math.round(grams)} g`,
  });
  return solved.kind === 'solved' ? { kind: 'made', target: solved.target } : impossible(solved.rule);
}
