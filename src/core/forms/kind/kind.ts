import type { Blank } from './blank.ts';
import type { Fault } from '../../errors.ts';
import type { LaidPanel } from '../../parts/part/laidPanel.ts';
import type { Part } from '../../parts/part/part.ts';
import type { SeamKind } from '../../target/seam.ts';
import type { Form, Target } from '../../target/target.ts';
import type { Body } from './body.ts';
import type { FormSize } from './formSize.ts';
import type { Ranged } from './ranged.ts';
import type { Standing } from './standing.ts';
import type { FigureId, Step } from './step.ts';

/** Figures of one conical band of a stack. Wet mm and degrees, of the neutral surface. */
export interface BandFigures {
  readonly halfAngle: number;
  readonly slant: number;
  readonly arcFoot: number | null;
  readonly arcRim: number | null;
  readonly sweep: number;
  readonly girthFoot: number;
  readonly girthRim: number;
}

/** Figures of a developed piece, wet mm and degrees, of the neutral surface; each kind of form has its own (docs/format.md). */
export interface Numbers {
  readonly wrapLength?: number;
  readonly wallHeight?: number;
  /** Under and upper face of the base; absent when there is none. A base that is not round has its length along x. */
  readonly baseDiameter?: number;
  readonly baseTopDiameter?: number;
  readonly baseWidth?: number;
  readonly bevelRun: number;
  readonly outsideDiameter?: number;
  readonly neutralDiameter?: number;
  readonly halfAngle?: number;
  readonly slant?: number;
  /** null where the wall is straight and the arc a line. */
  readonly arcFoot?: number | null;
  readonly arcRim?: number | null;
  readonly sweep?: number;
  readonly bands?: readonly BandFigures[];
  readonly panelFoot?: number;
  readonly panelRim?: number;
  /** Greatest width of a strip, how much longer its edge is flat than standing (mm), and the most that the edge gathers (fraction). */
  readonly panelWidest?: number;
  readonly edgeExcess?: number;
  readonly edgeGather?: number;
  readonly panelLength?: number;
  readonly panelWidth?: number;
  readonly sideMitre?: number;
  /** Angle of a V-groove between two panels of a strip, from one of its sides to the other (degrees). */
  readonly groove?: number;
  readonly lean?: number;
  readonly girthRim?: number;
  readonly girthFoot?: number;
  readonly area?: number;
  /** Radii of a round mould's blank along its section, and of the disc as large; how much the first one's girth is too long. */
  readonly lengthTrue?: number;
  readonly areaTrue?: number;
  readonly girthExcess?: number;
  /** A stand's flat strip, its slot and a roll across, wet. */
  readonly stripLength?: number;
  readonly slot?: number;
  readonly rollAcross?: number;
  readonly rollFront?: number;
  /** A bent sheet along and across the cylinder and how high its edges rise, neutral wet mm; its feet, fired mm. */
  readonly bentLength?: number;
  readonly bentWidth?: number;
  readonly bentRise?: number;
  readonly footLengths?: readonly number[];
  /** A strap or pulled handle as it is cut or drawn, wet, and from end to end as it stands, fired mm. */
  readonly handleLength?: number;
  readonly handleDrop?: number;
  /** Across a lid along the x axis, and the neutral length of its flange or side, wet mm. */
  readonly lidAcross?: number;
  readonly flangeLength?: number;
}

/** A place on the wall: which piece of the wall, and how far along its foot and its rim (fractions, anticlockwise from above). */
export interface WallPlace {
  readonly piece: number;
  readonly foot: number;
  readonly rim: number;
}

/** A figure that is measured on a flat part (wet mm). */
export interface FormFigure {
  readonly id: FigureId;
  readonly label: string;
  readonly mm: number;
}

/** A form developed: its figures, parts, the standing piece, and the least radius that the slab is bent to (mm). */
export interface DevelopedForm {
  readonly numbers: Numbers;
  readonly parts: readonly Part[];
  readonly bendRadius: number;
  /** How far round its centre the widest flat piece of a conical wall reaches, with what its seam adds (degrees). */
  readonly flatSweep?: number;
  /** The blank of a piece from a mould. */
  readonly blank?: Blank;
  /** Where an angle round from the first seam (degrees) lies on a wall that is not round. */
  readonly placeAt?: (angle: number) => WallPlace;
  /** Where a share of the whole girth from the first seam lies, on a wall whose pieces are not equally long. */
  readonly shareAt?: (share: number) => WallPlace;
  /** The panels of a wall of flat ones, anticlockwise as seen from above. */
  readonly panels?: readonly LaidPanel[];
}

