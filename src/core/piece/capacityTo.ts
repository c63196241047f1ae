import { wetLength } from '../units/shrinkage.ts';
import type { Mesh } from '../geometry/mesh/mesh.ts';
import { isDraped, stagedFace, type DrapedTarget, type StagedFace } from '../forms/mould/draped.ts';
import { once, ROUNDING } from '../numbers.ts';
import { planArea } from '../geometry/outline/planMeasures.ts';
import { finishedCapacity } from './finished.ts';
import { kindOf } from '../forms/kinds.ts';
import type { Target } from '../target/target.ts';

/** Steps between two corners of the hollow's profile: its sections are quadratic in between for all straight walls. */
const STEPS = 8;

/** Vertices of the inner face of a formed piece, on which its hollow is measured. */
const VERTICES = 400;

const innerFace = once((target: DrapedTarget): StagedFace => stagedFace(target, 'inner', VERTICES));

/** The slow first computations for filling a piece, to be run beforehand stage by stage. */
export function readyToFill(target: Target): Partial<StagedFace> {
  return isDraped(target) ? innerFace(target) : {};
}

const entry = (list: Float64Array | Uint32Array, index: number): number => list[index] as number;

/** Volume over an open mesh up to a level above its lowest place (mm3): each triangle in four, by its corners and middles. */
function volumeTo({ positions, triangles }: Mesh, level: number): number {
  let low = Infinity;
  for (let index = 2; index < positions.length; index += 3) low = Math.min(low, entry(positions, index));
  const deep = (z: number) => Math.max(0, low + level - z);
  let sum = 0;
  for (let index = 0; index < triangles.length; index += 3) {
    const a = 3 * entry(triangles, index);
    const b = 3 * entry(triangles, index + 1);
    const c = 3 * entry(triangles, index + 2);
    const [z0, z1, z2] = [entry(positions, a + 2), entry(positions, b + 2), entry(positions, c + 2)];
    const [x, y] = [entry(positions, a), entry(positions, a + 1)];
    const plan =
      Math.abs(
        (entry(positions, b) - x) * (entry(positions, c + 1) - y) -
          (entry(positions, b + 1) - y) * (entry(positions, c) - x),
      ) / 2;
    const middles = deep((z0 + z1) / 2) + deep((z1 + z2) / 2) + deep((z2 + z0) / 2);
    sum += plan * ((deep(z0) + deep(z1) + deep(z2)) / 12 + middles / 4);
  }
  return sum;
}

/** Volume between two heights by Simpson's rule on a section's area (mm3). */
function volumeBetween(area: (z: number) => number, from: number, to: number): number {
  const half = (to - from) / STEPS / 2;
  let sum = area(from) + area(to);
  for (let at = 1; at < 2 * STEPS; at += 1) sum += (at % 2 === 1 ? 4 : 2) * area(from + at * half);
  return (half / 3) * sum;
}

/** The hollow of a standing piece, wet: the area of a level section (mm2), and the volume below each corner of its profile. */
interface Hollow {
  readonly area: (z: number) => number;
  readonly corners: readonly number[];
  /** By corner (mm3). */
  readonly below: readonly number[];
}

const hollowOf = once((target: Target): Hollow => {
  const { hollow, floor, section, height } = kindOf(target).standing(target);
  const area = (at: number) => planArea(section(Math.min(at, height - ROUNDING)).inner);
  const corners = [...new Set([floor, ...hollow.map(([at]) => at), height])]
    .filter((at) => at >= floor)
    .sort((a, b) => a - b);
  const below = [0];
  for (let index = 1; index < corners.length; index += 1) {
    const [from, to] = [corners[index - 1] as number, corners[index] as number];
    below.push((below[index - 1] as number) + volumeBetween(area, from, to));
  }
  return { area, corners, below };
});

/**
 * How much a piece holds when it is filled to a level (ml, fired): its level sections added up from the floor, in proportion
 * to what it holds to the brim.
 *
 * @param level height of the surface above the table, fired mm; without pads under the piece
 */
export function capacityTo(target: Target, level: number): number {
  const { floor, height } = kindOf(target).standing(target);
  const brim = finishedCapacity(target);
  const z = wetLength(level, target.clay.shrinkage);
  if (brim <= 0 || z <= floor) return 0;
  if (z >= height) return brim;
  if (isDraped(target)) {
    // Sections of a formed wall are slow to compute.
    const face = innerFace(target).mesh();
    return (brim * volumeTo(face, z - floor)) / volumeTo(face, height - floor);
  }
  const { area, corners, below } = hollowOf(target);
  const whole = below.at(-1) ?? 0;
  const under = corners.findLastIndex((corner) => corner <= z);
  const volume = (below[under] ?? 0) + volumeBetween(area, corners[under] ?? floor, z);
  return whole > 0 ? (brim * volume) / whole : 0;
}
