import { disc } from '../flatten/meshes.test.helper.ts';
import { developWhole } from '../piece/develop.ts';
import { newTarget } from '../piece/target.ts';
import { readMould, type MouldReading } from './importedMould.ts';
import type { MeshForm } from './mouldForm.ts';
import { readStl } from '../mesh/readStl.ts';
import type { Mesh } from '../mesh/mesh.ts';

const bowl = (rings: number, up = 1): Mesh => disc(rings, (share, turn) => [share * 100 * Math.cos(turn), share * 70 * Math.sin(turn), up * 30 * share * share + 5]); // prettier-ignore
const bytes = (text: string) => new TextEncoder().encode(text);

function obj({ positions, triangles }: Mesh): string {
  const rows: string[] = ['# a mould', 'o bowl'];
  for (let at = 0; at < positions.length; at += 3) rows.push(`v ${positions[at]} ${positions[at + 1]} ${positions[at + 2]}`); // prettier-ignore
  for (let at = 0; at < triangles.length; at += 3) rows.push(`f ${[0, 1, 2].map((side) => `${(triangles[at + side] as number) + 1}//1`).join(' ')}`); // prettier-ignore
  return rows.join('\r\n');
}

function stl({ positions, triangles }: Mesh): Uint8Array {
  const file = new Uint8Array(84 + (50 * triangles.length) / 3);
  const view = new DataView(file.buffer);
  view.setUint32(80, triangles.length / 3, true);
  triangles.forEach((vertex, corner) => {
    const at = 84 + 50 * Math.floor(corner / 3) + 12 + 12 * (corner % 3);
    for (let axis = 0; axis < 3; axis += 1) view.setFloat32(at + 4 * axis, positions[3 * vertex + axis] as number, true); // prettier-ignore
  });
  return file;
}

function written({ positions, triangles }: Mesh): string {
  const row = (vertex: number) => `vertex ${[0, 1, 2].map((axis) => positions[3 * vertex + axis]).join(' ')}`;
  const facets = Array.from({ length: triangles.length / 3 }, (_, index) => `facet normal 0 0 0\nouter loop\n${[0, 1, 2].map((side) => row(triangles[3 * index + side] as number)).join('\n')}\nendloop\nendfacet`); // prettier-ignore
  return `solid bowl\n${facets.join('\n')}\nendsolid`;
}

const turned = (mesh: Mesh): Mesh => ({ ...mesh, triangles: mesh.triangles.map((_, index) => mesh.triangles[index - (index % 3) + ((3 - (index % 3)) % 3)] as number) }); // prettier-ignore

function formOf(reading: MouldReading): MeshForm {
  if (reading.kind === 'refused') throw new Error(reading.rule);
  return reading.form;
}

describe('moulds read from files', () => {
  const wanted = developWhole({ ...newTarget('w'), form: formOf(readMould('a.obj', bytes(obj(bowl(10))))) }); // prettier-ignore
  it.each([
    ['OBJ', 'bowl.obj', bytes(obj(bowl(10)))],
    ['binary STL', 'bowl.STL', stl(bowl(10))],
    ['written STL', 'bowl.stl', bytes(written(bowl(10)))],
    ['OBJ modelled as a hump', 'hump.obj', bytes(obj(bowl(10, -1)))],
    ['OBJ seen from below', 'below.obj', bytes(obj(turned(bowl(10))))],
  ])('give the same blank from %s', (_, name, file) => {
    const reading = readMould(name, file);
    if (reading.kind === 'refused') throw new Error(reading.rule);
    expect(reading.form.vertices).toHaveLength(331);
    expect(Math.min(...reading.form.vertices.map(([, , z]) => z))).toBeCloseTo(0, 4);
    const developed = developWhole({ ...newTarget('m'), form: reading.form });
    expect(developed.blank?.gather).toBeCloseTo(wanted.blank?.gather ?? NaN, 3);
    expect(developed.parts[0]?.volume).toBeCloseTo(wanted.parts[0]?.volume ?? NaN, -3);
  });

  it('drapes an imported cap as the mould given by its outline', () => {
    const cap = disc(24, (share, turn) => {
      const angle = share * Math.asin(0.6);
      return [200 * Math.sin(angle) * Math.cos(turn), 200 * Math.sin(angle) * Math.sin(turn), 200 * (1 - Math.cos(angle))]; // prettier-ignore
    });
    const reading = readMould('cap.obj', bytes(obj(cap)));
    if (reading.kind === 'refused') throw new Error(reading.rule);
    const imported = developWhole({ ...newTarget('i'), form: { ...reading.form, margin: 0 } });
    const given = developWhole({ ...newTarget('g'), form: { kind: 'mould', rim: { kind: 'circle', diameter: 240 }, depth: 40, wall: 'dome', side: 'hump', margin: 0 } }); // prettier-ignore
    expect((imported.parts[0]?.volume ?? 0) / (given.parts[0]?.volume ?? 1)).toBeCloseTo(1, 2);
    expect(imported.blank?.gather).toBeCloseTo(given.blank?.gather ?? NaN, 2);
    expect(imported.finished.capacityBrim / given.finished.capacityBrim).toBeCloseTo(1, 1);
  });
});

describe('refusals of files', () => {
  const closed = (): Mesh => {
    const mesh = bowl(3);
    const middle = mesh.positions.length / 3;
    const rim = Array.from({ length: 18 }, (_, at) => middle - 18 + at);
    return { positions: Float64Array.from([...mesh.positions, 0, 0, 60]), triangles: Uint32Array.from([...mesh.triangles, ...rim.flatMap((vertex, at) => [rim[(at + 1) % 18] as number, vertex, middle])]) }; // prettier-ignore
  };
  const folded = disc(8, (share, turn) => [100 * Math.sin(3 * share) * Math.cos(turn), 100 * Math.sin(3 * share) * Math.sin(turn), 80 * share]); // prettier-ignore
  const holed = (): Mesh => ({ ...bowl(4), triangles: bowl(4).triangles.slice(3) });
  it.each([
    ['another kind of file', 'mould.txt', bytes('v 0 0 0'), /neither/],
    ['an empty OBJ', 'a.obj', bytes(''), /no vertices/],
    ['words for figures', 'a.obj', bytes('v a b c\nf 1 2 3'), /three numbers/],
    ['no number', 'a.obj', bytes('v NaN 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 3'), /three numbers/],
    ['a vertex that is not there', 'a.obj', bytes('v 0 0 0\nv 90 0 0\nv 0 90 0\nf 1 2 9'), /not there/],
    ['inches or metres', 'a.obj', bytes(obj({ ...bowl(4), positions: bowl(4).positions.map((value) => value / 1000) })), /millimetres/], // prettier-ignore
    ['microns', 'a.obj', bytes(obj({ ...bowl(4), positions: bowl(4).positions.map((value) => value * 1000) })), /millimetres/], // prettier-ignore
    ['a closed body', 'a.obj', bytes(obj(closed())), /closed|hole/],
    ['a hole', 'a.obj', bytes(obj(holed())), /hole|border|pieces/],
    ['an undercut', 'a.obj', bytes(obj(folded)), /overhang/],
    ['a fan of three triangles on an edge', 'a.obj', bytes('v 0 0 0\nv 90 0 0\nv 0 90 5\nv 0 -90 5\nv 0 0 90\nf 1 2 3\nf 2 1 4\nf 1 2 5'), /three triangles/], // prettier-ignore
    ['a short STL', 'a.stl', stl(bowl(3)).slice(0, 200), /cut short/],
    ['an STL that promises billions', 'a.stl', ((file) => (new DataView(file.buffer).setUint32(80, 4_000_000_000, true), file))(stl(bowl(2))), /promises/], // prettier-ignore
    ['a written STL without its end', 'a.stl', bytes(written(bowl(2)).split('\n').slice(0, 20).join('\n')), /cut short|hole|pieces|border/], // prettier-ignore
    ['noise', 'a.stl', Uint8Array.from({ length: 500 }, (_, at) => (at * 73 + 11) % 256), /STL/],
  ])('name %s', (_, name, file, rule) => {
    const reading = readMould(name, file);
    expect(reading.kind).toBe('refused');
    expect(reading.kind === 'refused' ? reading.rule : '').toMatch(rule);
  });

  it('refuses a star of very many triangles, which would take hours to look at, at once', () => {
    const count = 60_000;
    const rim = Array.from({ length: count }, (_, at) => {
      const turn = (2 * Math.PI * at) / count;
      return `v ${100 * Math.cos(turn)} ${100 * Math.sin(turn)} 0`;
    });
    const faces = rim.map((_, at) => `f 1 ${at + 2} ${((at + 1) % count) + 2}`);
    const reading = readMould('star.obj', bytes(['v 0 0 -40', ...rim, ...faces].join('\n')));
    expect(reading.kind === 'refused' && reading.rule).toMatch(/60000 triangles share/);
  });

  it('refuses a huge file without reading it', () => {
    const reading = readStl(new Uint8Array(61_000_000));
    expect(reading.kind).toBe('refused');
  });
});
