import type { Development } from '../piece/develop.ts';
import { kindOf } from '../piece/kinds/kinds.ts';
import type { Target } from '../piece/target.ts';
import { cutBase, nearestCutter } from '../reverse/cutter.ts';
import { sizeOf, thicknessWay, type KitItem, type ThicknessWay } from './kit.ts';
import { shelfFit } from './shelfFit.ts';

/** How many of a piece stand on one of the kiln shelves. */
export interface OnShelf {
  readonly name: string;
  readonly count: number;
  /** The next shelf is high enough above it. */
  readonly tall: boolean;
}

/** What of the kit a piece uses. */
export interface PieceKit {
  /** How its slabs are rolled, each thickness once (mm). */
  readonly slabs: readonly (ThicknessWay & { readonly thickness: number })[];
  /** The round cutter nearest to its base, and whether it cuts it as it is; null without cutters or a round base. */
  readonly cutter: { readonly name: string; readonly diameter: number; readonly fits: boolean } | null;
  /** The former that it is wrapped round, when it is in the kit. */
  readonly former: string | null;
  readonly shelves: readonly OnShelf[];
}

/** A base this near to a cutter is cut by it (mm): a cutter's own edge is no truer. */
export const CUTTER_NEAR = 0.3;

/** Formers nearer in size than this are one (mm). */
const FORMER_NEAR = 0.5;

const ROUND: readonly Target['form']['kind'][] = ['cylinder', 'former', 'taper', 'stack'];

/**
 * What of the kit a piece uses, and how many of it stand on each kiln shelf. The shelf is reckoned with the wet piece, the
 * largest that it ever is: what fits then fits dry and fired too.
 */
export function pieceKit(kit: readonly KitItem[], target: Target, developed: Development): PieceKit {
  const { slab, form } = target;
  const { across, height } = kindOf(target).standing(target);
  const wanted = [...new Set([slab.wall, ...(target.base.join === 'none' ? [] : [slab.base])])];
  const cutters = kit.filter(({ kind }) => kind === 'cutter');
  const cut = cutBase(developed.parts);
  const nearest = cut === null ? null : nearestCutter(cut, cutters.map((item) => sizeOf(item, 'diameter'))); // prettier-ignore
  const cutter = cutters.find((item) => sizeOf(item, 'diameter') === nearest);
  const former = form.kind === 'former' ? kit.find((item) => item.kind === 'former' && Math.abs(sizeOf(item, 'diameter') - form.diameter) < FORMER_NEAR) : undefined; // prettier-ignore
  const piece = { length: across[0], width: across[1], height, round: ROUND.includes(form.kind) };
  return {
    slabs: wanted.map((thickness) => ({ thickness, ...thicknessWay(kit, thickness) })),
    cutter:
      cutter && nearest !== null && cut !== null
        ? { name: cutter.name, diameter: nearest, fits: Math.abs(cut - nearest) < CUTTER_NEAR }
        : null,
    former: former?.name ?? null,
    shelves: kit
      .filter(({ kind }) => kind === 'shelf' || kind === 'round-shelf')
      .map((shelf): OnShelf => {
        const { places, tall } = shelfFit(shelf, piece);
        return { name: shelf.name, count: places.length, tall };
      }),
  };
}
