import { laidOver, type Matrix } from './laidOver.ts';

const put = ([a, b, c, d, e, f]: Matrix, x: number, y: number) => [a * x + c * y + e, b * x + d * y + f];

it.each([
  ['upright', [100, 300], [100, 80]],
  ['leaning', [100, 300], [160, 90]],
  ['upside down', [50, 20], [60, 220]],
] as const)('%s: foot and rim fall where they are seen, at one scale', (_, foot, rim) => {
  const matrix = laidOver(foot, rim, 110) as Matrix;
  expect(put(matrix, 0, 0)).toEqual(foot.map((one) => expect.closeTo(one, 9) as number));
  expect(put(matrix, 0, -110)).toEqual(rim.map((one) => expect.closeTo(one, 9) as number));
  const scale = Math.hypot(rim[0] - foot[0], rim[1] - foot[1]) / 110;
  const [x = 0, y = 0] = put(matrix, 42, 0);
  // 42 mm to the right of the foot: as far from it in the picture, at a right angle, and not mirrored.
  expect(Math.hypot(x - foot[0], y - foot[1])).toBeCloseTo(42 * scale, 9);
  expect((x - foot[0]) * (rim[0] - foot[0]) + (y - foot[1]) * (rim[1] - foot[1])).toBeCloseTo(0, 6);
  expect((x - foot[0]) * (rim[1] - foot[1]) - (y - foot[1]) * (rim[0] - foot[0]) < 0).toBe(true);
});

it('has no scale where foot and rim are one point', () => expect(laidOver([5, 5], [5, 5], 110)).toBeNull());
