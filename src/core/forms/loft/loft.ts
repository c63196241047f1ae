import { shortValue, type Fault } from '../../errors.ts';
import { once, TAU } from '../../numbers.ts';
import { grownPlan, scaledDrawn, supportOf } from '../../parts/plan/plan.ts';
import type { PlanOutline } from '../../target/plan.ts';
import { rememberedSupport } from '../../geometry/outline/derived.ts';
import { type Support } from '../../geometry/outline/support.ts';
import { girth, leastRadius } from '../../geometry/outline/planMeasures.ts';
import { bandPart } from '../../parts/part/bandPart.ts';
import { loftPart } from '../../parts/part/loftPart.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import { sectionAt, slopeAt, type LoftWall } from '../../parts/wall/loft.ts';
import { acrossOf, hollowOf, mouthOf, reachOf, widestOf, type Standing } from '../kind/standing.ts';
import type { Target } from '../../target/target.ts';
import { measuredFrom, toWet } from '../kind/wetSize.ts';
import type { DevelopedForm, FormKindWork } from '../kind/kind.ts';
import { explainLoft } from './loftSteps.ts';
import { levelBase } from '../kind/levelBase.ts';
import { loftPlaces, loftShares, ovalPlaces } from './loftPlaces.ts';

/** The two plan outlines of the target as they are meant, in mm over the measured face. */
function plansOf({ form }: Target): { rim: PlanOutline; foot: PlanOutline; height: number } {
  if (form.kind === 'loft') return form;
  if (form.kind !== 'oval') throw new TypeError(`a ${form.kind} has no plan outlines`);
  const plan: PlanOutline = { kind: 'ellipse', length: form.length, width: form.width };
  return { rim: plan, foot: plan, height: form.height };
}

/** The floor's outline with its length and width continued below it (mm); unchanged where nothing would be left. */
function withAcross(floor: PlanOutline, rim: PlanOutline, on: (low: number, high: number) => number): PlanOutline {
  const [own, over] = [acrossOf(supportOf(floor)), acrossOf(supportOf(rim))];
  const [length, width] = [on(own[0], over[0]), on(own[1], over[1])];
  if (!(length > 0) || !(width > 0)) return floor;
  switch (floor.kind) {
    case 'circle':
      return { ...floor, diameter: length };
    case 'ellipse':
      return { ...floor, length, width };
    case 'rounded':
      return { ...floor, length, width, corner: Math.min(floor.corner, length / 2, width / 2) };
    case 'polygon':
      return { ...floor, acrossFlats: (floor.acrossFlats * length) / own[0], corner: (floor.corner * length) / own[0] };
    case 'drawn':
      return scaledDrawn(floor, length / own[0]);
  }
}

/**
 * The outline on the table of a wall that is given by the outline on its floor: each measure continues as between floor and
 * rim. Between outlines of different kinds that is not possible: the outline on the table is then of the floor's kind, with
 * the length and width that give the floor the wanted ones.
 *
 * @param share how far the table lies under the floor, over the floor's distance from the rim
 */
function footUnder(floor: PlanOutline, rim: PlanOutline, share: number): PlanOutline {
  const on = (low = 0, high = 0) => low - share * (high - low);
  const at = [on(floor.at?.[0], rim.at?.[0]), on(floor.at?.[1], rim.at?.[1])] as const;
  if (floor.kind === 'circle' && rim.kind === 'circle')
    return { ...floor, diameter: on(floor.diameter, rim.diameter), at };
  if (
    floor.kind === 'polygon' &&
    rim.kind === 'polygon' &&
    floor.sides === rim.sides &&
    on(floor.corner, rim.corner) >= 0
  ) {
    return { ...floor, acrossFlats: on(floor.acrossFlats, rim.acrossFlats), corner: on(floor.corner, rim.corner), at };
  }
  if (floor.kind === 'rounded' && rim.kind === 'rounded' && on(floor.corner, rim.corner) >= 0) {
    return {
      ...floor,
      length: on(floor.length, rim.length),
      width: on(floor.width, rim.width),
      corner: on(floor.corner, rim.corner),
      at,
    };
  }
  return { ...withAcross(floor, rim, on), at };
}

/** The outer wall, wet. Sizes over the inside grow along each normal by the wall as it slopes there. */
export const wallOf = once((target: Target): LoftWall => {
  const { rim, foot: floor, height } = plansOf(target);
  const wet = toWet(1, target);
  const share = measuredFrom(target) / (toWet(height, target) - measuredFrom(target));
  const foot = rim === floor ? rim : footUnder(floor, rim, share);
  const low = supportOf(grownPlan(foot, wet));
  const wall = {
    foot: low,
    rim: rim === foot ? low : supportOf(grownPlan(rim, wet)),
    height: toWet(height, target),
    thickness: target.slab.wall,
  };
  if (target.size.face === 'outside') return wall;
  const grown = (z: number) => rememberedSupport(sectionAt(wall, z, -wall.thickness));
  const outer = grown(0);
  return { ...wall, foot: outer, rim: rim === foot ? outer : grown(wall.height) };
});

function standing(target: Target): Standing {
  const wall = wallOf(target);
  const floor = target.base.join === 'none' ? 0 : target.slab.base;
  const inner = (z: number) => sectionAt(wall, z, wall.thickness);
  return {
    height: wall.height,
    floor,
    outer: [reachOf(wall.foot, 0), reachOf(wall.rim, wall.height)],
    rim: reachOf(wall.rim, wall.height),
    hollow: [reachOf(inner(floor), floor), reachOf(inner(wall.height), wall.height)],
    mouth: mouthOf(inner(wall.height)),
    across: widestOf([acrossOf(wall.foot), acrossOf(wall.rim)]),
    section: (z) => ({ outer: sectionAt(wall, z, 0), inner: inner(z) }),
    hollowVolume: hollowOf(inner, floor, wall.height),
  };
}

