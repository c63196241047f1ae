import type { Mesh } from '../../core/geometry/mesh/mesh.ts';

/** Bytes of a binary STL before its triangles, and of each triangle. */
const HEAD = 80;
const EACH = 50;

/** A mesh as a binary STL, in mm. */
export function writeStl(title: string, { positions, triangles }: Mesh): Buffer {
  const count = triangles.length / 3;
  const bytes = Buffer.alloc(HEAD + 4 + EACH * count);
  bytes.write(`${title}, mm`.replace(/[^ -~]/g, '?').slice(0, HEAD - 1), 'ascii');
  bytes.writeUInt32LE(count, HEAD);
  for (let index = 0; index < count; index += 1) {
    const corner = (side: number) =>
      [0, 1, 2].map((axis) => positions[3 * (triangles[3 * index + side] as number) + axis] as number) as [
        number,
        number,
        number,
      ];
    const [a, b, c] = [corner(0), corner(1), corner(2)];
    const [u, v] = [
      b.map((value, axis) => value - (a[axis] as number)),
      c.map((value, axis) => value - (a[axis] as number)),
    ] as [number[], number[]];
    const cross = [0, 1, 2].map((axis) => {
      const [next, last] = [(axis + 1) % 3, (axis + 2) % 3];
      return (u[next] as number) * (v[last] as number) - (u[last] as number) * (v[next] as number);
    });
    const long = Math.hypot(...cross) || 1;
    [...cross.map((value) => value / long), ...a, ...b, ...c].forEach((value, at) =>
      bytes.writeFloatLE(value, HEAD + 4 + EACH * index + 4 * at),
    );
  }
  return bytes;
}
