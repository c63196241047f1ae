import { seeded } from '../../seeded.ts';
import { kindOf, middleOfPlaced, placedAt } from './loadJob.ts';

describe('a placed piece', () => {
  it('has its middle where it was put, however it is turned', () => {
    const random = seeded(3);
    // Its own origin lies well off the middle of its box.
    const kind = kindOf(
      {
        id: 'plate',
        count: 1,
        outline: [
          [30, 12, 0],
          [130, 12, 0],
          [130, 72, 0],
          [30, 72, 0],
        ],
        height: 40,
      },
      0,
    );
    for (let times = 0; times < 50; times += 1) {
      const [x, y, turn] = [200 * random(), 200 * random(), Math.round(360 * random())];
      const placed = placedAt(kind, [x, y], turn);
      expect(placed).toMatchObject({ id: 'plate', turn });
      const [mx, my] = middleOfPlaced(kind, placed);
      expect(mx).toBeCloseTo(x, 9);
      expect(my).toBeCloseTo(y, 9);
      // The middle (80, 42) of the outline, turned about its origin and moved.
      const angle = (turn * Math.PI) / 180;
      expect(placed.x + 80 * Math.cos(angle) - 42 * Math.sin(angle)).toBeCloseTo(x, 9);
      expect(placed.y + 80 * Math.sin(angle) + 42 * Math.cos(angle)).toBeCloseTo(y, 9);
    }
  });
});
