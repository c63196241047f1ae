import { vertexCount, type Mesh } from '../../geometry/mesh/mesh.ts';

/** Area of each vertex: a third of the area of its triangles (mm2). */
function sharesOf({ positions, triangles }: Mesh): Float64Array {
  const shares = new Float64Array(positions.length / 3);
  const at = (vertex: number, axis: number) => positions[3 * vertex + axis] as number;
  for (let first = 0; first < triangles.length; first += 3) {
    const [a, b, c] = [triangles[first] as number, triangles[first + 1] as number, triangles[first + 2] as number];
    const [ux, uy, uz] = [at(b, 0) - at(a, 0), at(b, 1) - at(a, 1), at(b, 2) - at(a, 2)];
    const [vx, vy, vz] = [at(c, 0) - at(a, 0), at(c, 1) - at(a, 1), at(c, 2) - at(a, 2)];
    const third = Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx) / 6;
    for (const vertex of [a, b, c]) shares[vertex] = (shares[vertex] as number) + third;
  }
  return shares;
}

/**
 * Figures at the vertices of a formed piece, averaged over the surroundings, since clay does not respond at a point: weighted
 * by area and by `(1 - (d / reach)^2)^2`. Both sides of a dart meet on the formed piece and count alike.
 *
 * @param reach radius of the average (mm)
 */
export function feltOver(mesh: Mesh, values: Float64Array, reach: number): Float64Array {
  const { positions } = mesh;
  const count = vertexCount(mesh);
  const shares = sharesOf(mesh);
  const cell = (vertex: number, axis: number) => Math.floor((positions[3 * vertex + axis] as number) / reach);
  const nameOf = (x: number, y: number, z: number) => `${x} ${y} ${z}`;
  const cells = new Map<string, number[]>();
  for (let vertex = 0; vertex < count; vertex += 1) {
    const name = nameOf(cell(vertex, 0), cell(vertex, 1), cell(vertex, 2));
    const own = cells.get(name);
    if (own) own.push(vertex);
    else cells.set(name, [vertex]);
  }
  const sides = [-1, 0, 1];
  const around = sides.flatMap((x) => sides.flatMap((y) => sides.map((z) => [x, y, z] as const)));
  return Float64Array.from({ length: count }, (_, vertex) => {
    let [sum, weight] = [0, 0];
    for (const [x, y, z] of around) {
      for (const other of cells.get(nameOf(cell(vertex, 0) + x, cell(vertex, 1) + y, cell(vertex, 2) + z)) ?? []) {
        const apart =
          [0, 1, 2].reduce(
            (squares, axis) =>
              squares + ((positions[3 * vertex + axis] as number) - (positions[3 * other + axis] as number)) ** 2,
            0,
          ) /
          (reach * reach);
        if (apart >= 1) continue;
        const share = (shares[other] as number) * (1 - apart) ** 2;
        sum += share * (values[other] as number);
        weight += share;
      }
    }
    return weight > 0 ? sum / weight : (values[vertex] as number);
  });
}
