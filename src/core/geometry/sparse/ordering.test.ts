import { neighboursOf } from '../flatten/blockSystem.ts';
import { cap, sheet } from '../flatten/meshes.test.helper.ts';
import { analyse } from './fronts.ts';
import { nestedDissection } from './ordering.ts';

describe('the order of elimination', () => {
  const meshes = [
    ['a strip', sheet(40, 2, (u, v) => [400 * u, 20 * v, 0])],
    ['a square', sheet(17, 17, (u, v) => [u, v, 0])],
    ['a cap', cap(240, 40, 12)],
    ['a point upon a point', sheet(9, 9, () => [0, 0, 0])],
  ] as const;
  it.each(meshes)(
    'of %s takes every vertex once, children first, and parts touch only what comes after both',
    (_, mesh) => {
      const count = mesh.positions.length / 3;
      const axis = (which: number) =>
        Float64Array.from({ length: count }, (__, at) => mesh.positions[3 * at + which] ?? 0);
      const { start, neighbours } = neighboursOf(count, mesh.triangles);
      const groups = nestedDissection([0, 1, 2].map(axis), start, neighbours);
      expect([...groups.flatMap(({ nodes }) => [...nodes])].sort((a, b) => a - b)).toEqual([...Array(count).keys()]);
      const parent = new Map<number, number>();
      groups.forEach(({ children }, index) => {
        for (const child of children) {
          expect(child).toBeLessThan(index);
          expect(parent.has(child)).toBe(false);
          parent.set(child, index);
        }
      });
      const above = (group: number): number[] => [
        group,
        ...(parent.has(group) ? above(parent.get(group) as number) : []),
      ];
      const groupOf = new Map(groups.flatMap(({ nodes }, index) => [...nodes].map((node) => [node, index] as const)));
      for (let node = 0; node < count; node += 1) {
        for (const other of neighbours.slice(start[node], start[node + 1])) {
          const [one, two] = [groupOf.get(node) as number, groupOf.get(other) as number].sort((a, b) => a - b) as [
            number,
            number,
          ];
          expect(above(one)).toContain(two);
        }
      }
      // What a front leaves stands in its parent's.
      const { fronts } = analyse(groups, start, neighbours);
      for (const { places, own, children, into } of fronts) {
        expect([...places]).toEqual([...places].sort((a, b) => a - b));
        expect(own).toBeLessThanOrEqual(places.length);
        children.forEach((child, which) => {
          const below = fronts[child];
          expect([...(into[which] ?? [])].map((row) => places[row])).toEqual([
            ...(below?.places.slice(below.own) ?? []),
          ]);
        });
      }
    },
  );
});
