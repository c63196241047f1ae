import { checkBend } from '../checks/bend.ts';
import type { Check } from '../checks/check.ts';
import { checkThickness } from '../checks/thickness.ts';
import { FaultError } from '../errors.ts';
import { discPart } from '../part/discPart.ts';
import type { Part } from '../part/part.ts';
import { seamAllowance } from '../seam/seam.ts';
import { slabsNeeded, type SlabNeeded } from '../slab/slabNeeded.ts';
import { writePhrase } from '../units/phrase.ts';
import { developCylinder } from '../wall/cylinder.ts';
import { straightWallPart } from '../wall/wallPart.ts';
import { checkTarget } from './checkTarget.ts';
import { finished, type Finished } from './finished.ts';
import type { Target } from './target.ts';
import { wetPiece } from './wetPiece.ts';

/** Wet mm of the neutral surface. */
export interface CylinderNumbers {
  readonly wrapLength: number;
  readonly wallHeight: number;
  /** Under face of the base; absent when there is none. */
  readonly baseDiameter?: number;
  /** Upper face of the base; absent when there is none. */
  readonly baseTopDiameter?: number;
  /** Slab taken beyond the wrap by a slanted seam; 0 for an upright one. */
  readonly bevelRun: number;
  readonly outsideDiameter: number;
  readonly neutralDiameter: number;
}

/** A piece of advice in the result: `text` is in mm, `phrase` keeps its figures for another unit. */
export interface CheckResult extends Check {
  readonly text: string;
}

/** The result of developing a target; see docs/format.md. */
export interface Development {
  readonly numbers: CylinderNumbers;
  readonly parts: readonly Part[];
  readonly slabs: readonly SlabNeeded[];
  readonly finished: Finished;
  readonly checks: readonly CheckResult[];
}

/**
 * Develops a target into flat parts (geometry: cylinder, seams, edges). All lengths wet mm unless they say fired.
 *
 * @throws FaultError with every fault when the target cannot be made
 * @example develop(newTarget('Rack tumbler')).numbers.wrapLength // 281.03
 */
export function develop(target: Target): Development {
  const faults = checkTarget(target);
  if (faults.length > 0) throw new FaultError(faults);
  const { slab, seam, base, clay } = target;
  const piece = wetPiece(target);
  const wall = developCylinder({
    outside: piece.outside,
    height: piece.height,
    wall: slab.wall,
    floor: slab.base,
    neutralFraction: slab.neutralFraction,
    base,
  });
  const { disc } = wall;
  const { faceUp, neutralFraction } = slab;
  const parts: Part[] = [straightWallPart({ ...wall, thickness: slab.wall, neutralFraction, seam, faceUp })];
  if (disc) parts.push(discPart({ ...disc, thickness: slab.base, faceUp }));
  const checks = [
    checkBend({ thickness: slab.wall, neutralRadius: wall.neutral / 2, neutralFraction }),
    disc && checkThickness(slab.wall, slab.base),
  ];
  return {
    numbers: {
      wrapLength: wall.wrapLength,
      wallHeight: wall.wallHeight,
      ...(disc && { baseDiameter: disc.under, baseTopDiameter: disc.top }),
      bevelRun: seamAllowance(seam, slab.wall).run,
      outsideDiameter: piece.outside,
      neutralDiameter: wall.neutral,
    },
    parts,
    slabs: slabsNeeded(parts, clay.wetDensity),
    finished: finished(target, parts),
    checks: checks
      .filter((check) => check !== null)
      .map((check) => ({ ...check, text: writePhrase(check.phrase, { unit: 'mm' }) })),
  };
}
