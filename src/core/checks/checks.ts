import { firedLength } from '../clay/shrinkage.ts';
import { degrees } from '../numbers.ts';
import type { DevelopedForm } from '../piece/kinds/kind.ts';
import { isDraped } from '../mould/draped.ts';
import { additionsOf } from '../piece/additions.ts';
import { kindOf } from '../piece/kinds/kinds.ts';
import type { Reach } from '../piece/standing.ts';
import { DEFAULT_STIFFNESS, type Target } from '../piece/target.ts';
import { toWet } from '../piece/wetSize.ts';
import { seamAllowance } from '../seam/seam.ts';
import { cutToFit } from '../slab/panelsFor.ts';
import { additionChecks } from './additions.ts';
import type { Bench } from './bench.ts';
import { checkBend } from './bend.ts';
import type { Check } from './check.ts';
import { checkDraped } from './draped.ts';
import { checkFit } from './fit.ts';
import { checkReach } from './reach.ts';
import { checkSlabSize } from './slabSize.ts';
import { checkSheet } from './sheet.ts';
import { checkStand } from './stand.ts';
import { checkThickness } from './thickness.ts';
import { checkBelly, checkSweep, checkTallWall } from './wall.ts';

/** Forms that are developed in a moment, so that the number of pieces can be said at every key. */
const QUICK = ['cylinder', 'former', 'taper', 'stack', 'facet'];

/** Forms whose plan is a circle: only these are pushed out to a diameter. */
const ROUND = ['cylinder', 'former', 'taper', 'stack'];

function bellyOf(target: Target, outer: readonly Reach[]): Check | null {
  if (target.belly === undefined || !ROUND.includes(target.form.kind)) return null;
  const { wall, neutralFraction } = target.slab;
  const widest = 2 * Math.max(...outer.map(([, , right]) => right));
  const inset = 2 * (1 - neutralFraction) * wall;
  const wanted = toWet(target.belly, target) + (target.size.face === 'inside' ? 2 * wall : 0);
  return checkBelly({ from: widest - inset, to: wanted - inset, thickness: wall });
}

function sweepOf(target: Target, { numbers }: DevelopedForm): Check | null {
  const { added } = seamAllowance(target.seam, target.slab.wall);
  const { panels } = target.seam;
  const bands = numbers.bands ?? [numbers];
  const sweeps = bands.map(({ sweep = 0, arcFoot, arcRim }) => {
    const least = Math.min(arcFoot ?? Infinity, arcRim ?? Infinity);
    return sweep / panels + degrees(added / least);
  });
  return checkSweep(Math.max(...sweeps), panels);
}

/** All advice on a piece that can be made, for the potter's own bench. Advice never blocks an export. */
export function checksOf(target: Target, developed: DevelopedForm, bench: Bench): Check[] {
  if (target.form.kind === 'sheet') return checkSheet(target, developed, bench);
  if (target.form.kind === 'stand') return checkStand(target, developed, bench);
  if (isDraped(target)) return checkDraped(target, developed, bench);
  const { slab, base, clay } = target;
  const { outer, mouth, height } = kindOf(target).standing(target);
  const stiffness = clay.stiffness ?? DEFAULT_STIFFNESS;
  const s = clay.shrinkage;
  const fired = outer.map(([z, left, right]): Reach => [
    firedLength(z, s),
    firedLength(left, s),
    firedLength(right, s),
  ]);
  const cut = QUICK.includes(target.form.kind) ? cutToFit(target, developed.parts, bench.slab) : null;
  const pieces = cut && (cut.form.kind === 'facet' ? cut.form.sides : cut.seam.panels);
  const large = checkSlabSize([...developed.parts, ...additionsOf(target).parts], bench.slab, pieces);
  const checks: (Check | null)[] = [
    checkBend({
      thickness: slab.wall,
      neutralRadius: developed.bendRadius,
      neutralFraction: slab.neutralFraction,
      stiffness,
    }),
    ...checkFit({ outer: fired, height: firedLength(height + (target.feet?.thickness ?? 0), s) }, target.fit),
    checkReach(mouth, bench.hand),
    base.join === 'none' ? null : checkThickness(slab.wall, slab.base),
    checkTallWall(height, slab.wall, stiffness),
    sweepOf(target, developed),
    bellyOf(target, outer),
    large,
    ...additionChecks(target),
  ];
  return checks.filter((check) => check !== null);
}
