import type { LaidMesh } from '../kind/blank.ts';

/** Splits triangles at the middle vertices of their edges: one, two or three of them. */
export function partTriangles(triangles: Uint32Array, middle: (a: number, b: number) => number | undefined): number[] {
  const parted: number[] = [];
  for (let at = 0; at < triangles.length; at += 3) {
    const corners = [0, 1, 2].map((side) => triangles[at + side] as number) as [number, number, number];
    const middles = corners.map((corner, side) => middle(corner, corners[(side + 1) % 3] as number));
    const cut = middles.filter((vertex) => vertex !== undefined).length;
    if (cut === 0) {
      parted.push(...corners);
      continue;
    }
    // Rotated so that the first edge is cut, or with two cuts the first and the second.
    const first =
      cut === 2
        ? [0, 1, 2].findIndex((side) => middles[side] !== undefined && middles[(side + 1) % 3] !== undefined)
        : middles.findIndex((vertex) => vertex !== undefined);
    const [a, b, c] = [0, 1, 2].map((step) => corners[(first + step) % 3] as number) as [number, number, number];
    const [p, q, r] = [0, 1, 2].map((step) => middles[(first + step) % 3] as number) as [number, number, number];
    if (cut === 1) parted.push(a, p, c, p, b, c);
    else if (cut === 2) parted.push(p, b, q, a, p, q, a, q, c);
    else parted.push(a, p, r, p, b, q, r, q, c, p, q, r);
  }
  return parted;
}

/** Mean length of the sides of a layout's triangles (mm). */
export function spacingOf({ mesh, uv }: LaidMesh): number {
  const { triangles } = mesh;
  let sum = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b] = [2 * (triangles[at] as number), 2 * (triangles[at + 1] as number)];
    sum += Math.hypot((uv[a] as number) - (uv[b] as number), (uv[a + 1] as number) - (uv[b + 1] as number));
  }
  return (3 * sum) / triangles.length;
}

/** Splits into four every triangle with a corner within `reach` (mm) of a place of the layout, and its neighbours to match. */
export function finerAbout(laid: LaidMesh, places: readonly (readonly [number, number])[], reach: number): LaidMesh {
  const { triangles } = laid.mesh;
  const positions = [...laid.mesh.positions];
  const uv = [...laid.uv];
  const near = Array.from({ length: uv.length / 2 }, (_, vertex) =>
    places.some(([x, y]) => Math.hypot((uv[2 * vertex] as number) - x, (uv[2 * vertex + 1] as number) - y) < reach),
  );
  const middles = new Map<string, number>();
  const nameOf = (a: number, b: number) => (a < b ? `${a} ${b}` : `${b} ${a}`);
  const halve = (a: number, b: number): void => {
    if (middles.has(nameOf(a, b))) return;
    middles.set(nameOf(a, b), uv.length / 2);
    for (let axis = 0; axis < 3; axis += 1)
      positions.push(((positions[3 * a + axis] as number) + (positions[3 * b + axis] as number)) / 2);
    for (let axis = 0; axis < 2; axis += 1) uv.push(((uv[2 * a + axis] as number) + (uv[2 * b + axis] as number)) / 2);
  };
  for (let at = 0; at < triangles.length; at += 3) {
    const corners = [0, 1, 2].map((side) => triangles[at + side] as number) as [number, number, number];
    if (!corners.some((corner) => near[corner])) continue;
    corners.forEach((corner, side) => halve(corner, corners[(side + 1) % 3] as number));
  }
  const parted = partTriangles(triangles, (a, b) => middles.get(nameOf(a, b)));
  return {
    mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from(parted) },
    uv: Float64Array.from(uv),
  };
}
