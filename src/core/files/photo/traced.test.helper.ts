import { alongEdge, edges, type Outline } from '../../geometry/outline/outline.ts';
import { findSheet } from './findSheet.ts';
import { rendered, type Scene } from './rendered.test.helper.ts';
import { tracePhoto } from './tracePhoto.ts';

/** Greatest distance of a traced outline from the true edge (mm). */
export const TRUE = 0.5;

/** Traces a photograph that is made up. */
export function traced(scene: Scene) {
  const image = rendered(scene);
  const found = findSheet(image);
  if (found.kind === 'refused') throw new Error(found.rule);
  const reading = tracePhoto(image, found.sheet, scene.paper);
  if (reading.kind === 'refused') throw new Error(reading.rule);
  return { ...reading.traced, lens: found.sheet.lens };
}

/** Points on an outline, arcs and all. */
export const points = (outline: Outline) =>
  edges(outline).flatMap((_, at) => [0, 0.25, 0.5, 0.75].map((f) => alongEdge(outline, at, f)));

/** How far the outlines leave the edge that was rendered (mm): the sheet may lie either way up. */
export function off(
  { outline, holes }: { outline: Outline; holes: readonly Outline[] },
  { shape, paper }: Scene,
): number {
  const all = [outline, ...holes].flatMap(points);
  const turned = all.map(([x, y]) => [paper.width - x, paper.height - y] as const);
  return Math.min(...[all, turned].map((list) => Math.max(...list.map((at) => Math.abs(shape(at))))));
}
