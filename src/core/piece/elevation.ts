import { firedLength } from '../units/shrinkage.ts';
import { FINGER } from '../target/handle.ts';
import type { SidePoint } from '../parts/handle/handleCurve.ts';
import { once } from '../numbers.ts';
import { moved, type Outline } from '../geometry/outline/outline.ts';
import { circle } from '../geometry/outline/shapes.ts';
import { restOf, standSide } from '../forms/stand/stand.ts';
import { bentSheet } from '../forms/bentSheet/bentSheet.ts';
import { placeFeet } from '../forms/bentSheet/placeFeet.ts';
import { additionsOf } from '../forms/additions.ts';
import { bellyOf } from '../forms/round/belly.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Reach, Standing } from '../forms/kind/standing.ts';
import type { SizeState, Target } from '../target/target.ts';

/** The piece seen from the side, standing on y = 0 about x = 0 (mm). */
export interface Elevation {
  readonly outer: Outline;
  /** The hollow inside, as a section would show it. */
  readonly hollow: Outline;
  /** Handles, lugs, pads and lid. */
  readonly added: readonly Outline[];
  /** Things that are not clay, at their own size: fingers in the handle, the device in a stand. */
  readonly fingers: readonly Outline[];
  /** All that is drawn: widest reach to the left and right of the middle, the left one negative, and the height. */
  readonly left: number;
  readonly right: number;
  readonly width: number;
  readonly height: number;
  /** The piece alone: its widest reach, without a belly, and the heights of its foot and rim; on pads it stands above the table. */
  readonly body: { readonly left: number; readonly right: number; readonly foot: number; readonly top: number };
  /** Left and right end of the rim. */
  readonly rim: readonly [number, number];
  /** Height of the rim's outer edge. */
  readonly rimHeight: number;
  /** The handle's upper and lower end on the wall, and where it stands out most. */
  readonly grips: { readonly upper: SidePoint; readonly lower: SidePoint; readonly crest: SidePoint } | null;
}

/** Side elevation of a target in the wet or the fired state; the same scale for both, so they can be laid over one another. */
export function elevation(target: Target, state: SizeState): Elevation {
  return (state === 'wet' ? wetElevation : firedElevation)(target);
}

const wetElevation = once((target: Target) => drawn(target, 'wet'));
const firedElevation = once((target: Target) => drawn(target, 'fired'));

function box({
  x0,
  x1,
  y0,
  y1,
}: {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}): Outline {
  return [
    [x0, y0, 0],
    [x1, y0, 0],
    [x1, y1, 0],
    [x0, y1, 0],
  ];
}

/** How large things are drawn: wet lengths and fired ones, and how far the piece stands above the table on its pads (mm). */
interface Drawing {
  readonly fromWet: (mm: number) => number;
  readonly fromFired: (mm: number) => number;
  readonly lift: number;
}

/** The handle on the right side, and a second one on the left: joined to the silhouette, whichever way it looks on the piece. */
function handleShapes(target: Target, { section }: Standing, { fromFired, lift }: Drawing) {
  const { handle } = additionsOf(target);
  if (!handle) return { outlines: [], fingers: [], grips: null };
  const { curve, wall, angles } = handle;
  const wet = curve.from / (1 - target.clay.shrinkage);
  const off = (phi: number) => firedLength(section(wet).outer.h(phi), target.clay.shrinkage) - wall.reachAt(curve.from);
  const placed = (side: 1 | -1) => {
    const shift = off(side > 0 ? 0 : Math.PI);
    return ([reach, z]: SidePoint): SidePoint => [side * fromFired(reach + shift), fromFired(z) + lift];
  };
  const loop = [...curve.outer, ...[...curve.inner].reverse()];
  const sides = angles.length > 1 ? ([1, -1] as const) : ([1] as const);
  const right = placed(1);
  const widest = curve.outer.reduce((most, point) => (point[0] > most[0] ? point : most));
  return {
    outlines: sides.map((side): Outline => loop.map(placed(side)).map(([x, y]) => [x, y, 0])),
    fingers: curve.fingers.map((finger): Outline => {
      const [x, y] = right(finger);
      return moved(circle(FINGER), x, y);
    }),
    grips: {
      upper: right(curve.middle[0] ?? [0, 0]),
      lower: right(curve.middle.at(-1) ?? [0, 0]),
      crest: right(widest),
    },
  };
}

/** Feet of a bent sheet, up to its under face above each of them, by their shorter side where it lies at a slant. */
function sheetFeet({ form, slab, clay }: Target, { fromFired, fromWet }: Drawing): Outline[] {
  if (form.kind !== 'sheet' || !form.feet) return [];
  const bent = bentSheet(form, slab.wall, slab.neutralFraction);
  const half = form.feet.diameter / 2;
  const feet = placeFeet(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage })?.feet ?? [];
  return feet.map(({ at, length }) => {
    const middle = fromWet(bent.place(at)?.at[0] ?? 0);
    return box({ x0: middle - fromFired(half), x1: middle + fromFired(half), y0: 0, y1: fromFired(length) });
  });
}

/** Lugs stand out to both sides, whichever way they look on the piece. */
function lugShapes(target: Target, { section }: Standing, { fromWet, fromFired, lift }: Drawing): Outline[] {
  const made = additionsOf(target).lugs;
  if (!made || !target.lugs) return [];
  const reach = fromWet(section(made.top).outer.h(0));
  const out = fromFired(target.lugs.out);
  const [low, high] = [fromWet(made.bottom) + lift, fromWet(made.top) + lift];
  return [
    box({ x0: reach, x1: reach + out, y0: low, y1: high }),
    box({ x0: -reach - out, x1: -reach, y0: low, y1: high }),
  ];
}

