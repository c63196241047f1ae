import { TAU } from '../numbers.ts';

/** What a scroll stand holds, in its case: mm and g as they are. */
export interface Device {
  /** The side that stands up. */
  readonly length: number;
  /** The side along the slot. */
  readonly width: number;
  readonly thickness: number;
  readonly mass: number;
}

/** A strip rolled from both ends, with a slot between the rolls that a device leans in. Fired mm, degrees. */
export interface StandForm {
  readonly kind: 'stand';
  readonly device: Device;
  /** Room across the slot. */
  readonly clearance: number;
  /** How far the device leans back from upright. */
  readonly lean: number;
  /** Across a roll, outside; a fifth of the device's length when left out. */
  readonly roll?: number;
  /** Across the strip; six tenths of the device's width when left out. */
  readonly across?: number;
}

/** A roll as high as this part of the device holds it well below its middle. A rule of the bench. */
const ROLL_SHARE = 0.2;
const ACROSS_SHARE = 0.6;

export const rollOf = ({ roll, device }: StandForm): number => roll ?? Math.round(ROLL_SHARE * device.length);
export const acrossOf = ({ across, device }: StandForm): number => across ?? Math.round(ACROSS_SHARE * device.width);

/** Limits of a stand's figures. */
export const STAND_LIMITS = {
  size: { above: 0, greatest: 1000 },
  mass: { above: 0, greatest: 20_000 },
  clearance: { least: 0, greatest: 20 },
  lean: { least: 0, greatest: 60 },
} as const;

/** A point of the side view: x forward of the middle of the slot, z above the table (mm). */
export type SideSpot = readonly [x: number, z: number];

/** The stand from the side, fired mm: both rolls, the device, and where their weight is. */
export interface StandSide {
  readonly radius: number;
  /** Thickness of the strip. */
  readonly strip: number;
  readonly back: SideSpot;
  readonly front: SideSpot;
  /** Clear between both rolls at the height of their middles. */
  readonly slot: number;
  /** The device's corners: lower back, lower front, upper front, upper back. */
  readonly device: readonly [SideSpot, SideSpot, SideSpot, SideSpot];
  readonly deviceMiddle: SideSpot;
}

/**
 * Stand and device from the side. Both rolls lie on the strip's own ends and touch the table below their middles; the
 * device's back lies against the back roll, its front has the clearance from the front roll, and its lower back edge
 * stands on the floor: `distance of the rolls = (2 r + thickness + clearance) / cos(lean)`.
 *
 * @param strip fired thickness of the strip (mm)
 */
export function standSide(form: StandForm, strip: number): StandSide {
  const { device, clearance } = form;
  const lean = (form.lean / 360) * TAU;
  const [cos, sin] = [Math.cos(lean), Math.sin(lean)];
  const radius = rollOf(form) / 2;
  const apart = (2 * radius + device.thickness + clearance) / cos;
  const back = -apart / 2;
  const x = back + (radius - (strip - radius) * sin) / cos;
  const at = (up: number, forward: number): SideSpot => [
    x - up * sin + forward * cos,
    strip + up * cos + forward * sin,
  ];
  return {
    radius,
    strip,
    back: [back, radius],
    front: [apart / 2, radius],
    slot: apart - 2 * radius,
    device: [at(0, 0), at(0, device.thickness), at(device.length, device.thickness), at(device.length, 0)],
    deviceMiddle: at(device.length / 2, device.thickness / 2),
  };
}

/** How far a loaded stand is from tipping: level room (mm), and how much further it may lean (degrees). Below 0 it tips. */
export interface Tipping {
  readonly room: number;
  readonly angle: number;
}

/**
 * Tipping over the back roll and over the front one: the device's own middle must stay above the footprint, which runs
 * between the places where the rolls touch the table.
 */
export function tippingOf({ back, front, deviceMiddle: [x, z] }: StandSide): { back: Tipping; front: Tipping } {
  const edge = (room: number): Tipping => ({ room, angle: (Math.atan2(room, z) / TAU) * 360 });
  return { back: edge(x - back[0]), front: edge(front[0] - x) };
}

/** The flat strip (wet mm): its length on the neutral surface, with the floor between its rolls. */
export interface Strip {
  readonly length: number;
  readonly across: number;
  /** Of one roll, and of the floor between both. */
  readonly rollLength: number;
  readonly floor: number;
  /** Between the rolls, wet. */
  readonly slot: number;
  readonly rollOuter: number;
  readonly neutralRadius: number;
}

/**
 * The strip of a stand: the neutral arcs of two whole turns and the floor between (geometry: bent sheets and stands).
 *
 * @param t wet thickness (mm)
 * @param k neutral fraction, from the inner face of the roll
 */
export function stripOf(form: StandForm, t: number, k: number, shrinkage: number): Strip {
  const wet = (fired: number) => fired / (1 - shrinkage);
  const side = standSide(form, t * (1 - shrinkage));
  const outer = wet(side.radius);
  const neutralRadius = outer - t + k * t;
  const rollLength = TAU * neutralRadius;
  const floor = wet(side.front[0] - side.back[0]);
  return {
    length: 2 * rollLength + floor,
    across: wet(acrossOf(form)),
    rollLength,
    floor,
    slot: wet(side.slot),
    rollOuter: 2 * outer,
    neutralRadius,
  };
}
