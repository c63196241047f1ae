import { coneBase, coneLine, developCone, neutralRim, radiusInside, type ConeLine } from '../../wall/cone.ts';
import { LENGTH_TOLERANCE, STRAIGHT_RADIUS } from '../../numbers.ts';
import { shortValue, type Fault } from '../../errors.ts';
import { bandPart } from '../../part/bandPart.ts';
import { discPart } from '../../part/discPart.ts';
import { seamAllowance } from '../../seam/seam.ts';
import { frustum, type Reach, type Standing } from '../standing.ts';
import type { Target } from '../target.ts';
import { toWet } from '../wetSize.ts';
import type { BandFigures, DevelopedForm, FormKindWork } from './kind.ts';

/** One cone of a round piece: its outer line, and the wet heights between which it stands. */
interface Cone {
  readonly line: ConeLine;
  readonly from: number;
  readonly to: number;
}

/** The wet profile: heights, and radii over the measured face. */
function profileOf(target: Target): (readonly [height: number, radius: number])[] {
  const { form } = target;
  if (form.kind === 'taper') {
    return [
      [0, toWet(form.foot, target) / 2],
      [toWet(form.height, target), toWet(form.rim, target) / 2],
    ];
  }
  if (form.kind !== 'stack') return [];
  const points = form.profile.map(([height, across]) => [toWet(height, target), toWet(across, target) / 2] as const);
  // Bands of equal angle are one band.
  return points.filter((point, index) => {
    const before = points[index - 1];
    const after = points[index + 1];
    if (!before || !after) return true;
    const bend = (point[1] - before[1]) * (after[0] - point[0]) - (after[1] - point[1]) * (point[0] - before[0]);
    return Math.abs(bend) > LENGTH_TOLERANCE * LENGTH_TOLERANCE * (after[0] - before[0]) ** 2;
  });
}

/** The cones from below; only the highest ends in the rim, every joint is level. */
function conesOf(target: Target): Cone[] {
  const profile = profileOf(target);
  const last = profile.length - 2;
  return profile.slice(0, -1).map(([from, foot], index) => {
    const [to, rim] = profile[index + 1] ?? [from, foot];
    const line = coneLine({
      rim,
      foot,
      height: to - from,
      wall: target.slab.wall,
      face: target.size.face,
      rimCut: index === last ? target.rim : 'level',
    });
    // The line is kept by its radius at the table, so that all cones share one height.
    return { line: { ...line, radius: line.radius - from * Math.tan(line.halfAngle) }, from, to };
  });
}

function standing(target: Target): Standing {
  const cones = conesOf(target);
  const t = target.slab.wall;
  const floor = target.base.join === 'none' ? 0 : target.slab.base;
  const reach = (z: number, radius: number): Reach => [z, -radius, radius];
  const top = cones.at(-1) as Cone;
  // A square rim slants: on a flare its outer edge is the lower one, else its inner edge.
  const drop = target.rim === 'square' ? t * Math.sin(top.line.halfAngle) : 0;
  const end = (cone: Cone, lower: number) => (cone === top ? cone.to - Math.max(0, lower) : cone.to);
  const side = (cone: Cone, from: number, depth: number, lower: number): Reach[] =>
    [from, end(cone, lower)].map((z) => reach(z, radiusInside(cone.line, z, depth)));
  const sides = cones.flatMap((cone) => side(cone, cone.from, 0, drop));
  const rim = sides.at(-1) as Reach;
  const outer = drop > 0 ? [...sides, reach(top.to, radiusInside(top.line, top.to, t))] : sides;
  const hollow = cones
    .filter(({ to }) => to > floor)
    .flatMap((cone) => side(cone, Math.max(cone.from, floor), t, -drop));
  let hollowVolume = 0;
  for (let index = 0; index < hollow.length; index += 2) {
    const [low, high] = [hollow[index], hollow[index + 1]] as [Reach, Reach];
    hollowVolume += frustum(low[2], high[2], high[0] - low[0]);
  }
  return { height: cones.at(-1)?.to ?? 0, floor, outer, rim, hollow, hollowVolume };
}

const finite = (radius: number) => (radius >= STRAIGHT_RADIUS * 1e6 ? null : radius);

function develop(target: Target): DevelopedForm {
  const { slab, seam, base, rim } = target;
  const { wall: t, neutralFraction: k, faceUp } = slab;
  const cones = conesOf(target);
  const first = cones[0] as Cone;
  const foot = coneBase(first.line, base, { wall: t, floor: slab.base, neutralFraction: k });
  const bands = cones.map(({ line, from, to }, index) => {
    const top = index === cones.length - 1 ? neutralRim(line, to, { rim, wall: t, k }) : to;
    return developCone(line, { from: index === 0 ? foot.start : from, to: top, depth: (1 - k) * t });
  });
  const figures: BandFigures[] = bands.map((band) => ({
    ...band,
    arcFoot: finite(band.arcFoot),
    arcRim: finite(band.arcRim),
  }));
  const single = bands.length === 1;
  const parts = bands.map((band, index) =>
    bandPart({
      id: single ? 'wall' : `wall-${index + 1}`,
      name: single ? 'Wall' : `Wall ${index + 1}`,
      letter: String.fromCharCode(65 + index),
      ...band,
      footLean: index === 0 ? foot.footLean : -band.halfAngle,
      rimLean: index === bands.length - 1 && rim === 'square' ? 0 : band.halfAngle,
      thickness: t,
      neutralFraction: k,
      seam,
      faceUp,
    }),
  );
  if (foot.disc) parts.push(discPart({ ...foot.disc, thickness: slab.base, faceUp }));
  const girths = bands.flatMap(({ girthFoot, girthRim }) => [girthFoot, girthRim]);
  return {
    numbers: {
      ...(single ? figures[0] : { bands: figures }),
      ...(foot.disc && { baseDiameter: foot.disc.under, baseTopDiameter: foot.disc.top }),
      bevelRun: seamAllowance(seam, t).run,
    },
    parts,
    bendRadius: Math.min(...girths) / (2 * Math.PI),
  };
}

function faults(target: Target): Fault[] {
  const found: Fault[] = [];
  const { form, slab } = target;
  if (form.kind === 'stack') {
    form.profile.forEach(([height], index) => {
      const before = form.profile[index - 1];
      const rule =
        index === 0 ? 'the profile must start at height 0' : 'each point must stand higher than the one before';
      if (index === 0 ? height !== 0 : before && height <= before[0]) {
        found.push({ code: 'impossible-piece', path: `form.profile.${index}.0`, value: shortValue(height), rule });
      }
    });
    if (found.length > 0) return found;
  }
  const piece = standing(target);
  if (target.base.join !== 'none' && (conesOf(target)[0]?.to ?? 0) <= slab.base) {
    const path = form.kind === 'stack' ? 'form.profile' : 'form.height';
    const rule = `must stand higher than the base is thick (${slab.base} mm wet)`;
    found.push({ code: 'impossible-piece', path, value: shortValue(piece.height), rule });
    return found;
  }
  if (piece.hollow.some(([, , radius]) => !(radius > 0))) {
    found.push({
      code: 'impossible-piece',
      path: 'slab.wall',
      value: shortValue(slab.wall),
      rule: 'leaves nothing inside where the piece is narrowest',
    });
  }
  return found;
}

/** Tapers and stacked tapers: everything that is made of cones. */
export const roundKind: FormKindWork<Target> = { standing, develop, faults };
