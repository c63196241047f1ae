import { standingPlan } from '../../piece/standingPlan.ts';
import type { Target } from '../../target/target.ts';
import { lies, sizeOf, type KitItem } from './kit.ts';
import { KILN_GAP, shelfFit } from './shelfFit.ts';

/** How many of a piece stand on one of the kiln shelves. */
export interface OnShelf {
  readonly name: string;
  readonly count: number;
  /** The next shelf is high enough above it. */
  readonly tall: boolean;
}

/** What of the kit a piece is fired in. */
export interface KilnKit {
  readonly shelves: readonly OnShelf[];
  /** Kilns, and whether the wet piece goes into their chambers. */
  readonly kilns: readonly { readonly name: string; readonly fits: boolean }[];
}

/**
 * How many of a piece stand on each kiln shelf, and which kilns it goes into. Both are reckoned with the wet piece, the largest
 * that it ever is: what fits then fits dry and fired too.
 */
export function kilnKit(kit: readonly KitItem[], target: Target): KilnKit {
  const piece = standingPlan(target);
  const { reach, height } = piece;
  const plan = [reach(0) + reach(Math.PI), reach(Math.PI / 2) + reach(-Math.PI / 2)] as const;
  return {
    kilns: kit
      .filter(({ kind }) => kind === 'kiln')
      .map((kiln) => ({ name: kiln.name, fits: lies(plan, kiln) && height + KILN_GAP <= sizeOf(kiln, 'height') })),
    shelves: kit
      .filter(({ kind }) => kind === 'shelf' || kind === 'round-shelf')
      .map((shelf): OnShelf => {
        const { places, tall } = shelfFit(shelf, piece);
        return { name: shelf.name, count: places.length, tall };
      }),
  };
}
