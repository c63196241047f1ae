import { DEFAULT_SHRINKAGE, DEFAULT_WET_DENSITY } from '../units/shrinkage.ts';
import type { SheetForm } from './sheetForm.ts';
import type { Belly } from './belly.ts';
import type { GoresForm } from './goresForm.ts';
import type { Feet } from './feet.ts';
import type { Handle } from './handle.ts';
import type { Lid } from './lid.ts';
import type { Lugs } from './lugs.ts';
import type { MeshForm, MouldForm } from './mouldForm.ts';
import type { Face } from './face.ts';
import type { PlanOutline } from './plan.ts';
import type { InHand } from './inHand.ts';
import type { ArcTemplate } from './arcTemplate.ts';
import type { StandForm } from './standForm.ts';
import { DEFAULT_BEVEL_ANGLE, type Seam } from './seam.ts';

/** The name that marks a file of this format. */
export const TARGET_FORMAT = 'fawn-table/target';

/** The newest version of the target file that this program reads, and the one it writes. */
export const TARGET_VERSION = 1;

/** Where the sizes are meant: as the piece leaves the kiln, or as it is cut. */
export type SizeState = 'fired' | 'wet';

/** Both states of sizes. */
export const SIZE_STATES: readonly SizeState[] = ['fired', 'wet'];

/** A straight, round wall. Diameter over the face and state of `size`; height overall, table to rim, outside (mm). */
export interface CylinderForm {
  readonly kind: 'cylinder';
  readonly diameter: number;
  readonly height: number;
}

/** A cone: diameters at rim and foot over the face and state of `size`; height overall (mm). */
export interface TaperForm {
  readonly kind: 'taper';
  readonly rim: number;
  readonly foot: number;
  readonly height: number;
}

/** Stacked tapers: points of the profile, [height above the table, diameter] in mm, the first at height 0. */
export interface StackForm {
  readonly kind: 'stack';
  readonly profile: readonly (readonly [height: number, diameter: number])[];
}

