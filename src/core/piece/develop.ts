import { checkBend } from '../checks/bend.ts';
import type { Check } from '../checks/check.ts';
import { checkThickness } from '../checks/thickness.ts';
import { FaultError } from '../errors.ts';
import type { Part } from '../part/part.ts';
import { slabsNeeded, type SlabNeeded } from '../slab/slabNeeded.ts';
import { writePhrase } from '../units/phrase.ts';
import { checkTarget } from './checkTarget.ts';
import { finished, type Finished } from './finished.ts';
import type { Numbers } from './kinds/kind.ts';
import { kindOf } from './kinds/kinds.ts';
import type { Target } from './target.ts';

/** A piece of advice in the result: `text` is in mm, `phrase` keeps its figures for another unit. */
export interface CheckResult extends Check {
  readonly text: string;
}

/** The result of developing a target; see docs/format.md. */
export interface Development {
  readonly numbers: Numbers;
  readonly parts: readonly Part[];
  readonly slabs: readonly SlabNeeded[];
  readonly finished: Finished;
  readonly checks: readonly CheckResult[];
}

/**
 * Develops a target into flat parts (geometry: the form's own section, seams, edges). All lengths wet mm unless they say fired.
 *
 * @throws FaultError with every fault when the target cannot be made
 * @example develop(newTarget('Rack tumbler')).numbers.wrapLength // 281.03
 */
export function develop(target: Target): Development {
  const faults = checkTarget(target);
  if (faults.length > 0) throw new FaultError(faults);
  const { slab, base, clay } = target;
  const { numbers, parts, bendRadius } = kindOf(target).develop(target);
  const checks = [
    checkBend({ thickness: slab.wall, neutralRadius: bendRadius, neutralFraction: slab.neutralFraction }),
    base.join === 'none' ? null : checkThickness(slab.wall, slab.base),
  ];
  return {
    numbers,
    parts,
    slabs: slabsNeeded(parts, clay.wetDensity),
    finished: finished(target, parts),
    checks: checks
      .filter((check) => check !== null)
      .map((check) => ({ ...check, text: writePhrase(check.phrase, { unit: 'mm' }) })),
  };
}
