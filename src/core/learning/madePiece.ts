import type { Measured, PieceState } from '../making/measured.ts';

/** A size (mm), weight (g) or capacity (ml) of a piece in a state. */
export interface MeasuredSize {
  readonly what: Measured;
  readonly state: PieceState;
  readonly value: number;
}

/** What a revision says of the finished piece: fired mm, g, ml; and the neutral wrap of its wall where it is one round wrap (wet mm). */
export interface Planned {
  readonly sizes: Partial<Record<Measured, number>>;
  readonly wrap: { readonly length: number; readonly thickness: number } | null;
}

/** One piece that was made, as it is learned from. */
export interface MadePiece {
  readonly making: string;
  readonly piece: number;
  readonly number: number;
  /** The design's name. */
  readonly name: string;
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

/** The newest of what was measured of a piece in a state. */
export function sizeOf({ measured }: Pick<MadePiece, 'measured'>, what: Measured, state: PieceState): number | null {
  return measured.findLast((one) => one.what === what && one.state === state)?.value ?? null;
}
