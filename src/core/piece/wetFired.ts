import { placeFeet, footLetter } from '../forms/bentSheet/placeFeet.ts';
import { firedLength, wetLength } from '../units/shrinkage.ts';
import { kindOf } from '../forms/kinds.ts';
import { acrossOf } from '../forms/kind/standing.ts';
import type { Target } from '../target/target.ts';

/** A size of the standing piece as it is just made and as it comes out of the kiln (mm); two figures where it is longer than wide. */
export interface BothWays {
  readonly key: string;
  readonly label: string;
  readonly wet: readonly number[];
  readonly fired: readonly number[];
}

/** Widths that differ by less are one (mm). */
const ROUND = 0.05;

/**
 * The standing piece measured wet and fired, whichever of the two was asked for: outside at rim and foot, inside, height, and
 * a bent sheet's feet by their letters.
 */
export function wetAndFired(target: Target): BothWays[] {
  const { form, slab, clay } = target;
  const standing = kindOf(target).standing(target);
  const size = (key: string, label: string, ...wet: readonly number[]): BothWays => {
    const [length = 0, width = length] = wet;
    const shown = Math.abs(length - width) < ROUND ? [length] : [length, width];
    return { key, label, wet: shown, fired: shown.map((mm) => firedLength(mm, clay.shrinkage)) };
  };
  if (form.kind === 'sheet') {
    const feet = placeFeet(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage })?.feet ?? [];
    const lift = feet.length > 0 ? wetLength(form.feet?.height ?? 0, clay.shrinkage) : 0;
    return [
      size('bent-across', 'Bent, across', standing.across[0]),
      size('bent-along', 'Bent, along', standing.across[1]),
      size('height', feet.length > 0 ? 'High, on its feet' : 'High', standing.height + lift),
      ...feet.map(({ length }, index) =>
        size(`foot-${index}`, `Foot ${footLetter(index)}, long`, wetLength(length, clay.shrinkage)),
      ),
      ...(feet.length > 0
        ? [size('foot-across', 'Feet, across', wetLength(form.feet?.diameter ?? 0, clay.shrinkage))]
        : []),
    ];
  }
  const rim = size('outside-rim', 'Outside, rim', ...acrossOf(standing.section(standing.rim[0]).outer));
  const foot = size('outside-foot', 'Outside, foot', ...acrossOf(standing.section(0).outer));
  const alike =
    rim.wet.length === foot.wet.length && rim.wet.every((mm, at) => Math.abs(mm - (foot.wet[at] ?? 0)) < ROUND);
  const inside = acrossOf(standing.section(standing.hollow.at(-1)?.[0] ?? standing.height).inner);
  const lift = target.feet?.thickness ?? 0;
  return [
    ...(alike ? [{ ...rim, label: 'Outside' }] : (foot.wet[0] ?? 0) > ROUND ? [rim, foot] : [rim]),
    ...(standing.hollow.length > 0 && inside[0] > 0
      ? [size('inside-rim', alike ? 'Inside' : 'Inside, rim', ...inside)]
      : []),
    size('height', lift > 0 ? 'High, on its feet' : 'High', standing.height + lift),
  ];
}
