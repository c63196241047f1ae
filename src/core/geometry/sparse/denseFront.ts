/**
 * Rows of a front of size m as they are kept: whole tiles of four, and an odd number of them, so that one row of many
 * columns does not fall on few lines of the cache.
 */
export function heightOf(m: number): number {
  return 4 * (((m + 3) >> 2) | 1);
}

/** Subtracts the product of the first `last` columns from a tile: four rows from i, columns j and j + 1. */
function takeOffTile(
  front: Float64Array,
  { height, i, j, last }: { readonly height: number; readonly i: number; readonly j: number; readonly last: number },
): void {
  let a0 = 0;
  let a1 = 0;
  let a2 = 0;
  let a3 = 0;
  let b0 = 0;
  let b1 = 0;
  let b2 = 0;
  let b3 = 0;
  const end = last * height;
  // Indices are truncated to 32 bits, which spares a check for overflow at each of them.
  for (let p = 0; p < end; p = (p + height) | 0) {
    const a = front[(p + j) | 0] as number;
    const b = front[(p + j + 1) | 0] as number;
    const w = front[(p + i) | 0] as number;
    const x = front[(p + i + 1) | 0] as number;
    const y = front[(p + i + 2) | 0] as number;
    const z = front[(p + i + 3) | 0] as number;
    a0 += a * w;
    a1 += a * x;
    a2 += a * y;
    a3 += a * z;
    b0 += b * w;
    b1 += b * x;
    b2 += b * y;
    b3 += b * z;
  }
  const one = j * height + i;
  const two = one + height;
  front[one] = (front[one] as number) - a0;
  front[one + 1] = (front[one + 1] as number) - a1;
  front[one + 2] = (front[one + 2] as number) - a2;
  front[one + 3] = (front[one + 3] as number) - a3;
  front[two] = (front[two] as number) - b0;
  front[two + 1] = (front[two + 1] as number) - b1;
  front[two + 2] = (front[two + 2] as number) - b2;
  front[two + 3] = (front[two + 3] as number) - b3;
}

/** Divides a column by the root of its pivot. False when the pivot is not positive. */
function scaleColumn(
  front: Float64Array,
  { m, height, j }: { readonly m: number; readonly height: number; readonly j: number },
): boolean {
  const column = j * height;
  const pivot = front[column + j] as number;
  if (!(pivot > 0)) return false;
  const scale = 1 / Math.sqrt(pivot);
  for (let i = j; i < m; i += 1) front[column + i] = (front[column + i] as number) * scale;
  return true;
}

/**
 * Cholesky of the first `own` columns of a dense symmetric matrix of size m (lower half, by columns), and the update of the
 * rest; values above the diagonal are not used. False when a pivot is not positive.
 */
export function eliminate(front: Float64Array, m: number, own: number): boolean {
  const height = heightOf(m);
  for (let j = 0; j < m; j += 2) {
    const last = Math.min(j, own);
    for (let i = j & ~3; last > 0 && i < m; i += 4) takeOffTile(front, { height, i, j, last });
    if (j >= own) continue;
    if (!scaleColumn(front, { m, height, j })) return false;
    const one = j * height;
    const two = one + height;
    const times = front[one + j + 1] as number;
    for (let i = j + 1; i < m; i += 1) front[two + i] = (front[two + i] as number) - times * (front[one + i] as number);
    if (j + 1 < own && !scaleColumn(front, { m, height, j: j + 1 })) return false;
  }
  return true;
}

/** Applies L^-1 to the first s rows of a front and subtracts their part from the other rows. */
export function forward(
  panel: Float64Array,
  rows: Float64Array,
  { m, s }: { readonly m: number; readonly s: number },
): void {
  const height = heightOf(m);
  let j = 0;
  for (; j + 1 < s; j += 2) {
    const one = j * height;
    const two = one + height;
    const a = (rows[j] as number) / (panel[one + j] as number);
    const b = ((rows[j + 1] as number) - (panel[one + j + 1] as number) * a) / (panel[two + j + 1] as number);
    rows[j] = a;
    rows[j + 1] = b;
    for (let i = j + 2; i < m; i += 1)
      rows[i] = (rows[i] as number) - (panel[one + i] as number) * a - (panel[two + i] as number) * b;
  }
  if (j === s) return;
  const column = j * height;
  const value = (rows[j] as number) / (panel[column + j] as number);
  rows[j] = value;
  for (let i = j + 1; i < m; i += 1) rows[i] = (rows[i] as number) - (panel[column + i] as number) * value;
}

/** Applies L^-T to the first s rows of a front, given the other rows. */
export function backward(
  panel: Float64Array,
  rows: Float64Array,
  { m, s }: { readonly m: number; readonly s: number },
): void {
  const height = heightOf(m);
  let j = s - 1;
  for (; j > 0; j -= 2) {
    const one = (j - 1) * height;
    const two = one + height;
    let a = 0;
    let b = 0;
    for (let i = j + 1; i < m; i += 1) {
      const known = rows[i] as number;
      a += (panel[one + i] as number) * known;
      b += (panel[two + i] as number) * known;
    }
    const last = ((rows[j] as number) - b) / (panel[two + j] as number);
    rows[j] = last;
    rows[j - 1] = ((rows[j - 1] as number) - a - (panel[one + j] as number) * last) / (panel[one + j - 1] as number);
  }
  if (j < 0) return;
  let sum = rows[0] as number;
  for (let i = 1; i < m; i += 1) sum -= (panel[i] as number) * (rows[i] as number);
  rows[0] = sum / (panel[0] as number);
}
