import { developCylinder, type DevelopedCylinder } from '../../parts/wall/cylinder.ts';
import type { CylinderForm, FormerForm, Target } from '../../target/target.ts';
import { toWet } from '../kind/wetSize.ts';

/** A straight round piece as it is just made. Wet mm. */
export interface WetPiece {
  readonly outside: number;
  readonly inside: number;
  readonly height: number;
  /** Height of the inner floor above the table; 0 for a tube without a base. */
  readonly floor: number;
}

/** Wet outside diameter of a cylinder over the measured face, or of what a former with its sleeve gives. */
function wetOutside(form: CylinderForm | FormerForm, target: Target): number {
  const { wall } = target.slab;
  if (form.kind === 'former') return form.diameter + 2 * form.sleeve + 2 * wall;
  const across = toWet(form.diameter, target);
  return target.size.face === 'outside' ? across : across + 2 * wall;
}

/**
 * The wet piece that a straight, round target asks for. The slab's thickness is set wet and never scaled by shrinkage on
 * the way in; a former's sizes are the tool's own.
 */
export function wetPiece(target: Target): WetPiece {
  const { form, slab, base } = target;
  if (form.kind !== 'cylinder' && form.kind !== 'former')
    throw new TypeError(`a ${form.kind} is not a straight round piece`);
  const outside = wetOutside(form, target);
  return {
    outside,
    inside: outside - 2 * slab.wall,
    height: form.kind === 'former' ? form.height : toWet(form.height, target),
    floor: base.join === 'none' ? 0 : slab.base,
  };
}

/** The wall of a straight, round piece and its base as they are cut. Drawing and raising use the same. */
export function cutWall(target: Target): DevelopedCylinder {
  const { slab, base } = target;
  const { outside, height } = wetPiece(target);
  const { wall, base: floor, neutralFraction } = slab;
  return developCylinder({ outside, height, wall, floor, neutralFraction, base });
}
