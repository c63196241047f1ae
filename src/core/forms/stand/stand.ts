import { DEFAULT_FRICTION, type StandForm, type Rolls } from '../../target/standForm.ts';
import { ROUNDING, TAU } from '../../numbers.ts';

/** A roll as high as this part of the device holds it well below its middle. A rule of the bench. */
const ROLL_SHARE = 0.2;
const ACROSS_SHARE = 0.6;

/** Diameters of the rolls (fired mm), the default where none is given. */
export const rollsOf = ({ roll, device }: StandForm): Rolls => {
  const both = roll ?? Math.round(ROLL_SHARE * device.length);
  return typeof both === 'number' ? { front: both, back: both } : both;
};

/** Width of the strip (fired mm), the default where none is given. */
export const acrossOf = ({ across, device }: StandForm): number => across ?? Math.round(ACROSS_SHARE * device.width);

/** A point of the side view: x forward of the middle of the slot, z above the table (mm). */
export type SideSpot = readonly [x: number, z: number];

/** A device as it leans: degrees back from upright, its corners (lower back, lower front, upper front, upper back), its middle. */
export interface DevicePose {
  readonly lean: number;
  readonly corners: readonly [SideSpot, SideSpot, SideSpot, SideSpot];
  readonly middle: SideSpot;
}

/** The stand from the side, fired mm: both rolls, and the device as it is meant to lean. */
export interface StandSide {
  readonly radii: { readonly back: number; readonly front: number };
  /** Thickness of the strip. */
  readonly strip: number;
  readonly back: SideSpot;
  readonly front: SideSpot;
  /** Clear between both rolls, level, each at the height of its middle. */
  readonly slot: number;
  readonly meant: DevicePose;
}

/** The device with its lower back edge on the floor at x, leaning back by an angle (radians). */
function poseAt(
  { device }: StandForm,
  { strip, x, lean }: { readonly strip: number; readonly x: number; readonly lean: number },
): DevicePose {
  const [cos, sin] = [Math.cos(lean), Math.sin(lean)];
  const at = (up: number, forward: number): SideSpot => [
    x - up * sin + forward * cos,
    strip + up * cos + forward * sin,
  ];
  const { length, thickness } = device;
  return {
    lean: (lean / TAU) * 360,
    corners: [at(0, 0), at(0, thickness), at(length, thickness), at(length, 0)],
    middle: at(length / 2, thickness / 2),
  };
}

/**
 * Stand and device from the side as they are meant. Both rolls lie on the strip's own ends and touch the table below their
 * middles; the device's back lies against the back roll, its front has the clearance from the front roll, and its lower back
 * edge stands on the floor.
 *
 * @param strip fired thickness of the strip (mm)
 */
export function standSide(form: StandForm, strip: number): StandSide {
  const { device, clearance } = form;
  const lean = (form.lean / 360) * TAU;
  const [cos, sin] = [Math.cos(lean), Math.sin(lean)];
  const rolls = rollsOf(form);
  const radii = { back: rolls.back / 2, front: rolls.front / 2 };
  // From the device's foot to the middles of both rolls, level.
  const behind = (radii.back + (radii.back - strip) * sin) / cos;
  const before = (device.thickness + clearance + radii.front - (radii.front - strip) * sin) / cos;
  const apart = behind + before;
  return {
    radii,
    strip,
    back: [-apart / 2, radii.back],
    front: [apart / 2, radii.front],
    slot: apart - radii.back - radii.front,
    meant: poseAt(form, { strip, x: behind - apart / 2, lean }),
  };
}

/** How the device comes to rest, and why there. */
export interface Rest extends DevicePose {
  /** It stays as it was set, slides until friction holds it, until it meets the front roll, or stands upright by itself. */
  readonly held: 'as-set' | 'friction' | 'front-roll' | 'upright';
  /** How much of its weight the back roll takes off its foot (fraction): from 1 on the foot lifts and it falls over the roll. */
  readonly overRoll: number;
}

/** Lean of the device against the back roll with its foot at x (radians); null where it does not reach the roll. */
function leanAt({ back: [bx, bz], radii, strip }: StandSide, x: number): number | null {
  // (B - A) . n = -r with n = (cos, sin): the back face touches the roll.
  const [a, b] = [bx - x, bz - strip];
  const far = Math.hypot(a, b);
  if (far < radii.back) return null;
  const lean = Math.atan2(b, a) - Math.acos(-radii.back / far);
  return lean > -ROUNDING && lean < TAU / 4 ? Math.max(0, lean) : null;
}

/** Steps in which the foot is slid along the floor. */
const SLIDES = 400;

/**
 * Where the device comes to rest (geometry: stand): its foot slides forward on the floor until the friction that it needs is
 * there, or its front meets the front roll. The roll itself is taken as smooth, which asks more of the foot.
 */
