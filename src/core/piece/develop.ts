import { DEFAULT_BENCH, type Bench } from '../checks/bench.ts';
import type { Check } from '../checks/check.ts';
import { checksOf } from '../checks/checks.ts';
import { FaultError } from '../errors.ts';
import { markedParts } from '../marks/marks.ts';
import { repeatsOf, type Repeat } from '../marks/repeats.ts';
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
  /** How the texture that is marked repeats along each edge. */
  readonly repeats?: readonly Repeat[];
  readonly slabs: readonly SlabNeeded[];
  readonly finished: Finished;
  readonly checks: readonly CheckResult[];
}

/**
 * Develops a target into flat parts (geometry: the form's own section, seams, edges). All lengths wet mm unless they say fired.
 *
 * @param bench the potter's hand and slab, which some of the advice rests on
 * @throws FaultError with every fault when the target cannot be made
 * @example develop(newTarget('Rack tumbler')).numbers.wrapLength // 281.03
 */
export function develop(target: Target, bench: Bench = DEFAULT_BENCH): Development {
  const faults = checkTarget(target);
  if (faults.length > 0) throw new FaultError(faults);
  const form = kindOf(target).develop(target);
  const { numbers } = form;
  const parts = markedParts(target, form);
  const { marks, seam } = target;
  return {
    numbers,
    parts,
    ...(marks?.repeat && { repeats: repeatsOf(parts, seam, marks.repeat) }),
    slabs: slabsNeeded(parts, target.clay.wetDensity),
    finished: finished(target, parts),
    checks: checksOf(target, form, bench).map((check) => ({
      ...check,
      text: writePhrase(check.phrase, { unit: 'mm' }),
    })),
  };
}
