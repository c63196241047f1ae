import { sheet } from '../../geometry/flatten/meshes.test.helper.ts';
import { meshTrouble } from '../../geometry/mesh/checkMesh.ts';
import { borderOf, meshArea } from '../../geometry/mesh/mesh.ts';
import { seeded } from '../../seeded.ts';
import type { LaidMesh } from '../kind/blank.ts';
import { cutMesh, type CutLine } from './cutMesh.ts';

/** A flat sheet of 120 by 80 mm, lying as it is. */
const SHEET: LaidMesh = (() => {
  const mesh = sheet(12, 8, (u, v) => [120 * u, 80 * v, 0]);
  return { mesh, uv: mesh.positions.filter((_, at) => at % 3 !== 2) };
})();

const place = ({ uv }: LaidMesh, vertex: number) => [uv[2 * vertex] as number, uv[2 * vertex + 1] as number] as const;

/** Cuts from the border inward: along rows of vertices, askew, short and long. */
const LINES: readonly (readonly [string, CutLine])[] = [
  ['along a row of vertices', { from: [0, 40], way: [1, 0], length: 50 }],
  ['between two rows', { from: [0, 44], way: [1, 0], length: 50 }],
  ['to a place within a triangle', { from: [0, 44], way: [1, 0], length: 53.1 }],
  ['to a place on a side', { from: [60, 0], way: [0, 1], length: 35 }],
  ['along diagonals', { from: [0, 0], way: [Math.SQRT1_2, Math.SQRT1_2], length: 40 }],
  ['askew', { from: [33, 0], way: [0.6, 0.8], length: 47 }],
  ['from above', { from: [71, 80], way: [-0.28, -0.96], length: 30 }],
];

/** What is wrong with a cut: it must lie on its line, end at its end, open the mesh, and take nothing away. */
function faultsOf(line: CutLine, laid: LaidMesh): string[] {
  const cut = cutMesh(laid, line);
  if (!cut) return ['not cut'];
  const { left, right } = cut.cut;
  const off = ([x, y]: readonly [number, number]) =>
    Math.abs(line.way[0] * (y - line.from[1]) - line.way[1] * (x - line.from[0]));
  const [tipX, tipY] = place(cut, left.at(-1) as number);
  const far = Math.hypot(
    tipX - line.from[0] - line.length * line.way[0],
    tipY - line.from[1] - line.length * line.way[1],
  );
  const border = borderOf(cut.mesh) ?? [];
  return [
    ...(meshTrouble(cut.mesh) ? [`torn: ${meshTrouble(cut.mesh)}`] : []),
    ...(Math.abs(meshArea(cut.mesh) - meshArea(laid.mesh)) > 1e-6 ? ['of another area'] : []),
    ...(left.length === right.length ? [] : ['with sides of different length']),
    ...(left.at(-1) === right.at(-1) ? [] : ['with two tips']),
    ...(left.slice(0, -1).every((vertex, at) => vertex !== right[at]) ? [] : ['closed at a place']),
    ...left.filter((vertex) => off(place(cut, vertex)) > 0.45).map((vertex) => `off its line at ${place(cut, vertex)}`),
    ...left
      .filter((vertex, at) => `${place(cut, vertex)}` !== `${place(cut, right[at] as number)}`)
      .map(() => 'gaping'),
    ...(far > 0.5 ? [`${far} mm from its end`] : []),
    ...([...left, ...right].every((vertex) => border.includes(vertex)) ? [] : ['not all on the border']),
  ];
}

describe('a cut into a laid mesh', () => {
  it.each(LINES)('%s opens it along the line, and takes nothing away', (_, line) =>
    expect(faultsOf(line, SHEET)).toEqual([]),
  );

  it('does so from anywhere on the border', () => {
    const random = seeded(8);
    for (let round = 0; round < 60; round += 1) {
      const angle = (0.2 + 0.6 * random()) * Math.PI;
      const line: CutLine = {
        from: [20 + 80 * random(), 0],
        way: [Math.cos(angle), Math.sin(angle)],
        length: 12 + 40 * random(),
      };
      const [x] = [line.from[0] + line.length * line.way[0]];
      if (x > 4 && x < 116) expect([line, faultsOf(line, SHEET)]).toEqual([line, []]);
    }
  });

  it('can follow another one', () => {
    const first = cutMesh(SHEET, LINES[0]?.[1] as CutLine) as LaidMesh;
    expect(faultsOf({ from: [120, 31], way: [-1, 0], length: 44 }, first)).toEqual([]);
  });

  it('is none where the line does not reach the mesh', () => {
    expect(cutMesh(SHEET, { from: [0, 200], way: [1, 0], length: 50 })).toBeNull();
    expect(cutMesh(SHEET, { from: [-90, 40], way: [1, 0], length: 50 })).toBeNull();
  });
});
