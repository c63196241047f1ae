import { BufferAttribute, BufferGeometry } from 'three';
import type { RaisedPart, Ribbon } from '../../../core/forms/kind/body.ts';
import type { Point3 } from '../../../core/geometry/point.ts';

/** The four kinds of surface that are painted apart. */
export type PaintedFace = Ribbon['face'];

/** Triangles of the ribbons with one kind of face, both triangles of each step. */
export function faceGeometry(parts: readonly RaisedPart[], face: PaintedFace): BufferGeometry {
  const ribbons = parts.flatMap((part) => part.ribbons.filter((ribbon) => ribbon.face === face));
  const points = ribbons.reduce((sum, { one }) => sum + one.length, 0);
  const positions = new Float32Array(points * 6);
  const index: number[] = [];
  let at = 0;
  for (const { one, other } of ribbons) {
    const start = at;
    one.forEach((point, step) => {
      positions.set(point, 3 * at);
      positions.set(other[step] as Point3, 3 * (at + 1));
      at += 2;
    });
    for (let step = start; step < at - 2; step += 2) {
      index.push(step, step + 2, step + 1, step + 1, step + 2, step + 3);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return geometry;
}

/** The lines along which two faces meet: rims, feet and ends, in pairs of points. */
export function edgeLines(parts: readonly RaisedPart[]): BufferGeometry {
  const pairs: number[] = [];
  const line = (points: readonly Point3[]) => {
    for (let step = 1; step < points.length; step += 1) {
      pairs.push(...(points[step - 1] as Point3), ...(points[step] as Point3));
    }
  };
  for (const { ribbons } of parts) {
    for (const { face, one, other } of ribbons) {
      if (face !== 'edge' && face !== 'cut') continue;
      line(one);
      line(other);
      if (face !== 'cut') continue;
      line([one[0] as Point3, other[0] as Point3]);
      line([one.at(-1) as Point3, other.at(-1) as Point3]);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(pairs), 3));
  return geometry;
}
