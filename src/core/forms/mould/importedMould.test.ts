import { disc } from '../../geometry/flatten/meshes.test.helper.ts';
import { developWhole } from '../../piece/develop.ts';
import { newTarget } from '../../target/target.ts';
import { lookAtMesh, PLAIN_TAKING, readMould, type MeshTaking } from './importedMould.ts';
import type { MeshForm } from '../../target/mouldForm.ts';
import type { Mesh } from '../../geometry/mesh/mesh.ts';
import { bowl, bytes, obj, stl, written, turned, formOf } from './mouldFiles.test.helper.ts';

describe('moulds read from files', () => {
  const wanted = developWhole({ ...newTarget('w'), form: formOf(readMould('a.obj', bytes(obj(bowl(10))))) });
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
      return [
        200 * Math.sin(angle) * Math.cos(turn),
        200 * Math.sin(angle) * Math.sin(turn),
        200 * (1 - Math.cos(angle)),
      ];
    });
    const reading = readMould('cap.obj', bytes(obj(cap)));
    if (reading.kind === 'refused') throw new Error(reading.rule);
    const imported = developWhole({ ...newTarget('i'), form: { ...reading.form, margin: 0 } });
    const given = developWhole({
      ...newTarget('g'),
      form: { kind: 'mould', rim: { kind: 'circle', diameter: 240 }, depth: 40, wall: 'dome', side: 'hump', margin: 0 },
    });
    expect((imported.parts[0]?.volume ?? 0) / (given.parts[0]?.volume ?? 1)).toBeCloseTo(1, 2);
    expect(imported.blank?.gather).toBeCloseTo(given.blank?.gather ?? NaN, 2);
    expect(imported.finished.capacityBrim / given.finished.capacityBrim).toBeCloseTo(1, 1);
  });
});

/** A closed body: a face over a flat or hollow underside, joined by an upright side. */
function body(rings: number, upper: (share: number) => number, lower: (share: number) => number): Mesh {
  const at = (height: (share: number) => number, size: number) =>
    disc(rings, (share, turn) => [
      size * share * 100 * Math.cos(turn),
      size * share * 70 * Math.sin(turn),
      height(share),
    ]);
  const [over, under] = [at(upper, 1), turned(at(lower, 1))];
  const count = over.positions.length / 3;
  const rim = Array.from({ length: 6 * rings }, (_, index) => count - 6 * rings + index);
  const side = rim.flatMap((vertex, index) => {
    const next = rim[(index + 1) % rim.length] as number;
    return [vertex, count + vertex, count + next, vertex, count + next, next];
  });
  return {
    positions: Float64Array.from([...over.positions, ...under.positions]),
    triangles: Uint32Array.from([...over.triangles, ...[...under.triangles].map((vertex) => vertex + count), ...side]),
  };
}

describe('what a file does not say', () => {
  const plain = (taking: Partial<MeshTaking>): MeshTaking => ({ ...PLAIN_TAKING, ...taking });
  const widthOf = ({ vertices }: MeshForm) =>
    Math.max(...vertices.map(([x]) => x)) - Math.min(...vertices.map(([x]) => x));

  it.each([
    ['inch', 25.4],
    ['cm', 10],
    ['m', 1000],
  ] as const)('is asked: the same bowl in %s', (unit, by) => {
    const file = bytes(obj({ ...bowl(6), positions: bowl(6).positions.map((value) => value / by) }));
    expect(widthOf(formOf(readMould('a.obj', file, plain({ unit }))))).toBeCloseTo(200, 2);
    const look = lookAtMesh('a.obj', file, plain({ unit, scale: 0.5 }));
    expect(
      look.kind === 'look' && [look.look.size[0], look.look.size[2]].map((size) => Number(size.toFixed(3))),
    ).toEqual([100, 15]);
    // Taken in mm it is too small, or told to be as small as it is.
    expect(readMould('a.obj', file).kind === 'refused' || widthOf(formOf(readMould('a.obj', file))) < 21).toBe(true);
  });

  it('and so is the axis that points up', () => {
    const lying = {
      ...bowl(6),
      positions: bowl(6).positions.map((_, at, all) =>
        at % 3 === 0 ? (all[at] as number) : at % 3 === 1 ? (all[at + 1] as number) : -(all[at - 1] as number),
      ),
    };
    expect(widthOf(formOf(readMould('a.obj', bytes(obj(lying)), plain({ up: 'y' }))))).toBeCloseTo(200, 2);
  });

  it.each(['hump', 'hollow'] as const)('a closed %s is opened by the face that the clay meets', (kind) => {
    const dome = (share: number) => 30 * (1 - share * share);
    const bodyOf =
      kind === 'hump'
        ? body(
            10,
            (share) => 8 + dome(share),
            () => 0,
          )
        : body(
            10,
            (share) => 10 + 30 * share * share,
            () => 0,
          );
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
    const section = [
      [0, 0],
      [60, 0],
      [90, 40],
      [84, 40],
      [56, 6],
      [0, 6],
    ] as const;
    const steps = 24;
    const positions: number[] = [0, 0, 0, 0, 0, 6];
    for (const [r, z] of section.slice(1, -1))
      for (let at = 0; at < steps; at += 1)
        positions.push(r * Math.cos((2 * Math.PI * at) / steps), r * Math.sin((2 * Math.PI * at) / steps), z);
    const ring = (index: number, at: number) => 2 + index * steps + (at % steps);
    const triangles: number[] = [];
    for (let at = 0; at < steps; at += 1) {
      triangles.push(0, ring(0, at + 1), ring(0, at), 1, ring(3, at), ring(3, at + 1));
      for (let index = 0; index < 3; index += 1)
        triangles.push(
          ring(index, at),
          ring(index, at + 1),
          ring(index + 1, at + 1),
          ring(index, at),
          ring(index + 1, at + 1),
          ring(index + 1, at),
        );
    }
    const mesh: Mesh = { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
    const form = formOf(readMould('bowl.obj', bytes(obj(mesh)), plain({ face: 'within' })));
    expect(widthOf(form)).toBeCloseTo(168, 2);
    expect(Math.max(...form.vertices.map(([, , z]) => z))).toBeCloseTo(34, 3);
  });
});
