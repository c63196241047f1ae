import { BlockSystem, patternOf } from '../flatten/blockSystem.ts';
import { sheet } from '../flatten/meshes.test.helper.ts';
import { seeded } from '../../seeded.ts';

/** Solves a dense system by Gauss's elimination: slow, and another way. */
function dense(matrix: number[][], right: readonly number[]): number[] {
  const rows = matrix.map((row, index) => [...row, right[index] ?? 0]);
  const n = rows.length;
  for (let k = 0; k < n; k += 1) {
    for (let i = k + 1; i < n; i += 1) {
      const factor = (rows[i]?.[k] ?? 0) / (rows[k]?.[k] ?? 1);
      for (let j = k; j <= n; j += 1) (rows[i] as number[])[j] = (rows[i]?.[j] ?? 0) - factor * (rows[k]?.[j] ?? 0);
    }
  }
  const found = new Array<number>(n).fill(0);
  for (let k = n - 1; k >= 0; k -= 1) {
    const rest = found.reduce((sum, value, j) => (j > k ? sum + value * (rows[k]?.[j] ?? 0) : sum), 0);
    found[k] = ((rows[k]?.[n] ?? 0) - rest) / (rows[k]?.[k] ?? 1);
  }
  return found;
}

describe('a sparse symmetric system on a mesh', () => {
  it.each([
    [1, 3, 2],
    [1, 14, 11],
    [2, 9, 8],
    [2, 2, 13],
  ])(
    'with blocks of %i on %i by %i rectangles is solved as elimination on the whole does, again and again',
    (width, columns, rows) => {
      const random = seeded(width * columns * rows);
      const mesh = sheet(columns, rows, (u, v) => [u + 0.02 * random(), v + 0.02 * random(), 0]);
      const { triangles } = mesh;
      const count = mesh.positions.length / 3;
      const system = new BlockSystem(patternOf(mesh), width);
      for (let time = 0; time < 2; time += 1) {
        const whole = Array.from({ length: count * width }, () => new Array<number>(count * width).fill(0));
        system.clear();
        for (let at = 0; at < triangles.length; at += 3) {
          // A positive matrix of each triangle: a random one times its own mirror.
          const size = 3 * width;
          const half = Array.from({ length: size }, () => Array.from({ length: size }, () => random() - 0.5));
          const own = (i: number, j: number) =>
            half.reduce((sum, row) => sum + (row[i] ?? 0) * (row[j] ?? 0), 0) + (i === j ? 0.1 : 0);
          for (let one = 0; one < 3; one += 1) {
            for (let other = 0; other < 3; other += 1) {
              const block = Array.from({ length: width * width }, (_, index) =>
                own(one * width + Math.floor(index / width), other * width + (index % width)),
              );
              system.add(system.pairOf(at, one, other), block);
              block.forEach((value, index) => {
                const row = (triangles[at + one] as number) * width + Math.floor(index / width);
                const column = (triangles[at + other] as number) * width + (index % width);
                (whole[row] as number[])[column] = (whole[row]?.[column] ?? 0) + value;
              });
            }
          }
        }
        const right = Float64Array.from({ length: count * width }, () => random() - 0.5);
        const factor = system.factor();
        if (!factor) throw new Error('the matrix is positive');
        const found = system.solve(factor, right);
        dense(whole, [...right]).forEach((value, index) => expect(found[index]).toBeCloseTo(value, 8));
      }
    },
  );

  it('that is not positive is told', () => {
    const mesh = sheet(4, 4, (u, v) => [u, v, 0]);
    const system = new BlockSystem(patternOf(mesh), 1);
    for (let at = 0; at < mesh.triangles.length; at += 3)
      for (let one = 0; one < 3; one += 1) system.add(system.pairOf(at, one, one), [-1]);
    expect(system.factor()).toBeNull();
  });
});
