import type { Blank } from '../kind/blank.ts';
import { limitsOf, withinLimits } from './limits.ts';
import { onDemand, remembered, TAU } from '../../numbers.ts';
import { turned } from '../../geometry/outline/support.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import { blankBase, type BlankBase, type BlankRun } from './blank.ts';
import { dartedOf } from './dartDepth.ts';
import { faceMesh, type DrapedTarget } from './draped.ts';
import { fineBase, fineBlank } from './layBlank.ts';
import type { Dart, DartProposal } from '../../target/mouldForm.ts';
import { isRound } from './roundMould.ts';
import { strainOf } from './strain.ts';

/** Vertices of the blank in the search; the last check uses the fine blank. */
const SEARCHING = 800;

/** Depths that are tried, as shares of the way from the rim to the middle. */
const DEPTHS = [0.15, 0.25, 0.35, 0.45, 0.55, 0.65, 0.75, 0.85] as const;

/** Darts found on the coarse blank keep this much clear of the limit (fraction), since a finer mesh finds more. */
const CLEAR = 0.9;

/** How much deeper each further try is cut, and how many there are. */
const DEEPER = 1.15;
const LOOKS = 4;

const degreesOf = (phi: number) => (turned(phi) / TAU) * 360;

/** Even places round the rim, from the first one (degrees). */
function evenly(count: number, first: number): number[] {
  return Array.from({ length: count }, (_, index) => (first + (360 * index) / count) % 360);
}

/** Where darts go first: plan corners, the ends of an oval, evenly round a circle; then more of them (degrees, seen from above). */
function placeSets(target: DrapedTarget, base: BlankBase): number[][] {
  const { form } = target;
  if (form.kind === 'mesh') return peakSets(base, target.slab.wall);
  if (isRound(form)) return [3, 4, 6, 8, 12].map((count) => evenly(count, 90));
  const rim = supportOf(form.rim);
  const [x, y] = form.rim.at ?? [0, 0];
  const angleAt = (phi: number, next: number) => {
    const middle = phi + turned(next - phi) / 2;
    const h = rim.h(middle) - x * Math.cos(middle) - y * Math.sin(middle);
    const slope =
      (rim.slope(middle, 'before') + rim.slope(middle, 'after')) / 2 + x * Math.sin(middle) - y * Math.cos(middle);
    return degreesOf(middle + Math.atan2(slope, h));
  };
  if (rim.flats.length > 0) {
    const corners = rim.flats.map((flat, index) => angleAt(flat, rim.flats[(index + 1) % rim.flats.length] ?? flat));
    const beside = (by: number) => corners.flatMap((at) => [(at - by + 360) % 360, (at + by) % 360]);
    return [corners, [...corners, ...beside(16)], [...corners, ...beside(11), ...beside(22)]];
  }
  const ends = [0, 180];
  return [ends, [...ends, 25, 155, 205, 335], [...ends, 18, 38, 142, 162, 198, 218, 322, 342], evenly(12, 0)];
}

/** On an imported mould: where the rim gathers most, in sets of two and more, at least thirty degrees apart. */
function peakSets(base: BlankBase, thickness: number): number[][] {
  const { gather } = strainOf(base, { thickness });
  const { positions } = base.mesh;
  const middle = [0, 1].map(
    (axis) =>
      base.border.reduce((sum, vertex) => sum + (positions[3 * vertex + axis] as number), 0) / base.border.length,
  );
  const angle = (vertex: number) =>
    degreesOf(
      Math.atan2(
        (positions[3 * vertex + 1] as number) - (middle[1] ?? 0),
        (positions[3 * vertex] as number) - (middle[0] ?? 0),
      ),
    );
  const sorted = [...base.border].sort((one, other) => (gather[other] as number) - (gather[one] as number)).map(angle);
  return [2, 4, 6, 8].map((count) =>
    sorted.reduce<number[]>((taken, at) => {
      const clear = taken.every((one) => Math.abs(((one - at + 540) % 360) - 180) > 180 / count);
      return clear && taken.length < count ? [...taken, at] : taken;
    }, []),
  );
}

/** From the middle of the flat blank to its nearest rim (mm): darts are cut no deeper. */
function reachOf({ uv, border }: BlankBase): number {
  return border.reduce(
    (least, vertex) => Math.min(least, Math.hypot(uv[2 * vertex] as number, uv[2 * vertex + 1] as number)),
    Infinity,
  );
}

/** The target without darts. */
function undarted(target: DrapedTarget): DrapedTarget {
  const { darts, ...form } = target.form;
  return darts ? { ...target, form } : target;
}

/**
 * Proposes darts for a draped target: as few as bring stretch and gather within their limits, at plan corners first, none
 * deeper than needed; looked for on a coarse blank and proved on the fine one, deeper where that finds more. Darts that the
 * target has already are not looked at.
 */
export function proposeDarts(darted: DrapedTarget, run: BlankRun = {}): DartProposal {
  const target = undarted(darted);
  const { form, slab } = target;
  if (form.kind === 'mesh') return searched(target, run);
  const name = JSON.stringify([form, slab.wall, slab.neutralFraction, limitsOf(target)]);
  const proposal = known.get(name) ?? searched(target, run);
  return proposal.kind === 'stopped' ? proposal : remembered(known, name, { make: () => proposal, most: KEPT });
}

/** The last proposals for moulds by their outlines: advice and proposal ask for the same. */
const known = new Map<string, DartProposal>();
const KEPT = 8;

function searched(target: DrapedTarget, run: BlankRun): DartProposal {
  const limits = limitsOf(target);
  const clear = { stretch: CLEAR * limits.stretch, gather: CLEAR * limits.gather };
  const going = () => run.going?.() ?? true;
  const whole = fineBase(target);
  if (withinLimits(strainOf(whole, { thickness: target.slab.wall }).most, limits)) return { kind: 'none-needed' };
  const base = blankBase(faceMesh(target, 'neutral', SEARCHING));
  const reach = reachOf(base);
  const sets = placeSets(target, base);
  for (const [index, places] of sets.entries()) {
    for (const [step, share] of DEPTHS.entries()) {
      run.step?.((index + step / DEPTHS.length) / sets.length);
      if (!going()) return { kind: 'stopped' };
      const dartsAt = (depth: number) =>
        places.map((at): Dart => ({ at: Math.round(at * 10) / 10, depth: Math.round(depth) }));
      const tried = dartedOf(base, dartsAt(share * reach), { thickness: target.slab.wall });
      if (tried.missed.length > 0 || !withinLimits(tried.strain.most, clear)) continue;
      let depth = share * reach;
      for (let look = 0; look < LOOKS && depth < 0.95 * reach; look += 1) {
        if (!going()) return { kind: 'stopped' };
        const darts = dartsAt(depth);
        const fine = fineBlank(whole, { ...target, form: { ...target.form, darts } });
        if (fine.missed.length === 0 && withinLimits(fine.strain.most, limits))
          return {
            kind: 'darts',
            darts: darts.map((dart, place) => ({
              ...dart,
              depth: Math.round(10 * (fine.cutTo?.[place] ?? dart.depth)) / 10,
            })),
          };
        depth *= DEEPER;
      }
    }
  }
  return { kind: 'too-deep' };
}

/** A fine blank that knows, when it is asked, whether darts bring a strain over its limits within them. */
export function withProposal(target: DrapedTarget, blank: Blank): Blank {
  if (withinLimits(blank.strain.most, limitsOf(target))) return blank;
  const proposal = onDemand(() => proposeDarts(target));
  return {
    ...blank,
    get proposal() {
      return proposal();
    },
  };
}
