/** A point of a plane, in whatever unit it has. */
export type PlanePoint = readonly [x: number, y: number];

/** Four corners in order round. */
export type Quad = readonly [PlanePoint, PlanePoint, PlanePoint, PlanePoint];

/** Row by row; the last figure is 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, 1];

/** A pivot smaller than this share of the largest value means that the system is singular. */
const SINGULAR = 1e-12;

/** Solves `rows` of a square system, each with its right side last, by elimination with pivots; null where there is none. */
export function solveLinear(rows: readonly (readonly number[])[]): number[] | null {
  const size = rows.length;
  const work = rows.map((row) => [...row]);
  const greatest = Math.max(...work.flat().map(Math.abs));
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(work[row]?.[column] ?? 0) > Math.abs(work[pivot]?.[column] ?? 0)) pivot = row;
    const chosen = work[pivot] as number[];
    if (Math.abs(chosen[column] ?? 0) <= SINGULAR * greatest) return null;
    [work[pivot], work[column]] = [work[column] as number[], chosen];
    for (let row = 0; row < size; row += 1) {
      if (row === column) continue;
      const own = work[row] as number[];
      const share = (own[column] ?? 0) / (chosen[column] ?? 1);
      for (let at = column; at <= size; at += 1) own[at] = (own[at] ?? 0) - share * (chosen[at] ?? 0);
    }
  }
  return work.map((row, index) => (row[size] ?? 0) / (row[index] ?? 1));
}

/**
 * The map of one plane to another that takes each of four points to its image and straight lines to straight lines: u = (h0 x +
 * h1 y + h2) / (h6 x + h7 y + 1), and v alike (Hartley and Zisserman, Multiple View Geometry, 2nd edition, 2.3). Points are moved and
 * scaled about their middle first, so that pixels and metres are solved as well.
 *
 * @returns null where three of either four lie on a line
 */
export function homography(from: Quad, to: Quad): Homography | null {
  const [source, target] = [settled(from), settled(to)];
  const rows = source.points.flatMap(([x, y], index) => {
    const [u, v] = target.points[index] as PlanePoint;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const solved = solveLinear(rows);
  if (!solved) return null;
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = solved;
  const matrix = times(times(target.back, [a, b, c, d, e, f, g, h, 1]), source.there);
  const last = matrix[8] ?? 0;
  if (
    Math.abs(last) < SINGULAR ||
    Math.abs(determinant(matrix)) < (SINGULAR * Math.abs(last) ** 3 * target.scale ** 2) / source.scale ** 2
  )
    return null;
  return matrix.map((one) => one / last) as unknown as Homography;
}

type Matrix = readonly number[];

function times(one: Matrix, other: Matrix): Matrix {
  return Array.from({ length: 9 }, (_, at) =>
    [0, 1, 2].reduce((sum, k) => sum + (one[3 * Math.floor(at / 3) + k] ?? 0) * (other[3 * k + (at % 3)] ?? 0), 0),
  );
}

function determinant([a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0]: Matrix): number {
  return a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
}

/** Points about their middle, about one apart, with the matrices there and back. */
function settled(points: Quad) {
  const [x, y] = [0, 1].map((axis) => points.reduce((sum, point) => sum + (point[axis] ?? 0), 0) / points.length) as [
    number,
    number,
  ];
  const scale = points.reduce((sum, point) => sum + Math.hypot(point[0] - x, point[1] - y), 0) / points.length || 1;
  return {
    points: points.map(([px, py]): PlanePoint => [(px - x) / scale, (py - y) / scale]),
    there: [1 / scale, 0, -x / scale, 0, 1 / scale, -y / scale, 0, 0, 1],
    back: [scale, 0, x, 0, scale, y, 0, 0, 1],
    scale,
  };
}

/** Where a point falls. */
export function mapped(map: Homography, at: PlanePoint): PlanePoint {
  return mapping(map)(at);
}

/** The map as a function, for many points. */
export function mapping([a, b, c, d, e, f, g, h]: Homography): (at: PlanePoint) => PlanePoint {
  return ([x, y]) => {
    const w = g * x + h * y + 1;
    return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
  };
}

/** The map back. */
export function inverse(matrix: Homography): Homography | null {
  const [a, b, c, d, e, f, g, h, i] = matrix;
  const found = [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
  const last = found[8] ?? 0;
  return last === 0 ? null : (found.map((one) => one / last) as unknown as Homography);
}

/** A CSS `matrix3d` that shows a plane of px through a map of px. */
export function cssMatrix([a, b, c, d, e, f, g, h]: Homography): string {
  return `matrix3d(${[a, d, 0, g, b, e, 0, h, 0, 0, 1, 0, c, f, 0, 1].join(', ')})`;
}

/** Whether four corners form a convex quadrangle: only then can they show a rectangle. */
export function isConvex(quad: Quad): boolean {
  const turns = quad.map((at, index) => {
    const [next, after] = [quad[(index + 1) % 4] as PlanePoint, quad[(index + 2) % 4] as PlanePoint];
    return (next[0] - at[0]) * (after[1] - next[1]) - (next[1] - at[1]) * (after[0] - next[0]);
  });
  return turns.every((turn) => turn > 0) || turns.every((turn) => turn < 0);
}
