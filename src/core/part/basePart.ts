import { degrees } from '../numbers.ts';
import { planOutline } from '../outline/curve.ts';
import { area, mirrored } from '../outline/outline.ts';
import { stationsOf } from '../outline/stations.ts';
import { between, mergedFlats } from '../outline/derived.ts';
import { type Support } from '../outline/support.ts';
import { leanWord, type Face } from './lean.ts';
import type { Part } from './part.ts';

/** A base of any plan by the outlines of its under and upper face as it stands (wet mm). */
export interface PlanBase {
  readonly under: Support;
  readonly top: Support;
  readonly thickness: number;
  readonly faceUp: Face;
}

/** The lean of the edge is worked out at so many normals, and at the ends of its flat edges. */
const LEAN_STATIONS = 72;

/** The base as it lies with `faceUp` up; seen from below it is mirrored. */
export function basePart({ under, top, thickness, faceUp }: PlanBase): Part {
  const seen = (shape: Support) => (faceUp === 'inside' ? planOutline(shape) : mirrored(planOutline(shape)));
  const [up, down] = faceUp === 'inside' ? [seen(top), seen(under)] : [seen(under), seen(top)];
  const sign = faceUp === 'inside' ? 1 : -1;
  let [least, greatest] = [Infinity, -Infinity];
  for (const { phi } of stationsOf(mergedFlats(under, top), LEAN_STATIONS)) {
    const lean = sign * degrees(Math.atan((under.h(phi) - top.h(phi)) / thickness));
    least = Math.min(least, lean);
    greatest = Math.max(greatest, lean);
  }
  const lean = Math.abs(least) > Math.abs(greatest) ? least : greatest;
  return {
    id: 'base',
    name: 'Base',
    count: 1,
    thickness,
    faceUp,
    outline: up,
    underside: down,
    leans: [{ edge: 'round', from: 0, to: 0, lean, least, greatest, word: leanWord(lean) }],
    marks: [],
    volume: (thickness * (area(up) + 4 * area(planOutline(between(under, top, 0.5))) + area(down))) / 6,
  };
}
