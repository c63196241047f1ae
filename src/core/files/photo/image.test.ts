import { seeded } from '../../seeded.ts';
import { evenLight, lightAt, partingValue, shrunk, type GreyImage } from './image.ts';
import { Lens } from './lens.ts';

/** A picture whose light at a dot is given by its place. */
const pictureOf = (width: number, height: number, light: (x: number, y: number) => number): GreyImage => ({
  width,
  height,
  light: Float32Array.from({ length: width * height }, (_, at) => light(at % width, Math.floor(at / width))),
});

describe('light between dots', () => {
  const slope = pictureOf(20, 12, (x, y) => 0.1 + 0.02 * x + 0.03 * y);

  it.each([
    [3, 4, 0.28],
    [3.5, 4, 0.29],
    [3, 4.25, 0.2875],
    [18.9, 10.9, 0.805],
    [19, 11, 0.81],
  ])('at %d, %d is on the plane that the dots give', (x, y, light) => {
    expect(lightAt(slope, x, y)).toBeCloseTo(light, 6);
  });

  it.each([
    [-5, 4, 0, 4],
    [40, 4, 19, 4],
    [7, -1, 7, 0],
    [7, 99, 7, 11],
    [-3, -3, 0, 0],
  ])('beyond the edge, at %d, %d, is that of the dot at %d, %d', (x, y, atX, atY) => {
    expect(lightAt(slope, x, y)).toBeCloseTo(lightAt(slope, atX, atY), 9);
  });
});

describe('a picture made smaller', () => {
  it('has the mean of the dots that each of its own replaces; what is left over at the edge is dropped', () => {
    const small = shrunk(
      pictureOf(7, 5, (x, y) => x + 10 * y),
      2,
    );
    expect([small.width, small.height]).toEqual([3, 2]);
    expect([...small.light]).toEqual([5.5, 7.5, 9.5, 25.5, 27.5, 29.5]);
  });
});

describe('the threshold between light and dark', () => {
  it.each([
    [0.2, 0.8, 0.5],
    [0.1, 0.3, 0.9],
    [0.45, 0.6, 0.2],
  ])('parts %d from %d, whatever share of the picture is dark', (dark, bright, share) => {
    const random = seeded(5);
    const values = Float32Array.from(
      { length: 4000 },
      () => (random() < share ? dark : bright) + 0.06 * (random() - 0.5),
    );
    const value = partingValue(values, 1);
    const [low, high] = [dark + 0.03, bright - 0.03];
    expect(value).toBeGreaterThanOrEqual(low);
    expect(value).toBeLessThanOrEqual(high);
  });
});

describe('light that changes evenly', () => {
  const [width, height] = [60, 40];
  const shares = { whole: 0.7, across: 0.1, up: -0.05, bowed: -0.08, skew: 0.04, bent: 0.06 };
  const light = (x: number, y: number) => {
    const [u, v] = [(2 * x) / width - 1, (2 * y) / height - 1];
    const { whole, across, up, bowed, skew, bent } = shares;
    return whole + across * u + up * v + bowed * u * u + skew * u * v + bent * v * v;
  };
  const picture = pictureOf(width, height, light);

  it.each([
    ['every dot', () => true, 1],
    ['every seventh', () => true, 7],
    ['the dots of one half', (at: number) => at % width < 30, 1],
  ])('is found from %s', (_, chosen, every) => {
    const found = evenLight(picture, chosen, every);
    for (const [term, share] of Object.entries(shares))
      expect(found?.shares[term as keyof typeof shares]).toBeCloseTo(share, 4);
    for (const [x, y] of [
      [0, 0],
      [59, 12],
      [30.5, 39],
    ] as const)
      expect(found?.at(x, y)).toBeCloseTo(light(x, y), 4);
  });

  it('is not found from few dots, nor from dots in one row', () => {
    expect(evenLight(picture, (at) => at < 60)).toBeNull();
    expect(evenLight(picture, (at) => at < 2 * width)).toBeNull();
  });

  it('never falls to nothing', () => {
    const dark = evenLight(
      pictureOf(40, 40, (x) => 0.5 - 0.02 * x),
      () => true,
    );
    expect(dark?.at(39, 20)).toBe(0.02);
    expect(dark?.at(0, 20)).toBeCloseTo(0.5, 4);
  });
});

describe('a lens', () => {
  it.each([-0.08, -0.02, 0, 0.03, 0.08])(
    'that curves by %d is straightened and curved back to the same place',
    (curve) => {
      const lens = new Lens(1024, 768, curve);
      for (const place of [
        [0, 0],
        [511.5, 383.5],
        [1023, 767],
        [200, 700],
      ] as const) {
        const back = lens.curved(lens.straight(place));
        expect(Math.hypot(back[0] - place[0], back[1] - place[1])).toBeLessThan(0.01);
      }
      // A corner is half a diagonal from the middle: it moves by the curve's share of that.
      const [x, y] = lens.straight([0, 0]);
      const far = Math.hypot(511.5, 383.5);
      const share = (far / (Math.hypot(1024, 768) / 2)) ** 2;
      expect(Math.hypot(x - 511.5, y - 383.5)).toBeCloseTo(far * (1 + curve * share), 6);
    },
  );
});
