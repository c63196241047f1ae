import { LENGTH_TOLERANCE, once, ROUNDING } from '../../numbers.ts';
import type { Point } from '../point.ts';
import { bounds, edgeAt, type Outline } from '../outline/outline.ts';

/** How a part may be turned on the slab: freely, end for end, or not at all (it lies along the roll). */
export type Turns = 'any' | 'half' | 'none';

/** One edge of an outline, ready for distances: a straight line, or an arc about a centre. Coordinates from the shape's middle. */
interface ShapeEdge {
  readonly x0: number;
  readonly y0: number;
  readonly dx: number;
  readonly dy: number;
  readonly length: number;
  /** Arcs: centre, radius (0 when straight), direction of the arc's middle, cosine of half its sweep, and 1 when it bulges outward. */
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
  readonly mx: number;
  readonly my: number;
  readonly cosine: number;
  readonly bulges: 1 | -1;
  /** Sum of the outward normals on both sides of the first vertex. */
  readonly nx: number;
  readonly ny: number;
}

/** An outline ready to be nested: its edges, points along it, and the circle round it. Mm. */
export interface NestShape {
  readonly edges: readonly ShapeEdge[];
  /** Points along the outline from the shape's middle, x and y in turn. */
  readonly samples: Float64Array;
  /** The middle of its box in the outline's own frame. */
  readonly middle: readonly [number, number];
  readonly reach: number;
  /**
   * The points tested against other shapes: the samples, or for a full disc only its middle, with how far the
   * disc goes beyond it (mm).
   */
  readonly probes: Float64Array;
  readonly round: number;
  /** Circles round runs of {@link RUN} probes: centre x, centre y, radius, interleaved. */
  readonly runs: Float64Array;
  /** Half the width and height of the box round it, unturned. */
  readonly half: readonly [number, number];
}

/** A signed distance (mm, negative inside) and its gradient. Filled by {@link distanceTo}. */
export interface Distance {
  value: number;
  gx: number;
  gy: number;
}

/** Most that an arc may bow between two samples (mm). */
const BOW = 0.05;

/** Probes that share a bounding circle: a run well apart is not tested point by point. */
export const RUN = 8;

/** Greatest distance of samples on straight edges (mm): corners are samples themselves. */
const STRAIGHT_STEP = 9;

/** Outward normal at the start or the end of an edge of a counter-clockwise outline. */
function normalAt(outline: Outline, index: number, end: 0 | 1): readonly [number, number] {
  const edge = edgeAt(outline, index);
  if (!edge.centre) {
    return [(edge.to[1] - edge.from[1]) / edge.length, (edge.from[0] - edge.to[0]) / edge.length];
  }
  const at = end === 0 ? edge.from : edge.to;
  const sign = edge.from[2] > 0 ? 1 : -1;
  return [(sign * (at[0] - edge.centre[0])) / edge.radius, (sign * (at[1] - edge.centre[1])) / edge.radius];
}

/** Prepares an outline for nesting, once for each outline. */
export const nestShape = once((outline: Outline): NestShape => {
  const box = bounds(outline);
  const middle = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2] as const;
  const samples: number[] = [];
  const edges = outline.map((_, index): ShapeEdge => {
    const edge = edgeAt(outline, index);
    const [x0, y0] = [edge.from[0] - middle[0], edge.from[1] - middle[1]];
    const [dx, dy] = [edge.to[0] - edge.from[0], edge.to[1] - edge.from[1]];
    const one = normalAt(outline, index, 0);
    const before = normalAt(outline, (index + outline.length - 1) % outline.length, 1);
    const sweep = 4 * Math.atan(edge.from[2]);
    const [cx, cy] = edge.centre ? [edge.centre[0] - middle[0], edge.centre[1] - middle[1]] : [0, 0];
    const r = edge.centre ? edge.radius : 0;
    const start = Math.atan2(y0 - cy, x0 - cx);
    const step = r > 0 ? Math.sqrt(8 * r * BOW) : STRAIGHT_STEP;
    const count = Math.max(1, Math.ceil(edge.length / step));
    for (let at = 0; at < count; at += 1) {
      const f = at / count;
      if (r > 0) samples.push(cx + r * Math.cos(start + f * sweep), cy + r * Math.sin(start + f * sweep));
      else samples.push(x0 + f * dx, y0 + f * dy);
    }
    return {
      x0,
      y0,
      dx,
      dy,
      length: edge.length,
      cx,
      cy,
      r,
      mx: Math.cos(start + sweep / 2),
      my: Math.sin(start + sweep / 2),
      cosine: Math.cos(sweep / 2),
      bulges: sweep >= 0 ? 1 : -1,
      nx: one[0] + before[0],
      ny: one[1] + before[1],
    };
  });
  let reach = 0;
  for (let at = 0; at < samples.length; at += 2)
    reach = Math.max(reach, Math.hypot(samples[at] ?? 0, samples[at + 1] ?? 0));
  const half = [(box.maxX - box.minX) / 2, (box.maxY - box.minY) / 2] as const;
  const laid = Float64Array.from(samples);
  const round = discRadius(edges);
  const probes = round > 0 ? new Float64Array(2) : laid;
  return {
    edges,
    samples: laid,
    middle,
    reach: round > 0 ? round : reach + BOW,
    probes,
    round,
    runs: runsOf(probes),
    half,
  };
});

