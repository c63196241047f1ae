import type { LaidMesh } from '../kind/blank.ts';
import { doubleNormals, meshArea } from '../../geometry/mesh/mesh.ts';
import type { Placed } from './bentSheet.ts';
import type { Point } from '../../geometry/point.ts';
import { ROUNDING } from '../../numbers.ts';

/** Side of a lookup cell, in mean sides of a triangle. */
const CELL = 1.6;

/** Finds where a point of a flat mesh lies on the formed one: in its triangle, by its weights. Null beyond the mesh. */
export function flatPlaces({ mesh, uv }: LaidMesh): (point: Point) => Placed | null {
  const { positions, triangles } = mesh;
  const normals = doubleNormals(mesh);
  const flat = (vertex: number): Point => [uv[2 * vertex] as number, uv[2 * vertex + 1] as number];
  const count = triangles.length / 3;
  const cell = Math.sqrt(meshArea(mesh) / count) * CELL;
  const cells = new Map<string, number[]>();
  const column = (value: number) => Math.floor(value / cell);
  for (let index = 0; index < count; index += 1) {
    const corners = [0, 1, 2].map((side) => flat(triangles[3 * index + side] as number));
    const [xs, ys] = [corners.map(([x]) => column(x)), corners.map(([, y]) => column(y))];
    for (let x = Math.min(...xs); x <= Math.max(...xs); x += 1) {
      for (let y = Math.min(...ys); y <= Math.max(...ys); y += 1) {
        const list = cells.get(`${x} ${y}`);
        if (list) list.push(index);
        else cells.set(`${x} ${y}`, [index]);
      }
    }
  }
  return ([x, y]) => {
    for (const index of cells.get(`${column(x)} ${column(y)}`) ?? []) {
      const [a, b, c] = [0, 1, 2].map((side) => triangles[3 * index + side] as number) as [number, number, number];
      const [[ax, ay], [bx, by], [cx, cy]] = [flat(a), flat(b), flat(c)];
      const whole = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay);
      const wb = ((x - ax) * (cy - ay) - (cx - ax) * (y - ay)) / whole;
      const wc = ((bx - ax) * (y - ay) - (x - ax) * (by - ay)) / whole;
      if (wb < -ROUNDING || wc < -ROUNDING || wb + wc > 1 + ROUNDING) continue;
      const mixed = (axis: number) =>
        (1 - wb - wc) * (positions[3 * a + axis] as number) +
        wb * (positions[3 * b + axis] as number) +
        wc * (positions[3 * c + axis] as number);
      const [nx, ny, nz] = normals[index] ?? [0, 0, 1];
      const long = Math.hypot(nx, ny, nz) || 1;
      return { at: [mixed(0), mixed(1), mixed(2)], normal: [nx / long, ny / long, nz / long] };
    }
    return null;
  };
}
