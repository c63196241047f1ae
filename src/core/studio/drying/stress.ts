import { lengthLeft } from './dryingClay.ts';
import type { Air, Cover } from './air.ts';
import type { DryingCourse, DryingPart } from './partDrying.ts';

/**
 * Stress from uneven drying: a drier place would shrink by a share of its length (the shrinkage of each moisture,
 * `dryingClay.ts`), and is held by its neighbours. Through the thickness only: rims and corners, which air reaches from two
 * sides, dry ahead of these figures.
 */

/**
 * Shares of length at which a difference is worth watching, and at which clay is likely to crack. Leather-hard clay breaks
 * when it is pulled by about a hundredth of its length; half of that is a working limit of the bench, not a measurement.
 */
export const HELD_BACK = { watch: 0.005, cracks: 0.01 } as const;

/** How much shorter clay of one moisture wants to be than clay of another, as a share of the other's length. */
export function heldBack(drier: number, wetter: number): number {
  return 1 - lengthLeft(drier) / lengthLeft(wetter);
}

/** Steps in which a part's drying is sampled. */
const STEPS = 240;

/** The most by which a part's face wants to be shorter than its mean, at any time while it dries. */
export function worstFace({ at, hours, reached }: DryingCourse): number {
  const until = Math.min(hours, 1.5 * (reached.leatherHard ?? hours));
  return Array.from({ length: STEPS + 1 }, (_, step) => at((until * step) / STEPS)).reduce(
    (most, { mean, surface }) => Math.max(most, heldBack(surface, mean)),
    0,
  );
}

/** Something that can be done to dry more evenly. */
export type Gentler =
  { readonly kind: 'turn' } | { readonly kind: 'still' } | { readonly kind: 'cover'; readonly cover: Cover };

/** Remedies, the easiest first: air on both faces, no fan, then covers. */
function gentlerWays({ faces, cover }: DryingPart, { speed }: Air): Gentler[] {
  const covers: Cover[] = ['open', 'cloth', 'loose-film', 'tight-film'];
  return [
    ...(faces === 'one' ? [{ kind: 'turn' } as const] : []),
    ...(speed === 'still' ? [] : [{ kind: 'still' } as const]),
    ...covers.slice(covers.indexOf(cover) + 1).map((next) => ({ kind: 'cover', cover: next }) as const),
  ];
}

/** The most by which a face is held back, and the first way that brings it within the limit, or lowers it most. */
export interface CrackRisk {
  readonly share: number;
  readonly gentler: { readonly way: Gentler; readonly share: number } | null;
}

/**
 * The risk that a part cracks as it dries, and what lowers it.
 *
 * @param courseOf how a part dries in some air
 */
export function crackRisk(
  part: DryingPart,
  air: Air,
  courseOf: (part: DryingPart, air: Air) => DryingCourse,
): CrackRisk {
  const share = worstFace(courseOf(part, air));
  if (share < HELD_BACK.watch) return { share, gentler: null };
  const tried = gentlerWays(part, air).map((way) => {
    const gentle =
      way.kind === 'turn'
        ? { ...part, faces: 'both' as const }
        : way.kind === 'cover'
          ? { ...part, cover: way.cover }
          : part;
    return { way, share: worstFace(courseOf(gentle, way.kind === 'still' ? { ...air, speed: 'still' } : air)) };
  });
  const least = tried.reduce<CrackRisk['gentler']>((best, one) => (!best || one.share < best.share ? one : best), null);
  const gentler = tried.find((one) => one.share < HELD_BACK.watch) ?? least;
  return { share, gentler: gentler && gentler.share < share ? gentler : null };
}

/** A part by its name and thickness (wet mm). */
export interface NamedPart {
  readonly name: string;
  readonly thickness: number;
}

/** Parts that are to be joined, and how far apart they are. */
export interface PartsNow {
  readonly parts: readonly (NamedPart & { readonly moisture: number })[];
  readonly drier: string;
  readonly wetter: string;
  /** How much shorter the drier one already is, as a share of length. */
  readonly share: number;
  /** Hours for which the drier one is covered until the wetter one is as dry; null where it does not get there. */
  readonly catchUp: number | null;
}

/**
 * Parts of several thicknesses that dry side by side, so long after they were cut.
 *
 * @param as how they lie and what is over them
 * @param pace hours since they were cut, and times over those of the model
 */
export function partsNow(
  parts: readonly NamedPart[],
  as: (thickness: number) => DryingCourse,
  { hours, slower }: { hours: number; slower: number },
): PartsNow | null {
  const moisture = (thickness: number, hour: number) => {
    const course = as(thickness);
    return course.at(Math.min(course.hours, hour / slower)).mean;
  };
  const found = parts.map((part) => ({ ...part, moisture: moisture(part.thickness, hours) }));
  const [first] = found;
  if (!first) return null;
  const drier = found.reduce((least, part) => (part.moisture < least.moisture ? part : least), first);
  const wetter = found.reduce((most, part) => (part.moisture > most.moisture ? part : most), first);
  if (drier.moisture === wetter.moisture) return null;
  const share = heldBack(drier.moisture, wetter.moisture);
  const last = as(wetter.thickness).hours * slower;
  if (moisture(wetter.thickness, last) > drier.moisture)
    return { parts: found, drier: drier.name, wetter: wetter.name, share, catchUp: null };
  let [low, high] = [hours, last];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (moisture(wetter.thickness, middle) > drier.moisture) low = middle;
    else high = middle;
  }
  return { parts: found, drier: drier.name, wetter: wetter.name, share, catchUp: high - hours };
}
