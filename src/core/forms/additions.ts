import { firedLength, wetLength } from '../units/shrinkage.ts';
import { footLetter, placeFeet } from './bentSheet/placeFeet.ts';
import { feetPart, feetPlaces } from '../parts/feet/feet.ts';
import { PULLED_RESERVE, type Handle } from '../target/handle.ts';
import { handleCurve, type HandleCurve, type HandleWall } from '../parts/handle/handleCurve.ts';
import { handlePart } from '../parts/handle/handlePart.ts';
import { ballAcross, cutLid, type LidFigures } from '../parts/lid/lid.ts';
import { cutLug, type LugFigures } from '../parts/lug/lug.ts';
import { once, radians, TURN_TOLERANCE } from '../numbers.ts';
import { chordPoints } from '../geometry/outline/crossing.ts';
import type { PlanPoint, Support } from '../geometry/outline/support.ts';
import type { Part } from '../parts/part/part.ts';
import { DEFAULT_BEVEL_ANGLE } from '../target/seam.ts';
import { kindOf } from './kinds.ts';
import type { Standing } from './kind/standing.ts';
import type { Target } from '../target/target.ts';

/** The handles of a piece, all alike. */
export interface MadeHandle {
  /** From the side, fired mm. */
  readonly curve: HandleCurve;
  readonly wall: HandleWall;
  /** Where they are joined: degrees round from the first seam. */
  readonly angles: readonly number[];
  /** Neutral length on the piece, and the strap's as it is cut (wet mm). */
  readonly neutral: number;
  readonly cut: number;
  /** Volume of one as it stands, wet mm3. */
  readonly volume: number;
  readonly thickness: number;
}

/** Two lugs, made by one template. */
export interface MadeLugs {
  /** The template, and the same as it is joined opposite. */
  readonly figures: LugFigures;
  readonly opposite: LugFigures;
  /** Where they are joined: degrees round from the seam. */
  readonly angles: readonly [number, number];
  /** Heights of the upper and the under face, wet mm. */
  readonly top: number;
  readonly bottom: number;
  readonly wall: HandleWall;
  /** How far the wall opposite is from the line of the template, at most (wet mm). */
  readonly unlike: number;
}

/** A ball of clay on the lid, wet: its volume (mm3), and across (mm). */
export interface MadeKnob {
  readonly volume: number;
  readonly across: number;
}

/** A lump that is not rolled into a slab: what one is weighed as (mm3) and how long it is drawn out, or across a ball (mm). */
export interface Lump {
  readonly id: 'pulled-handle' | 'sheet-foot' | 'knob';
  readonly name: string;
  readonly count: number;
  readonly volume: number;
  readonly length: number;
}

/** What is joined to the standing piece, or lies on it. */
export interface Additions {
  readonly handle: MadeHandle | null;
  /** Null where there are none, or the wall has no room for them. */
  readonly lugs: MadeLugs | null;
  readonly knob: MadeKnob | null;
  /** The middles of the pads under the piece, wet mm in its plan. */
  readonly feet: readonly (readonly [number, number])[];
  readonly lid: LidFigures | null;
  readonly parts: readonly Part[];
  readonly lumps: readonly Lump[];
}

/** The places where handles are joined: where the marks say, or else over the seam, which they hide. */
export function handleAngles({ marks }: Target): readonly number[] {
  const marked = (marks?.places ?? []).filter(({ kind }) => kind === 'handle').map(({ at }) => at);
  return marked.length > 0 ? marked : [0];
}

/** Distance from the axis to a wall of flat panels at an angle (radians, mm). */
function panelsReach(plan: Support, phi: number): number {
  const facing = plan.flats.filter((normal) => Math.cos(phi - normal) > TURN_TOLERANCE);
  return Math.min(...facing.map((normal) => plan.h(normal) / Math.cos(phi - normal)));
}

