import { shortValue, type Fault } from '../../errors.ts';
import { degrees, TAU } from '../../numbers.ts';
import { circle } from '../../geometry/outline/support.ts';
import { discPart } from '../../parts/part/discPart.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import type { Target } from '../../target/target.ts';
import type { DevelopedForm } from '../kind/kind.ts';
import { prismoid, type Reach, type Standing } from '../kind/standing.ts';
import { goreBase, goreSeam, goresOf, goreSpan, goreWall, radiusAt } from './goreWall.ts';
import { lengthAlong } from './side.ts';
import { edgeStrain, stripPart, type Strip } from './strip.ts';

/** Levels at which the standing piece is drawn and measured. */
const LEVELS = 48;

/** Places between two heights on a face, as radii at heights, close together where the side lies flat. */
function faceBetween(
  target: Target,
  out: number,
  { low, high }: { readonly low: number; readonly high: number },
): Reach[] {
  const { side } = goreWall(target);
  const [from, to] = [side.uAt(low, out), side.uAt(high, out)];
  return Array.from({ length: LEVELS + 1 }, (_, step): Reach => {
    const { radius, z } = side.at(from + ((to - from) * step) / LEVELS, out);
    const height = step === 0 ? low : step === LEVELS ? high : z;
    return [height, -radius, radius];
  });
}

/** The piece as it stands; its rim is level. */
export function standing(target: Target): Standing {
  const wall = goreWall(target);
  const { height, floor } = wall;
  const outer = faceBetween(target, wall.outer, { low: 0, high: height });
  const hollow = faceBetween(target, wall.inner, { low: floor, high: height });
  const innerAt = (z: number) => radiusAt(wall, z, wall.inner);
  let hollowVolume = 0;
  for (let index = 1; index < hollow.length; index += 1) {
    const [low, high] = [hollow[index - 1] as Reach, hollow[index] as Reach];
    hollowVolume += prismoid((z) => Math.PI * innerAt(z) ** 2, low[0], high[0]);
  }
  const mouth = 2 * Math.min(...hollow.filter(([z]) => z >= height / 2).map(([, , radius]) => radius));
  const widest = 2 * Math.max(...outer.map(([, , radius]) => radius));
  return {
    height,
    floor,
    outer,
    rim: outer.at(-1) as Reach,
    hollow,
    mouth: [mouth, mouth],
    across: [widest, widest],
    section: (z) => ({ outer: circle(radiusAt(wall, z, wall.outer)), inner: circle(innerAt(z)) }),
    hollowVolume,
  };
}

/** The strip of a target on its neutral surface. */
export function stripOf(target: Target): Strip {
  const { slab } = target;
  const { side, neutral } = goreWall(target);
  const { from, to } = goreSpan(target);
  return {
    side,
    neutral,
    from,
    to,
    strips: goresOf(target).strips,
    footLean: goreBase(target).footLean,
    rimLean: degrees(side.at(to, neutral).slope),
    thickness: slab.wall,
    neutralFraction: slab.neutralFraction,
    seam: goreSeam(target),
    faceUp: slab.faceUp,
  };
}

/** Least radius that the slab is bent to, along the strip or across it, and the strip's greatest width (mm). */
function bends({ side, neutral, from, to, strips }: Strip): { readonly tightest: number; readonly widest: number } {
  let [tightest, widest] = [Infinity, 0];
  for (let step = 0; step <= LEVELS; step += 1) {
    const u = from + ((to - from) * step) / LEVELS;
    const { radius } = side.at(u, neutral);
    const along = Math.abs(side.speedAt(u, neutral) / side.turnAt(u));
    tightest = Math.min(tightest, radius, along);
    widest = Math.max(widest, (TAU * radius) / strips);
  }
  return { tightest, widest };
}

