import { developCone, radiusInside } from '../../parts/wall/cone.ts';
import { STRAIGHT_RADIUS } from '../../numbers.ts';
import { shortValue, type Fault } from '../../errors.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import { bandPart, bandSweep, type Band } from '../../parts/part/bandPart.ts';
import { discPart } from '../../parts/part/discPart.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import type { Seam } from '../../target/seam.ts';
import { frustum, type Reach, type Standing } from '../kind/standing.ts';
import type { Target } from '../../target/target.ts';
import type { BandFigures, DevelopedForm, FormKindWork } from '../kind/kind.ts';
import { taperedBody } from './roundBody.ts';
import { explainCone } from './coneSteps.ts';
import { bellyFaults, pushedOut } from './belly.ts';
import { bandsOf, conesOf, type Cone } from './bands.ts';

function straightStanding(target: Target): Standing {
  const cones = conesOf(target);
  const t = target.slab.wall;
  const floor = target.base.join === 'none' ? 0 : target.slab.base;
  const reach = (z: number, radius: number): Reach => [z, -radius, radius];
  const top = cones.at(-1) as Cone;
  // A square rim slants: on a flare its outer edge is the lower one, else its inner edge.
  const drop = target.rim === 'square' ? t * Math.sin(top.line.halfAngle) : 0;
  const end = (cone: Cone, lower: number) => (cone === top ? cone.to - Math.max(0, lower) : cone.to);
  const side = (
    cone: Cone,
    { from, depth, lower }: { readonly from: number; readonly depth: number; readonly lower: number },
  ): Reach[] => [from, end(cone, lower)].map((z) => reach(z, radiusInside(cone.line, z, depth)));
  const sides = cones.flatMap((cone) => side(cone, { from: cone.from, depth: 0, lower: drop }));
  const rim = sides.at(-1) as Reach;
  const outer = drop > 0 ? [...sides, reach(top.to, radiusInside(top.line, top.to, t))] : sides;
  const hollow = cones
    .filter(({ to }) => to > floor)
    .flatMap((cone) => side(cone, { from: Math.max(cone.from, floor), depth: t, lower: -drop }));
  let hollowVolume = 0;
  for (let index = 0; index < hollow.length; index += 2) {
    const [low, high] = [hollow[index], hollow[index + 1]] as [Reach, Reach];
    hollowVolume += frustum(low[2], high[2], high[0] - low[0]);
  }
  const height = cones.at(-1)?.to ?? 0;
  const upper = hollow.filter(([z]) => z >= height / 2).map(([, , radius]) => 2 * radius);
  const narrowest = Math.min(...upper);
  const widest = 2 * Math.max(...outer.map(([, , right]) => right));
  const circleAt = (z: number, depth: number) => {
    const cone = cones.find(({ to }) => z <= to) ?? top;
    return supportOf({ kind: 'circle', diameter: 2 * radiusInside(cone.line, z, depth) });
  };
  const section = (z: number) => ({ outer: circleAt(z, 0), inner: circleAt(z, t) });
  const [mouth, across] = [[narrowest, narrowest] as const, [widest, widest] as const];
  return { height, floor, outer, rim, hollow, mouth, across, section, hollowVolume };
}

/** How much lower one edge of a square rim lies than the other (mm). */
function slanted({ rim, slab }: Target, { line }: Cone): number {
  return rim === 'square' ? slab.wall * Math.abs(Math.sin(line.halfAngle)) : 0;
}

const standing = (target: Target): Standing => pushedOut(target, straightStanding(target));

const finite = (radius: number) => (radius >= STRAIGHT_RADIUS * 1e6 ? null : radius);

/** The wall's cones on their neutral surface, from below. */
function conesCut(target: Target) {
  const { wall: t, neutralFraction: k } = target.slab;
  return bandsOf(target).bands.map(({ line, from, to }) => developCone(line, { from, to, depth: (1 - k) * t }));
}

