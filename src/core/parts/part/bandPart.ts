import { degrees, radians } from '../../numbers.ts';
import { bounds, moved, type Outline } from '../../geometry/outline/outline.ts';
import { sectorArea, sectorEnds, sectorOutline, sectorSweep, type Sector } from '../../geometry/outline/sector.ts';
import { seamAllowance, seamEnds, type SeamEnds } from '../seam/seam.ts';
import type { Seam } from '../../target/seam.ts';
import { leanWord, turnedLean, type Lean } from './lean.ts';
import type { Face } from '../../target/face.ts';
import type { Mark, Part, PartRole } from './part.ts';
import { seamLetter } from './seamLetter.ts';
import type { Point } from '../../geometry/point.ts';

/** A conical band (or straight wall) on its neutral surface. Wet mm; leans in degrees as seen with the inside face up. */
export interface Band {
  readonly id: string;
  /** A wall when left out. */
  readonly role?: PartRole;
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

/** Leans of foot and rim as seen on a layer, and the strips at its ends (mm). */
interface LayerEdges {
  readonly foot: number;
  readonly rim: number;
  readonly ends: SeamEnds;
}

/** The band's sector on the surface `rise` mm above the neutral one as it lies. */
function sectorOf(band: Band, rise: number, { foot: footLean, rim: rimLean, ends }: LayerEdges): Sector {
  const { seam, slant } = band;
  const footInset = rise * Math.tan(radians(footLean));
  const rimInset = rise * Math.tan(radians(rimLean));
  const growth = (band.girthRim - band.girthFoot) / seam.panels / slant;
  const foot = band.girthFoot / seam.panels;
  return {
    foot: foot + growth * footInset,
    rim: foot + growth * (slant - rimInset),
    slant: slant - footInset - rimInset,
    ...ends,
  };
}

/** That sector's outline: all layers keep the middle of the neutral foot at (0, 0). */
function layer(band: Band, rise: number, edges: LayerEdges): Outline {
  return moved(sectorOutline(sectorOf(band, rise, edges)), 0, rise * Math.tan(radians(edges.foot)));
}

/** Centre line, seam letters, and on a straight wall the ends of a lap. `centre` is the middle of the traced foot and rim. */
function bandMarks(
  outline: Outline,
  {
    band,
    inner,
    centre,
  }: { readonly band: Band; readonly inner: Outline; readonly centre: { x: number; foot: number; rim: number } },
): Mark[] {
  const { x, foot, rim } = centre;
  const middle = [x, (foot + rim) / 2] as const;
  return [
    { kind: 'line', name: 'centre', from: [x, foot], to: [x, rim] },
    seamLetter(outline, { end: { rim: 3, foot: 0 }, middle, text: band.letter }),
    seamLetter(outline, { end: { rim: 2, foot: 1 }, middle, text: band.letter }),
    ...lapMarks(band, inner),
  ];
}

/** Lines a lap's width inside both ends: the other end is laid over up to one of them. With a spare, where the true wrap ends. */
function lapMarks(band: Band, inner: Outline): Mark[] {
  const { added } = seamAllowance(band.seam, band.thickness);
  if (!(added > 0)) return [];
  const [lowLeft, lowRight, highRight, highLeft] = inner.map(([x, y]) => [x, y] as const) as [
    Point,
    Point,
    Point,
    Point,
  ];
  return [
    { kind: 'line', name: 'overlap', from: lowLeft, to: highLeft },
    { kind: 'line', name: 'overlap', from: lowRight, to: highRight },
  ];
}

/** Both faces of the band as it lies: their height above the neutral surface, and their edges. */
function facesOf(band: Band) {
  const { thickness: t, neutralFraction: k, faceUp, seam } = band;
  const seen = (lean: number) => (faceUp === 'inside' ? lean : turnedLean(lean));
  const ends = seamEnds(seam, t, faceUp);
  const up = faceUp === 'inside' ? k * t : (1 - k) * t;
  const edges = { foot: seen(band.footLean), rim: seen(band.rimLean), ends };
  // Both ends slant the same way through the slab, each square to itself: one spreads as the other tucks.
  const { run } = seamAllowance(seam, t);
  const hidden = { ...edges, ends: { left: ends.left - run, right: ends.right + run } };
  return { up, edges, hidden };
}

/**
 * How far round its centre the flat band reaches, with what its seam adds, on the face where that is more (degrees). Past
 * 360 it overlaps itself; Infinity where what is added is wider than the smaller arc's radius.
 */
export function bandSweep(band: Band): number {
  const { up, edges, hidden } = facesOf(band);
  const sweeps = [sectorOf(band, up, edges), sectorOf(band, up - band.thickness, hidden)].map(sectorSweep);
  return degrees(Math.max(...sweeps));
}

/** The flat part of a conical band as it lies with `faceUp` up: a ring sector with its foot towards smaller y. */
export function bandPart(band: Band): Part {
  const { thickness: t, faceUp, seam } = band;
  const allowance = seamAllowance(seam, t);
  const { up, edges: leans, hidden: below } = facesOf(band);
  const { ends } = leans;
  const traced = layer(band, up, leans);
  const hidden = layer(band, up - t, below);
  const { left, right } = ends;
  const overlap = left + right;
  const spare = seam.kind === 'cut-in-place';
  const inside = spare ? { left: 0, right: 0 } : { left: left - overlap, right: right - overlap };
  const inner = layer(band, up, { ...leans, ends: inside });
  const areaAt = (rise: number) => sectorArea(sectorOf(band, rise, leans));
  const [dx, dy] = [-bounds(traced).minX, -bounds(traced).minY];
  const outline = moved(traced, dx, dy);
  const lean = (
    edge: Lean['edge'],
    { from, to, angle }: { readonly from: number; readonly to: number; readonly angle: number },
  ): Lean => ({
    edge,
    from,
    to,
    lean: angle,
    word: leanWord(angle),
  });
  const thinned = seam.kind === 'half-lap' ? seam.overlap * t * band.slant : 0;
  return {
    id: band.id,
    role: band.role ?? 'wall',
    name: band.name,
    count: seam.panels,
    thickness: t,
    faceUp,
    outline,
    underside: moved(hidden, dx, dy),
    leans: [
      lean('foot', { from: 0, to: 1, angle: leans.foot }),
      lean('right', { from: 1, to: 2, angle: allowance.lean }),
      lean('rim', { from: 2, to: 3, angle: leans.rim }),
      lean('left', { from: 3, to: 0, angle: turnedLean(allowance.lean) }),
    ],
    marks: bandMarks(outline, {
      band,
      inner: moved(inner, dx, dy),
      centre: {
        x: dx,
        foot: dy + up * Math.tan(radians(leans.foot)),
        rim: dy + band.slant - up * Math.tan(radians(leans.rim)),
      },
    }),
    ...(overlap > 0 && { added: sectorEnds(sectorOf(band, up, leans)) }),
    volume: (t * (areaAt(up) + 4 * areaAt(up - t / 2) + areaAt(up - t))) / 6 - thinned,
  };
}
