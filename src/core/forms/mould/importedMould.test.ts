import { disc } from '../../geometry/flatten/meshes.test.helper.ts';
import { developWhole } from '../../piece/develop.ts';
import { newTarget } from '../../target/target.ts';
import { lookAtMesh, PLAIN_TAKING, readMould, type MeshTaking, type MouldReading } from './importedMould.ts';
import { cleanMesh } from '../../geometry/mesh/cleanMesh.ts';
import { seeded } from '../../seeded.ts';
import type { MeshForm } from '../../target/mouldForm.ts';
import { readStl } from '../../geometry/mesh/readStl.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';

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

/** A closed body: a face over a flat or hollow underside, joined by an upright side. */
function body(rings: number, upper: (share: number) => number, lower: (share: number) => number): Mesh {
  const at = (height: (share: number) => number, size: number) => disc(rings, (share, turn) => [size * share * 100 * Math.cos(turn), size * share * 70 * Math.sin(turn), height(share)]); // prettier-ignore
  const [over, under] = [at(upper, 1), turned(at(lower, 1))];
  const count = over.positions.length / 3;
  const rim = Array.from({ length: 6 * rings }, (_, index) => count - 6 * rings + index);
  const side = rim.flatMap((vertex, index) => {
    const next = rim[(index + 1) % rim.length] as number;
    return [vertex, count + vertex, count + next, vertex, count + next, next];
  });
  return { positions: Float64Array.from([...over.positions, ...under.positions]), triangles: Uint32Array.from([...over.triangles, ...[...under.triangles].map((vertex) => vertex + count), ...side]) }; // prettier-ignore
}

