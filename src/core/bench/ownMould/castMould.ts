import { movedMould, type MovedMould } from '../../forms/mould/movedMould.ts';
import { TAU } from '../../numbers.ts';
import { grownPlan, supportOf } from '../../parts/plan/plan.ts';
import type { PlanOutline } from '../../target/plan.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import type { Target } from '../../target/target.ts';
import { offsetsOf, type DrapedTarget } from '../../forms/mould/draped.ts';
import type { MouldCast, MouldForm, MouldState, OwnMould } from '../../target/mouldForm.ts';
import { isRound } from '../../forms/mould/roundMould.ts';
import { mouldSurface } from '../../forms/mould/mouldSurface.ts';
import type { Point3 } from '../../geometry/point.ts';

/** What the next mould is of a piece: its inside, to press into, or its outside, to lay a slab over; and what it has become by then. */
export interface NextMould {
  readonly face: 'inside' | 'outside';
  readonly state: MouldState;
  /** How much it has shrunk by then (fraction of its wet length). */
  readonly shrunk: number;
}

/** The next mould, and how far it may lie from the piece's true face (mm); or why there is none. */
export type MadeMould =
  | { readonly kind: 'made'; readonly target: Target; readonly off: number }
  | { readonly kind: 'impossible'; readonly rule: string };

/** Points of a section that a drawn wall is made of. */
const SECTION = 24;

/** Directions in which the new mould is compared with the piece. */
const LOOKS = 24;

/** A section within this distance of a line is straight (mm). */
const STRAIGHT = 0.02;

/** The section of a moved mould in a direction: how far out and how high from its floor's edge to its rim (mm). */
function sectionOf(moved: MovedMould, phi: number): (readonly [out: number, z: number])[] {
  const bearing = moved.facing(phi);
  const flat = ([x, y, z]: Point3) => [x * Math.cos(phi) + y * Math.sin(phi), z] as const;
  const turn = moved.turning
    ? Array.from({ length: SECTION / 3 }, (_, index) => flat(moved.edgeAt(bearing, index / (SECTION / 3))))
    : [];
  const wall = Array.from({ length: SECTION + 1 }, (_, index) => flat(moved.wallAt(bearing, index / SECTION)));
  return [...turn, ...wall];
}

type Section = readonly (readonly [out: number, z: number])[];
const ends = (section: Section) => [section[0] ?? [0, 0], section.at(-1) ?? [0, 0]] as const;

/** The wall of the new mould by its section: straight, or drawn by shares. */
function wallOf(section: Section): Pick<MouldForm, 'wall' | 'profile'> {
  const [[x0, z0], [x1, z1]] = ends(section);
  const [across, up] = [x1 - x0, z1 - z0];
  const long = Math.hypot(across, up);
  if (section.every(([x, z]) => Math.abs((x - x0) * up - (z - z0) * across) / long < STRAIGHT))
    return { wall: 'straight' };
  let [low, out] = [0, 0];
  const profile = section.map(([x, z], index): readonly [number, number] => {
    if (index === section.length - 1) return [1, 1];
    // Rounding must not make it run back.
    out = Math.max(out, Math.min(1, (x - x0) / across));
    low = Math.max(low, Math.min(1, (z - z0) / up));
    return index === 0 ? [0, 0] : [out, low];
  });
  return { wall: 'drawn', profile };
}

/** How far the new mould's floor, rim and depth lie from the moved face, all round (mm). */
function offBy(form: MouldForm, moved: MovedMould): number {
  const [rim, foot] = [supportOf(form.rim), form.foot && supportOf(form.foot)];
  return Array.from({ length: LOOKS }, (_, look) => {
    const phi = (look * TAU) / LOOKS;
    const [[x0, z0], [x1, z1]] = ends(sectionOf(moved, phi));
    return Math.max(Math.abs(rim.h(phi) - x1), foot ? Math.abs(foot.h(phi) - x0) : 0, Math.abs(z1 - z0 - form.depth));
  }).reduce((most, one) => Math.max(most, one), 0);
}

