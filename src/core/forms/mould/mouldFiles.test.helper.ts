import { disc } from '../../geometry/flatten/meshes.test.helper.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';
import type { MeshForm } from '../../target/mouldForm.ts';
import type { MouldReading } from './importedMould.ts';

export const bowl = (rings: number, up = 1): Mesh =>
  disc(rings, (share, turn) => [
    share * 100 * Math.cos(turn),
    share * 70 * Math.sin(turn),
    up * 30 * share * share + 5,
  ]);
export const bytes = (text: string) => new TextEncoder().encode(text);

export function obj({ positions, triangles }: Mesh): string {
  const rows: string[] = ['# a mould', 'o bowl'];
  for (let at = 0; at < positions.length; at += 3)
    rows.push(`v ${positions[at]} ${positions[at + 1]} ${positions[at + 2]}`);
  for (let at = 0; at < triangles.length; at += 3)
    rows.push(`f ${[0, 1, 2].map((side) => `${(triangles[at + side] as number) + 1}//1`).join(' ')}`);
  return rows.join('\r\n');
}

export function stl({ positions, triangles }: Mesh): Uint8Array {
  const file = new Uint8Array(84 + (50 * triangles.length) / 3);
  const view = new DataView(file.buffer);
  view.setUint32(80, triangles.length / 3, true);
  triangles.forEach((vertex, corner) => {
    const at = 84 + 50 * Math.floor(corner / 3) + 12 + 12 * (corner % 3);
    for (let axis = 0; axis < 3; axis += 1)
      view.setFloat32(at + 4 * axis, positions[3 * vertex + axis] as number, true);
  });
  return file;
}

export function written({ positions, triangles }: Mesh): string {
  const row = (vertex: number) => `vertex ${[0, 1, 2].map((axis) => positions[3 * vertex + axis]).join(' ')}`;
  const facets = Array.from(
    { length: triangles.length / 3 },
    (_, index) =>
      `facet normal 0 0 0\nouter loop\n${[0, 1, 2].map((side) => row(triangles[3 * index + side] as number)).join('\n')}\nendloop\nendfacet`,
  );
  return `solid bowl\n${facets.join('\n')}\nendsolid`;
}

export const turned = (mesh: Mesh): Mesh => ({
  ...mesh,
  triangles: mesh.triangles.map((_, index) => mesh.triangles[index - (index % 3) + ((3 - (index % 3)) % 3)] as number),
});

export function formOf(reading: MouldReading): MeshForm {
  if (reading.kind === 'refused') throw new Error(reading.rule);
  return reading.form;
}