/** The ball on a lid, seen from the side. */
function knobShapes(target: Target, { height, rim }: Standing, { fromWet, lift }: Drawing): Outline[] {
  const { knob } = additionsOf(target);
  if (!knob) return [];
  const across = fromWet(knob.across);
  return [
    moved(circle(across), fromWet((rim[1] + rim[2]) / 2), fromWet(height + target.slab.base) + lift + across / 2),
  ];
}

function padShapes(target: Target, { fromWet }: Drawing): Outline[] {
  const { feet, clay } = target;
  if (!feet) return [];
  const half = feet.diameter / 2 / (1 - clay.shrinkage);
  return additionsOf(target).feet.map(([x]) =>
    box({ x0: fromWet(x - half), x1: fromWet(x + half), y0: 0, y1: fromWet(feet.thickness) }),
  );
}

/** The lid as it lies on the rim; a cap's side is seen from outside, a flange is hidden in the piece. */
function lidShapes(target: Target, { height, rim }: Standing, { fromWet, lift }: Drawing): Outline[] {
  const made = additionsOf(target).lid;
  if (!made || !target.lid) return [];
  const middle = (rim[1] + rim[2]) / 2;
  const [x0, x1] = [middle - made.across / 2, middle + made.across / 2].map(fromWet) as [number, number];
  const at = (z: number) => fromWet(z) + lift;
  const plate = box({ x0, x1, y0: at(height), y1: at(height + target.slab.base) });
  if (target.lid.kind === 'flat') return [plate];
  const depth = target.lid.depth / (1 - target.clay.shrinkage);
  return [box({ x0, x1, y0: at(height - depth), y1: at(height) }), plate];
}

/** The rolls of a scroll stand, and the device that leans in it. */
function standShapes({ form, slab, clay }: Target, { fromFired }: Drawing): { rolls: Outline[]; device: Outline[] } {
  if (form.kind !== 'stand') return { rolls: [], device: [] };
  const side = standSide(form, firedLength(slab.wall, clay.shrinkage));
  // A strip that runs once round: its end shows on the side of the slot.
  const roll = ([x, z]: readonly [number, number], radius: number, end: 1 | -1): Outline => {
    const [outer, inner] = [end * radius, end * (radius - side.strip)];
    const at = (off: number, bulge: number) => [fromFired(x + off), fromFired(z), bulge] as const;
    return [at(outer, 1), at(-outer, 1), at(outer, 0), at(inner, -1), at(-inner, -1), at(inner, 0)];
  };
  return {
    rolls: [roll(side.back, side.radii.back, 1), roll(side.front, side.radii.front, -1)],
    // As it comes to rest.
    device: [restOf(form, side).corners.map(([x, z]) => [fromFired(x), fromFired(z), 0] as const)],
  };
}

function drawn(target: Target, state: SizeState): Elevation {
  const standing = kindOf(target).standing(target);
  const s = target.clay.shrinkage;
  const fromWet = (wet: number) => (state === 'wet' ? wet : firedLength(wet, s));
  const fromFired = (fired: number) => (state === 'wet' ? fired / (1 - s) : fired);
  const onFeet = target.form.kind === 'sheet' ? (target.form.feet?.height ?? 0) : 0;
  const lift = fromWet(target.feet?.thickness ?? 0) + fromFired(onFeet);
  const drawing = { fromWet, fromFired, lift };
  const around = (reaches: readonly Reach[]): Outline => [
    ...reaches.map(([z, , right]) => [fromWet(right), fromWet(z) + lift, 0] as const),
    ...[...reaches].reverse().map(([z, left]) => [fromWet(left), fromWet(z) + lift, 0] as const),
  ];
  const handles = handleShapes(target, standing, drawing);
  const stand = standShapes(target, drawing);
  const added = [
    ...handles.outlines,
    ...padShapes(target, drawing),
    ...sheetFeet(target, drawing),
    ...lidShapes(target, standing, drawing),
    ...knobShapes(target, standing, drawing),
    ...lugShapes(target, standing, drawing),
    ...stand.rolls,
  ];
  // A belly is pushed out of the size that is measured, and dragged, at foot and rim.
  const measured = bellyOf(target) ? [standing.outer[0] ?? standing.rim, standing.rim] : standing.outer;
  const body = {
    left: fromWet(Math.min(...measured.map((reach) => reach[1]))),
    right: fromWet(Math.max(...measured.map((reach) => reach[2]))),
    foot: lift,
    top: fromWet(standing.height) + lift,
  };
  const all = [...added, ...stand.device].flat();
  const widest = standing.outer.flatMap((reach) => [fromWet(reach[1]), fromWet(reach[2])]);
  const left = Math.min(...widest, ...all.map(([x]) => x));
  const right = Math.max(...widest, ...all.map(([x]) => x));
  const [rimHeight, rimLeft, rimRight] = standing.rim;
  return {
    outer: around(standing.outer),
    hollow: around(standing.hollow),
    added,
    fingers: [...handles.fingers, ...stand.device],
    left,
    right,
    width: right - left,
    height: Math.max(body.top, ...all.map(([, y]) => y)),
    body,
    rim: [fromWet(rimLeft), fromWet(rimRight)],
    rimHeight: fromWet(rimHeight) + lift,
    grips: handles.grips,
  };
}
