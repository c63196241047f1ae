import { degrees } from '../../numbers.ts';
import { arcsThrough } from '../../geometry/outline/curve.ts';
import { forward } from '../../geometry/outline/forward.ts';
import { area, bounds, mirrored, moved, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import { halfway } from '../../geometry/outline/stretch.ts';
import { seamAllowance, seamEnds, type SeamEnds } from '../seam/seam.ts';
import type { Seam } from '../../target/seam.ts';
import { slopeAt, unrollLoft, type LoftWall, type UnrolledLoft } from '../wall/loft.ts';
import { leanWord, turnedLean } from './lean.ts';
import type { Face } from '../../target/face.ts';
import { ended, perMm, reversed, type End } from './loftEnds.ts';
import { slid, slidesOf, type Slides } from './loftSlides.ts';
import { panelEdges, type PanelEdges } from './panelEdges.ts';
import type { Mark, Part } from './part.ts';
import { seamLetter } from './seamLetter.ts';
import { edgeLean, leanMarks, leansAlong } from './varyingLean.ts';
import type { Point } from '../../geometry/point.ts';

/** A panel of a lofted wall: from one normal over a sweep (radians), between two heights (wet mm). */
export interface LoftPanel {
  readonly wall: LoftWall;
  readonly id: string;
  readonly name: string;
  readonly letter: string;
  readonly from: number;
  readonly to: number;
  readonly start: number;
  readonly sweep: number;
  /** Lean of the foot at a normal, degrees as seen with the inside face up; the rim is cut level. */
  readonly footLeanAt: (phi: number) => number;
  readonly neutralFraction: number;
  readonly seam: Seam;
  readonly faceUp: Face;
}

/** A face of the panel, and how many of its vertices begin an edge of the foot. */
interface Layer {
  readonly outline: Outline;
  readonly footCount: number;
}

/** The panel's outline on the surface `rise` mm outside the neutral one: level edges slide along the slope. */
function layer(
  flat: UnrolledLoft,
  slides: Slides,
  { rise, added }: { readonly rise: number; readonly added: { start: number; end: number } },
): Layer {
  const { stations } = flat;
  const lines = {
    foot: forward(slid(flat.foot, slides.foot, rise), slides.tangents),
    rim: forward(slid(flat.rim, slides.rim, rise), slides.tangents),
  };
  const first = slides.tangents[0] ?? [1, 0];
  const start: End = {
    ruling: [lines.foot[0] as Point, lines.rim[0] as Point],
    out: [-first[0], -first[1]],
    by: added.start,
  };
  const end: End = {
    ruling: [lines.foot.at(-1) as Point, lines.rim.at(-1) as Point],
    out: slides.tangents.at(-1) ?? [1, 0],
    by: added.end,
  };
  const within = (points: readonly Point[]) => reversed(ended(reversed(ended({ points, stations }, end)), start));
  const [foot, rim] = [within(lines.foot), reversed(within(lines.rim))];
  const along = arcsThrough(foot.points, foot.stations);
  const back = arcsThrough(rim.points, rim.stations);
  const outline: Outline = [
    ...along,
    [...(foot.points.at(-1) as Point), 0],
    ...back,
    [...(rim.points.at(-1) as Point), 0],
  ];
  return { outline, footCount: along.length };
}

/** Turns an outline so that the line between its two ends of the foot lies level. */
function levelled(outline: Outline, by: number): Outline {
  const [cos, sin] = [Math.cos(by), Math.sin(by)];
  const level: Vertex[] = [];
  for (const [x, y, bulge] of outline) level.push([x * cos + y * sin, y * cos - x * sin, bulge]);
  return level;
}

/** A line down the middle of the wall, and its seam's letter at both ends. */
function endMarks(outline: Outline, { foot, rim }: PanelEdges, text: string): Mark[] {
  const [low, high] = [halfway(outline, foot.from, foot.to), halfway(outline, rim.from, rim.to)];
  const middle = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2] as const;
  return [
    { kind: 'line', name: 'centre', from: low, to: high },
    seamLetter(outline, { end: { rim: rim.to, foot: foot.from }, middle, text }),
    seamLetter(outline, { end: { rim: rim.from, foot: foot.to }, middle, text }),
  ];
}

