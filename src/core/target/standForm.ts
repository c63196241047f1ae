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
  /** Across a roll, outside, or across each of both; a fifth of the device's length when left out. */
  readonly roll?: number | Rolls;
  /** Friction of the device's edge on the glazed floor: the tangent of the angle at which it slides; {@link DEFAULT_FRICTION} when left out. */
  readonly friction?: number;
  /** Across the strip; six tenths of the device's width when left out. */
  readonly across?: number;
}

/** Across both rolls, outside (fired mm). */
export interface Rolls {
  readonly front: number;
  readonly back: number;
}

/** A phone's edge on glaze (tangent of the angle of friction). A rule of the bench. */
export const DEFAULT_FRICTION = 0.3;

/** Limits of a stand's figures. */
export const STAND_LIMITS = {
  size: { above: 0, greatest: 1000 },
  mass: { above: 0, greatest: 20_000 },
  clearance: { least: 0, greatest: 20 },
  lean: { least: 0, greatest: 60 },
  friction: { least: 0, greatest: 2 },
} as const;