/** The outside of the wall at an angle, fired mm: on a curved wall, the place whose normal points that way. */
function wallTowards({ outer, rim, section }: Standing, angle: number, target: Target): HandleWall {
  const phi = radians(angle);
  const { shrinkage } = target.clay;
  const flat = kindOf(target).traits.panels;
  const reach = (plan: Support) => (flat ? panelsReach(plan, phi) : plan.h(phi));
  const edge = rim[0];
  const levels = [...new Set(outer.map(([z]) => z))].filter((z) => z <= edge);
  const reaches = levels.map(
    (z) => [firedLength(z, shrinkage), firedLength(reach(section(z).outer), shrinkage)] as const,
  );
  const bandAt = (height: number) => {
    const above = reaches.findIndex(([z]) => z >= height);
    const index = Math.max(1, above < 0 ? reaches.length - 1 : above);
    const [low = [0, 0], high = [1, 0]] = [reaches[index - 1], reaches[index]];
    return { low, rise: (high[1] - low[1]) / (high[0] - low[0]) };
  };
  return {
    reachAt: (height) => {
      const { low, rise } = bandAt(height);
      return low[1] + rise * (height - low[0]);
    },
    leanAt: (height) => Math.atan(bandAt(height).rise),
    rim: firedLength(edge, shrinkage),
  };
}

/**
 * How far the place of the wall whose normal points along an angle (degrees) is to the left of the line straight out from the
 * middle, seen from above: on an oval it is not on that line. Wet mm.
 */
export function handleAside(target: Target, { section }: Standing, angle: number): number {
  const made = additionsOf(target).handle;
  if (!made || kindOf(target).traits.panels) return 0;
  const phi = radians(angle);
  const plan = section(wetLength(made.curve.from, target.clay.shrinkage)).outer;
  return (plan.slope(phi, 'before') + plan.slope(phi, 'after')) / 2;
}

/** A pulled handle is an ellipse across: as wide as the strap would be, and thinner towards its edges. */
const ELLIPSE = Math.PI / 4;

function handleOf(target: Target, handle: Handle, standing: Standing): MadeHandle {
  const { clay, slab } = target;
  const s = clay.shrinkage;
  const angles = handleAngles(target);
  const wall = wallTowards(standing, angles[0] ?? 0, target);
  const curve = handleCurve(handle, wall, firedLength(handle.thickness, s));
  // The neutral line is parallel to the middle line: it is longer by their distance times the turn.
  const off = handle.kind === 'strap' ? (slab.neutralFraction - 0.5) * handle.thickness : 0;
  const neutral = wetLength(curve.length, s) + off * curve.turning;
  const width = wetLength((handle.top + handle.bottom) / 2, s);
  const share = handle.kind === 'pulled' ? ELLIPSE : 1;
  const cut = neutral + 2 * handle.ends;
  return {
    curve,
    wall,
    angles,
    neutral,
    cut,
    volume: share * width * cut * handle.thickness,
    thickness: handle.thickness,
  };
}

function lugsOf(target: Target, standing: Standing): MadeLugs | null {
  const { lugs, clay, slab } = target;
  if (!lugs) return null;
  const wet = (mm: number) => wetLength(mm, clay.shrinkage);
  const top = standing.rim[0] - wet(lugs.below);
  const bottom = top - lugs.thickness;
  if (bottom < 0) return null;
  const [upper, under] = [standing.section(top).outer, standing.section(bottom).outer];
  const cut = (at: number) =>
    cutLug({
      upper,
      under,
      phi: radians(at),
      width: wet(lugs.width),
      out: wet(lugs.out),
      thickness: lugs.thickness,
      faceUp: slab.faceUp,
    });
  const [one, other] = [cut(lugs.at), cut(lugs.at + 180)];
  if (!one || !other) return null;
  const apart =
    one.upper.length === other.upper.length
      ? one.upper.map(([x, y], index) =>
          Math.hypot(x - (other.upper[index]?.[0] ?? 0), y - (other.upper[index]?.[1] ?? 0)),
        )
      : [Infinity];
  return {
    figures: one,
    opposite: other,
    angles: [lugs.at, lugs.at + 180],
    top,
    bottom,
    wall: wallTowards(standing, lugs.at, target),
    unlike: Math.max(...apart),
  };
}

/** Points round one of two lugs (0 or 1), seen from above in the piece's plan, wet mm; its arcs are followed closely. */
export function lugPoints(made: MadeLugs, which: number, face: 'upper' | 'under' = 'upper'): PlanPoint[] {
  const phi = radians(made.angles[which] ?? 0);
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
  const figures = which === 0 ? made.figures : made.opposite;
  const [ox, oy] = figures.origin;
  return chordPoints(figures[face]).map(([x, y]): PlanPoint => [ox + y * cos + x * sin, oy + y * sin - x * cos]);
}