/** The face of a piece as a mould's form, wet (mm). */
function faceForm(form: MouldForm, offset: number): { readonly form: MouldForm; readonly off: number } {
  const surface = mouldSurface(form);
  const moved = movedMould(surface, offset);
  const section = sectionOf(moved, 0);
  const [[x0, z0], [x1, z1]] = ends(section);
  const bare = { kind: 'mould', side: form.side, margin: form.margin } as const;
  const grown = (plan: PlanOutline, to: number) => grownPlan(plan, 1, to - supportOf(plan).h(0));
  if (form.wall === 'dome') {
    // A spherical cap about the same centre; any other dome stays as close to one as its rim and depth allow.
    const next: MouldForm = { ...bare, wall: 'dome', rim: grown(form.rim, x1), depth: z1 - z0 };
    return { form: next, off: isRound(form) ? 0 : offBy(next, moved) };
  }
  const foot = form.foot ? grown(form.foot, x0) : undefined;
  const next: MouldForm = {
    ...bare,
    ...wallOf(section),
    rim: grown(form.rim, x1),
    ...(foot && { foot }),
    depth: z1 - z0,
  };
  return { form: next, off: offBy(next, moved) };
}

/** A mould at its shrunken size. */
function shrunkForm(form: MouldForm, by: number): MouldForm {
  return {
    ...form,
    rim: grownPlan(form.rim, by),
    ...(form.foot && { foot: grownPlan(form.foot, by) }),
    depth: form.depth * by,
  };
}

/** The casts that a mould of its own clay comes from, the last one last. */
export function castsOf({ casts }: OwnMould): readonly MouldCast[] {
  return typeof casts === 'number' ? Array.from({ length: casts }, () => ({ thickness: 0, face: 'same' })) : casts;
}

/** How far the face that a cast was pressed on lies outside the one that is used (wet mm). */
const outsideBy = ({ thickness, face }: MouldCast) =>
  face === 'same' ? 0 : face === 'inside' ? thickness : -thickness;

/**
 * The model for a mould of its own clay: back through its casts, each of which shrank, and the used face of which lies a
 * slab's thickness inside or outside the one that it was pressed on.
 */
export function modelOf(form: MouldForm): MouldForm {
  const { own } = form;
  if (!own) return form;
  return [...castsOf(own)].reverse().reduce((cast, one) => {
    const wet = shrunkForm(cast, 1 / (1 - own.shrinkage));
    const by = outsideBy(one);
    return by === 0 ? wet : faceForm(wet, by).form;
  }, form);
}

/** The piece from a mould as the next mould: its inside or its outside, as large as it is by then. */
export function mouldOfPiece(piece: DrapedTarget, { face, state, shrunk }: NextMould): MadeMould {
  const { form: before } = piece;
  if (before.kind !== 'mould') return { kind: 'impossible', rule: 'a mould from a file is cast from its own mesh' };
  const { inner, outer } = offsetsOf(piece);
  const { form, off } = faceForm(before, face === 'inside' ? inner : outer);
  const touches = before.side === 'hump' ? 'inside' : 'outside';
  const cast: MouldCast = face === touches ? { thickness: 0, face: 'same' } : { thickness: piece.slab.wall, face };
  const casts = [...(before.own ? castsOf(before.own) : []), cast];
  const own: OwnMould = { shrinkage: shrunk, casts, state, wall: piece.slab.wall };
  const next: MouldForm = { ...shrunkForm(form, 1 - shrunk), side: face === 'inside' ? 'slump' : 'hump', own };
  const target: Target = { ...piece, name: `${piece.name.slice(0, 100)}, from its cast`, form: next };
  const [fault] = checkTarget(target);
  if (fault) return { kind: 'impossible', rule: fault.rule };
  return { kind: 'made', target, off: off * (1 - shrunk) };
}

/** A wet wall of this thickness (mm) takes about so long to become leather-hard, not covered (hours): about two days. A rule of the bench. */
const STIFFENS = { hours: 48, thickness: 6 } as const;

/** About how long a mould of clay takes from soft until a slab can be pressed on it (hours). */
export function hoursToStiffen({ wall = STIFFENS.thickness }: OwnMould): number {
  return (STIFFENS.hours * wall) / STIFFENS.thickness;
}
