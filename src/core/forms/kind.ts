import type { Fault } from '../errors.ts';
import type { Blank } from './mould/blank.ts';
import type { LaidPanel } from '../parts/part/laidPanel.ts';
import type { Part } from '../parts/part/part.ts';
import type { Standing } from './standing/standing.ts';

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

/** What one kind of form can do. The target's form is of that kind. */
export interface FormKindWork<T> {
  readonly standing: (target: T) => Standing;
  readonly develop: (target: T) => DevelopedForm;
  /** Reasons why no slab makes it, each figure being in range. */
  readonly faults: (target: T) => Fault[];
}
