/** The longest step along a direction before a triangle loses its area: the smallest root of each determinant. */
export function longestStep(triangles: Uint32Array, uv: Float64Array, way: Float64Array): number {
  let least = Infinity;
  for (let at = 0; at < triangles.length; at += 3) {
    const a = 2 * (triangles[at] as number);
    const b = 2 * (triangles[at + 1] as number);
    const c = 2 * (triangles[at + 2] as number);
    const ux = (uv[b] as number) - (uv[a] as number);
    const uy = (uv[b + 1] as number) - (uv[a + 1] as number);
    const vx = (uv[c] as number) - (uv[a] as number);
    const vy = (uv[c + 1] as number) - (uv[a + 1] as number);
    const px = (way[b] as number) - (way[a] as number);
    const py = (way[b + 1] as number) - (way[a + 1] as number);
    const qx = (way[c] as number) - (way[a] as number);
    const qy = (way[c + 1] as number) - (way[a + 1] as number);
    const two = px * qy - py * qx;
    const one = ux * qy + px * vy - uy * qx - py * vx;
    const none = ux * vy - uy * vx;
    const root = one * one - 4 * two * none;
    if (root < 0) continue;
    // The form of the root that avoids cancellation.
    const half = -(one + (one >= 0 ? 1 : -1) * Math.sqrt(root)) / 2;
    for (const step of [half / two, none / half]) if (step > 0) least = Math.min(least, step);
  }
  return least;
}