/** How much wider the rim of a taper becomes that is made of a straight form. */
const STRAIGHT_OPENS = 1.25;

/** About how large a form is: across rim and foot, and its height (mm). */
export interface RoughSize {
  readonly rim: number;
  readonly foot: number;
  readonly height: number;
}

/** Rim and foot of a form that is to taper: a straight one opens by a quarter (mm). */
export function taperedRough({ rim, foot }: RoughSize): { readonly rim: number; readonly foot: number } {
  return rim === foot ? { rim: rim * STRAIGHT_OPENS, foot } : { rim, foot };
}

/** What is true of every piece of a kind, whatever its sizes. */
export interface FormTraits {
  /** Its plan is a circle at every height, and its widths are diameters. */
  readonly round?: true;
  /** It is drawn with an open mouth, seen from a little above. */
  readonly open?: true;
  /** Its wall can be pushed out to a belly after it stands. */
  readonly belly?: true;
  /** Places and lines are marked on its flat wall. */
  readonly markable?: true;
  /** It develops fast enough to be developed many times at every keystroke. */
  readonly quick?: true;
  /** Its wall goes round one former. */
  readonly former?: true;
  /** Its sizes are those of a tool or a flat outline, and the piece is measured as it stands. */
  readonly ofTool?: true;
  /** Its wall is round both ways: its parts are bent along and across, and no seam of it rolls on a table. */
  readonly bulges?: true;
  /** Its plan has corners. */
  readonly cornered?: true;
  /** Its walls are flat panels. */
  readonly panels?: true;
  /** The rim is cut square to the wall or level, as the potter says; all others are cut level. */
  readonly rimCut?: true;
  /** Its seam is cut and joined as the target says. */
  readonly seam?: true;
}

/** What a kind is called where it is chosen, what it is for, and the name of a new piece of it. */
export interface FormWords {
  readonly title: string;
  readonly why: string;
  readonly piece: string;
  /** What bending its wall is like, for whoever makes it. */
  readonly bending?: string;
}

/** All that one kind of form is and does. One folder has it for each family, and `kinds.ts` lists it. */
export interface FormKindWork<F extends Form = Form> {
  readonly words: FormWords;
  readonly traits: FormTraits;
  /** Its figures with their ranges (mm). */
  readonly ranges: (form: F) => readonly Ranged[];
  /** What is wrong with its outlines, beyond ranges. */
  readonly shapeFaults?: (form: F) => Fault[];
  /** The figures that a person may change, in the order in which they are asked for. */
  readonly sizes: (form: F) => readonly FormSize[];
  readonly rough: (form: F) => RoughSize;
  /** A new one of about that size (mm). */
  readonly fresh: (rough: RoughSize) => Form;
  /** Paths of the sizes across its rim and its foot, where it has both. */
  readonly edges?: (form: F) => { readonly rim: string; readonly foot: string } | null;
  /** Heights and widths of the points of its profile that are dragged on its drawing (mm). */
  readonly profile?: (form: F) => readonly (readonly [height: number, across: number])[];
  /** The seams that it can be joined with, and how its parts meet; absent where any seam will do. */
  readonly seams?: (form: F) => { readonly kinds: readonly SeamKind[]; readonly how: string };
  readonly standing: (target: Target) => Standing;
  readonly develop: (target: Target) => DevelopedForm;
  /** Reasons why no slab makes it, each figure being in range. */
  readonly faults: (target: Target) => Fault[];
  /** The standing piece by its walls, as they are bent; absent where the slab is stretched over a mould or rolled. */
  readonly body?: (target: Target, rulings?: number) => Body;
  /** What is measured on its wall, where no other kind has the same figures. */
  readonly figures?: (form: F, numbers: Numbers) => readonly FormFigure[];
  /** How a figure of its own came about; empty where it has no steps of its own for it. */
  readonly explain: (figure: FigureId, explained: Explained) => Step[];
}

/** A piece whose figures are explained, and the band that is meant, counted from the foot. */
export interface Explained {
  readonly target: Target;
  readonly developed: Pick<DevelopedForm, 'numbers' | 'parts'>;
  readonly band: number;
}
