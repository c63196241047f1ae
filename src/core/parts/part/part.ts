import { bounds, validateOutline, type Outline } from '../../geometry/outline/outline.ts';
import { halfway } from '../../geometry/outline/stretch.ts';
import type { SeamEnds } from '../seam/seam.ts';
import type { Face } from '../../target/face.ts';
import type { Lean } from './lean.ts';

/** A line or a word on the flat part, not cut. Coordinates in mm in the part's own frame. */
export type Mark =
  | {
      readonly kind: 'line';
      readonly name: 'centre' | 'panel' | 'overlap' | 'fold' | 'place' | 'repeat';
      readonly from: readonly [number, number];
      readonly to: readonly [number, number];
    }
  | {
      /** A line of straight pieces and arcs: closed, or open, when its last vertex is its end. */
      readonly kind: 'path';
      readonly name: 'overlap' | 'fold';
      readonly outline: Outline;
      readonly closed: boolean;
    }
  | { readonly kind: 'letter' | 'words'; readonly at: readonly [number, number]; readonly text: string }
  | {
      /** The lean at a place on the edge, and the direction (unit) into the part from there. */
      readonly kind: 'lean';
      readonly at: readonly [number, number];
      readonly inward: readonly [number, number];
      readonly text: string;
    };

/** What a part is in the piece; `frame` and `paper` are no clay. */
export type PartRole =
  | 'wall'
  | 'panel'
  | 'blank'
  | 'sheet'
  | 'strip'
  | 'base'
  | 'handle'
  | 'lug'
  | 'foot'
  | 'lid'
  | 'flange'
  | 'paper'
  | 'frame';

/** A flat part, as it lies on the table with `faceUp` up. */
export interface Part {
  /** Names it among the parts of its piece. */
  readonly id: string;
  readonly role: PartRole;
  /** The potter's word for it. */
  readonly name: string;
  /** How many are cut for one piece. */
  readonly count: number;
  /** Wet thickness of its slab (mm). */
  readonly thickness: number;
  readonly faceUp: Face;
  /** The line that the knife follows on the face that lies up, mm, counter-clockwise, foot towards smaller y. */
  readonly outline: Outline;
  /** Holes that are cut out of it, each counter-clockwise in the same frame. */
  readonly holes?: readonly Outline[];
  /** The same part's outline on its underside, where it differs by the leans. */
  readonly underside: Outline;
  readonly leans: readonly Lean[];
  readonly marks: readonly Mark[];
  /** How much of its foot and of its rim is a seam's overlap or spare, at the left and the right end (mm). */
  readonly added?: { readonly foot: SeamEnds; readonly rim: SeamEnds };
  /** Volume of the flat part (mm3). */
  readonly volume: number;
}

/** Parts that are level plates: the base, pads under it, a lid, lugs. All others are bent or stood up, and lie along the roll. */
const PLATES: readonly PartRole[] = ['base', 'foot', 'lid', 'lug'];

/** Parts that are the wall itself, whatever it is formed from. */
const WALLS: readonly PartRole[] = ['wall', 'panel', 'blank', 'sheet', 'strip'];

/** Whether a part is a level plate. */
export function isPlate({ role }: Pick<Part, 'role'>): boolean {
  return PLATES.includes(role);
}

/** The paper round a former: drawn and printed beside the parts, and no clay. */
export const PAPER_ID = 'sleeve-paper';

/** A part that lies along the roll of its slab. */
export function isRolled(part: Pick<Part, 'role'>): boolean {
  return !isPlate(part) && part.role !== 'paper' && part.role !== 'frame';
}

/** A part of the wall itself. */
export function isWall({ role }: Pick<Part, 'role'>): boolean {
  return WALLS.includes(role);
}

/** The box of slab that a part needs, underside included (mm). */
export function slabBox(part: Part): { readonly length: number; readonly width: number } {
  const up = bounds(part.outline);
  const under = bounds(part.underside);
  return {
    length: Math.max(up.maxX, under.maxX) - Math.min(up.minX, under.minX),
    width: Math.max(up.maxY, under.maxY) - Math.min(up.minY, under.minY),
  };
}

/** A point well within a part, for its name: between the middles of foot and rim, or the middle of its box (mm). */
export function middleOfPart({ outline, leans }: Part): readonly [number, number] {
  const foot = leans.find(({ edge }) => edge === 'foot');
  const rim = leans.find(({ edge }) => edge === 'rim');
  const feet = leans.filter(({ edge }) => edge === 'foot').length;
  if (foot && rim && feet === 1) {
    const [x0, y0] = halfway(outline, foot.from, foot.to);
    const [x1, y1] = halfway(outline, rim.from, rim.to);
    return [(x0 + x1) / 2, (y0 + y1) / 2];
  }
  const box = bounds(outline);
  return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
}

/** What is wrong with a part; empty when it can be cut. */
export function validatePart(part: Part): string[] {
  const wrong = validateOutline(part.outline).map((text) => `outline ${text}`);
  for (const lean of part.leans) {
    if (lean.from >= part.outline.length || lean.to >= part.outline.length) {
      wrong.push(`lean of ${lean.edge} names a vertex that is not there`);
    }
  }
  if (part.leans.some(({ lean }) => Math.abs(lean) >= 90)) wrong.push('an edge leans past the slab');
  if (!(part.volume > 0)) wrong.push('has no volume');
  return wrong;
}
