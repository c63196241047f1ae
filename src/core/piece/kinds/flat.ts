import { shortValue, type Fault } from '../../errors.ts';
import { degrees, radians } from '../../numbers.ts';
import { inward, supportOf } from '../../outline/plan.ts';
import { type Support } from '../../outline/support.ts';
import { panelPart } from '../../part/panelPart.ts';
import type { Mark, Part } from '../../part/part.ts';
import { acrossOf, hollowOf, reachOf, widestOf, type Standing } from '../standing.ts';
import type { BoxForm, FacetForm, Target } from '../target.ts';
import { toWet } from '../wetSize.ts';
import type { DevelopedForm, FormKindWork } from './kind.ts';
import { levelBase, type LevelBase } from './levelBase.ts';

/** The outer faces of a piece of flat panels: its plan at a height, and the slope of its walls (radians). */
export interface FlatPiece {
  readonly outerAt: (z: number) => Support;
  readonly slope: number;
  readonly height: number;
}

function facetPiece(form: FacetForm, target: Target): FlatPiece {
  const height = toWet(form.height, target);
  const slope = Math.atan((toWet(form.rim, target) - toWet(form.foot, target)) / 2 / height);
  const extra = target.size.face === 'inside' ? target.slab.wall / Math.cos(slope) : 0;
  const apothem = (z: number) => toWet(form.foot, target) / 2 + extra + z * Math.tan(slope);
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
    mouth: acrossOf(inner(height)),
    across: widestOf([acrossOf(outerAt(0)), acrossOf(outerAt(height))]),
    section: (z) => ({ outer: outerAt(z), inner: inner(z) }),
    hollowVolume: hollowOf(inner, floor, height),
  };
}

/** How far a panel's letter stands from its side (mm). */
const PANEL_LETTER = 11;

/** Corners of a trapezoid standing on its foot, about x = 0 (mm). */
function trapezoid(foot: number, rim: number, slant: number): (readonly [number, number])[] {
  return [
    [-foot / 2, 0],
    [foot / 2, 0],
    [rim / 2, slant],
    [-rim / 2, slant],
  ];
}

/** The middle line of a panel, and the letter of the edges that meet at both its sides. */
function panelMarks(foot: number, rim: number, slant: number): Mark[] {
  const wide = foot + 0.75 * (rim - foot);
  const letter = (side: 1 | -1): Mark => ({ kind: 'letter', at: [side * Math.max(wide / 4, wide / 2 - PANEL_LETTER), 0.75 * slant], text: 'A' }); // prettier-ignore
  return [{ kind: 'line', name: 'centre', from: [0, 0], to: [0, slant] }, letter(-1), letter(1)];
}

/** All panels joined along their folded edges: corners of the fan's outer face, foot from left to right, then the rim back. */
function fan(foot: number, rim: number, slant: number, sides: number): { corners: [number, number][]; folds: Mark[] } {
  const tilt = 2 * Math.atan((rim - foot) / 2 / slant);
  const low: [number, number][] = [[0, 0]];
  const side = Math.hypot(slant, (rim - foot) / 2);
  const lean = tilt / 2;
  let heading = ((sides - 1) * tilt) / 2;
  const high: [number, number][] = [];
  const rimOver = (at: readonly [number, number], direction: number): [number, number] => [
    at[0] + side * Math.cos(direction + Math.PI / 2 + lean),
    at[1] + side * Math.sin(direction + Math.PI / 2 + lean),
  ];
  high.push(rimOver([0, 0], heading));
  for (let panel = 0; panel < sides; panel += 1) {
    const [x, y] = low[panel] as [number, number];
    const [u, v] = high[panel] as [number, number];
    low.push([x + foot * Math.cos(heading), y + foot * Math.sin(heading)]);
    high.push([u + rim * Math.cos(heading), v + rim * Math.sin(heading)]);
    heading -= tilt;
  }
  const folds: Mark[] = low.slice(1, -1).map((from, index) => ({
    kind: 'line',
    name: 'fold',
    from,
    to: high[index + 1] as [number, number],
  }));
  return { corners: [...low, ...high.reverse()], folds };
}

