import type { Mesh } from '../../core/geometry/mesh/mesh.ts';

/** Bytes of a binary STL before its triangles, of each triangle, and of its normal and each corner. */
const HEAD = 80;
const EACH = 50;
const CORNER = 12;

/** A mesh as a binary STL, in mm. */
export function writeStl(title: string, { positions, triangles }: Mesh): Buffer {
  const count = triangles.length / 3;
  const bytes = Buffer.alloc(HEAD + 4 + EACH * count);
  bytes.write(`${title}, mm`.replace(/[^ -~]/g, '?').slice(0, HEAD - 1), 'ascii');
  bytes.writeUInt32LE(count, HEAD);
  for (let index = 0; index < count; index += 1) {
    const [a, b, c] = [0, 1, 2].map((side) => 3 * (triangles[3 * index + side] as number)) as [number, number, number];
    const along = (to: number, axis: number) => (positions[to + axis] as number) - (positions[a + axis] as number);
    const cross = (axis: number) => {
      const [next, last] = [(axis + 1) % 3, (axis + 2) % 3];
      return along(b, next) * along(c, last) - along(b, last) * along(c, next);
    };
    const long = Math.hypot(cross(0), cross(1), cross(2)) || 1;
    for (let axis = 0; axis < 3; axis += 1) {
      const at = HEAD + 4 + EACH * index + 4 * axis;
      bytes.writeFloatLE(cross(axis) / long, at);
      bytes.writeFloatLE(positions[a + axis] as number, at + CORNER);
      bytes.writeFloatLE(positions[b + axis] as number, at + 2 * CORNER);
      bytes.writeFloatLE(positions[c + axis] as number, at + 3 * CORNER);
    }
  }
  return bytes;
}
