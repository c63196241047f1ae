/**
 * The widest place of a round piece when it is pushed out after joining: its diameter over the face and state of `size`,
 * and its height over the table in that state (mm). A bare diameter is pushed out half-way up.
 */
export type Belly = number | { readonly diameter: number; readonly at: number };

/** A belly with no height of its own is pushed out at this share of the piece's height. */
export const DEFAULT_BELLY_HEIGHT = 0.5;

/** The diameter of a belly (mm). */
export function bellyDiameter(belly: Belly): number {
  return typeof belly === 'number' ? belly : belly.diameter;
}

/** The height of a belly on a piece of a height in the same state (mm). */
export function bellyHeight(belly: Belly, height: number): number {
  return typeof belly === 'number' ? DEFAULT_BELLY_HEIGHT * height : belly.at;
}

/** The belly with its diameter and its height multiplied. */
export function scaledBelly(belly: Belly, across: number, up: number): Belly {
  if (typeof belly === 'number') return belly * across;
  return { diameter: belly.diameter * across, at: belly.at * up };
}