/** What a seam adds to foot and rim at both ends as they lie (mm). */
function endsAlong(
  { foot, rim }: UnrolledLoft,
  { tangents }: Slides,
  { added, faceUp }: { readonly added: SeamEnds; readonly faceUp: Face },
): Part['added'] {
  const per = (index: number) =>
    perMm({ ruling: [foot.at(index) as Point, rim.at(index) as Point], out: tangents.at(index) ?? [1, 0] });
  const [left, right] = faceUp === 'inside' ? [per(-1), per(0)] : [per(0), per(-1)];
  const ends = { left: added.left * left, right: added.right * right };
  return { foot: ends, rim: ends };
}

/** A flat part of a lofted wall, and its neutral surface unrolled. */
export interface LoftedPart {
  readonly part: Part;
  readonly flat: UnrolledLoft;
  /** Foot and rim of the face that lies up, without what the seam adds, by the stations of `flat` (mm). */
  readonly traced: { readonly foot: readonly Point[]; readonly rim: readonly Point[] };
}

/** The flat part of a lofted wall as it lies with `faceUp` up, foot towards smaller y. */
export function loftPart(panel: LoftPanel): LoftedPart {
  const { wall, neutralFraction: k, faceUp, seam } = panel;
  const t = wall.thickness;
  const { run, lean: ends } = seamAllowance(seam, t);
  const added = seamEnds(seam, t, faceUp);
  const { from, to, start, sweep } = panel;
  const flat = unrollLoft(wall, { from, to, depth: (1 - k) * t, start, sweep });
  const footEnd = flat.foot.at(-1) as Point;
  const tilt = Math.atan2(footEnd[1], footEnd[0]);
  const slides = slidesOf(panel, flat);
  const turnedOver = (outline: Outline) => (faceUp === 'inside' ? mirrored(outline) : outline);
  // Turned over, the start of the panel lies to the right.
  const atEnds = ({ left, right }: SeamEnds) =>
    faceUp === 'inside' ? { start: right, end: left } : { start: left, end: right };
  const layerAt = (rise: number, slant = 0): Layer => {
    const { outline, footCount } = layer(flat, slides, {
      rise,
      added: atEnds({ left: added.left - slant, right: added.right + slant }),
    });
    return { outline: turnedOver(levelled(outline, tilt)), footCount };
  };
  const [inner, middle, outer] = [layerAt(-k * t), layerAt((0.5 - k) * t), layerAt((1 - k) * t)] as const;
  const traced = faceUp === 'inside' ? inner : outer;
  // Both ends slant the same way through the slab, each square to itself.
  const hidden = layerAt(faceUp === 'inside' ? (1 - k) * t : -k * t, run);
  const box = bounds(traced.outline);
  const outline = moved(traced.outline, -box.minX, -box.minY);
  const edges = panelEdges({ count: outline.length, footCount: traced.footCount }, faceUp);
  const sign = faceUp === 'inside' ? 1 : -1;
  const rimLeans: number[] = [];
  const footLeans: number[] = [];
  for (const { phi } of flat.stations) {
    rimLeans.push(sign * degrees(slopeAt(wall, phi)));
    footLeans.push(sign * panel.footLeanAt(phi));
  }
  const part: Part = {
    id: panel.id,
    role: 'wall',
    name: panel.name,
    count: 1,
    thickness: t,
    faceUp,
    outline,
    underside: moved(hidden.outline, -box.minX, -box.minY),
    leans: [
      edgeLean('foot', edges.foot, footLeans),
      { edge: 'right', ...edges.right, lean: ends, word: leanWord(ends) },
      edgeLean('rim', edges.rim, rimLeans),
      { edge: 'left', ...edges.left, lean: turnedLean(ends), word: leanWord(-ends) },
    ],
    marks: [
      ...endMarks(outline, edges, panel.letter),
      ...leanMarks(outline, edges.foot, leansAlong(flat.foot, footLeans, { backward: faceUp === 'inside' })),
      ...leanMarks(outline, edges.rim, leansAlong(flat.rim, rimLeans, { backward: faceUp === 'outside' })),
    ],
    ...(added.left + added.right > 0 && { added: endsAlong(flat, slides, { added, faceUp }) }),
    volume: (t * (area(inner.outline) + 4 * area(middle.outline) + area(outer.outline))) / 6,
  };
  const rise = faceUp === 'inside' ? -k * t : (1 - k) * t;
  return { part, flat, traced: { foot: slid(flat.foot, slides.foot, rise), rim: slid(flat.rim, slides.rim, rise) } };
}
