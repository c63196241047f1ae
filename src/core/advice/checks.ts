import type { DevelopedForm } from '../forms/kind/kind.ts';
import { isDraped } from '../forms/mould/draped.ts';
import { additionsOf } from '../forms/additions.ts';
import { kindOf } from '../forms/kinds.ts';
import { DEFAULT_STIFFNESS, type Target } from '../target/target.ts';
import { cutToFit } from '../bench/slab/panelsFor.ts';
import { additionChecks } from './additions.ts';
import { checkBelly } from './belly.ts';
import type { Bench } from './bench.ts';
import { checkBend } from './bend.ts';
import type { Check } from './check.ts';
import { checkDraped } from './draped.ts';
import { checkEdges } from './edges.ts';
import { checkFit } from './fit.ts';
import { checkReach } from './reach.ts';
import { checkSlabSize } from './slabSize.ts';
import { checkSheet } from './sheet.ts';
import { checkStand } from './stand.ts';
import { checkThickness } from './thickness.ts';
import { tracingWay } from '../parts/part/tracing.ts';
import { panelCount } from '../bench/marks/marking.ts';
import { checkSweep, checkTallWall } from './wall.ts';

/** Says when the form leaves the chosen seam out, since its parts meet in another way. */
function checkSeamUsed(target: Target): Check | null {
  const { form, seam } = target;
  const own = kindOf(target).seams?.(form);
  if (!own) return null;
  const used = own.kinds.includes(seam.kind);
  if (used && seam.panels === 1) return null;
  const left = [
    ...(used ? [] : [`a ${seam.kind.replaceAll('-', ' ')} seam`]),
    ...(seam.panels > 1 ? [`a wall in ${seam.panels} pieces`] : []),
  ];
  return {
    code: 'seam-unused',
    level: 'care',
    title: 'The seam is left out',
    phrase: [`${own.how} Left out: ${left.join(', and ')}.`],
  };
}

/** Says when the wall can no longer be traced with the owned template. */
function checkTemplate(target: Target, parts: DevelopedForm['parts']): Check | null {
  const way = tracingWay(target, parts);
  if (way?.kind !== 'off') return null;
  const [inner, outer] = way.radii.map((radius) => ({ mmPlain: radius }) as const) as [
    { mmPlain: number },
    { mmPlain: number },
  ];
  return {
    code: 'template-off',
    level: 'care',
    title: 'Your template no longer fits',
    phrase: [
      'The wall is traced at radii of ',
      inner,
      ' and ',
      outer,
      ', and your template has ',
      { mmPlain: way.template.inner },
      ' and ',
      { mm: way.template.outer },
      '. Undo the change, or print a new template.',
    ],
  };
}

/** Says when two marked panels meet: every other one of an odd number. */
function checkPanelMarks({ marks, seam }: Target, { numbers }: DevelopedForm): Check | null {
  if (marks?.panels?.marked !== 'every-other') return null;
  const girth = Math.max(
    numbers.wrapLength ?? 0,
    numbers.girthRim ?? 0,
    ...(numbers.bands ?? []).map((band) => band.girthRim),
  );
  const count = panelCount(marks.panels, girth, seam.panels);
  if ((count / seam.panels) % 2 === 0) return null;
  return {
    code: 'panels-odd',
    level: 'care',
    title: 'Two marked panels meet',
    phrase: [
      `Every other of ${count / seam.panels} panels is marked, so two marked ones meet at the seam. Take an even number.`,
    ],
  };
}

/** All advice on a piece that can be made, for the potter's own bench. Advice never blocks an export. */
export function checksOf(target: Target, developed: DevelopedForm, bench: Bench): Check[] {
  if (target.form.kind === 'sheet') return checkSheet(target, developed, bench);
  if (target.form.kind === 'stand') return checkStand(target, developed, bench);
  if (isDraped(target)) return checkDraped(target, developed, bench);
  const { slab, base, clay } = target;
  const { traits, standing } = kindOf(target);
  const { mouth, height } = standing(target);
  const stiffness = clay.stiffness ?? DEFAULT_STIFFNESS;
  const cut = traits.quick ? cutToFit(target, developed.parts, bench.slab) : null;
  const pieces = cut && (cut.form.kind === 'facet' ? cut.form.sides : cut.seam.panels);
  const large = checkSlabSize([...developed.parts, ...additionsOf(target).parts], bench.slab, pieces);
  const checks: (Check | null)[] = [
    checkBend({
      thickness: slab.wall,
      neutralRadius: developed.bendRadius,
      neutralFraction: slab.neutralFraction,
      stiffness,
    }),
    ...checkFit(target),
    checkReach(mouth, bench.hand),
    base.join === 'none' ? null : checkThickness(slab.wall, slab.base),
    checkSeamUsed(target),
    checkEdges({ strips: developed.parts[0]?.count ?? 1, numbers: developed.numbers, stiffness }),
    checkPanelMarks(target, developed),
    checkTallWall(height, slab.wall, stiffness),
    checkSweep(developed.flatSweep ?? 0, target.seam.panels),
    checkTemplate(target, developed.parts),
    checkBelly(target),
    large,
    ...additionChecks(target),
  ];
  return checks.filter((check) => check !== null);
}
