/** A point of a picture, y down. */
export type PicturePoint = readonly [x: number, y: number];

/** `a b c d e f` of an SVG matrix: x' = a x + c y + e, y' = b x + d y + f. */
export type Matrix = readonly [number, number, number, number, number, number];

/**
 * Lays a drawing over a photograph at one scale: the middle of its foot and the middle of its rim are where they are seen, and all
 * else follows, turned and scaled alike in both directions.
 *
 * @param height from foot to rim in the drawing (mm), whose foot is at 0, 0 and whose y turns down
 * @returns null where foot and rim are one point: that has no scale
 */
export function laidOver(foot: PicturePoint, rim: PicturePoint, height: number): Matrix | null {
  const [ux, uy] = [(rim[0] - foot[0]) / height, (rim[1] - foot[1]) / height];
  if (!(Math.hypot(ux, uy) > 0)) return null;
  // Up is towards the rim; right is a quarter turn clockwise of it.
  return [-uy, ux, -ux, -uy, foot[0], foot[1]];
}
