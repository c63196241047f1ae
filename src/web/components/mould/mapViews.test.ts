import type { Blank } from '../../../core/forms/kind/blank.ts';
import { seeded } from '../../../core/seeded.ts';
import { flatView, formedView, paintOrder } from './mapViews.ts';

const random = seeded(3);
const COUNT = 300;
const blank = {
  mesh: {
    positions: Float64Array.from({ length: 3 * COUNT }, () => 200 * random() - 100),
    triangles: Uint32Array.from({ length: 6 * COUNT }, () => Math.floor(COUNT * random())),
  },
  uv: Float64Array.from({ length: 2 * COUNT }, () => 300 * random()),
} as Blank;
const room = { width: 500, height: 400, air: 40 };

describe('the order of painting', () => {
  it.each([
    [-32, 38],
    [100, 90],
    [250, 5],
  ])('puts what lies behind first, seen from %i round and %i up', (round, up) => {
    const seen = formedView(blank, room, { round, up });
    const order = paintOrder(blank, seen, false);
    const depth = (index: number) =>
      [0, 1, 2].reduce((sum, side) => sum + (seen.near[blank.mesh.triangles[3 * index + side] as number] as number), 0);
    const depths = [...order].map(depth);
    const span = Math.max(...depths) - Math.min(...depths);
    depths.slice(1).forEach((one, at) => expect(one).toBeGreaterThan((depths[at] as number) - span / 60_000));
    expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: 2 * COUNT }, (_, index) => index));
  });

  it('of a flat blank is that of its triangles, and all of it lies in the room', () => {
    const seen = flatView(blank, room);
    expect([...paintOrder(blank, seen, true)].every((index, at) => index === at)).toBe(true);
    const [xs, ys] = [[...seen.x], [...seen.y]];
    expect(Math.min(...xs)).toBeGreaterThan(39.999);
    expect(Math.max(...xs)).toBeLessThan(460.001);
    expect(Math.min(...ys)).toBeGreaterThan(39.999);
    expect(Math.max(...ys)).toBeLessThan(360.001);
    // Up is up: the place with the greatest v stands highest.
    const top = ys.indexOf(Math.min(...ys));
    const v = (vertex: number) => blank.uv[2 * vertex + 1] as number;
    expect(ys.every((_, vertex) => v(vertex) <= v(top))).toBe(true);
  });
});
