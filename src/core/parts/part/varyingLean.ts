import type { Outline } from '../../geometry/outline/outline.ts';
import { Stretch } from '../../geometry/outline/stretch.ts';
import type { Point } from '../../geometry/point.ts';
import { leanWord, type Lean } from './lean.ts';
import type { Span } from './panelEdges.ts';
import type { Mark } from './part.ts';

/** Least and greatest lean of one edge with its word; a lean that changes its word along the edge says so. */
export function edgeLean(edge: 'foot' | 'rim', { from, to }: Span, leans: readonly number[]): Lean {
  const least = Math.min(...leans);
  const greatest = Math.max(...leans);
  const larger = Math.abs(least) > Math.abs(greatest) ? least : greatest;
  return { edge, from, to, lean: larger, least, greatest, word: leanWord(larger) };
}

/** A lean at a share of an edge's length. */
export interface LeanAt {
  readonly share: number;
  readonly lean: number;
}

/** Leans at the points of a line by their share of its length; backward, from its end. */
export function leansAlong(
  line: readonly Point[],
  leans: readonly number[],
  { backward }: { readonly backward: boolean },
): LeanAt[] {
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
export function leanMarks(outline: Outline, { from, to }: Span, leans: readonly LeanAt[]): Mark[] {
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
