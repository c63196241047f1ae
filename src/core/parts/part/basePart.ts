import { degrees, POINT_TOLERANCE, TURN_TOLERANCE } from '../../numbers.ts';
import { planOutline } from '../../geometry/outline/curve.ts';
import { area, mirrored, vertexAt, type Outline } from '../../geometry/outline/outline.ts';
import { isSharp, pointAt, stationsOf } from '../../geometry/outline/stations.ts';
import { between, mergedFlats } from '../../geometry/outline/derived.ts';
import { turned, type Support } from '../../geometry/outline/support.ts';
import { leanWord, type Lean } from './lean.ts';
import type { Face } from '../../target/face.ts';
import type { Part } from './part.ts';

/** A base of any plan by the outlines of its under and upper face as it stands (wet mm). */
export interface PlanBase {
  readonly under: Support;
  readonly top: Support;
  readonly thickness: number;
  readonly faceUp: Face;
}

/** Normals at which the lean of a curved edge is computed, besides every flat one. */
const LEAN_STATIONS = 72;

/** A lean and the normal of the place of the edge that has it (degrees, signed as seen with the inside up; radians). */
interface LeanAt {
  readonly phi: number;
  readonly lean: number;
}

/**
 * The leans of all places where the base has an edge: at each flat one, and where it is curved. At a sharp corner two
 * edges meet in a ridge, whose slant is no edge's.
 */
function leansOf({ under, top, thickness }: PlanBase): LeanAt[] {
  const stations = stationsOf(mergedFlats(under, top), LEAN_STATIONS);
  const long = (index: number) =>
    [under, top].some((shape) => {
      const [from, to] = [stations[index], stations[index + 1]];
      if (!from || !to) return false;
      const [[x0, y0], [x1, y1]] = [pointAt(shape, from.phi, from.side), pointAt(shape, to.phi, to.side)];
      return Math.hypot(x1 - x0, y1 - y0) > POINT_TOLERANCE;
    });
  return stations
    .filter((_, index) => long(index - 1) || long(index))
    .map(({ phi }) => ({ phi, lean: degrees(Math.atan((under.h(phi) - top.h(phi)) / thickness)) }));
}

/** Leans along an edge that differ by less count as equal (degrees). */
const ONE_LEAN = 0.05;

/** The edge of an outline that faces along a normal: the first whose middle does. */
function edgeTowards(outline: Outline, phi: number): number {
  const found = outline.findIndex(([x, y], index) => {
    const [u, v] = vertexAt(outline, index + 1);
    return Math.abs(turned(Math.atan2(x - u, v - y) - phi + Math.PI) - Math.PI) < TURN_TOLERANCE;
  });
  return Math.max(0, found);
}

/** One lean for the whole edge, or one for each side of a polygon whose sides lean differently. Leans as they are seen. */
function baseLeans(base: PlanBase, up: Outline, sign: 1 | -1): Lean[] {
  const all = leansOf(base).map(({ phi, lean }) => ({ phi, lean: lean === 0 ? 0 : sign * lean }));
  const least = Math.min(...all.map(({ lean }) => lean));
  const greatest = Math.max(...all.map(({ lean }) => lean));
  const flats = mergedFlats(base.under, base.top);
  if (greatest - least > ONE_LEAN && isSharp(base.under) && isSharp(base.top)) {
    return flats.map((normal): Lean => {
      const lean =
        all.find(({ phi }) => Math.abs(turned(phi - normal + Math.PI) - Math.PI) < TURN_TOLERANCE)?.lean ?? greatest;
      // Seen from below the outline is turned over about the y axis.
      const from = edgeTowards(up, sign > 0 ? normal : Math.PI - normal);
      return { edge: 'side', from, to: (from + 1) % up.length, lean, word: leanWord(lean) };
    });
  }
  const lean = Math.abs(least) > Math.abs(greatest) ? least : greatest;
  return [{ edge: 'round', from: 0, to: 0, lean, least, greatest, word: leanWord(lean) }];
}

/** The base as it lies with `faceUp` up; seen from below it is mirrored. */
export function basePart(base: PlanBase): Part {
  const { under, top, thickness, faceUp } = base;
  const seen = (shape: Support) => (faceUp === 'inside' ? planOutline(shape) : mirrored(planOutline(shape)));
  const [up, down] = faceUp === 'inside' ? [seen(top), seen(under)] : [seen(under), seen(top)];
  const sign = faceUp === 'inside' ? 1 : -1;
  return {
    id: 'base',
    role: 'base',
    name: 'Base',
    count: 1,
    thickness,
    faceUp,
    outline: up,
    underside: down,
    leans: baseLeans(base, up, sign),
    marks: [],
    volume: (thickness * (area(up) + 4 * area(planOutline(between(under, top, 0.5))) + area(down))) / 6,
  };
}
