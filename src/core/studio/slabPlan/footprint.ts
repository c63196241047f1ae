import { alongEdge, vertexAt, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import type { Part } from '../../parts/part/part.ts';
import { distanceTo, nestShape, type Distance } from '../../geometry/nest/nestShape.ts';

/** The clay that a part takes on the slab: its outline with what the underside sticks out, mm. */
export interface Footprint {
  readonly outline: Outline;
  /** How far the part still sticks out of it anywhere (mm): gaps are wider by this. */
  readonly over: number;
}

/** Greatest distance by which an outline sticks out of another (mm), at its vertices and between them; 0 when it does not. */
function sticksOut(outline: Outline, of: Outline): number {
  const shape = nestShape(of);
  const own = nestShape(outline);
  const found: Distance = { value: 0, gx: 0, gy: 0 };
  let most = 0;
  for (let at = 0; at < own.samples.length; at += 2) {
    const x = (own.samples[at] as number) + own.middle[0] - shape.middle[0];
    const y = (own.samples[at + 1] as number) + own.middle[1] - shape.middle[1];
    distanceTo(shape, [x, y], found);
    if (found.value > most) most = found.value;
  }
  return most;
}

/** Direction of an outline's edge at one of its ends (unit). */
function directionAt(outline: Outline, index: number, end: 0 | 1): readonly [number, number] {
  const [x0, y0, bulge] = vertexAt(outline, index);
  const [x1, y1] = vertexAt(outline, index + 1);
  const turn = Math.atan2(y1 - y0, x1 - x0) + (end === 0 ? -2 : 2) * Math.atan(bulge);
  return [Math.cos(turn), Math.sin(turn)];
}

/** Lines that are nearer to parallel than this have no corner (sine). */
const PARALLEL = 0.02;

/**
 * The outline of both faces of a part together: of each edge the face that reaches further out (the underside where the
 * edge is spread), and the corners where those edges meet. Arcs keep their turn; what is then still left over is said.
 */
export function footprintOf({ outline, underside }: Part): Footprint {
  if (outline === underside) return { outline, over: 0 };
  if (outline.length !== underside.length) return { outline, over: sticksOut(underside, outline) };
  const shape = nestShape(outline);
  const found: Distance = { value: 0, gx: 0, gy: 0 };
  const faces = outline.map((_, index) => {
    const [x, y] = alongEdge(underside, index, 0.5);
    distanceTo(shape, [x - shape.middle[0], y - shape.middle[1]], found);
    return found.value > 0 ? underside : outline;
  });
  const joined = faces.map((face, index): Vertex => {
    const before = faces.at(index - 1) ?? face;
    const [bx, by] = vertexAt(before, index);
    const [ax, ay] = vertexAt(face, index);
    const bulge = vertexAt(face, index)[2];
    const [ux, uy] = directionAt(before, index - 1 + outline.length, 1);
    const [vx, vy] = directionAt(face, index, 0);
    const sine = ux * vy - uy * vx;
    if (before === face || Math.abs(sine) < PARALLEL) return [ax, ay, bulge];
    const along = ((ax - bx) * vy - (ay - by) * vx) / sine;
    return [bx + along * ux, by + along * uy, bulge];
  });
  return { outline: joined, over: Math.max(sticksOut(outline, joined), sticksOut(underside, joined)) };
}
