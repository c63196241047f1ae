import { radians } from '../numbers.ts';
import { area, bounds, moved, type Outline } from '../outline/outline.ts';
import { sectorOutline } from '../outline/sector.ts';
import { seamAllowance, type Seam } from '../seam/seam.ts';
import { leanWord, turnedLean, type Face, type Lean } from './lean.ts';
import type { Mark, Part } from './part.ts';
import { seamLetter } from './seamLetter.ts';

/** A conical band (or straight wall) on its neutral surface. Wet mm; leans in degrees as seen with the inside face up. */
export interface Band {
  readonly id: string;
  readonly name: string;
  /** Seam letter, set at both ends. */
  readonly letter: string;
  readonly girthFoot: number;
  readonly girthRim: number;
  readonly slant: number;
  readonly footLean: number;
  readonly rimLean: number;
  readonly thickness: number;
  readonly neutralFraction: number;
  readonly seam: Seam;
  readonly faceUp: Face;
}

/** The band's sector on the surface `rise` mm above the neutral one as it lies, leans given as they are seen there. */
function layer(band: Band, rise: number, leans: { foot: number; rim: number; added: number }): Outline {
  const { seam, slant } = band;
  const footInset = rise * Math.tan(radians(leans.foot));
  const rimInset = rise * Math.tan(radians(leans.rim));
  const growth = (band.girthRim - band.girthFoot) / seam.panels / slant;
  const foot = band.girthFoot / seam.panels;
  const outline = sectorOutline({
    foot: foot + growth * footInset,
    rim: foot + growth * (slant - rimInset),
    slant: slant - footInset - rimInset,
    added: leans.added,
  });
  // All layers keep the middle of the neutral foot at (0, 0).
  return moved(outline, 0, footInset);
}

/** Centre line, seam letters, and on a straight wall the ends of a lap. `centre` is the middle of the traced foot and rim. */
function bandMarks(outline: Outline, band: Band, centre: { x: number; foot: number; rim: number }): Mark[] {
  const { x, foot, rim } = centre;
  const middle = [x, (foot + rim) / 2] as const;
  return [
    { kind: 'line', name: 'centre', from: [x, foot], to: [x, rim] },
    seamLetter(outline, { rim: 3, foot: 0 }, middle, band.letter),
    seamLetter(outline, { rim: 2, foot: 1 }, middle, band.letter),
    ...lapMarks(outline, band),
  ];
}

function lapMarks(outline: Outline, { seam, girthFoot, girthRim }: Band): Mark[] {
  const lapped = (seam.kind === 'lap' || seam.kind === 'half-lap') && seam.overlap > 0;
  if (!lapped || girthFoot !== girthRim) return [];
  const { minX, minY, maxX, maxY } = bounds(outline);
  return [minX + seam.overlap, maxX - seam.overlap].map((x) => ({
    kind: 'line',
    name: 'overlap',
    from: [x, minY],
    to: [x, maxY],
  }));
}

/** The flat part of a conical band as it lies with `faceUp` up: a ring sector with its foot towards smaller y. */
export function bandPart(band: Band): Part {
  const { thickness: t, neutralFraction: k, faceUp, seam } = band;
  const allowance = seamAllowance(seam, t);
  const seen = (lean: number) => (faceUp === 'inside' ? lean : turnedLean(lean));
  const leans = { foot: seen(band.footLean), rim: seen(band.rimLean), added: allowance.added };
  const up = faceUp === 'inside' ? k * t : (1 - k) * t;
  const traced = layer(band, up, leans);
  const middle = layer(band, up - t / 2, leans);
  const hidden = layer(band, up - t, leans);
  const [dx, dy] = [-(bounds(traced).minX), -(bounds(traced).minY)]; // prettier-ignore
  const outline = moved(traced, dx, dy);
  const lean = (edge: Lean['edge'], from: number, to: number, angle: number): Lean => ({
    edge,
    from,
    to,
    lean: angle,
    word: leanWord(angle),
  });
  const thinned = seam.kind === 'half-lap' ? seam.overlap * t * band.slant : 0;
  return {
    id: band.id,
    name: band.name,
    count: seam.panels,
    thickness: t,
    faceUp,
    outline,
    underside: moved(hidden, dx + allowance.run, dy),
    leans: [
      lean('foot', 0, 1, leans.foot),
      lean('right', 1, 2, allowance.lean),
      lean('rim', 2, 3, leans.rim),
      lean('left', 3, 0, turnedLean(allowance.lean)),
    ],
    marks: bandMarks(outline, band, {
      x: dx,
      foot: dy + up * Math.tan(radians(leans.foot)),
      rim: dy + band.slant - up * Math.tan(radians(leans.rim)),
    }),
    volume: (t * (area(traced) + 4 * area(middle) + area(hidden))) / 6 - thinned,
  };
}
