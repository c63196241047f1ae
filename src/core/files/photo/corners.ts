import type { Pixel } from './image.ts';

/** A sharp corner: the line turns by more than this (rad) within so many places, and the corner is this close to them (mm). */
const SHARP = { turn: 0.7, places: 3, near: 1 } as const;

/** The intersection of the lines fitted to two runs of places; null where they are parallel. */
function crossing(one: readonly Pixel[], other: readonly Pixel[]): Pixel | null {
  const [a, b] = [lineThrough(one), lineThrough(other)];
  const cross = a.along[0] * b.along[1] - a.along[1] * b.along[0];
  if (Math.abs(cross) < 0.2) return null;
  const by = ((b.middle[0] - a.middle[0]) * b.along[1] - (b.middle[1] - a.middle[1]) * b.along[0]) / cross;
  return [a.middle[0] + by * a.along[0], a.middle[1] + by * a.along[1]];
}

function lineThrough(points: readonly Pixel[]): { middle: Pixel; along: Pixel } {
  const mean = (axis: 0 | 1) => points.reduce((sum, point) => sum + point[axis], 0) / points.length;
  const middle: Pixel = [mean(0), mean(1)];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - middle[0]) ** 2;
    xy += (x - middle[0]) * (y - middle[1]);
    yy += (y - middle[1]) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { middle, along: [Math.cos(angle), Math.sin(angle)] };
}

/** The places with each sharp corner where the lines on both sides of it meet: an edge that is looked for across is round there. */
export function cornered(places: readonly Pixel[], first: readonly Pixel[]): Pixel[] {
  const count = places.length;
  const at = (index: number) => places[(index + 2 * count) % count] as Pixel;
  const turn = (index: number) => {
    const [a, b, c] = [at(index - SHARP.places), at(index), at(index + SHARP.places)];
    const cross = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
    return Math.abs(Math.atan2(cross, (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1])));
  };
  const turns = places.map((_, index) => turn(index));
  const put = new Map<number, Pixel | null>();
  turns.forEach((own, index) => {
    const beside = [-3, -2, -1, 1, 2, 3].map((by) => turns[(index + by + count) % count] as number);
    if (own < SHARP.turn || beside.some((other) => other > own)) return;
    const meets = crossing(
      [5, 6, 7, 8].map((by) => at(index - by)),
      [5, 6, 7, 8].map((by) => at(index + by)),
    );
    // The first line is less round at a corner than one that was looked for across it.
    const near =
      meets &&
      Math.min(
        ...[...first, ...[-2, -1, 0, 1, 2].map((by) => at(index + by))].map(([x, y]) =>
          Math.hypot(x - meets[0], y - meets[1]),
        ),
      );
    if (!meets || near === null || near > SHARP.near) return;
    for (const by of [-4, -3, -2, -1, 1, 2, 3, 4]) put.set((index + by + count) % count, null);
    put.set(index, meets);
  });
  return places.flatMap((place, index) => {
    const now = put.get(index);
    return now === null ? [] : [now ?? place];
  });
}
