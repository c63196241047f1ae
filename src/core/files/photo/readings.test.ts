import { arcLine } from '../../geometry/outline/arcLine.ts';
import { area, bounds, moved, type Outline, type Vertex } from '../../geometry/outline/outline.ts';
import { arcSector } from '../../geometry/outline/arcSector.test.helper.ts';
import { circle, rectangle } from '../../geometry/outline/shapes.ts';
import { photoReadings } from './readings.ts';

/** An outline turned about the origin (degrees), then moved (mm): as things lie on a sheet of paper. */
function lying(outline: Outline, degrees: number, by: readonly [number, number] = [140, 90]): Outline {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return moved(
    outline.map(([x, y, bulge]): Vertex => [c * x - s * y, s * x + c * y, bulge]),
    ...by,
  );
}

const TURNS = [0, 17, 45, 90, 133, 211, 300];

describe('readings of a traced outline', () => {
  it.each(TURNS)('of a round cutter at %d degrees are its diameter, and no arc', (turn) => {
    const { cutter, arc } = photoReadings(lying(circle(86.4), turn), []);
    expect(cutter?.diameter).toBeCloseTo(86.4, 6);
    expect(cutter?.off).toBeLessThan(1e-6);
    expect(arc).toBeNull();
  });

  it.each(TURNS)('of an arc template at %d degrees are its radii and sweep', (turn) => {
    for (const [inner, outer, sweep] of [
      [140, 230, 40],
      [60, 150, 95],
      [300, 380, 22],
    ] as const) {
      const { arc, cutter } = photoReadings(lying(arcSector(inner, outer, sweep), turn), []);
      expect([arc?.inner, arc?.outer, arc?.sweep]).toEqual(
        [inner, outer, sweep].map((one) => expect.closeTo(one, 3) as number),
      );
      expect(arc?.off).toBeLessThan(0.01);
      expect(cutter).toBeNull();
    }
  });

  it.each(TURNS)('of a card at %d degrees are neither, and its sheet lies along x about the origin', (turn) => {
    const { cutter, arc, sheet } = photoReadings(lying(rectangle(150, 90), turn), []);
    expect([cutter, arc]).toEqual([null, null]);
    const { minX, maxX, minY, maxY } = bounds(sheet.outline);
    expect([minX, maxX, minY, maxY]).toEqual([-75, 75, -45, 45].map((one) => expect.closeTo(one, 6) as number));
    expect('holes' in sheet).toBe(false);
  });

  it.each(TURNS)('at %d degrees keep a hole where it is in the sheet, and then are no cutter', (turn) => {
    for (const outline of [rectangle(160, 100), circle(120)]) {
      const hole = moved(circle(20), 60, 30);
      const { sheet, cutter, arc } = photoReadings(lying(outline, turn), [lying(hole, turn)]);
      expect([cutter, arc]).toEqual([null, null]);
      expect(sheet.holes).toHaveLength(1);
      const [own] = sheet.holes as [Outline];
      expect(area(own)).toBeCloseTo(100 * Math.PI, 6);
      const middle = (line: Outline) => {
        const { minX, maxX, minY, maxY } = bounds(line);
        return [(minX + maxX) / 2, (minY + maxY) / 2] as const;
      };
      const apart = (one: Outline, other: Outline) =>
        Math.hypot(middle(one)[0] - middle(other)[0], middle(one)[1] - middle(other)[1]);
      expect(apart(own, sheet.outline)).toBeCloseTo(apart(hole, outline), 6);
      expect(middle(sheet.outline)).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)]);
    }
  });

  it('tell how far a worn cutter is from round, and leave what is not round at all', () => {
    const worn = (by: number) =>
      Array.from({ length: 72 }, (_, at): readonly [number, number] => {
        const turn = (2 * Math.PI * at) / 72;
        const radius = 45 + by * Math.cos(2 * turn);
        return [radius * Math.cos(turn), radius * Math.sin(turn)];
      });
    const closed = (by: number) => arcLine([...worn(by), worn(by)[0] as readonly [number, number]], 0.01);
    expect(photoReadings(closed(0.6), []).cutter?.off).toBeCloseTo(0.6, 1);
    expect(photoReadings(closed(3), []).cutter).toBeNull();
  });
});
