import type { Blank } from '../forms/kind/blank.ts';
import { DEFAULT_BENCH, type Bench } from '../advice/bench.ts';
import type { Check } from '../advice/check.ts';
import { checksOf } from '../advice/checks.ts';
import { FaultError } from '../errors.ts';
import { onDemand } from '../numbers.ts';
import { layBlank } from '../forms/mould/layBlank.ts';
import { blankFigures, type BlankFigures } from '../forms/mould/blankFigures.ts';
import { withProposal } from '../forms/mould/proposeDarts.ts';
import { standingVolume } from '../forms/bentSheet/bentSheet.ts';
import { keptArea } from '../forms/mould/blankPart.ts';
import { isDraped } from '../forms/mould/draped.ts';
import { markedParts } from '../bench/marks/marks.ts';
import { repeatsOf, type Repeat } from '../bench/marks/repeats.ts';
import type { Part } from '../parts/part/part.ts';
import type { Seam } from '../target/seam.ts';
import { slabsNeeded, type SlabNeeded } from '../bench/slab/slabNeeded.ts';
import { writePhrase } from '../units/phrase.ts';
import { additionsOf, type Additions, type Lump } from '../forms/additions.ts';
import { checkTarget } from '../forms/checkTarget.ts';
import { finished, type Finished } from './finished.ts';
import type { Numbers, DevelopedForm } from '../forms/kind/kind.ts';
import { developDraped } from '../forms/mould/drapedWork.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Target } from '../target/target.ts';

/** A piece of advice in the result: `text` is in mm, `phrase` keeps its figures for another unit. */
export interface CheckResult extends Check {
  readonly text: string;
}

/** A lump that is weighed out and not rolled, as a pulled handle's. */
export interface WeighedLump {
  readonly id: Lump['id'];
  readonly name: string;
  readonly count: number;
  /** Wet mass of one, with what is held and cut off (g). */
  readonly mass: number;
  /** Wet length of one when it has been drawn out (mm). */
  readonly length: number;
}

function weighed({ volume, ...lump }: Lump, wetDensity: number): WeighedLump {
  return { ...lump, mass: (volume / 1000) * wetDensity };
}

const volumeOf = (parts: readonly Part[]) => parts.reduce((sum, part) => sum + part.count * part.volume, 0);

/** The same piece without what is cut away after it has been joined: the trim of its base, the spare of a wall cut in place. */
function untrimmed(target: Target): Target | null {
  const { base, seam } = target;
  if (base.trim === 0 && seam.kind !== 'cut-in-place') return null;
  const bare: Seam = seam.kind === 'cut-in-place' ? { kind: 'butt', panels: seam.panels } : seam;
  return { ...target, base: { ...base, trim: 0 }, seam: bare };
}

/**
 * What is cut away once the piece is formed (mm3): the margin of a blank, the trim of a base, the spare of a wall; and what a
 * bent sheet loses or gains where its neutral surface does not lie in its middle, since its weight is that of what stands.
 */
function trimmedOf(target: Target, { blank, parts }: DevelopedForm): number {
  if (blank && isDraped(target)) return volumeOf(parts) - keptArea(target, blank) * target.slab.wall;
  const { form, slab } = target;
  if (form.kind === 'sheet') return volumeOf(parts) - standingVolume(form, slab.wall, slab.neutralFraction);
  const bare = untrimmed(target);
  return bare ? volumeOf(parts) - volumeOf(kindOf(bare).develop(bare).parts) : 0;
}

/** Figures of handle, feet and lid for the result. */
function additionNumbers({ handle }: Target, added: Additions): Partial<Numbers> {
  return {
    ...(handle &&
      added.handle && { handleLength: added.handle.cut, handleDrop: added.handle.curve.from - added.handle.curve.to }),
    ...(added.lid && { lidAcross: added.lid.across, flangeLength: added.lid.girth }),
  };
}

/** The result of developing a target; see docs/format.md. */
export interface Development {
  readonly numbers: Numbers;
  readonly parts: readonly Part[];
  /** Lumps that are not rolled: pulled handles. */
  readonly lumps?: readonly WeighedLump[];
  /** How the texture that is marked repeats along each edge. */
  readonly repeats?: readonly Repeat[];
  /** What the clay of a draped piece must do. */
  readonly blank?: BlankFigures;
  readonly slabs: readonly SlabNeeded[];
  readonly finished: Finished;
  readonly checks: readonly CheckResult[];
}

/**
 * Develops a target into flat parts (geometry: the form's own section, seams, edges). All lengths wet mm unless they say fired.
 *
 * @param bench the potter's hand and slab, which some of the advice rests on
 * @param blank the blank of a draped target as it was laid; a quick one is laid when it is left out, and with null it has
 *   no parts yet
 * @throws FaultError with every fault when the target cannot be made
 * @example develop(newTarget('Rack tumbler')).numbers.wrapLength // 281.03
 */
export function develop(target: Target, bench: Bench = DEFAULT_BENCH, blank?: Blank | null): Development {
  const faults = checkTarget(target);
  if (faults.length > 0) throw new FaultError(faults);
  const form = blank !== undefined && isDraped(target) ? developDraped(target, blank) : kindOf(target).develop(target);
  const { numbers } = form;
  const { marks } = target;
  const own = markedParts(target, form);
  const added = additionsOf(target);
  const parts = [...own, ...added.parts];
  // Values shown beside the pattern are computed at first use, so that the pattern does not wait for them.
  const slabs = onDemand(() => slabsNeeded(parts, target.clay.wetDensity));
  const whole = onDemand(() => finished(target, parts, trimmedOf(target, form)));
  const checks = onDemand(() =>
    checksOf(target, form, bench).map((check) => ({ ...check, text: writePhrase(check.phrase, { unit: 'mm' }) })),
  );
  return {
    numbers: { ...numbers, ...additionNumbers(target, added) },
    parts,
    ...(added.lumps.length > 0 && { lumps: added.lumps.map((lump) => weighed(lump, target.clay.wetDensity)) }),
    ...(marks?.repeat && { repeats: repeatsOf(own, marks.repeat, form.panels) }),
    ...(form.blank && { blank: blankFigures(form.blank) }),
    get slabs() {
      return slabs();
    },
    get finished() {
      return whole();
    },
    get checks() {
      return checks();
    },
  };
}

/** Develops a target as it is cut: a draped piece with its fine blank. Takes up to some seconds. */
export function developWhole(target: Target, bench: Bench = DEFAULT_BENCH): Development {
  if (!isDraped(target) || checkTarget(target).length > 0) return develop(target, bench);
  return develop(target, bench, withProposal(target, layBlank(target, 'fine')));
}
