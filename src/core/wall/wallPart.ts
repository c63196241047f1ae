import { moved } from '../outline/outline.ts';
import { rectangle } from '../outline/shapes.ts';
import { distanceToUpper, inset, leanWord, turnedLean, type Face, type Lean } from '../part/lean.ts';
import type { Mark, Part } from '../part/part.ts';
import { seamAllowance, type Seam } from '../seam/seam.ts';

/** A straight wall on its neutral surface. Wet mm, degrees; `footLean` signed as seen with the inside face up. */
export interface StraightWall {
  readonly wrapLength: number;
  readonly wallHeight: number;
  readonly footLean: number;
  readonly thickness: number;
  readonly neutralFraction: number;
  readonly seam: Seam;
  readonly faceUp: Face;
}

/** The seam's letter, set at both ends so that they pair. */
const SEAM_LETTER = 'A';

function wallMarks(length: number, height: number, seam: Seam): Mark[] {
  const letterAt = Math.min(12, length / 8);
  const top = height - Math.min(12, height / 4);
  const marks: Mark[] = [
    { kind: 'line', name: 'centre', from: [length / 2, 0], to: [length / 2, height] },
    { kind: 'letter', at: [letterAt, top], text: SEAM_LETTER },
    { kind: 'letter', at: [length - letterAt, top], text: SEAM_LETTER },
  ];
  if ((seam.kind === 'lap' || seam.kind === 'half-lap') && seam.overlap > 0) {
    for (const x of [seam.overlap, length - seam.overlap]) {
      marks.push({ kind: 'line', name: 'overlap', from: [x, 0], to: [x, height] });
    }
  }
  return marks;
}

/**
 * The flat part of a straight wall as it lies with `faceUp` up: a rectangle from (0, 0), foot at y = 0. Both ends of a
 * bevel lean the same way through the slab, so the traced length is the neutral one; a leaning foot moves the line.
 */
export function straightWallPart(wall: StraightWall): Part {
  const { thickness: t, seam, faceUp } = wall;
  const allowance = seamAllowance(seam, t);
  const length = wall.wrapLength / seam.panels + allowance.added;
  const foot = faceUp === 'inside' ? wall.footLean : turnedLean(wall.footLean);
  const footInset = inset(foot, distanceToUpper(t, wall.neutralFraction, faceUp));
  const height = wall.wallHeight - footInset;
  const footGrowth = inset(foot, t);
  const ends = allowance.lean;
  const lean = (edge: Lean['edge'], from: number, to: number, angle: number): Lean => ({
    edge,
    from,
    to,
    lean: angle,
    word: leanWord(angle),
  });
  // The part is drawn from its traced foot; the underside of a spread foot reaches below it.
  const underside = moved(rectangle(length, height + footGrowth), allowance.run, -footGrowth);
  const tracedArea = length * height;
  const underArea = length * (height + footGrowth);
  return {
    id: 'wall',
    name: 'Wall',
    count: seam.panels,
    thickness: t,
    faceUp,
    outline: rectangle(length, height),
    underside,
    leans: [
      lean('foot', 0, 1, foot),
      lean('right', 1, 2, ends),
      lean('rim', 2, 3, 0),
      lean('left', 3, 0, turnedLean(ends)),
    ],
    marks: wallMarks(length, height, seam),
    volume: (t * (tracedArea + underArea)) / 2 - halfLapLoss(seam, t, height + footGrowth / 2),
  };
}

/** Clay thinned away at the two ends of a half-lap: half the thickness over the overlap, twice (mm3). */
function halfLapLoss(seam: Seam, t: number, height: number): number {
  return seam.kind === 'half-lap' ? seam.overlap * t * height : 0;
}