function knobOf({ lid, clay }: Target): MadeKnob | null {
  if (!lid?.knob) return null;
  const volume = (1000 * lid.knob) / clay.wetDensity;
  return { volume, across: ballAcross(volume) };
}

/** Of the outlines of several levels, the one that reaches farthest (or least far), wet. */
function levelsOf(
  { section, height }: Standing,
  { depth, face, floor }: { readonly depth: number; readonly face: 'outer' | 'inner'; readonly floor: number },
): Support[] {
  return [height, Math.max(floor, height - depth)].map((z) => section(z)[face]);
}

const least = (shapes: readonly Support[]) => shapes.reduce((one, other) => (other.h(0) < one.h(0) ? other : one));
const most = (shapes: readonly Support[]) => shapes.reduce((one, other) => (other.h(0) > one.h(0) ? other : one));

function lidOf(target: Target, standing: Standing): LidFigures | null {
  const { lid, slab, clay } = target;
  if (!lid) return null;
  const wet = (mm: number) => wetLength(mm, clay.shrinkage);
  const depth = wet(lid.depth);
  return cutLid({
    kind: lid.kind,
    rim: standing.section(standing.height).outer,
    inside: least(levelsOf(standing, { depth, face: 'inner', floor: standing.floor })),
    outside: most(levelsOf(standing, { depth, face: 'outer', floor: 0 })),
    clearance: wet(lid.clearance),
    depth,
    overhang: wet(lid.overhang),
    top: slab.base,
    wall: slab.wall,
    neutralFraction: slab.neutralFraction,
    seam: { kind: 'bevel', angle: DEFAULT_BEVEL_ANGLE, panels: 1 },
    faceUp: slab.faceUp,
  });
}

/** Handles, feet and lid of a target that can be made; computed once for each target. */
export const additionsOf = once((target: Target): Additions => {
  const { handle, feet, clay, slab } = target;
  const standing = kindOf(target).standing(target);
  const lugs = lugsOf(target, standing);
  const knob = knobOf(target);
  const wet = (mm: number) => wetLength(mm, clay.shrinkage);
  const made = handle ? handleOf(target, handle, standing) : null;
  const lid = lidOf(target, standing);
  const parts: Part[] = [...(lid?.parts ?? [])];
  const lumps: Lump[] = [];
  if (handle && made) {
    const count = made.angles.length + handle.spares;
    if (handle.kind === 'strap') {
      const { ends, thickness } = handle;
      const [top, bottom] = [wet(handle.top), wet(handle.bottom)];
      parts.push(handlePart({ neutral: made.neutral, ends, top, bottom, thickness, count, faceUp: slab.faceUp }));
    } else {
      lumps.push({
        id: 'pulled-handle',
        name: 'Pulled handle',
        count,
        volume: PULLED_RESERVE * made.volume,
        length: made.cut,
      });
    }
  }
  if (lugs) parts.push(lugs.figures.part);
  if (knob) lumps.push({ id: 'knob', name: 'Knob', count: 1, volume: knob.volume, length: knob.across });
  const { form } = target;
  const standingFeet =
    form.kind === 'sheet'
      ? (placeFeet(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage })?.feet ?? [])
      : [];
  standingFeet.forEach(({ length }, index) => {
    const across = wet(form.kind === 'sheet' ? (form.feet?.diameter ?? 0) : 0);
    const volume = (Math.PI / 4) * across * across * wet(length);
    lumps.push({ id: 'sheet-foot', name: `Foot ${footLetter(index)}`, count: 1, volume, length: wet(length) });
  });
  if (feet)
    parts.push(
      feetPart({ count: feet.count, diameter: wet(feet.diameter), thickness: feet.thickness, faceUp: slab.faceUp }),
    );
  return {
    handle: made,
    lugs,
    knob,
    feet: feet ? feetPlaces(standing.section(0).outer, feet.count, wet(feet.inset + feet.diameter / 2)) : [],
    lid,
    parts,
    lumps,
  };
});
