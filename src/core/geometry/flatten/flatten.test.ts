import { meshTrouble } from '../mesh/checkMesh.ts';
import { borderOf, meshArea, offsetMesh, type Mesh } from '../mesh/mesh.ts';
import { readObj } from '../mesh/readObj.ts';
import { seeded } from '../../seeded.ts';
import { neutralSurface } from '../../forms/mould/neutralSurface.ts';
import { flatten } from './flatten.ts';
import { cap, disc, sheet } from './meshes.test.helper.ts';

/** Distance between two vertices as they lie flat (mm). */
function apart(uv: Float64Array, one: number, other: number): number {
  return Math.hypot((uv[2 * one] ?? 0) - (uv[2 * other] ?? 0), (uv[2 * one + 1] ?? 0) - (uv[2 * other + 1] ?? 0));
}
const radii = (mesh: Mesh, uv: Float64Array) => (borderOf(mesh) ?? []).map((vertex) => apart(uv, vertex, 0));

describe('laying a mesh flat', () => {
  it('keeps a flat disc as it is', () => {
    const flat = disc(8, (share, turn) => [90 * share * Math.cos(turn), 90 * share * Math.sin(turn), 0]);
    const { uv, distortion, stretchMin, stretchMax } = flatten(flat, { start: 'disc' });
    expect(distortion).toBeLessThan(1e-12);
    expect([stretchMin, stretchMax]).toEqual([expect.closeTo(1, 8), expect.closeTo(1, 8)]);
    for (const radius of radii(flat, uv)) expect(radius).toBeCloseTo(90, 6);
  });

  it('unrolls half a cylinder without stretch, as long as its chords', () => {
    const columns = 48;
    const half = sheet(columns, 10, (u, v) => [60 * Math.cos(Math.PI * u), 120 * v, 60 * Math.sin(Math.PI * u)]);
    const { uv, stretchMin, stretchMax } = flatten(half);
    expect(Math.max(stretchMax - 1, 1 - stretchMin)).toBeLessThan(1e-6);
    expect(apart(uv, 0, columns)).toBeCloseTo(columns * 2 * 60 * Math.sin(Math.PI / columns / 2), 5);
    expect(apart(uv, 0, 10 * (columns + 1))).toBeCloseTo(120, 6);
  });

  it('unrolls a cone to its sector: both radii and the sweep of its facets', () => {
    const [columns, foot, rim, height] = [40, 45, 65, 90];
    const wall = sheet(columns, 6, (u, v) => {
      const [radius, turn] = [foot + (rim - foot) * v, 1.5 * Math.PI * u];
      return [radius * Math.cos(turn), radius * Math.sin(turn), height * v];
    });
    const { uv, stretchMin, stretchMax } = flatten(wall);
    expect(Math.max(stretchMax - 1, 1 - stretchMin)).toBeLessThan(1e-6);
    const slant = Math.hypot(height, rim - foot);
    const sweep =
      columns * 2 * Math.asin((foot * Math.sin((1.5 * Math.PI) / columns / 2)) / ((slant * foot) / (rim - foot)));
    const radius = (slant * foot) / (rim - foot);
    expect(apart(uv, 0, columns)).toBeCloseTo(2 * radius * Math.sin(sweep / 2), 4);
    expect(apart(uv, 0, 6 * (columns + 1))).toBeCloseTo(slant, 5);
  });

  it.each([
    [240, 40, 0.0037],
    [180, 80, 0.103],
  ])(
    'a cap of rim %i and depth %i: round, between its rim and its arc, hardly more distorted than it must be',
    (rim, depth, most) => {
      const mesh = cap(rim, depth, 29);
      const energies: number[] = [];
      const { uv, distortion, converged, stretchMin, stretchMax } = flatten(mesh, {
        step: (energy) => energies.push(energy),
      });
      expect(converged).toBe(true);
      expect(distortion).toBeLessThan(most);
      const reach = radii(mesh, uv);
      expect(Math.max(...reach) / Math.min(...reach) - 1).toBeLessThan(1e-3);
      const radius = (rim * rim) / (8 * depth) + depth / 2;
      expect(Math.min(...reach)).toBeGreaterThan(rim / 2);
      expect(Math.max(...reach)).toBeLessThan(radius * Math.asin(rim / 2 / radius));
      expect(energies.every((energy, index) => index === 0 || energy < (energies[index - 1] ?? 0))).toBe(true);
      expect(stretchMin).toBeLessThan(1);
      expect(stretchMax).toBeGreaterThan(1);
    },
  );

  it('ends in the same place from another start, within half a percent', () => {
    const mesh = cap(180, 70, 14);
    const [seen, spread] = [flatten(mesh, { start: 'seen' }), flatten(mesh, { start: 'disc' })];
    expect(Math.abs(spread.distortion / seen.distortion - 1)).toBeLessThan(0.005);
  });

  it('lays random bumpy sheets flat without turning a triangle over', () => {
    const random = seeded(5);
    for (let time = 0; time < 12; time += 1) {
      const [a, b, c] = [20 * random(), 20 * random(), 6 * random()];
      const bumpy = sheet(14, 10, (u, v) => [150 * u, 100 * v, a * Math.sin(6 * u + c) + b * Math.cos(5 * v)]);
      expect(meshTrouble(bumpy)).toBeNull();
      const { distortion, stretchMin } = flatten(bumpy);
      expect(Number.isFinite(distortion)).toBe(true);
      expect(stretchMin).toBeGreaterThan(0);
    }
  });

  it('stops when it is told to', () => {
    let steps = 0;
    const { converged } = flatten(cap(180, 80, 10), { going: () => (steps += 1) < 2 });
    expect(converged).toBe(false);
  });
});