export function restOf(form: StandForm, side: StandSide): Rest {
  const { device, friction = DEFAULT_FRICTION } = form;
  const { meant, strip, radii } = side;
  const x0 = meant.corners[0][0];
  /** What the roll pushes with, square to the device, for each unit of weight; null where that does not lie behind the foot. */
  const pushAt = (x: number, lean: number): number | null => {
    const behind = (device.length / 2) * Math.sin(lean) - (device.thickness / 2) * Math.cos(lean);
    if (behind <= 0) return null;
    // Along the back from the foot to the roll; above the device's end the roll holds its edge.
    const along = Math.min(
      device.length,
      (side.back[1] - strip) * Math.cos(lean) - (side.back[0] - x) * Math.sin(lean),
    );
    return behind / along;
  };
  const overRoll = (x: number, lean: number) => (pushAt(x, lean) ?? 0) * Math.sin(lean);
  const needed = (x: number, lean: number): number | null => {
    const push = pushAt(x, lean);
    if (push === null) return null;
    const down = 1 - push * Math.sin(lean);
    return down <= 0 ? Infinity : (push * Math.cos(lean)) / down;
  };
  const first = needed(x0, (meant.lean / 360) * TAU);
  if (first === null) {
    // Upright it stands between both rolls, as far back as it was set.
    const most = side.front[0] - radii.front - device.thickness;
    return {
      ...poseAt(form, { strip, x: Math.max(side.back[0] + radii.back, Math.min(x0, most)), lean: 0 }),
      held: 'upright',
      overRoll: 0,
    };
  }
  const set: Rest = { ...meant, held: 'as-set', overRoll: overRoll(x0, (meant.lean / 360) * TAU) };
  if (first <= friction) return set;
  const frontGap = (x: number, lean: number) =>
    (side.front[0] - x) * Math.cos(lean) + (side.front[1] - strip) * Math.sin(lean) - device.thickness - radii.front;
  let last = set;
  const end = side.front[0];
  for (let step = 1; step <= SLIDES; step += 1) {
    const x = x0 + ((end - x0) * step) / SLIDES;
    const lean = leanAt(side, x);
    if (lean === null || frontGap(x, lean) <= 0) return { ...last, held: 'front-roll' };
    last = { ...poseAt(form, { strip, x, lean }), held: 'friction', overRoll: overRoll(x, lean) };
    const need = needed(x, lean);
    if (need !== null && need <= friction) return last;
  }
  return last;
}

/** Masses of the stand's own rolls and floor by their lengths (g), fired, and of the device. */
export interface StandMass {
  readonly stand: number;
  readonly device: number;
}

/** The middle of the mass of device and stand together (mm). */
export function loadedMiddle(
  form: StandForm,
  side: StandSide,
  { middle, mass }: { readonly middle: SideSpot; readonly mass: StandMass },
): SideSpot {
  const { strip, radii, back, front } = side;
  const roll = (radius: number) => TAU * (radius - strip / 2);
  const floor = front[0] - back[0];
  const shares: readonly (readonly [number, SideSpot])[] = [
    [roll(radii.back), back],
    [roll(radii.front), front],
    [floor, [(back[0] + front[0]) / 2, strip / 2]],
  ];
  const whole = shares.reduce((sum, [length]) => sum + length, 0);
  const all: readonly (readonly [number, SideSpot])[] = [
    ...shares.map(([length, at]) => [(mass.stand * length) / whole, at] as const),
    [mass.device, middle],
  ];
  const total = all.reduce((sum, [own]) => sum + own, 0);
  const mean = (axis: 0 | 1) => all.reduce((sum, [own, at]) => sum + own * at[axis], 0) / total;
  return [mean(0), mean(1)];
}

/** How far a loaded stand is from tipping: level room (mm), and how much further it may lean (degrees). Below 0 it tips. */
export interface Tipping {
  readonly room: number;
  readonly angle: number;
}

/**
 * Tipping over the back roll and over the front one: the middle of device and stand together must stay above the footprint,
 * which runs between the places where the rolls touch the table.
 */
export function tippingOf({ back, front }: StandSide, [x, z]: SideSpot): { back: Tipping; front: Tipping } {
  const edge = (room: number): Tipping => ({ room, angle: (Math.atan2(room, z) / TAU) * 360 });
  return { back: edge(x - back[0]), front: edge(front[0] - x) };
}

/** The flat strip (wet mm): its length on the neutral surface, with the floor between its rolls. */
export interface Strip {
  readonly length: number;
  readonly across: number;
  /** Of each roll, and of the floor between both. */
  readonly rollLengths: { readonly back: number; readonly front: number };
  readonly floor: number;
  /** Between the rolls, wet. */
  readonly slot: number;
  /** Across each roll, outside, and the neutral radius of the smaller one. */
  readonly rollOuter: { readonly back: number; readonly front: number };
  readonly neutralRadius: number;
}

/**
 * The strip of a stand: the neutral arcs of two whole turns and the floor between (geometry: bent sheets and stands).
 *
 * @param t wet thickness (mm)
 * @param k neutral fraction, from the inner face of the roll
 */
export function stripOf(
  form: StandForm,
  { t, k, shrinkage }: { readonly t: number; readonly k: number; readonly shrinkage: number },
): Strip {
  const wet = (fired: number) => fired / (1 - shrinkage);
  const side = standSide(form, t * (1 - shrinkage));
  const neutral = (radius: number) => wet(radius) - t + k * t;
  const rollLengths = { back: TAU * neutral(side.radii.back), front: TAU * neutral(side.radii.front) };
  const floor = wet(side.front[0] - side.back[0]);
  return {
    length: rollLengths.back + rollLengths.front + floor,
    across: wet(acrossOf(form)),
    rollLengths,
    floor,
    slot: wet(side.slot),
    rollOuter: { back: 2 * wet(side.radii.back), front: 2 * wet(side.radii.front) },
    neutralRadius: Math.min(neutral(side.radii.back), neutral(side.radii.front)),
  };
}
