import type { Blank } from '../kind/blank.ts';
import { once } from '../../numbers.ts';
import { layBlank } from './layBlank.ts';
import { blankPart } from './blankPart.ts';
import { offsetsOf, type DrapedTarget } from './draped.ts';
import { drapedStanding } from './drapedStanding.ts';
import { drapedFaults } from './drapedFaults.ts';
import { isRound, roundBlank } from './roundMould.ts';
import { meshArea } from '../../geometry/mesh/mesh.ts';
import { explainBlank } from './blankSteps.ts';
import type { DevelopedForm, FormKindWork } from '../kind/kind.ts';

/** A quick blank, for drawing at every keystroke; null where the surface cannot be flattened. */
const quickBlank = once((target: DrapedTarget): Blank | null => {
  try {
    return layBlank(target, 'quick');
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
});

/** Develops a draped target by a blank that has been laid, or by a quick one; with null it has no parts yet. */
export function developDraped(target: DrapedTarget, laid?: Blank | null): DevelopedForm {
  const blank = laid === undefined ? quickBlank(target) : laid;
  if (!blank) return { numbers: { bevelRun: 0 }, parts: [], bendRadius: Infinity };
  const { form } = target;
  const round = form.kind === 'mould' && isRound(form) ? roundBlank(form, offsetsOf(target).neutral) : null;
  return {
    numbers: {
      bevelRun: 0,
      ...(round && { lengthTrue: round.lengthTrue, areaTrue: round.areaTrue, girthExcess: round.girthExcess }),
      area: meshArea(blank.mesh),
    },
    parts: [blankPart(target, blank)],
    bendRadius: Infinity,
    blank,
  };
}

/** Slabs over a hump or in a hollow. */
export const drapedWork = {
  standing: (target) => drapedStanding(target as DrapedTarget),
  develop: (target) => developDraped(target as DrapedTarget),
  faults: (target) => drapedFaults(target as DrapedTarget),
  explain: explainBlank,
} satisfies Partial<FormKindWork>;
