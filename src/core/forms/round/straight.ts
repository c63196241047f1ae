import { shortValue, type Fault } from '../../errors.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import { bandPart } from '../../parts/part/bandPart.ts';
import { discPart } from '../../parts/part/discPart.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import { frustum, type Reach, type Standing } from '../kind/standing.ts';
import type { Target } from '../../target/target.ts';
import { cutWall, wetPiece } from './wetPiece.ts';
import { straightBody } from './roundBody.ts';
import { explainStraight } from './straightSteps.ts';
import { bellyFaults, pushedOut } from './belly.ts';
import type { DevelopedForm, FormKindWork } from '../kind/kind.ts';

function straightStanding(target: Target): Standing {
  const piece = wetPiece(target);
  const reach = (z: number, across: number): Reach => [z, -across / 2, across / 2];
  return {
    height: piece.height,
    floor: piece.floor,
    outer: [reach(0, piece.outside), reach(piece.height, piece.outside)],
    rim: reach(piece.height, piece.outside),
    hollow: [reach(piece.floor, piece.inside), reach(piece.height, piece.inside)],
    mouth: [piece.inside, piece.inside],
    across: [piece.outside, piece.outside],
    section: () => ({
      outer: supportOf({ kind: 'circle', diameter: piece.outside }),
      inner: supportOf({ kind: 'circle', diameter: piece.inside }),
    }),
    hollowVolume: frustum(piece.inside / 2, piece.inside / 2, piece.height - piece.floor),
  };
}

const standing = (target: Target): Standing => pushedOut(target, straightStanding(target));

function develop(target: Target): DevelopedForm {
  const { slab, seam } = target;
  const piece = wetPiece(target);
  const wall = cutWall(target);
  const { disc } = wall;
  const { faceUp, neutralFraction } = slab;
  return {
    numbers: {
      wrapLength: wall.wrapLength,
      wallHeight: wall.wallHeight,
      ...(disc && { baseDiameter: disc.under, baseTopDiameter: disc.top }),
      bevelRun: seamAllowance(seam, slab.wall).run,
      outsideDiameter: piece.outside,
      neutralDiameter: wall.neutral,
    },
    parts: [
      bandPart({
        id: 'wall',
        name: 'Wall',
        letter: 'A',
        girthFoot: wall.wrapLength,
        girthRim: wall.wrapLength,
        slant: wall.wallHeight,
        footLean: wall.footLean,
        rimLean: 0,
        thickness: slab.wall,
        neutralFraction,
        seam,
        faceUp,
      }),
      ...(disc ? [discPart({ ...disc, thickness: slab.base, faceUp })] : []),
    ],
    bendRadius: wall.neutral / 2,
  };
}

function faults(target: Target): Fault[] {
  const piece = wetPiece(target);
  const found: Fault[] = [];
  if (piece.inside <= 0) {
    found.push({
      code: 'impossible-piece',
      path: 'slab.wall',
      value: shortValue(target.slab.wall),
      rule: `must be less than half the wet outside diameter (${(piece.outside / 2).toFixed(1)} mm), or nothing is left inside`,
    });
  }
  if (piece.height <= piece.floor) {
    found.push({
      code: 'impossible-piece',
      path: 'form.height',
      value: shortValue('height' in target.form ? target.form.height : 0),
      rule: `must stand higher than the base is thick (${piece.floor.toFixed(1)} mm wet)`,
    });
  }
  return found.length > 0 ? found : bellyFaults(target);
}

/** Straight round walls: by a size, or round a former. */
export const straightWork = {
  standing,
  develop,
  faults,
  body: straightBody,
  explain: explainStraight,
} satisfies Partial<FormKindWork>;
