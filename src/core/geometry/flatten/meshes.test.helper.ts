import type { Mesh } from '../mesh/mesh.ts';

/** Rings of a disc in six sectors: ring r has 6 r points. `place` sets each by its ring (0 to 1) and its turn (radians). */
export function disc(rings: number, place: (share: number, turn: number) => readonly [number, number, number]): Mesh {
  const positions = [...place(0, 0)];
  for (let ring = 1; ring <= rings; ring += 1) {
    for (let at = 0; at < 6 * ring; at += 1) positions.push(...place(ring / rings, (2 * Math.PI * at) / (6 * ring)));
  }
  const node = (ring: number, at: number) => (ring === 0 ? 0 : 1 + 3 * ring * (ring - 1) + (at % (6 * ring)));
  const triangles: number[] = [];
  for (let ring = 1; ring <= rings; ring += 1) {
    for (let sector = 0; sector < 6; sector += 1) {
      for (let at = 0; at < ring; at += 1) {
        const [outer, inner] = [sector * ring + at, sector * (ring - 1) + at];
        triangles.push(node(ring, outer), node(ring, outer + 1), node(ring - 1, inner));
        if (at < ring - 1) triangles.push(node(ring - 1, inner), node(ring, outer + 1), node(ring - 1, inner + 1));
      }
    }
  }
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}

/** A spherical cap by the diameter of its rim and its depth (mm), evenly meshed, bulging upward. */
export function cap(rim: number, depth: number, rings: number): Mesh {
  const radius = (rim * rim) / (8 * depth) + depth / 2;
  const whole = Math.asin(rim / 2 / radius);
  return disc(rings, (share, turn) => {
    const angle = share * whole;
    return [
      radius * Math.sin(angle) * Math.cos(turn),
      radius * Math.sin(angle) * Math.sin(turn),
      radius * (Math.cos(angle) - 1) + depth,
    ];
  });
}

/** A sheet of rectangles, two triangles each, placed by their shares of both sides (0 to 1). */
export function sheet(
  columns: number,
  rows: number,
  place: (u: number, v: number) => readonly [number, number, number],
): Mesh {
  const positions: number[] = [];
  for (let row = 0; row <= rows; row += 1)
    for (let column = 0; column <= columns; column += 1) positions.push(...place(column / columns, row / rows));
  const triangles: number[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const at = row * (columns + 1) + column;
      triangles.push(at, at + 1, at + columns + 2, at, at + columns + 2, at + columns + 1);
    }
  }
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}
