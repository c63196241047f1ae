import { shortValue, type Fault } from '../../errors.ts';
import { degrees, radians } from '../../numbers.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import { inward } from '../../geometry/outline/derived.ts';
import { type Support } from '../../geometry/outline/support.ts';
import { acrossOf, hollowOf, mouthOf, reachOf, widestOf, type Standing } from '../kind/standing.ts';
import type { BoxForm, FacetForm, Target } from '../../target/target.ts';
import { measuredFrom, toWet } from '../kind/wetSize.ts';
import type { DevelopedForm, FormKindWork } from '../kind/kind.ts';
import { boxWalls, facetWalls } from './flatWalls.ts';
import { levelBase, type LevelBase } from '../kind/levelBase.ts';

/** The outer faces of a piece of flat panels: its plan at a height, and the slope of its walls (radians). */
export interface FlatPiece {
  readonly outerAt: (z: number) => Support;
  readonly slope: number;
  readonly height: number;
}

function facetPiece(form: FacetForm, target: Target): FlatPiece {
  const height = toWet(form.height, target);
  const start = measuredFrom(target);
  const slope = Math.atan((toWet(form.rim, target) - toWet(form.foot, target)) / 2 / (height - start));
  const extra = target.size.face === 'inside' ? target.slab.wall / Math.cos(slope) : 0;
  const apothem = (z: number) => toWet(form.foot, target) / 2 + extra + (z - start) * Math.tan(slope);
  const outerAt = (z: number) =>
    supportOf({ kind: 'polygon', sides: form.sides, acrossFlats: 2 * apothem(z), corner: 0 });
  return { outerAt, slope, height };
}

function boxPiece(form: BoxForm, target: Target): FlatPiece {
  const extra = target.size.face === 'inside' ? 2 * target.slab.wall : 0;
  const [length, width] = [toWet(form.length, target) + extra, toWet(form.width, target) + extra];
  return {
    outerAt: () => supportOf({ kind: 'rounded', length, width, corner: 0 }),
    slope: 0,
    height: toWet(form.height, target),
  };
}

function pieceOf(target: Target): FlatPiece {
  return target.form.kind === 'box' ? boxPiece(target.form, target) : facetPiece(target.form as FacetForm, target);
}

function standing(target: Target): Standing {
  const { outerAt, slope, height } = pieceOf(target);
  const floor = target.base.join === 'none' ? 0 : target.slab.base;
  const inner = (z: number) => inward(outerAt(z), target.slab.wall / Math.cos(slope));
  return {
    height,
    floor,
    outer: [reachOf(outerAt(0), 0), reachOf(outerAt(height), height)],
    rim: reachOf(outerAt(height), height),
    hollow: [reachOf(inner(floor), floor), reachOf(inner(height), height)],
    mouth: mouthOf(inner(height)),
    across: widestOf([acrossOf(outerAt(0)), acrossOf(outerAt(height))]),
    section: (z) => ({ outer: outerAt(z), inner: inner(z) }),
    hollowVolume: hollowOf(inner, floor, height),
  };
}

/** A piece of flat panels with its base, and where its outer faces start (wet mm). */
export function baseAndSlope(target: Target): {
  readonly piece: FlatPiece;
  readonly base: LevelBase;
  readonly from: number;
} {
  const piece = pieceOf(target);
  const base = levelBase({ outerAt: piece.outerAt, slopeAt: () => piece.slope, target });
  // On a flat panel the outer face is the one that is measured: a mitred foot starts on the table.
  return { piece, base, from: target.base.join === 'mitre' ? 0 : base.start };
}

function develop(target: Target): DevelopedForm {
  const { form, slab } = target;
  const { piece, base, from } = baseAndSlope(target);
  const { slope, height, outerAt } = piece;
  const footLean = target.base.join === 'mitre' ? base.footLean : -degrees(slope);
  const slant = (height - from) / Math.cos(slope);
  const parts = base.part ? [base.part] : [];
  const across = (plan: Support, phi: number) => plan.h(phi) + plan.h(phi + Math.PI);
  const shared = {
    ...(base.under &&
      base.top && {
        baseDiameter: across(base.under, 0),
        baseTopDiameter: across(base.top, 0),
        baseWidth: across(base.under, Math.PI / 2),
      }),
    bevelRun: 0,
  };
  if (form.kind === 'box') {
    const walls = boxWalls(target, { from: outerAt(from), rim: outerAt(height), slant, footLean });
    return {
      numbers: {
        panelLength: 2 * outerAt(0).h(0),
        panelWidth: 2 * outerAt(0).h(Math.PI / 2) - (target.seam.kind === 'butt' ? 2 * slab.wall : 0),
        wallHeight: slant,
        sideMitre: target.seam.kind === 'butt' ? 0 : 45,
        ...shared,
      },
      parts: [...walls.parts, ...parts],
      panels: walls.panels,
      bendRadius: Infinity,
    };
  }
  const facet = form as FacetForm;
  const turn = radians(360 / facet.sides);
  const width = (z: number) => 2 * outerAt(z).h(0) * Math.tan(turn / 2);
  const mitre = degrees(Math.acos(Math.cos(slope) ** 2 * Math.cos(turn) + Math.sin(slope) ** 2)) / 2;
  const wall = { foot: width(from), rim: width(height), slant, slope, mitre, footLean };
  const walls = facetWalls(facet, target, wall);
  return {
    numbers: {
      panelFoot: wall.foot,
      panelRim: wall.rim,
      slant,
      sideMitre: mitre,
      ...(facet.fold === 'strip' && { groove: 2 * mitre }),
      lean: degrees(slope),
      ...shared,
    },
    parts: [...walls.parts, ...parts],
    panels: walls.panels,
    bendRadius: Infinity,
  };
}

function faults(target: Target): Fault[] {
  const piece = pieceOf(target);
  const floor = target.base.join === 'none' ? 0 : target.slab.base;
  if (piece.height <= floor) {
    const rule = `must stand higher than the base is thick (${floor} mm wet)`;
    return [
      { code: 'impossible-piece', path: 'form.height', value: shortValue((target.form as BoxForm).height), rule },
    ];
  }
  const t = target.slab.wall;
  const least = Math.min(
    ...[0, piece.height].map((z) => Math.min(piece.outerAt(z).h(0), piece.outerAt(z).h(Math.PI / 2))),
  );
  if (least <= t / Math.cos(piece.slope)) {
    return [
      {
        code: 'impossible-piece',
        path: 'slab.wall',
        value: shortValue(t),
        rule: 'leaves nothing inside where the piece is narrowest',
      },
    ];
  }
  return [];
}

/** Pieces of flat panels: facets and boxes. Their edges are cut level. */
export const flatWork = { standing, develop, faults } satisfies Partial<FormKindWork>;
