import { disc, sheet } from '../flatten/meshes.test.helper.ts';
import { meshTrouble } from './checkMesh.ts';
import { meshArea, type Mesh } from './mesh.ts';
import { isClosed, openFace } from './openFace.ts';

/** Triangles facing the other way. */
const turned = ({ positions, triangles }: Mesh): Mesh => ({
  positions,
  triangles: Uint32Array.from(
    triangles,
    (_, at) => triangles[at % 3 === 0 ? at : at % 3 === 1 ? at + 1 : at - 1] as number,
  ),
});

/** A round body of two faces over one another, their borders joined by an upright side (mm). */
function body(upper: (share: number) => number, lower: (share: number) => number): Mesh {
  const rings = 8;
  const face = (height: (share: number) => number) =>
    disc(rings, (share, turn) => [60 * share * Math.cos(turn), 60 * share * Math.sin(turn), height(share)]);
  const [over, under] = [face(upper), turned(face(lower))];
  const count = over.positions.length / 3;
  const side = Array.from({ length: 6 * rings }, (_, at) => {
    const [one, next] = [count - 6 * rings + at, count - 6 * rings + ((at + 1) % (6 * rings))];
    return [one, count + one, count + next, one, count + next, next];
  });
  return {
    positions: Float64Array.from([...over.positions, ...under.positions]),
    triangles: Uint32Array.from([...over.triangles, ...[...under.triangles].map((one) => one + count), ...side.flat()]),
  };
}

const DOME = body(
  (share) => 30 * (1 - share ** 2) + 5,
  () => 0,
);
const DISH = body(
  (share) => (share > 0.8 ? 40 : 10 + 30 * (share / 0.8) ** 2),
  () => 0,
);
const FLAT = sheet(4, 3, (u, v) => [40 * u, 30 * v, 0]);

describe('a mesh', () => {
  it.each<[string, Mesh, boolean]>([
    ['a dome', DOME, true],
    ['a dish', DISH, true],
    ['a dish inside out', turned(DISH), true],
    ['a sheet', FLAT, false],
    ['a dome that lacks a triangle', { ...DOME, triangles: DOME.triangles.slice(3) }, false],
    [
      'a dome with a triangle twice',
      { ...DOME, triangles: Uint32Array.from([...DOME.triangles, ...DOME.triangles.slice(0, 3)]) },
      false,
    ],
    ['nothing', { positions: new Float64Array(0), triangles: new Uint32Array(0) }, false],
  ])('is closed where every edge has two triangles: %s', (_, mesh, closed) => expect(isClosed(mesh)).toBe(closed));
});

describe('the face that the clay meets', () => {
  /** Heights and farthest radius of a mesh (mm). */
  const extent = ({ positions }: Mesh) => {
    const at = (axis: number) => [...positions].filter((_, index) => index % 3 === axis);
    const [x, y, z] = [at(0), at(1), at(2)];
    return {
      low: Math.min(...z),
      high: Math.max(...z),
      far: Math.max(...x.map((value, index) => Math.hypot(value, y[index] as number))),
    };
  };

  it.each([
    ['as drawn', DOME],
    ['inside out', turned(DOME)],
  ])('of a dome %s is its upper face, whole', (_, mesh) => {
    const face = openFace(mesh, 'above') as Mesh;
    expect(meshTrouble(face)).toBeNull();
    expect(extent(face)).toEqual({ low: 5, high: 35, far: expect.closeTo(60, 9) as number });
    const upper = disc(8, (share, turn) => [
      60 * share * Math.cos(turn),
      60 * share * Math.sin(turn),
      30 * (1 - share ** 2) + 5,
    ]);
    expect(meshArea(face)).toBeCloseTo(meshArea(upper), 9);
  });

  it('of a dish is its hollow, without the level rim round it', () => {
    const face = openFace(DISH, 'within') as Mesh;
    expect(meshTrouble(face)).toBeNull();
    const { low, high, far } = extent(face);
    expect([low, high]).toEqual([10, 40]);
    expect(far).toBeGreaterThan(40);
    expect(far).toBeLessThan(60);
  });

  it('is none of what only looks down or sideways', () => {
    const wall = sheet(4, 3, (u, v) => [40 * u, 0, 30 * v]);
    expect(openFace(wall, 'above')).toBeNull();
    expect(openFace(wall, 'within')).toBeNull();
  });
});