/** The strips and the base disc. */
export function develop(target: Target): DevelopedForm {
  const { slab } = target;
  const strip = stripOf(target);
  const { side, neutral, from, to, strips } = strip;
  const { disc } = goreBase(target);
  const girth = (u: number) => TAU * side.at(u, neutral).radius;
  const slant = lengthAlong(side, neutral, { from, to });
  const { tightest, widest } = bends(strip);
  const strain = edgeStrain(strip);
  const [panelFoot, panelRim] = [girth(from) / strips, girth(to) / strips];
  return {
    numbers: {
      slant,
      girthFoot: girth(from),
      girthRim: girth(to),
      panelFoot,
      panelRim,
      panelWidest: widest,
      edgeExcess: strain.excess,
      edgeGather: strain.most,
      ...(disc && { baseDiameter: disc.under, baseTopDiameter: disc.top }),
      bevelRun: seamAllowance(strip.seam, slab.wall).run,
    },
    parts: [stripPart(strip), ...(disc ? [discPart({ ...disc, thickness: slab.base, faceUp: slab.faceUp })] : [])],
    bendRadius: tightest,
  };
}

/** A wall closer to level than this is no wall (degrees from upright). */
const STEEPEST = 80;

function impossible(path: string, value: unknown, rule: string): Fault[] {
  return [{ code: 'impossible-piece', path, value: shortValue(value), rule }];
}

/** Why the points or the ball are no side of a piece. */
function sideFaults(target: Target): Fault[] {
  const form = goresOf(target);
  const wall = goreWall(target);
  const low = `must stand higher than the base is thick (${wall.floor} mm wet)`;
  if ('ball' in form) {
    if (form.foot >= form.ball) return impossible('form.foot', form.foot, 'must be narrower than the ball');
    if (wall.height <= wall.floor) return impossible('form.height', form.height, low);
    const reaches = [wall.outer, wall.inner].every((out) => Number.isFinite(wall.side.uAt(wall.height, out)));
    return reaches ? [] : impossible('form.height', form.height, 'reaches past the top of the ball');
  }
  for (const [index, [height]] of form.profile.entries()) {
    const before = form.profile[index - 1];
    const path = `form.profile.${index}.0`;
    if (!before && height !== 0) return impossible(path, height, 'the profile must start at height 0');
    if (before && height <= before[0])
      return impossible(path, height, 'each point must stand higher than the one before');
  }
  const [first, second] = wall.side.joints;
  if ((second ?? 0) <= Math.max(first ?? 0, wall.floor))
    return impossible('form.profile.1.0', form.profile[1]?.[0], low);
  return [];
}

/** Reasons why no strips make it. */
export function faults(target: Target): Fault[] {
  const found = sideFaults(target);
  if (found.length > 0) return found;
  const wall = goreWall(target);
  const form = goresOf(target);
  const path = 'ball' in form ? 'form.height' : 'form.profile';
  const steps = Array.from({ length: 4 * LEVELS + 1 }, (_, step) => step / (4 * LEVELS));
  // On a base the inner face begins at the floor.
  const low = target.base.join === 'inside' ? 0 : wall.floor;
  for (const [out, start] of [
    [wall.outer, 0],
    [wall.inner, low],
  ] as const) {
    const [from, to] = [wall.side.uAt(start, out), wall.side.uAt(wall.height, out)];
    if (!Number.isFinite(from) || !Number.isFinite(to)) return impossible(path, wall.height, 'has no wall at its foot');
    for (const step of steps) {
      const u = from + (to - from) * step;
      const { radius, slope } = wall.side.at(u, out);
      if (wall.side.speedAt(u, out) <= 0)
        return impossible('slab.wall', target.slab.wall, 'is thicker than the tightest curve of the side allows');
      if (radius <= 0)
        return impossible('slab.wall', target.slab.wall, 'leaves nothing inside where the piece is narrowest');
      if (Math.abs(degrees(slope)) > STEEPEST)
        return impossible(path, wall.height, `leans more than ${STEEPEST}° from upright: no strip stands like that`);
    }
  }
  return [];
}
