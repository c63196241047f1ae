import { seeded } from '../../seeded.ts';
import { chordPoints } from '../outline/crossing.ts';
import type { Outline } from '../outline/outline.ts';
import { circle, rectangle } from '../outline/shapes.ts';
import type { Piece } from './layout.ts';
import { nestShape, type Turns } from './nestShape.ts';
import { boxAt, skyline } from './skyline.ts';

const piece = (id: number | string, outline: Outline, turns: Turns = 'any'): Piece => ({
  id: `${id}`,
  shape: nestShape(outline),
  turns,
  x: 0,
  y: 0,
  turn: 0,
  fixed: false,
});

/** A bow: a straight foot, and an arc over it. */
const bow = (wide: number, bulge: number): Outline => [
  [0, 0, 0],
  [wide, 0, bulge],
];

describe('the box round a shape', () => {
  it.each([0, 0.3, Math.PI / 2, 2, -1])('turned by %f radians is that of its points, arcs included', (turn) => {
    for (const outline of [rectangle(80, 30), circle(50), bow(60, 0.4), bow(60, 1)]) {
      const shape = nestShape(outline);
      const [mx, my] = shape.middle;
      const points = chordPoints(outline, 1e-4).map(([x, y]) => {
        const [c, s] = [Math.cos(turn), Math.sin(turn)];
        return [c * (x - mx) - s * (y - my), s * (x - mx) + c * (y - my)] as const;
      });
      const box = boxAt(shape, turn);
      expect(box.minX).toBeCloseTo(Math.min(...points.map(([x]) => x)), 2);
      expect(box.maxX).toBeCloseTo(Math.max(...points.map(([x]) => x)), 2);
      expect(box.minY).toBeCloseTo(Math.min(...points.map(([, y]) => y)), 2);
      expect(box.maxY).toBeCloseTo(Math.max(...points.map(([, y]) => y)), 2);
    }
  });
});

describe('boxes on a skyline', () => {
  it.each<[string, readonly (readonly [number, number])[], number, number]>([
    ['one lies flat', [[90, 40]], 100, 40],
    ['one too long to lie stands', [[120, 40]], 100, 120],
    [
      'two lie side by side',
      [
        [40, 30],
        [50, 30],
      ],
      100,
      30,
    ],
    [
      'with the gap between them they lie over one another',
      [
        [66, 60],
        [60, 56],
      ],
      100,
      121,
    ],
    [
      'four squares make two rows',
      [
        [45, 45],
        [45, 45],
        [45, 45],
        [45, 45],
      ],
      100,
      95,
    ],
  ])('%s', (_, sizes, width, used) => {
    const parts = sizes.map(([wide, deep], id) => piece(id, rectangle(wide, deep)));
    expect(skyline(parts, width, 5)?.used).toBeCloseTo(used, 9);
  });

  it('hold no part that is wider than the slab whichever way it may lie', () => {
    expect(skyline([piece(0, rectangle(120, 110))], 100, 5)).toBeNull();
    expect(skyline([piece(0, rectangle(120, 40), 'half')], 100, 5)).toBeNull();
    expect(skyline([piece(0, rectangle(120, 40), 'any')], 100, 5)).not.toBeNull();
  });

  it('lie on the slab with the gap between them, in the order of the parts, turned only as they may be', () => {
    const random = seeded(3);
    for (let round = 0; round < 60; round += 1) {
      const width = 150 + 300 * random();
      const gap = 8 * random();
      const parts = Array.from({ length: 1 + Math.floor(12 * random()) }, (_, id) =>
        piece(id, rectangle(20 + 120 * random(), 10 + 80 * random()), random() < 0.5 ? 'any' : 'none'),
      );
      const found = skyline(parts, width, gap);
      if (!found) continue;
      expect(found.pieces.map(({ id }) => id)).toEqual(parts.map(({ id }) => id));
      const boxes = found.pieces.map(({ shape, turn, x, y }) => {
        const { minX, minY, maxX, maxY } = boxAt(shape, turn);
        return { left: x + minX, right: x + maxX, low: y + minY, high: y + maxY };
      });
      expect(found.pieces.filter(({ turns, turn }) => turns === 'none' && turn !== 0)).toEqual([]);
      expect(Math.min(...boxes.flatMap(({ left, low }) => [left, low]))).toBeGreaterThan(-1e-9);
      expect(Math.max(...boxes.map(({ right }) => right))).toBeLessThan(width + 1e-9);
      expect(Math.max(...boxes.map(({ high }) => high))).toBeCloseTo(found.used, 9);
      const close = boxes.flatMap((one, index) =>
        boxes
          .slice(index + 1)
          .filter(
            (other) =>
              Math.max(one.left - other.right, other.left - one.right, one.low - other.high, other.low - one.high) <
              gap - 1e-9,
          ),
      );
      expect(close).toEqual([]);
    }
  });
});
