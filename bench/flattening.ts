import { flatten } from '../src/core/geometry/flatten/flatten.ts';
import { cap } from '../src/core/geometry/flatten/meshes.test.helper.ts';
import { measure, type Times } from './measure.ts';

/** Rings of meshes with about 1,000, 5,000 and 20,000 vertices. */
const RINGS = [18, 41, 81] as const;

/** Times to lay two caps flat, a shallow and a deep one, at three finenesses. */
export async function flattenings(): Promise<Times[]> {
  const times: Times[] = [];
  for (const [rim, depth] of [
    [240, 40],
    [180, 80],
  ] as const) {
    for (const rings of RINGS) {
      const mesh = cap(rim, depth, rings);
      const name = `flatten a cap ${rim} x ${depth}, ${mesh.positions.length / 3} vertices`;
      times.push(await measure(name, 3, () => flatten(mesh)));
    }
  }
  return times;
}
