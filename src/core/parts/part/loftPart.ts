import { degrees } from '../../numbers.ts';
import { arcsThrough } from '../../geometry/outline/curve.ts';
import { forward } from '../../geometry/outline/forward.ts';
import { area, bounds, mirrored, moved, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import { halfway, Stretch } from '../../geometry/outline/stretch.ts';
import { seamAllowance, seamEnds, type SeamEnds } from '../seam/seam.ts';
import type { Seam } from '../../target/seam.ts';
import { slopeAt, unrollLoft, type LoftWall, type UnrolledLoft } from '../wall/loft.ts';
import { leanWord, turnedLean, type Lean } from './lean.ts';
import type { Face } from '../../target/face.ts';
import { ended, perMm, reversed, type End } from './loftEnds.ts';
import { slid, slidesOf, type Slides } from './loftSlides.ts';
import type { Mark, Part } from './part.ts';
import { seamLetter } from './seamLetter.ts';
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

/** A face of the panel, and how many of its first vertices begin an edge of the foot. */
interface Layer {
  readonly outline: Outline;
  readonly footCount: number;
}

/** The panel's outline on the surface `rise` mm outside the neutral one: level edges slide along the slope. */
function layer(flat: UnrolledLoft, slides: Slides, rise: number, added: { start: number; end: number }): Layer {
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

/** Least and greatest lean of one edge with its word; a lean that changes its word along the edge says so. */
function edgeLean(edge: 'foot' | 'rim', from: number, to: number, leans: readonly number[]): Lean {
  const least = Math.min(...leans);
  const greatest = Math.max(...leans);
  const larger = Math.abs(least) > Math.abs(greatest) ? least : greatest;
  return { edge, from, to, lean: larger, least, greatest, word: leanWord(larger) };
}

/** A line down the middle of the wall, and its seam's letter at both ends. */
function endMarks(outline: Outline, at: { footFrom: number; footTo: number; rimTo: number }, text: string): Mark[] {
  const { footFrom, footTo, rimTo } = at;
  const [low, high] = [halfway(outline, footFrom, footTo), halfway(outline, footTo + 1, rimTo)];
  const centre = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2] as const;
  return [
    { kind: 'line', name: 'centre', from: low, to: high },
    seamLetter(outline, { rim: rimTo, foot: footFrom }, centre, text),
    seamLetter(outline, { rim: footTo + 1, foot: footTo }, centre, text),
  ];
}

/** A lean at a share of an edge's length. */
interface LeanAt {
  readonly share: number;
  readonly lean: number;
}

/** Leans by their share of an edge. */
function leansAlong(line: readonly Point[], leans: readonly number[], backward: boolean): LeanAt[] {
  const runs: number[] = [];
  let run = 0;
  for (let index = 0; index < line.length; index += 1) {
    const [x, y] = line[index] as Point;
    const [u, v] = index > 0 ? (line[index - 1] as Point) : [x, y];
    run += Math.sqrt((x - u) ** 2 + (y - v) ** 2);
    runs.push(run);
  }
  const along: LeanAt[] = [];
  for (let index = 0; index < leans.length; index += 1) {
    const share = (runs[index] as number) / (run || 1);
    along.push({ share: backward ? 1 - share : share, lean: leans[index] as number });
  }
  return along;
}

/** The lean nearest to a share of an edge. */
function leanNear(leans: readonly LeanAt[], share: number): number {
  let [lean, off] = [0, Infinity];
  for (const one of leans) {
    const away = Math.abs(one.share - share);
    if (away < off) [lean, off] = [one.lean, away];
  }
  return lean;
}

/** Shares of an edge at which a varying lean is written. */
const LEAN_STATIONS = [0.06, 0.22, 0.38, 0.62, 0.78, 0.94] as const;

/** Leans that differ by less along an edge are written once (degrees). */
const LEAN_VARIES = 2;

/** The lean at stations along an edge, signed: spread (+), tuck (-). */
function leanMarks(edge: { outline: Outline; from: number; to: number; leans: readonly LeanAt[] }): Mark[] {
  const { outline, from, to, leans } = edge;
  let [least, greatest] = [Infinity, -Infinity];
  for (const { lean } of leans) {
    least = Math.min(least, lean);
    greatest = Math.max(greatest, lean);
  }
  if (greatest - least < LEAN_VARIES) return [];
  const stretch = new Stretch(outline, from, to);
  const { length } = stretch;
  return LEAN_STATIONS.map((share): Mark => {
    const [x, y] = stretch.pointAt(share * length);
    const [u, v] = stretch.pointAt(share * length + 0.5);
    const step = Math.hypot(u - x, v - y) || 1;
    // The part is on the left of its own outline.
    const inward = [-(v - y) / step, (u - x) / step] as const;
    const lean = leanNear(leans, share);
    return {
      kind: 'lean',
      at: [x, y],
      inward,
      text: `${lean < -0.05 ? '−' : lean > 0.05 ? '+' : ''}${Math.abs(lean).toFixed(0)}°`,
    };
  });
}

/** What a seam adds to foot and rim at both ends as they lie (mm). */
function endsAlong({ foot, rim }: UnrolledLoft, { tangents }: Slides, added: SeamEnds, faceUp: Face): Part['added'] {
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
    const { outline, footCount } = layer(
      flat,
      slides,
      rise,
      atEnds({ left: added.left - slant, right: added.right + slant }),
    );
    return { outline: turnedOver(levelled(outline, tilt)), footCount };
  };
  const [inner, middle, outer] = [layerAt(-k * t), layerAt((0.5 - k) * t), layerAt((1 - k) * t)] as const;
  const traced = faceUp === 'inside' ? inner : outer;
  // Both ends slant the same way through the slab, each square to itself.
  const hidden = layerAt(faceUp === 'inside' ? (1 - k) * t : -k * t, run);
  const box = bounds(traced.outline);
  const outline = moved(traced.outline, -box.minX, -box.minY);
  // Vertices of the foot come first; turned over, the same number come last.
  const count = outline.length;
  const { footCount } = traced;
  const [footFrom, footTo] = faceUp === 'inside' ? [count - footCount, 0] : [0, footCount];
  const sign = faceUp === 'inside' ? 1 : -1;
  const rimLeans: number[] = [];
  const footLeans: number[] = [];
  for (const { phi } of flat.stations) {
    rimLeans.push(sign * degrees(slopeAt(wall, phi)));
    footLeans.push(sign * panel.footLeanAt(phi));
  }
  const rimTo = (footFrom + count - 1) % count;
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
      edgeLean('foot', footFrom, footTo, footLeans),
      { edge: 'right', from: footTo, to: footTo + 1, lean: ends, word: leanWord(ends) },
      edgeLean('rim', footTo + 1, rimTo, rimLeans),
      { edge: 'left', from: rimTo, to: footFrom, lean: turnedLean(ends), word: leanWord(-ends) },
    ],
    marks: [
      ...endMarks(outline, { footFrom, footTo, rimTo }, panel.letter),
      ...leanMarks({
        outline,
        from: footFrom,
        to: footTo,
        leans: leansAlong(flat.foot, footLeans, faceUp === 'inside'),
      }),
      ...leanMarks({
        outline,
        from: footTo + 1,
        to: rimTo,
        leans: leansAlong(flat.rim, rimLeans, faceUp === 'outside'),
      }),
    ],
    ...(added.left + added.right > 0 && { added: endsAlong(flat, slides, added, faceUp) }),
    volume: (t * (area(inner.outline) + 4 * area(middle.outline) + area(outer.outline))) / 6,
  };
  const rise = faceUp === 'inside' ? -k * t : (1 - k) * t;
  return { part, flat, traced: { foot: slid(flat.foot, slides.foot, rise), rim: slid(flat.rim, slides.rim, rise) } };
}