/** A straight wall on an ellipse (mm). */
export interface OvalForm {
  readonly kind: 'oval';
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** Flat panels, straight or tapered: across flats at rim and foot (mm), as separate panels or one grooved strip. */
export interface FacetForm {
  readonly kind: 'facet';
  readonly sides: number;
  readonly rim: number;
  readonly foot: number;
  readonly height: number;
  readonly fold: 'separate' | 'strip';
}

/** A rectangular box (mm); corners mitred, or butted with a butt seam. */
export interface BoxForm {
  readonly kind: 'box';
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** The wall between two outlines in level planes (mm). */
export interface LoftForm {
  readonly kind: 'loft';
  readonly rim: PlanOutline;
  readonly foot: PlanOutline;
  readonly height: number;
}

/** A wall wrapped round an owned pipe or can: its diameter, the sleeve's thickness and the piece's height as cut, wet mm. */
export interface FormerForm {
  readonly kind: 'former';
  readonly diameter: number;
  readonly sleeve: number;
  readonly height: number;
}

/** The forms that can be developed. */
export type Form =
  | CylinderForm
  | TaperForm
  | StackForm
  | OvalForm
  | FacetForm
  | BoxForm
  | LoftForm
  | GoresForm
  | FormerForm
  | MouldForm
  | MeshForm
  | StandForm
  | SheetForm;

/** A kind of form. */
export type FormKind = Form['kind'];

/** All kinds of forms. */
export const FORM_KINDS: readonly FormKind[] = [
  'cylinder',
  'taper',
  'stack',
  'oval',
  'facet',
  'box',
  'loft',
  'gores',
  'former',
  'mould',
  'mesh',
  'stand',
  'sheet',
];

/** Most points of a profile, and sides of a facetted piece or polygon. */
export const MOST_PROFILE_POINTS = 24;

/** Limits of the number of sides. */
export const SIDES_LIMITS = { least: 3, greatest: 24 } as const;

/** How the base meets the wall. `overlap` of a skirt and `trim` (added to the disc's radius) in mm. */
export type Base =
  | { readonly join: 'under' | 'inside' | 'mitre' | 'none'; readonly trim: number }
  | { readonly join: 'skirt'; readonly overlap: number; readonly trim: number };

/** A way to join a base. */
export type BaseJoin = Base['join'];

/** All ways to join a base. */
export const BASE_JOINS: readonly BaseJoin[] = ['under', 'inside', 'mitre', 'skirt', 'none'];

/** Default width of a skirt (mm): a narrow one, folded up the wall. */
export const DEFAULT_SKIRT = 3;

/** How a rim is cut: square to the wall, or level. */
export type Rim = 'square' | 'level';

/** Both ways to cut a rim. */
export const RIMS: readonly Rim[] = ['square', 'level'];

/** How the clay feels when it is bent: at the same bend a stiff slab splits first. */
export type Stiffness = 'soft' | 'medium' | 'stiff';

/** All degrees of stiffness. */
export const STIFFNESSES: readonly Stiffness[] = ['soft', 'medium', 'stiff'];

/** Stiffness of a clay when none is given. */
export const DEFAULT_STIFFNESS: Stiffness = 'medium';

/** What the finished piece must fit, fired mm; what is left out does not matter. */
export interface Fit {
  /** Diameter of a round rack hole that it drops into. */
  readonly hole?: number;
  /** Clear height over the shelf that it stands on. */
  readonly shelf?: number;
  /** Room to be left all round. */
  readonly clearance: number;
}

/** Default room round a piece in its hole or under its shelf (mm). */
export const DEFAULT_CLEARANCE = 1;

/**
 * A place on the wall: degrees round from the first seam, 0 on it and 180 opposite. A handle or spout is joined there; a
 * feature, such as a face, has a word of its own.
 */
export type JoinPlace =
  | { readonly kind: 'handle' | 'spout'; readonly at: number }
  | { readonly kind: 'feature'; readonly at: number; readonly text: string };

/** A place that is marked: one that was asked for, or where one of two lugs is joined. */
export type MarkedPlace = JoinPlace | { readonly kind: 'lug'; readonly at: number };

/** What is written at a place. */
export function placeWord(place: MarkedPlace): string {
  return place.kind === 'feature' ? place.text : place.kind;
}

/** Which of the equal panels are marked: their borders alone, or every other one too. */
export type PanelMarking = 'borders' | 'every-other';

/** What is drawn on the flat wall and not cut. Lengths wet mm. */
export interface WallMarks {
  /** Equal panels: how many, or about how wide (the nearest whole number of them is taken). */
  readonly panels?: ({ readonly count: number } | { readonly width: number }) & { readonly marked?: PanelMarking };
  readonly places?: readonly JoinPlace[];
  /** Width of a stamp or of one repeat of a texture, pressed side by side all round. */
  readonly repeat?: number;
  readonly text?: string;
  /** Where the text stands: degrees round as places have them, and its share of the wall's height; in the middle, low, when left out. */
  readonly textAt?: { readonly at: number; readonly up: number };
}

/** A design: what the finished piece must be, and the clay, slab and joins that make it. Lengths mm. */
export interface Target {
  readonly format: typeof TARGET_FORMAT;
  readonly version: typeof TARGET_VERSION;
  readonly name: string;
  /** The named set of pieces that it belongs to. */
  readonly set?: string;
  readonly clay: {
    /** Total linear shrinkage, wet to fired, fraction of the wet length. */
    readonly shrinkage: number;
    /** g/cm3. */
    readonly wetDensity: number;
    /** What it is called in the clay book, where its shrink bars are. */
    readonly name?: string;
    /** How stiff it is when it is bent; {@link DEFAULT_STIFFNESS} when left out. */
    readonly stiffness?: Stiffness;
  };
  readonly slab: {
    /** Wet thickness of the wall (mm). */
    readonly wall: number;
    /** Wet thickness of the base (mm). */
    readonly base: number;
    /** Where the neutral surface lies, from the inner (0) to the outer (1) face. */
    readonly neutralFraction: number;
    readonly faceUp: Face;
  };
  readonly size: { readonly state: SizeState; readonly face: Face };
  readonly form: Form;
  readonly seam: Seam;
  readonly base: Base;
  readonly rim: Rim;
  readonly fit?: Fit;
  readonly marks?: WallMarks;
  readonly handle?: Handle;
  readonly lugs?: Lugs;
  readonly feet?: Feet;
  readonly lid?: Lid;
  /** An arc template that is owned already and traced for the wall. */
  readonly owned?: ArcTemplate;
  /** What the piece keeps to while slab, seam, base or clay change. */
  readonly inHand?: InHand;
  /** What a round piece is pushed out to after joining, over the face and state of `size` (mm). */
  readonly belly?: Belly;
}

/** Limits of the figures in a target, the same in file, form and command line. Lengths mm. */
export const LIMITS = {
  shrinkage: { least: 0, greatest: 0.25 },
  wetDensity: { least: 1, greatest: 3 },
  thickness: { least: 1, greatest: 40 },
  neutralFraction: { least: 0, greatest: 1 },
  size: { greatest: 5000 },
  overlap: { least: 0, greatest: 200 },
  trim: { least: 0, greatest: 100 },
  panels: { least: 1, greatest: 24 },
  nameLength: { least: 1, greatest: 120 },
  wallPanels: { least: 2, greatest: 60 },
  /** A stamp narrower than this is no stamp, and a panel narrower than this no panel (mm). */
  repeat: { least: 2, greatest: 5000 },
  panelWidth: { least: 5, greatest: 5000 },
  places: { least: 0, greatest: 12 },
  markText: { greatest: 60 },
  /** Words of a feature, and how far up the wall words stand. */
  featureText: { least: 1, greatest: 24 },
  textUp: { least: 0.02, greatest: 0.98 },
} as const;

/** What a target says when it does not say otherwise. */
export const TARGET_DEFAULTS = {
  clay: { shrinkage: DEFAULT_SHRINKAGE, wetDensity: DEFAULT_WET_DENSITY },
  slab: { wall: 6, base: 6, neutralFraction: 0.5, faceUp: 'inside' },
  size: { state: 'fired', face: 'outside' },
  seam: { kind: 'bevel', angle: DEFAULT_BEVEL_ANGLE, panels: 1 },
  base: { join: 'under', trim: 0 },
  rim: 'square',
} as const satisfies Omit<Target, 'format' | 'version' | 'name' | 'form'>;

/** A new design: a straight tumbler that a hand fits round. */
export function newTarget(name: string): Target {
  return {
    format: TARGET_FORMAT,
    version: TARGET_VERSION,
    name,
    ...TARGET_DEFAULTS,
    form: { kind: 'cylinder', diameter: 84, height: 110 },
  };
}