/** The base of a lofted piece and where its wall starts (wet mm). */
export function loftBase(target: Target, wall: LoftWall) {
  return levelBase({ outerAt: (z) => sectionAt(wall, z, 0), slopeAt: (phi) => slopeAt(wall, phi), target });
}

function baseFigures(under: Support | null, top: Support | null) {
  if (!under || !top) return {};
  const across = (shape: Support, phi: number) => shape.h(phi) + shape.h(phi + Math.PI);
  return { baseDiameter: across(under, 0), baseTopDiameter: across(top, 0), baseWidth: across(under, Math.PI / 2) };
}

function developOval(target: Target, wall: LoftWall): DevelopedForm {
  const { slab, seam } = target;
  const { start, footLean, under, top, part } = loftBase(target, wall);
  const neutral = sectionAt(wall, 0, (1 - slab.neutralFraction) * slab.wall);
  const wrapLength = girth(neutral);
  const wallHeight = wall.height - start;
  const band = bandPart({
    id: 'wall',
    name: 'Wall',
    letter: 'A',
    girthFoot: wrapLength,
    girthRim: wrapLength,
    slant: wallHeight,
    footLean: footLean + 0,
    rimLean: 0,
    thickness: slab.wall,
    neutralFraction: slab.neutralFraction,
    seam,
    faceUp: slab.faceUp,
  });
  return {
    numbers: { wrapLength, wallHeight, ...baseFigures(under, top), bevelRun: seamAllowance(seam, slab.wall).run },
    parts: part ? [band, part] : [band],
    bendRadius: leastRadius(neutral),
    placeAt: ovalPlaces(neutral, seam.panels),
  };
}

function developLoft(target: Target, wall: LoftWall): DevelopedForm {
  const { slab, seam } = target;
  const { start: from, footLeanAt, under, top, part } = loftBase(target, wall);
  const depth = (1 - slab.neutralFraction) * slab.wall;
  const sweep = TAU / seam.panels;
  const panels = Array.from({ length: seam.panels }, (_, index) =>
    loftPart({
      wall,
      id: seam.panels === 1 ? 'wall' : `wall-${index + 1}`,
      name: seam.panels === 1 ? 'Wall' : `Wall ${index + 1}`,
      letter: String.fromCharCode(65 + index),
      from,
      to: wall.height,
      start: index * sweep,
      footLeanAt,
      sweep,
      neutralFraction: slab.neutralFraction,
      seam,
      faceUp: slab.faceUp,
    }),
  );
  const placeAt = loftPlaces(panels);
  const total = (figure: 'girthFoot' | 'girthRim' | 'area') => panels.reduce((sum, { flat }) => sum + flat[figure], 0);
  const [girthFoot, girthRim, area] = [total('girthFoot'), total('girthRim'), total('area')];
  return {
    numbers: { girthRim, girthFoot, area, ...baseFigures(under, top), bevelRun: seamAllowance(seam, slab.wall).run },
    parts: [...panels.map((panel) => panel.part), ...(part ? [part] : [])],
    bendRadius: Math.min(leastRadius(sectionAt(wall, from, depth)), leastRadius(sectionAt(wall, wall.height, depth))),
    placeAt,
    ...(seam.panels > 1 && { shareAt: loftShares(wall, target, { from, placeAt }) }),
  };
}

function develop(target: Target): DevelopedForm {
  const wall = wallOf(target);
  return target.form.kind === 'oval' ? developOval(target, wall) : developLoft(target, wall);
}

/** Least width of an outline across any direction (mm), by every fifth degree; below 0 where it has turned over. */
function narrowest(shape: Support): number {
  let least = Infinity;
  for (let step = 0; step < 36; step += 1) {
    const phi = (step * Math.PI) / 36;
    least = Math.min(least, shape.h(phi) + shape.h(phi + Math.PI));
  }
  return least;
}

function faults(target: Target): Fault[] {
  const wall = wallOf(target);
  const floor = target.base.join === 'none' ? 0 : target.slab.base;
  if (wall.height <= floor) {
    const rule = `must stand higher than the base is thick (${floor} mm wet)`;
    return [{ code: 'impossible-piece', path: 'form.height', value: shortValue(plansOf(target).height), rule }];
  }
  const inner = [sectionAt(wall, 0, wall.thickness), sectionAt(wall, wall.height, wall.thickness)];
  if (Math.min(...inner.map(narrowest)) <= 0) {
    return [
      {
        code: 'impossible-piece',
        path: 'slab.wall',
        value: shortValue(target.slab.wall),
        rule: 'leaves nothing inside where the piece is narrowest',
      },
    ];
  }
  const depth = (1 - target.slab.neutralFraction) * wall.thickness;
  const least = Math.min(leastRadius(sectionAt(wall, 0, depth)), leastRadius(sectionAt(wall, wall.height, depth)));
  if (least < -wall.thickness) {
    return [
      {
        code: 'impossible-piece',
        path: 'slab.wall',
        value: shortValue(target.slab.wall),
        rule: 'is thicker than the tightest curve of the outline allows',
      },
    ];
  }
  return [];
}

/** Ovals, and lofts between any two outlines. Their edges are cut level. */
export const loftWork = { standing, develop, faults, explain: explainLoft } satisfies Partial<FormKindWork>;