/** ... and as flat bands. */
function flatBands(target: Target): Band[] {
  const { slab, seam } = target;
  const { wall: thickness, neutralFraction, faceUp } = slab;
  const { bands: cut } = bandsOf(target);
  const single = cut.length === 1;
  return conesCut(target).map((band, index) => ({
    id: single ? 'wall' : `wall-${index + 1}`,
    name: single ? 'Wall' : `Wall ${index + 1}`,
    letter: String.fromCharCode(65 + index),
    ...band,
    footLean: cut[index]?.footLean ?? 0,
    rimLean: cut[index]?.rimLean ?? 0,
    thickness,
    neutralFraction,
    seam,
    faceUp,
  }));
}

function develop(target: Target): DevelopedForm {
  const { slab, seam } = target;
  const { wall: t, faceUp } = slab;
  const { foot } = bandsOf(target);
  const bands = conesCut(target);
  const figures: BandFigures[] = bands.map((band) => ({
    ...band,
    arcFoot: finite(band.arcFoot),
    arcRim: finite(band.arcRim),
  }));
  const flat = flatBands(target);
  const parts = flat.map(bandPart);
  if (foot.disc) parts.push(discPart({ ...foot.disc, thickness: slab.base, faceUp }));
  const girths = bands.flatMap(({ girthFoot, girthRim }) => [girthFoot, girthRim]);
  return {
    numbers: {
      ...(figures.length === 1 ? figures[0] : { bands: figures }),
      ...(foot.disc && { baseDiameter: foot.disc.under, baseTopDiameter: foot.disc.top }),
      bevelRun: seamAllowance(seam, t).run,
    },
    parts,
    bendRadius: Math.min(...girths) / (2 * Math.PI),
    flatSweep: Math.max(...flat.map(bandSweep)),
  };
}

/** Why a band has no flat outline: a level edge of a nearly flat one runs past the arcs' centre, or its seam takes too much. */
function flatFaults(target: Target): Fault[] {
  const { seam, slab, form } = target;
  const endless = (one: Seam) => flatBands({ ...target, seam: one }).some((band) => bandSweep(band) === Infinity);
  if (!endless(seam)) return [];
  const fault = (path: string, value: number, rule: string): Fault[] => [
    { code: 'impossible-piece', path, value: shortValue(value), rule },
  ];
  if (endless({ kind: 'butt', panels: seam.panels })) {
    const path = form.kind === 'stack' ? 'form.profile' : 'form.height';
    const rule = 'lies too flat: a level edge through the slab would reach past the middle of the flat arc';
    return fault(path, straightStanding(target).height, rule);
  }
  const rule = 'takes more than the smaller arc of the flat wall has: choose less, or a butt';
  if (seam.kind === 'bevel') return fault('seam.angle', seam.angle, rule);
  if (seam.kind === 'cut-in-place') return fault('seam.margin', seam.margin, rule);
  return fault('seam.overlap', seamAllowance(seam, slab.wall).added, rule);
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
  const piece = straightStanding(target);
  if (target.base.join !== 'none' && (conesOf(target)[0]?.to ?? 0) <= slab.base) {
    const path = form.kind === 'stack' ? 'form.profile' : 'form.height';
    const rule = `must stand higher than the base is thick (${slab.base} mm wet)`;
    found.push({ code: 'impossible-piece', path, value: shortValue(piece.height), rule });
    return found;
  }
  const top = conesOf(target).at(-1) as Cone;
  const lower = piece.height - slanted(target, top);
  const under = Math.max(top.from, target.base.join === 'none' ? 0 : slab.base);
  if (found.length === 0 && lower <= under) {
    const path = form.kind === 'stack' ? 'form.profile' : 'form.height';
    const what = under > top.from ? 'the floor' : 'where its uppermost band begins';
    const rule = `is too low for a rim cut square: its lower edge would lie under ${what}; cut the rim level or make it higher`;
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
  if (found.length === 0) found.push(...flatFaults(target));
  return found.length > 0 ? found : bellyFaults(target);
}

/** Tapers and stacked tapers: everything that is made of cones. */
export const coneWork = {
  standing,
  develop,
  faults,
  body: taperedBody,
  explain: explainCone,
} satisfies Partial<FormKindWork>;