describe('the middle of a slab on a mould', () => {
  it.each([
    ['hump', 1, 100 + 0.4 * 8],
    ['hump', -1, 100 + 0.4 * 8],
    ['slump', 1, 100 - 0.6 * 8],
    ['slump', -1, 100 - 0.6 * 8],
  ] as const)('%s, seen from side %i: a sphere of 100 becomes one of the right radius', (side, seen, wanted) => {
    const mesh = cap(160, 40, 20);
    const turned = seen > 0 ? mesh : { ...mesh, triangles: mesh.triangles.slice().reverse() };
    const { positions } = neutralSurface(turned, { thickness: 8, side, k: 0.4 });
    const middle = 40 - 100;
    const off = Array.from(
      { length: positions.length / 3 },
      (_, at) =>
        Math.hypot(positions[3 * at] ?? 0, positions[3 * at + 1] ?? 0, (positions[3 * at + 2] ?? 0) - middle) - wanted,
    );
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.12);
  });

  it('a flat sheet moves as a whole', () => {
    const flat = sheet(3, 3, (u, v) => [30 * u, 30 * v, 0]);
    const moved = offsetMesh(flat, 2.5);
    expect([...moved.positions].filter((_, at) => at % 3 === 2).every((z) => Math.abs(z - 2.5) < 1e-12)).toBe(true);
    expect(meshArea(moved)).toBeCloseTo(900, 9);
  });
});

describe('what is refused', () => {
  const quad = 'v 0 0 0\nv 50 0 0\nv 50 50 0\nv 0 50 0\n';
  const trouble = (text: string) => {
    const reading = readObj(text);
    return reading.kind === 'refused' ? reading.rule : meshTrouble(reading.mesh);
  };

  it('reads faces of four corners, negative and slashed indices', () => {
    expect(trouble(`# made up\n${quad}f 1/1/1 2/2/2 3//3 -1\n`)).toBeNull();
  });

  it.each([
    ['an empty file', '', /no vertices/],
    ['text that is none', 'hello\n<svg onload="x"/>', /no vertices/],
    ['a vertex that is no number', 'v 0 nan 0\nf 1 1 1', /line 1/],
    ['an infinite vertex', 'v 0 1e999 0\n', /line 1/],
    ['a cut off vertex', `${quad}v 1 2`, /line 5/],
    ['no triangles', quad, /no triangles/],
    ['a face of two corners', `${quad}f 1 2`, /three corners/],
    ['a face that names nothing', `${quad}f 1 2 9`, /not there/],
    ['a face that names words', `${quad}f 1 two 3`, /not there/],
    ['a triangle on one line', `${quad}v 100 0 0\nf 1 2 3 4\nf 1 5 2`, /without area/],
    ['two corners in one', `${quad}f 1 2 2`, /two corners/],
    ['triangles turned against one another', `${quad}f 1 2 3\nf 1 2 4`, /three triangles share/],
    ['a loose vertex', `${quad}v 9 9 9\nf 1 2 3 4`, /no triangle/],
    ['two pieces', `${quad}v 100 0 0\nv 150 0 0\nv 150 50 0\nf 1 2 3 4\nf 5 6 7`, /closed, has a hole|several pieces/],
    ['metres', 'v 0 0 0\nv 0.05 0 0\nv 0.05 0.05 0\nf 1 2 3', /unit right/],
    ['a giant', 'v 0 0 0\nv 50000 0 0\nv 50000 50000 0\nf 1 2 3', /unit right/],
    ['a closed body', 'v 0 0 0\nv 50 0 0\nv 0 50 0\nv 0 0 50\nf 1 3 2\nf 1 2 4\nf 2 3 4\nf 3 1 4', /closed/],
  ])('%s', (_, text, rule) => {
    expect(trouble(text)).toMatch(rule);
  });

  it('too many vertices, at once', () => {
    expect(trouble('v 1 2 3\n'.repeat(200_001))).toMatch(/more than 200000 vertices/);
  });

  it('a ring, whose border is two', () => {
    const ring = sheet(12, 2, (u, v) => [40 * Math.cos(2 * Math.PI * u), 40 * Math.sin(2 * Math.PI * u), 30 * v]);
    const closed = ring.triangles.map((vertex) => (vertex % 13 === 12 ? vertex - 12 : vertex));
    expect(meshTrouble({ positions: ring.positions, triangles: closed })).not.toBeNull();
  });
});
