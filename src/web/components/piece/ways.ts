import type { Face } from '../../../core/target/face.ts';
import {
  DEFAULT_SKIRT,
  type Base,
  type BaseJoin,
  type SizeState,
  type Stiffness,
} from '../../../core/target/target.ts';
import {
  DEFAULT_BEVEL_ANGLE,
  DEFAULT_MARGIN,
  DEFAULT_OVERLAP,
  type Seam,
  type SeamKind,
} from '../../../core/target/seam.ts';
import type { Choice } from '../fields/choice.ts';

export const SEAM_WAYS: readonly Choice<SeamKind>[] = [
  {
    value: 'bevel',
    title: 'slanted',
    why: 'Both ends cut on one slant lie over one another at one wall’s thickness. The usual way, and the strongest.',
  },
  {
    value: 'butt',
    title: 'butted',
    why: 'Both ends cut straight down. Quick, but little clay touches: score it deep.',
  },
  { value: 'lap', title: 'lapped', why: 'One end over the other, pressed thin. Two walls thick until it is pressed.' },
  {
    value: 'half-lap',
    title: 'half-lapped',
    why: 'Each end thinned to half over the lap, so that the joined wall is even.',
  },
  {
    value: 'cut-in-place',
    title: 'cut in place',
    why: 'Cut the wall too long, wrap it round a former, and cut through both layers at once on a slant.',
  },
];

/** The corners of a box: a slanted seam is a mitre. */
export const CORNER_WAYS: readonly Choice<SeamKind>[] = [
  { value: 'bevel', title: 'mitred', why: 'Both sides slanted at 45 degrees: no edge shows, and more clay touches.' },
  { value: 'butt', title: 'butted', why: 'The short sides stand between the long ones. Simpler to cut.' },
];

export const BASE_WAYS: readonly Choice<BaseJoin>[] = [
  {
    value: 'under',
    title: 'wall stands on it',
    why: 'A disc cut to size, the wall on top. The usual way; with trim, it is cut after joining.',
  },
  {
    value: 'inside',
    title: 'inside the wall',
    why: 'The wall goes down to the table and hides the base. No join shows outside.',
  },
  {
    value: 'mitre',
    title: 'both mitred',
    why: 'Wall and base both cut on a slant: more clay touches, and no edge shows.',
  },
  {
    value: 'skirt',
    title: 'skirt folded up',
    why: 'The base reaches past the wall on a slant and is folded up over the join. Seals well.',
  },
  { value: 'none', title: 'none', why: 'A tube, sleeve or ring.' },
];

/** Ways to make a base: oversize, traced and trimmed after, is a disc under the wall with trim. */
export type BaseWay = BaseJoin | 'traced';

export const TRACED_WAY: Choice<BaseWay> = {
  value: 'traced',
  title: 'traced, trimmed after',
  why: 'Cut a slab larger than the foot, set the wall on it, and trim round the wall once it is joined.',
};

/** Trim of a base that is attached oversize (mm). */
export const DEFAULT_TRIM = 8;

export const STIFFNESS_WAYS: readonly Choice<Stiffness>[] = [
  { value: 'soft', title: 'soft', why: 'Bent soon after rolling: it follows tight curves, and takes fingerprints.' },
  { value: 'medium', title: 'medium', why: 'Firm enough to pick up unmarked, and still bends over a finger.' },
  { value: 'stiff', title: 'stiff', why: 'Nearly leather-hard: crisp, and splits when it is bent far.' },
];

export const FACE_UP_WAYS: readonly Choice<Face>[] = [
  { value: 'inside', title: 'inside', why: 'The plain inside looks up and the wall curls towards you. The usual way.' },
  {
    value: 'outside',
    title: 'outside',
    why: 'The textured outside looks up. Slants at the foot turn the other way; the seam cuts do not change as a pair.',
  },
];

export const MEASURED_WAYS: readonly Choice<Face>[] = [
  { value: 'outside', title: 'outside', why: 'Across the outside: for what the piece must fit into.' },
  { value: 'inside', title: 'inside', why: 'Across the inside: for what must fit into the piece.' },
];

export const STATE_WAYS: readonly Choice<SizeState>[] = [
  {
    value: 'fired',
    title: 'after firing',
    why: 'The sizes are those of the piece out of the glaze kiln; the clay is cut larger.',
  },
  { value: 'wet', title: 'wet', why: 'The sizes are those of the soft clay; the fired piece will be smaller.' },
];

/** A seam of another kind, with that kind's own default. */
export function seamOfKind(kind: SeamKind, panels: number): Seam {
  switch (kind) {
    case 'bevel':
      return { kind, angle: DEFAULT_BEVEL_ANGLE, panels };
    case 'butt':
      return { kind, panels };
    case 'lap':
    case 'half-lap':
      return { kind, overlap: DEFAULT_OVERLAP, panels };
    case 'cut-in-place':
      return { kind, margin: DEFAULT_MARGIN, panels };
  }
}

/** A base of another join, with that join's own default. */
export function baseOfJoin(join: BaseJoin, trim: number): Base {
  return join === 'skirt' ? { join, overlap: DEFAULT_SKIRT, trim } : { join, trim };
}
