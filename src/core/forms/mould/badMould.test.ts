import { disc } from '../../geometry/flatten/meshes.test.helper.ts';
import { developWhole } from '../../piece/develop.ts';
import { newTarget } from '../../target/target.ts';
import { readMould } from './importedMould.ts';
import { cleanMesh } from '../../geometry/mesh/cleanMesh.ts';
import { seeded } from '../../seeded.ts';
import { readStl } from '../../geometry/mesh/readStl.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';
import { bowl, bytes, obj, stl, written, formOf } from './mouldFiles.test.helper.ts';

/** A mesh with dirt in it: triangles parted by a corner next to one of theirs (needles) or next to a side (caps), crumbs, all twice, each by itself. */
function dirty(mesh: Mesh, kind: string): Mesh {
  const random = seeded(5);
  const positions = [...mesh.positions];
  const triangles = [...mesh.triangles];
  const add = (shares: readonly number[], corners: readonly number[], off: number) => {
    for (let axis = 0; axis < 3; axis += 1)
      positions.push(
        shares.reduce((sum, share, at) => sum + share * (positions[3 * (corners[at] as number) + axis] as number), 0) +
          (axis === 2 ? off : 0),
      );
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
  if (kind === 'crumbs')
    for (let at = 0; at < 4; at += 1)
      triangles.push(add([1], [at], 50), add([1], [at + 30], 51), add([1], [at + 60], 52));
  if (kind === 'all twice') triangles.push(...mesh.triangles);
  if (kind === 'corners apart') {
    const apart = triangles.flatMap((vertex) => positions.slice(3 * vertex, 3 * vertex + 3));
    return {
      positions: Float64Array.from(apart),
      triangles: Uint32Array.from({ length: triangles.length }, (_, at) => at),
    };
  }
  if (kind === 'scanner noise')
    return {
      ...mesh,
      positions: mesh.positions.map((value, at) => (at % 3 === 2 ? value + 0.05 * (2 * random() - 1) : value)),
    };
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
  const folded = disc(8, (share, turn) => [
    100 * Math.sin(3 * share) * Math.cos(turn),
    100 * Math.sin(3 * share) * Math.sin(turn),
    80 * share,
  ]);
  const holed = (): Mesh => ({ ...bowl(4), triangles: bowl(4).triangles.slice(3) });
  it.each([
    ['another kind of file', 'mould.txt', bytes('v 0 0 0'), /neither/],
    ['an empty OBJ', 'a.obj', bytes(''), /no vertices/],
    ['words for figures', 'a.obj', bytes('v a b c\nf 1 2 3'), /three numbers/],
    ['no number', 'a.obj', bytes('v NaN 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 3'), /three numbers/],
    ['a vertex that is not there', 'a.obj', bytes('v 0 0 0\nv 90 0 0\nv 0 90 0\nf 1 2 9'), /not there/],
    [
      'inches or metres',
      'a.obj',
      bytes(obj({ ...bowl(4), positions: bowl(4).positions.map((value) => value / 1000) })),
      /unit right/,
    ],
    [
      'microns',
      'a.obj',
      bytes(obj({ ...bowl(4), positions: bowl(4).positions.map((value) => value * 1000) })),
      /unit right/,
    ],
    ['a hole', 'a.obj', bytes(obj(holed())), /hole|border|pieces/],
    ['an undercut', 'a.obj', bytes(obj(folded)), /overhang/],
    [
      'a fan of three triangles on an edge',
      'a.obj',
      bytes('v 0 0 0\nv 90 0 0\nv 0 90 5\nv 0 -90 5\nv 0 0 90\nf 1 2 3\nf 2 1 4\nf 1 2 5'),
      /three triangles/,
    ],
    ['a short STL', 'a.stl', stl(bowl(3)).slice(0, 200), /cut short/],
    [
      'an STL that promises billions',
      'a.stl',
      ((file) => (new DataView(file.buffer).setUint32(80, 4_000_000_000, true), file))(stl(bowl(2))),
      /promises/,
    ],
    [
      'a written STL without its end',
      'a.stl',
      bytes(written(bowl(2)).split('\n').slice(0, 20).join('\n')),
      /cut short|hole|pieces|border/,
    ],
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
