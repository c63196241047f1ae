import type { Blank } from '../../../core/forms/kind/blank.ts';
import { bowsOf } from './bows.ts';
import type { Projected } from './mapViews.ts';
import type { MapFigures } from './strainDrawing.ts';
import { paintMap } from './strainRaster.ts';

/** A square of two triangles, 40 px wide at (5, 5), its figure growing from 0 at the left to 1 at the right. */
const blank = { mesh: { positions: new Float64Array(12), triangles: Uint32Array.from([0, 1, 2, 0, 2, 3]) } } as Blank;
const seen: Projected = {
  x: Float64Array.from([5, 45, 45, 5]),
  y: Float64Array.from([45, 45, 5, 5]),
  near: new Float64Array(4),
  scale: 1,
  middle: [0, 0],
};
const figures: MapFigures = {
  values: Float64Array.from([0, 1, 1, 0]),
  bows: new Float64Array(6),
  least: 0,
  greatest: 1,
  step: 0.25,
  limit: null,
};
const order = Uint32Array.from([0, 1]);
const ink = [0, 0, 0] as const;
/** From white to mid grey, a shade for each. */
const ladder = Uint8ClampedArray.from({ length: 3 * 128 }, (_, at) => 255 - Math.floor(at / 3));

function painted(more: Partial<MapFigures> = {}, sharp = 1) {
  const size = 50 * sharp;
  const picture = { data: new Uint8ClampedArray(4 * size * size), width: size, height: size };
  paintMap(
    picture,
    { blank, view: seen, order, figures: { ...figures, ...more } },
    { sharp, ladder, ink, from: 0, to: order.length },
  );
  return (x: number, y: number) => [...picture.data.slice(4 * (y * size + x), 4 * (y * size + x) + 4)];
}

describe('the map as a picture', () => {
  it.each([1, 2])('shades every pixel by its own figure, at %d pixels to a px', (sharp) => {
    const at = painted({ step: 9 }, sharp);
    for (const x of [8, 19, 31, 42]) {
      const wanted = 255 - (127 * (x + 0.5 / sharp - 5)) / 40;
      const [r = 0, , b = 0, a = 0] = at(x * sharp, 22 * sharp);
      expect(a).toBe(255);
      expect([Math.abs(r - wanted), Math.abs(b - wanted)].every((off) => off < 2)).toBe(true);
    }
    expect(at(1 * sharp, 1 * sharp)[3]).toBe(0);
    expect(at(48 * sharp, 25 * sharp)[3]).toBe(0);
  });

  it('leaves no gap where triangles meet', () => {
    const at = painted();
    for (let step = 7; step < 44; step += 1) expect(at(step, 49 - step)[3]).toBe(255);
  });

  it('draws contour lines at each step, and the limit strongest', () => {
    const light = ([r = 0, g = 0, b = 0]: number[]) => r + g + b;
    const [plain, lines, limit] = [painted({ step: 9 }), painted(), painted({ limit: 0.6 })];
    for (const x of [14, 24, 34]) expect(light(lines(x, 22))).toBeLessThan(light(plain(x, 22)) - 40);
    expect(light(lines(19, 22))).toBe(light(plain(19, 22)));
    // The limit runs at 5 + 0.6 * 40.
    expect(light(limit(29, 22))).toBeLessThan(30);
    expect(light(limit(19, 22))).toBe(light(plain(19, 22)));
  });

  it('runs lines of equal height on through triangles as they are curved', () => {
    // Rings of r squared over a grid of 10 mm: their radius is right everywhere, also within a triangle.
    const side = 9;
    const uv = Float64Array.from(
      { length: 2 * side * side },
      (_, at) => 10 * (at % 2 === 0 ? (at >> 1) % side : Math.floor((at >> 1) / side)) - 40,
    );
    const triangles = Uint32Array.from(
      { length: (side - 1) ** 2 },
      (_, cell) => Math.floor(cell / (side - 1)) * side + (cell % (side - 1)),
    ).reduce<number[]>((all, a) => [...all, a, a + 1, a + side + 1, a, a + side + 1, a + side], []);
    const values = Float64Array.from(
      { length: side * side },
      (_, at) => (uv[2 * at] as number) ** 2 + (uv[2 * at + 1] as number) ** 2,
    );
    const bows = bowsOf(
      { uv, mesh: { positions: new Float64Array(), triangles: Uint32Array.from(triangles) } },
      values,
    );
    triangles.forEach((from, at) => {
      const to = triangles[at % 3 === 2 ? at - 2 : at + 1] as number;
      const [x, y] = [0, 1].map((axis) => ((uv[2 * from + axis] as number) + (uv[2 * to + axis] as number)) / 2) as [
        number,
        number,
      ];
      const within = [x, y].every((one) => Math.abs(one) < 25);
      const exact = x * x + y * y;
      const bowed = ((values[from] as number) + (values[to] as number)) / 2 + (bows[at] as number);
      const least = Math.abs((values[from] as number) - (values[to] as number)) / 4;
      if (within && least > 50) expect(bowed).toBeCloseTo(exact, 6);
    });
  });
});
