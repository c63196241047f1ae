import { sheet } from '../../geometry/flatten/meshes.test.helper.ts';
import { feltOver } from './felt.ts';

const mesh = sheet(12, 9, (u, v) => [60 * u, 45 * v, 0]);
const count = mesh.positions.length / 3;
const place = (vertex: number) =>
  [mesh.positions[3 * vertex] as number, mesh.positions[3 * vertex + 1] as number] as const;
const inner = Array.from({ length: count }, (_, vertex) => vertex).filter((vertex) => {
  const [x, y] = place(vertex);
  return x > 14 && x < 41 && y > 14 && y < 26;
});

describe('what clay feels', () => {
  it('is the figure itself where it is the same all around, or grows evenly', () => {
    expect(inner.length).toBeGreaterThan(5);
    const even = feltOver(mesh, new Float64Array(count).fill(0.37), 11);
    even.forEach((value) => expect(value).toBeCloseTo(0.37, 12));
    const slope = Float64Array.from({ length: count }, (_, vertex) => 0.2 * place(vertex)[0] - 0.7 * place(vertex)[1]);
    const felt = feltOver(mesh, slope, 11);
    for (const vertex of inner) expect(felt[vertex]).toBeCloseTo(slope[vertex] ?? NaN, 9);
  });

  it('is less than a peak, more than its foot, and nothing beyond its reach', () => {
    const peak = inner[3] as number;
    const values = new Float64Array(count);
    values[peak] = 1;
    const felt = feltOver(mesh, values, 11);
    expect(felt[peak]).toBeGreaterThan(0);
    expect(felt[peak]).toBeLessThan(1);
    felt.forEach((value, vertex) => {
      const far = Math.hypot(place(vertex)[0] - place(peak)[0], place(vertex)[1] - place(peak)[1]);
      if (far >= 11) expect(value).toBe(0);
      else expect(value).toBeGreaterThan(0);
      expect(value).toBeLessThanOrEqual(felt[peak] as number);
    });
  });

  it('changes nothing where no neighbour is within reach', () => {
    const values = Float64Array.from({ length: count }, (_, vertex) => Math.sin(vertex));
    feltOver(mesh, values, 4).forEach((value, vertex) => expect(value).toBeCloseTo(values[vertex] ?? NaN, 12));
  });
});
