import { alongEdge, edges, type Outline } from '../../geometry/outline/outline.ts';

/** Greatest distance of the chords from the arcs (mm). */
const SAGITTA = 0.02;

/** Points along an outline, closed or open, its corners among them (mm). */
export function pathPoints(
  outline: Outline,
  { open = false }: { readonly open?: boolean } = {},
): (readonly [number, number])[] {
  const all = edges(outline);
  const taken = open ? all.slice(0, -1) : all;
  const points = taken.flatMap(({ radius, length }, index) => {
    const step = Number.isFinite(radius) ? 2 * Math.acos(Math.max(0, 1 - SAGITTA / radius)) * radius : Infinity;
    const count = Math.max(1, Math.ceil(length / step));
    return Array.from({ length: count }, (_, at) => alongEdge(outline, index, at / count));
  });
  const last = outline.at(-1);
  return open && last ? [...points, [last[0], last[1]]] : points;
}
