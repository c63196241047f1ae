import { seeded } from '../../seeded.ts';
import { BlockSystem, patternOf } from './blockSystem.ts';
import { assemble, energyOf } from './dirichlet.ts';
import { flatten } from './flatten.ts';
import { assembleJoins, coupledTriangles, joinedEdges, joinEnergy } from './joins.ts';
import { cap, disc, sheet } from './meshes.test.helper.ts';
import { restShapes } from './restShapes.ts';

/** A bumpy sheet, and a layout of it that is stretched, sheared and turned, each vertex a little moved. */
function bent(seed: number, turn: number) {
  const random = seeded(seed);
  const mesh = sheet(5, 4, (u, v) => [50 * u, 40 * v, 6 * random()]);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const uv = new Float64Array((mesh.positions.length / 3) * 2);
  for (let vertex = 0; vertex < uv.length / 2; vertex += 1) {
    const x = 1.1 * (mesh.positions[3 * vertex] ?? 0) + random();
    const y = 0.9 * (mesh.positions[3 * vertex + 1] ?? 0) + 0.2 * x + random();
    uv[2 * vertex] = cos * x - sin * y;
    uv[2 * vertex + 1] = sin * x + cos * y;
  }
  return { mesh, rest: restShapes(mesh), uv };
}

/** Turned into every quarter, and where half angles change their sign. */
const TURNS = [0, 0.7, Math.PI / 2, 2.2, Math.PI, -Math.PI + 1e-3, -2, -0.4];

describe('the energy of a layout', () => {
  it.each(TURNS)('has the slope that its differences show, turned by %f', (turn) => {
    const { rest, uv } = bent(3, turn);
    const slope = assemble(rest, uv, null);
    const h = 1e-5;
    for (let at = 0; at < uv.length; at += 1) {
      const along = (by: number) =>
        energyOf(
          rest,
          uv.map((value, index) => (index === at ? value + by : value)),
        );
      expect(slope[at]).toBeCloseTo((along(h) - along(-h)) / (2 * h), 7);
    }
  });

  it.each(TURNS)('falls along its Newton step as far as the step promises, turned by %f', (turn) => {
    const { mesh, rest, uv } = bent(5, turn);
    const system = new BlockSystem(patternOf(mesh), 2);
    const slope = assemble(rest, uv, system);
    expect(slope).toEqual(assemble(rest, uv, null));
    system.stiffen(1e-10);
    const factor = system.factor();
    if (!factor) throw new Error('the Hessian is positive');
    const way = system.solve(
      factor,
      slope.map((value) => -value),
    );
    const promise = way.reduce((sum, value, index) => sum - value * (slope[index] ?? 0), 0);
    const fallen =
      energyOf(rest, uv) -
      energyOf(
        rest,
        uv.map((value, index) => value + 0.01 * (way[index] ?? 0)),
      );
    expect(fallen / (0.01 * promise)).toBeCloseTo(1, 1);
    // After the whole step little is left.
    const after = energyOf(
      rest,
      uv.map((value, index) => value + (way[index] ?? 0)),
    );
    expect(energyOf(rest, uv) - after).toBeGreaterThan(0.3 * promise);
  });
});

describe('joined edges', () => {
  const { mesh, rest, uv } = bent(11, 0.7);
  // Two sides that share their last vertex, as a dart's do.
  const joined = joinedEdges(mesh, [{ left: [0, 1, 8], right: [5, 6, 8] }], rest.area);

  it('have the slope that their differences show, and none when they are equally long', () => {
    const slope = new Float64Array(uv.length);
    assembleJoins(joined, uv, { system: null, slope, first: 0 });
    const h = 1e-5;
    for (let at = 0; at < uv.length; at += 1) {
      const along = (by: number) =>
        joinEnergy(
          joined,
          uv.map((value, index) => (index === at ? value + by : value)),
        );
      expect(slope[at]).toBeCloseTo((along(h) - along(-h)) / (2 * h), 5);
    }
    expect(joinEnergy(joined, uv)).toBeGreaterThan(0);
    expect(joinEnergy(joinedEdges(mesh, [{ left: [0, 1, 8], right: [0, 1, 8] }], rest.area), uv)).toBeCloseTo(0, 12);
  });

  it('come nearer to one length by a Newton step that counts what they do to one another', () => {
    const [first, near] = [
      mesh.triangles.length / 3,
      joinedEdges(mesh, [{ left: [0, 1, 2], right: [6, 7, 8] }], rest.area),
    ];
    const system = new BlockSystem(patternOf({ ...mesh, triangles: coupledTriangles(mesh.triangles, near) }), 2);
    const slope = assemble(rest, uv, system);
    assembleJoins(near, uv, { system, slope, first });
    system.stiffen(1e-10);
    const factor = system.factor();
    if (!factor) throw new Error('the Hessian is positive');
    const way = system.solve(
      factor,
      slope.map((value) => -value),
    );
    const after = uv.map((value, index) => value + (way[index] ?? 0));
    expect(joinEnergy(near, after)).toBeLessThan(0.02 * joinEnergy(near, uv));
  });
});

describe('a mesh laid flat', () => {
  const random = seeded(29);
  const meshes = [
    ['a shallow cap', cap(240, 40, 14)],
    ['a half sphere', cap(180, 90, 12)],
    [
      'a saddle',
      disc(12, (s, turn) => [90 * s * Math.cos(turn), 90 * s * Math.sin(turn), 30 * s * s * Math.cos(2 * turn)]),
    ],
    ['a bumpy sheet', sheet(16, 12, (u, v) => [200 * u, 150 * v, 20 * Math.sin(7 * u) * Math.cos(9 * v) + random()])],
    [
      'a strip in two turns',
      sheet(90, 3, (u, v) => [(50 + 20 * u) * Math.cos(12 * u), (50 + 20 * u) * Math.sin(12 * u), 30 * v + 60 * u]),
    ],
  ] as const;
  it.each(meshes.flatMap(([name, mesh]) => (['seen', 'disc'] as const).map((start) => [name, start, mesh] as const)))(
    '%s, begun as %s: the energy falls at every step until its slope is nothing, also where a factorisation was kept',
    (_, start, mesh) => {
      const energies: number[] = [];
      const { uv, converged, iterations } = flatten(mesh, { start, step: (energy) => energies.push(energy) });
      expect(converged).toBe(true);
      expect(energies).toHaveLength(iterations + 1);
      energies.slice(1).forEach((energy, index) => expect(energy).toBeLessThan(energies[index] ?? 0));
      const rest = restShapes(mesh);
      const steepest = (at: Float64Array) => Math.max(...assemble(rest, at, null).map(Math.abs));
      // Moved by a tenth of a millimetre it is far steeper than where it came to rest.
      const moved = uv.map((value, index) => (index === 7 ? value + 0.1 : value));
      expect(steepest(uv)).toBeLessThan(1e-3 * steepest(moved));
      expect(energyOf(rest, uv)).toBeLessThan(energyOf(rest, moved));
    },
  );
});
