import type { Measured, PieceState } from '../making/measured.ts';

/** A size (mm), weight (g) or capacity (ml) of a piece in a state. */
export interface MeasuredSize {
  readonly what: Measured;
  readonly state: PieceState;
  readonly value: number;
}

/**
 * What a revision says of the finished piece: fired mm, g, ml; the neutral wrap of its wall where it is one round wrap (wet
 * mm); the wet clay in it and the wet clay cut away (g); and the room that it takes on a shelf (fired ml).
 */
export interface Planned {
  readonly sizes: Partial<Record<Measured, number>>;
  readonly clay: { readonly wet: number; readonly away: number };
  readonly room: number;
  readonly wrap: { readonly length: number; readonly thickness: number } | null;
}

/** Sizes that shrinkage is learned from: thickness is pressed and rolled, and too small for it. */
export const LENGTHS = ['rim', 'foot', 'height', 'length', 'width'] as const satisfies readonly Measured[];

/** One piece that was made, as it is learned from. */
export interface MadePiece {
  readonly making: string;
  readonly piece: number;
  readonly number: number;
  /** The design's name, and the kind of its form. */
  readonly name: string;
  readonly form: string;
  /** The firing that made its fired sizes, where it was written down, and the shelf on which it stood. */
  readonly firing: { readonly id: string; readonly name: string; readonly shelf: string | null } | null;
  /** Shrinkage that its pattern was made for (fraction). */
  readonly shrinkage: number;
  readonly planned: Planned;
  readonly measured: readonly MeasuredSize[];
  readonly faults: readonly string[];
  /** Whether a window was missed; null where nothing was found by hand. */
  readonly missed: boolean | null;
  readonly thickness: number;
  readonly seam: string;
  readonly base: string;
  /** Hours from its first mark to dry; null while unknown. */
  readonly drying: number | null;
}

/** Pieces whose firing was not written down are taken for one firing of their own making. */
export const firingOf = ({ firing, making }: MadePiece) => firing?.id ?? `made ${making}`;

/** The newest of what was measured of a piece in a state. */
export function sizeOf({ measured }: Pick<MadePiece, 'measured'>, what: Measured, state: PieceState): number | null {
  return measured.findLast((one) => one.what === what && one.state === state)?.value ?? null;
}