describe('what a file does not say', () => {
  const plain = (taking: Partial<MeshTaking>): MeshTaking => ({ ...PLAIN_TAKING, ...taking });
  const widthOf = ({ vertices }: MeshForm) => Math.max(...vertices.map(([x]) => x)) - Math.min(...vertices.map(([x]) => x)); // prettier-ignore

  it.each([
    ['inch', 25.4],
    ['cm', 10],
    ['m', 1000],
  ] as const)('is asked: the same bowl in %s', (unit, by) => {
    const file = bytes(obj({ ...bowl(6), positions: bowl(6).positions.map((value) => value / by) }));
    expect(widthOf(formOf(readMould('a.obj', file, plain({ unit }))))).toBeCloseTo(200, 2);
    const look = lookAtMesh('a.obj', file, plain({ unit, scale: 0.5 }));
    expect(look.kind === 'look' && [look.look.size[0], look.look.size[2]].map((size) => Number(size.toFixed(3)))).toEqual([100, 15]); // prettier-ignore
    // Taken in mm it is too small, or told to be as small as it is.
    expect(readMould('a.obj', file).kind === 'refused' || widthOf(formOf(readMould('a.obj', file))) < 21).toBe(true);
  });

  it('and so is the axis that points up', () => {
    const lying = { ...bowl(6), positions: bowl(6).positions.map((_, at, all) => (at % 3 === 0 ? (all[at] as number) : at % 3 === 1 ? (all[at + 1] as number) : -(all[at - 1] as number))) }; // prettier-ignore
    expect(widthOf(formOf(readMould('a.obj', bytes(obj(lying)), plain({ up: 'y' }))))).toBeCloseTo(200, 2);
  });

  it.each(['hump', 'hollow'] as const)('a closed %s is opened by the face that the clay meets', (kind) => {
    const dome = (share: number) => 30 * (1 - share * share);
    const bodyOf = kind === 'hump' ? body(10, (share) => 8 + dome(share), () => 0) : body(10, (share) => 10 + 30 * share * share, () => 0); // prettier-ignore
    const file = stl(bodyOf);
    const face = kind === 'hump' ? 'above' : 'within';
    const look = lookAtMesh('a.stl', file, plain({ face }));
    if (look.kind !== 'look') throw new Error(look.rule);
    expect(look.look.closed).toBe(true);
    expect(look.look.taken.length).toBeLessThan(look.look.whole.length);
    const form = formOf(readMould('a.stl', file, plain({ face })));
    expect(form.vertices).toHaveLength(331);
    const depth = Math.max(...form.vertices.map(([, , z]) => z));
    expect(depth).toBeCloseTo(30, 2);
    // Drawn inside out it is the same body.
    expect(formOf(readMould('b.stl', stl(turned(bodyOf)), plain({ face }))).vertices).toHaveLength(331);
  });

  it('a bowl with a level rim and a wall is opened within, without its rim', () => {
    // A section turned round: outside up, a level rim, and the hollow down to its floor.
    const section = [[0, 0], [60, 0], [90, 40], [84, 40], [56, 6], [0, 6]] as const; // prettier-ignore
    const steps = 24;
    const positions: number[] = [0, 0, 0, 0, 0, 6];
    for (const [r, z] of section.slice(1, -1)) for (let at = 0; at < steps; at += 1) positions.push(r * Math.cos((2 * Math.PI * at) / steps), r * Math.sin((2 * Math.PI * at) / steps), z); // prettier-ignore
    const ring = (index: number, at: number) => 2 + index * steps + (at % steps);
    const triangles: number[] = [];
    for (let at = 0; at < steps; at += 1) {
      triangles.push(0, ring(0, at + 1), ring(0, at), 1, ring(3, at), ring(3, at + 1));
      for (let index = 0; index < 3; index += 1) triangles.push(ring(index, at), ring(index, at + 1), ring(index + 1, at + 1), ring(index, at), ring(index + 1, at + 1), ring(index + 1, at)); // prettier-ignore
    }
    const mesh: Mesh = { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
    const form = formOf(readMould('bowl.obj', bytes(obj(mesh)), plain({ face: 'within' })));
    expect(widthOf(form)).toBeCloseTo(168, 2);
    expect(Math.max(...form.vertices.map(([, , z]) => z))).toBeCloseTo(34, 3);
  });
});

/** A mesh with dirt in it: triangles parted by a corner next to one of theirs (needles) or next to a side (caps), crumbs, all twice, each by itself. */
function dirty(mesh: Mesh, kind: string): Mesh {
  const random = seeded(5);
  const positions = [...mesh.positions];
  const triangles = [...mesh.triangles];
  const add = (shares: readonly number[], corners: readonly number[], off: number) => {
    for (let axis = 0; axis < 3; axis += 1) positions.push(shares.reduce((sum, share, at) => sum + share * (positions[3 * (corners[at] as number) + axis] as number), 0) + (axis === 2 ? off : 0)); // prettier-ignore
    return positions.length / 3 - 1;
  };
  const count = mesh.triangles.length / 3;
  if (kind === 'needles' || kind === 'caps') {
    for (let round = 0; round < 20; round += 1) {
      const at = 3 * Math.floor(random() * count);
      const corners = triangles.slice(at, at + 3) as [number, number, number];
      const v = add(
        kind === 'needles' ? [0.998, 0.001, 0.001] : [0.5, 0.4999, 0.0001],
        corners,
        0.01 * (2 * random() - 1),
      );
      const [a, b, c] = corners;
      triangles.splice(at, 3, a, b, v);
      triangles.push(b, c, v, c, a, v);
    }
  }
  if (kind === 'crumbs') for (let at = 0; at < 4; at += 1) triangles.push(add([1], [at], 50), add([1], [at + 30], 51), add([1], [at + 60], 52)); // prettier-ignore
  if (kind === 'all twice') triangles.push(...mesh.triangles);
  if (kind === 'corners apart') {
    const apart = triangles.flatMap((vertex) => positions.slice(3 * vertex, 3 * vertex + 3));
    return { positions: Float64Array.from(apart), triangles: Uint32Array.from({ length: triangles.length }, (_, at) => at) }; // prettier-ignore
  }
  if (kind === 'scanner noise') return { ...mesh, positions: mesh.positions.map((value, at) => (at % 3 === 2 ? value + 0.05 * (2 * random() - 1) : value)) }; // prettier-ignore
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}

describe('dirt in a mesh', () => {
  const strain = (mesh: Mesh) => {
    const { blank } = developWhole({ ...newTarget('d'), form: formOf(readMould('a.obj', bytes(obj(mesh)))) });
    return [blank?.stretch ?? NaN, blank?.gather ?? NaN];
  };
  it.each(['needles', 'caps', 'crumbs', 'all twice', 'corners apart', 'scanner noise'])(
    'never raises the strain: %s',
    (kind) => {
      // prettier-ignore
      for (const rings of [10, 18]) {
      const [clean, found] = [strain(bowl(rings)), strain(dirty(bowl(rings), kind))];
      clean.forEach((most, at) => expect((found[at] as number) - most).toBeLessThan(0.0015));
    }
    },
  );

  it('is not seen in a sound mesh, which stays as it is', () => {
    for (const mesh of [bowl(3), bowl(12)]) expect(cleanMesh(mesh)).toEqual(mesh);
  });
});

describe('refusals of files', () => {
  const folded = disc(8, (share, turn) => [100 * Math.sin(3 * share) * Math.cos(turn), 100 * Math.sin(3 * share) * Math.sin(turn), 80 * share]); // prettier-ignore
  const holed = (): Mesh => ({ ...bowl(4), triangles: bowl(4).triangles.slice(3) });
  it.each([
    ['another kind of file', 'mould.txt', bytes('v 0 0 0'), /neither/],
    ['an empty OBJ', 'a.obj', bytes(''), /no vertices/],
    ['words for figures', 'a.obj', bytes('v a b c\nf 1 2 3'), /three numbers/],
    ['no number', 'a.obj', bytes('v NaN 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 3'), /three numbers/],
    ['a vertex that is not there', 'a.obj', bytes('v 0 0 0\nv 90 0 0\nv 0 90 0\nf 1 2 9'), /not there/],
    ['inches or metres', 'a.obj', bytes(obj({ ...bowl(4), positions: bowl(4).positions.map((value) => value / 1000) })), /unit right/], // prettier-ignore
    ['microns', 'a.obj', bytes(obj({ ...bowl(4), positions: bowl(4).positions.map((value) => value * 1000) })), /unit right/], // prettier-ignore
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
