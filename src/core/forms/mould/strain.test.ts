import { sheet } from '../../geometry/flatten/meshes.test.helper.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';
import { strainOf } from './strain.ts';

/** A formed piece of 120 by 120 mm, flat as it stands. */
const FORMED: Mesh = sheet(24, 24, (u, v) => [120 * u, 120 * v, 0]);

/** Lays each vertex where it is told to. */
const laidBy = (place: (x: number, y: number) => readonly [number, number]) => {
  const { positions } = FORMED;
  const uv = new Float64Array((2 * positions.length) / 3);
  for (let vertex = 0; 2 * vertex < uv.length; vertex += 1)
    uv.set(place(positions[3 * vertex] as number, positions[3 * vertex + 1] as number), 2 * vertex);
  return { mesh: FORMED, uv };
};

describe('strain from the flat blank to the formed piece', () => {
  it.each<[string, number, number]>([
    ['none', 1, 1],
    ['gathered alike both ways', 1.04, 1.04],
    ['stretched alike both ways', 0.95, 0.95],
    ['stretched one way, gathered the other', 0.96, 1.03],
    ['gathered along alone', 1, 1.08],
  ])('%s is the same everywhere, and as much as it was laid', (_, across, along) => {
    const strain = strainOf(
      laidBy((x, y) => [across * x, along * y]),
      { thickness: 5 },
    );
    const stretch = Math.max(0, 1 / Math.min(across, along) - 1);
    const gather = Math.max(0, 1 - 1 / Math.max(across, along));
    for (const [values, wanted] of [
      [strain.stretch, stretch],
      [strain.gather, gather],
      [strain.thickness, across * along],
    ] as const)
      expect(Math.max(...values.map((value) => Math.abs(value - wanted)))).toBeLessThan(1e-9);
    expect(strain.most.stretch).toBeCloseTo(stretch, 9);
    expect(strain.most.gather).toBeCloseTo(gather, 9);
    expect([strain.most.thin, strain.most.thick]).toEqual([
      expect.closeTo(across * along, 9),
      expect.closeTo(across * along, 9),
    ]);
    expect(strain.flatArea).toBeCloseTo(across * along * 120 ** 2, 6);
  });

  it('keeps the clay: flat area is formed area times the thickness left', () => {
    const { thickness, flatArea } = strainOf(
      laidBy((x, y) => [x + 2 * Math.sin(y / 20), y + 1.5 * Math.cos(x / 15)]),
      { thickness: 5 },
    );
    const inner = thickness.reduce((sum, value) => sum + value, 0) / thickness.length;
    expect(flatArea / (inner * 120 ** 2)).toBeCloseTo(1, 2);
  });

  /** Gathers a tenth within a radius of the middle, and nothing beyond. */
  const spot = (radius: number) =>
    laidBy((x, y) => {
      const [dx, dy] = [x - 60, y - 60];
      const far = Math.hypot(dx, dy);
      const out = far <= radius ? 1.1 * far : far + 0.1 * radius;
      return far === 0 ? [60, 60] : [60 + (dx / far) * out, 60 + (dy / far) * out];
    });

  it('counts where it covers a patch of the slab, and not at a point', () => {
    const [small, large] = [spot(6), spot(40)].map((laid) => strainOf(laid, { thickness: 5 }).most.gather) as [
      number,
      number,
    ];
    expect(large).toBeCloseTo(1 - 1 / 1.1, 2);
    expect(small).toBeLessThan(0.06);
  });

  it('counts in a smaller patch the thinner the slab is', () => {
    const most = [2, 4, 8].map((thickness) => strainOf(spot(12), { thickness }).most.gather);
    expect(most[0]).toBeGreaterThan(most[1] as number);
    expect(most[1]).toBeGreaterThan(most[2] as number);
  });

  it('is at a dart’s tip only where that is near', () => {
    const middle = 12 * 25 + 12;
    const laid = spot(10);
    const cut = (tip: number) => ({ thickness: 3, cuts: [{ left: [tip], right: [tip] }] });
    expect(strainOf(laid, cut(middle)).gathers).toBe('tip');
    expect(strainOf(laid, { thickness: 3 }).gathers).toBe('elsewhere');
    expect(strainOf(laid, cut(0)).gathers).toBe('elsewhere');
  });
});
