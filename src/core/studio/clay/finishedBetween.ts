import { firedBetween } from './bars.ts';
import { firedLength } from '../../units/shrinkage.ts';
import type { Development } from '../../piece/develop.ts';
import { formSizes } from '../../forms/formSizes.ts';
import { kindOf } from '../../forms/kinds.ts';
import type { Target } from '../../target/target.ts';

/** A finished size, and between what it comes out of the kiln. Lengths fired mm. */
export interface FinishedSize {
  readonly key: string;
  readonly label: string;
  readonly fired: number;
  readonly between: readonly [number, number];
}

/**
 * Every length of the finished piece with the interval that the clay's shrinkage leaves it: the piece is cut for the
 * target's own figure, and the true one lies in `interval` (fractions).
 */
export function finishedBetween(target: Target, interval: readonly [number, number]): FinishedSize[] {
  const { form, size, clay } = target;
  if (kindOf(target).traits.ofTool) return formedBetween(target, interval);
  const wet = size.state === 'wet' || form.kind === 'former';
  return formSizes(form)
    .filter(({ unit }) => unit !== 'count')
    .map(({ key, label, value }) => {
      const fired = wet ? firedLength(value, clay.shrinkage) : value;
      return { key, label, fired, between: firedBetween(fired, clay.shrinkage, interval) };
    });
}

/** Between what the brim capacity lies (ml): volumes go by the cube. */
export function capacityBetween(
  { finished }: Development,
  { clay }: Target,
  interval: readonly [number, number],
): readonly [number, number] {
  const at = (shrinkage: number) => finished.capacityBrim * ((1 - shrinkage) / (1 - clay.shrinkage)) ** 3;
  return [at(interval[1]), at(interval[0])];
}

/** The standing piece along, across and high. */
function formedBetween(target: Target, interval: readonly [number, number]): FinishedSize[] {
  const { across, height } = kindOf(target).standing(target);
  const { shrinkage } = target.clay;
  const rows: readonly (readonly [string, string, number])[] = [
    ['length', 'Length', across[0]],
    ['width', 'Width', across[1]],
    ['height', 'Height', height],
  ];
  return rows.map(([key, label, wet]) => {
    const fired = firedLength(wet, shrinkage);
    return { key, label, fired, between: firedBetween(fired, shrinkage, interval) };
  });
}