/** Circles round the runs of probes. */
function runsOf(probes: Float64Array): Float64Array {
  const runs: number[] = [];
  for (let from = 0; from < probes.length; from += 2 * RUN) {
    const run = probes.subarray(from, Math.min(probes.length, from + 2 * RUN));
    let [x, y, radius] = [0, 0, 0];
    for (let at = 0; at < run.length; at += 2) {
      x += (2 * (run[at] as number)) / run.length;
      y += (2 * (run[at + 1] as number)) / run.length;
    }
    for (let at = 0; at < run.length; at += 2) {
      radius = Math.max(radius, Math.hypot((run[at] as number) - x, (run[at + 1] as number) - y));
    }
    runs.push(x, y, radius);
  }
  return Float64Array.from(runs);
}

/** Radius of the disc about the shape's middle that these edges bound (mm), 0 when it is not a disc. */
function discRadius(edges: readonly ShapeEdge[]): number {
  const radius = edges[0]?.r ?? 0;
  const apart = edges.reduce(
    (most, { cx, cy, r, bulges }) => Math.max(most, bulges < 0 ? Infinity : Math.hypot(cx, cy) + Math.abs(r - radius)),
    0,
  );
  return apart < LENGTH_TOLERANCE ? radius : 0;
}

/**
 * Signed distance from a point (shape's own frame, from its middle) to the outline, exact for lines and arcs: the nearest
 * feature decides the side, at a corner the sum of both normals.
 */
export function distanceTo(shape: NestShape, [x, y]: Point, out: Distance): void {
  let best = Infinity;
  out.value = Infinity;
  for (const edge of shape.edges) {
    const vx = x - edge.x0;
    const vy = y - edge.y0;
    const corner = Math.sqrt(vx * vx + vy * vy);
    // No point of an edge is nearer than its first corner minus its length.
    if (corner - edge.length > best) continue;
    if (corner < best) {
      best = corner;
      const side = vx * edge.nx + vy * edge.ny >= 0 ? 1 : -1;
      out.value = side * corner;
      const size = corner > ROUNDING ? side / corner : 0;
      out.gx = size === 0 ? edge.nx / 2 : vx * size;
      out.gy = size === 0 ? edge.ny / 2 : vy * size;
    }
    if (edge.r > 0) {
      const px = x - edge.cx;
      const py = y - edge.cy;
      const from = Math.sqrt(px * px + py * py);
      if (px * edge.mx + py * edge.my < from * edge.cosine) continue;
      const off = from - edge.r;
      const far = off < 0 ? -off : off;
      if (far < best && from > ROUNDING) {
        best = far;
        out.value = edge.bulges * off;
        out.gx = (edge.bulges * px) / from;
        out.gy = (edge.bulges * py) / from;
      }
    } else {
      const along = (vx * edge.dx + vy * edge.dy) / edge.length;
      if (along <= 0 || along >= edge.length) continue;
      const off = (vx * edge.dy - vy * edge.dx) / edge.length;
      const far = off < 0 ? -off : off;
      if (far < best) {
        best = far;
        out.value = off;
        out.gx = edge.dy / edge.length;
        out.gy = -edge.dx / edge.length;
      }
    }
  }
}
