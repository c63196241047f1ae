import type { Mesh } from '../../geometry/mesh/mesh.ts';
import type { DartProposal } from '../../target/mouldForm.ts';

/** A mesh and its flat layout (x, y of each vertex, mm). */
export interface LaidMesh {
  readonly mesh: Mesh;
  readonly uv: Float64Array;
}

/** Both sides of a cut as vertices from the border to the tip, which both share. */
export interface Cut {
  readonly left: readonly number[];
  readonly right: readonly number[];
}

/** Strain of the clay between the flat blank and the formed piece, at each vertex (fractions). */
export interface Strain {
  /** How much longer the slab becomes where it grows most, and how much shorter where it gathers most. */
  readonly stretch: Float64Array;
  readonly gather: Float64Array;
  /** Thickness left, as a fraction of the slab's: one over both stretches. */
  readonly thickness: Float64Array;
  /** The most that a patch of the slab must do, and the least and greatest thickness of one. */
  readonly most: { readonly stretch: number; readonly gather: number; readonly thin: number; readonly thick: number };
  /** Where the most gathers: at the tip of a dart, or anywhere else. */
  readonly gathers: 'tip' | 'elsewhere';
  /** Flat area (mm2), and flat area times thickness left over formed area, which is 1 when no clay is lost. */
  readonly flatArea: number;
}

/** A blank: the neutral surface as formed, the same laid flat, and the strain between. */
export interface Blank extends LaidMesh {
  readonly cuts: readonly Cut[];
  readonly strain: Strain;
  /** Vertices of the flat border once round. */
  readonly border: readonly number[];
  /** Mean symmetric distortion, number of steps, and whether it converged. */
  readonly distortion: number;
  readonly iterations: number;
  readonly converged: boolean;
  /** Fine enough for the knife and for advice; a quick one is for drawing only. */
  readonly fine: boolean;
  /** Darts that could not be cut, as their places in the list. */
  readonly missed: readonly number[];
  /** How deep each dart is cut (mm), where deeper was asked for and would read worse. */
  readonly cutTo?: readonly number[];
  /** What darts would do, once it has been looked for. */
  readonly proposal?: DartProposal;
}