function facetWalls(
  form: FacetForm,
  target: Target,
  wall: { foot: number; rim: number; slant: number; slope: number; mitre: number; footLean: number },
): Part[] {
  const { wall: thickness, faceUp } = target.slab;
  const { foot, rim, slant, mitre, footLean } = wall;
  const shared = { thickness, faceUp };
  const rimLean = degrees(wall.slope);
  const panel = panelPart({
    ...shared,
    id: 'panel',
    name: 'Panel',
    count: form.sides,
    corners: trapezoid(foot, rim, slant),
    marks: panelMarks(foot, rim, slant),
    edges: [
      { name: 'foot', lean: footLean },
      { name: 'right', lean: mitre },
      { name: 'rim', lean: rimLean },
      { name: 'left', lean: mitre },
    ],
  });
  if (form.fold === 'separate') return [panel];
  const { corners, folds } = fan(foot, rim, slant, form.sides);
  const edges = corners.map((_, index) => {
    if (index < form.sides) return { name: 'foot', lean: footLean } as const;
    if (index === form.sides) return { name: 'right', lean: mitre } as const;
    if (index < 2 * form.sides + 1) return { name: 'rim', lean: rimLean } as const;
    return { name: 'left', lean: mitre } as const;
  });
  const strip = panelPart({ ...shared, id: 'wall', name: 'Wall strip', count: 1, corners, edges, marks: folds });
  // The clay that the V-grooves take out goes back to the bag: what is left is the panels.
  return [{ ...strip, volume: form.sides * panel.volume }];
}

function boxWalls(form: BoxForm, target: Target, piece: FlatPiece, from: number, footLean: number): Part[] {
  const { wall: thickness, faceUp } = target.slab;
  const outer = piece.outerAt(0);
  const butt = target.seam.kind === 'butt';
  const panel = (id: string, name: string, length: number) =>
    panelPart({
      id,
      name,
      count: 2,
      thickness,
      faceUp,
      corners: trapezoid(length, length, piece.height - from),
      marks: panelMarks(length, length, piece.height - from),
      edges: [
        { name: 'foot', lean: footLean },
        { name: 'right', lean: butt ? 0 : 45 },
        { name: 'rim', lean: 0 },
        { name: 'left', lean: butt ? 0 : 45 },
      ],
    });
  return [
    panel('long', 'Long side', 2 * outer.h(0)),
    panel('short', 'Short side', 2 * outer.h(Math.PI / 2) - (butt ? 2 * thickness : 0)),
  ];
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
    const walls = boxWalls(form, target, piece, from, footLean);
    return {
      numbers: {
        panelLength: 2 * outerAt(0).h(0),
        panelWidth: 2 * outerAt(0).h(Math.PI / 2) - (target.seam.kind === 'butt' ? 2 * slab.wall : 0),
        wallHeight: slant,
        sideMitre: target.seam.kind === 'butt' ? 0 : 45,
        ...shared,
      },
      parts: [...walls, ...parts],
      bendRadius: Infinity,
    };
  }
  const facet = form as FacetForm;
  const turn = radians(360 / facet.sides);
  const width = (z: number) => 2 * outerAt(z).h(0) * Math.tan(turn / 2);
  const mitre = degrees(Math.acos(Math.cos(slope) ** 2 * Math.cos(turn) + Math.sin(slope) ** 2)) / 2;
  const wall = { foot: width(from), rim: width(height), slant, slope, mitre, footLean };
  return {
    numbers: {
      panelFoot: wall.foot,
      panelRim: wall.rim,
      slant,
      sideMitre: mitre,
      lean: degrees(slope),
      ...shared,
    },
    parts: [...facetWalls(facet, target, wall), ...parts],
    bendRadius: Infinity,
  };
}

function faults(target: Target): Fault[] {
  const piece = pieceOf(target);
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
  const floor = target.base.join === 'none' ? 0 : target.slab.base;
  if (piece.height <= floor) {
    const rule = `must stand higher than the base is thick (${floor} mm wet)`;
    return [
      { code: 'impossible-piece', path: 'form.height', value: shortValue((target.form as BoxForm).height), rule },
    ];
  }
  return [];
}

/** Pieces of flat panels: facets and boxes. Their edges are cut level. */
export const flatKind: FormKindWork<Target> = { standing, develop, faults };
