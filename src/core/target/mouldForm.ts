import type { MouldSide } from './mouldSide.ts';
import type { PlanOutline } from './plan.ts';

/** How a mould's wall rises from its floor to its rim; `drawn` follows a profile of its own. */
export type MouldWall = 'straight' | 'curved' | 's' | 'dome' | 'drawn';

/** All kinds of mould walls. */
export const MOULD_WALLS: readonly MouldWall[] = ['straight', 'curved', 's', 'dome', 'drawn'];

/** A wedge cut out of a blank from its rim inward, and joined again. */
export interface Dart {
  /** Where it stands on the rim, seen from above: degrees anticlockwise from the mould's x axis. */
  readonly at: number;
  /** How deep it is cut from the trimmed rim along the slab (wet mm). */
  readonly depth: number;
}

/** What was found in search of darts: some that bring the strain within its limits, or the reason why there are none. */
export type DartProposal =
  | { readonly kind: 'darts'; readonly darts: readonly Dart[] }
  | { readonly kind: 'none-needed' }
  | { readonly kind: 'too-deep' }
  | { readonly kind: 'stopped' };

/** A drawn wall of more points than this is read from a file and not dragged. */
export const DRAGGED_POINTS = 9;

/** A slab laid over a hump or into a hollow: the tool's own sizes as it measures today (mm). */
export interface MouldForm {
  readonly kind: 'mould';
  readonly rim: PlanOutline;
  /** Outline of the flat floor; a dome has none. */
  readonly foot?: PlanOutline;
  readonly depth: number;
  readonly wall: MouldWall;
  /** Of a drawn wall: shares of the way out from foot to rim, and of the depth, from [0, 0] to [1, 1]. */
  readonly profile?: readonly (readonly [out: number, up: number])[];
  readonly side: MouldSide;
  /** Added to the blank all round beyond its flange, to be trimmed on the mould. */
  readonly margin: number;
  /** Left on beyond the mould's rim, lying level (wet mm); trimmed at the rim when left out. */
  readonly flange?: number;
  /** Thickness of the cloth, paper or film between mould and slab. */
  readonly cloth?: number;
  readonly darts?: readonly Dart[];
  /** What this clay takes, where it is not its stiffness' own (fractions). */
  readonly limits?: StrainLimits;
  /** The mould is of clay that has shrunk itself. */
  readonly own?: OwnMould;
}

/** A mould read from a mesh: its face as it measures today (mm), open upward, one border. */
export interface MeshForm {
  readonly kind: 'mesh';
  /** x, y, z of each vertex. */
  readonly vertices: readonly (readonly [number, number, number])[];
  readonly triangles: readonly (readonly [number, number, number])[];
  readonly side: MouldSide;
  readonly margin: number;
  readonly flange?: number;
  readonly cloth?: number;
  readonly darts?: readonly Dart[];
  readonly limits?: StrainLimits;
}

/** The forms whose blank is flattened. */
export type DrapedForm = MouldForm | MeshForm;

/** How much longer or shorter soft clay may become, as fractions of its length. */
export interface StrainLimits {
  readonly stretch: number;
  readonly gather: number;
}

/** A mould of clay: how much its own clay shrinks from the model to the mould as it is now (fraction), and how often. */
export interface OwnMould {
  readonly shrinkage: number;
  /** How often: 1 when the mould itself shrank, 2 when it was cast from one that had shrunk; or each cast, the last one last. */
  readonly casts: number | readonly MouldCast[];
  /** How far it has dried or been fired; not known when left out. */
  readonly state?: MouldState;
  /** How thick its wall is when it is wet (mm). */
  readonly wall?: number;
}

/** One cast: how thick its slab is (wet mm), and which of its faces is used: the one that was pressed on, or the other one, inside or outside it. */
export interface MouldCast {
  readonly thickness: number;
  readonly face: 'same' | 'inside' | 'outside';
}

/** Faces of a cast that can be used. */
export const CAST_FACES: readonly MouldCast['face'][] = ['same', 'inside', 'outside'];

/** States of a mould of clay: it takes pressing from leather-hard on. */
export type MouldState = 'soft' | 'leather-hard' | 'dry' | 'bisque' | 'fired';

/** States of a clay mould, in order. */
export const MOULD_STATES: readonly MouldState[] = ['soft', 'leather-hard', 'dry', 'bisque', 'fired'];

/** Limits of medium clay (geometry: drape, hump and slump blanks), and rules of the bench for softer and stiffer. */
export const STRAIN_LIMITS = {
  soft: { stretch: 0.12, gather: 0.09 },
  medium: { stretch: 0.08, gather: 0.06 },
  stiff: { stretch: 0.04, gather: 0.03 },
} as const;

/** Margin round a new blank (mm). */
export const DEFAULT_BLANK_MARGIN = 20;

/** Limits of a mould's figures (mm, fractions, counts). */
export const MOULD_LIMITS = {
  margin: { least: 0, greatest: 200 },
  flange: { least: 0, greatest: 100 },
  cloth: { least: 0, greatest: 10 },
  strain: { above: 0, greatest: 0.5 },
  darts: { greatest: 16 },
  profile: { least: 2, greatest: 60 },
  vertices: { greatest: 20_000 },
  ownShrinkage: { least: 0, greatest: 0.25 },
  casts: { least: 1, greatest: 4 },
  castThickness: { least: 0, greatest: 40 },
} as const;
