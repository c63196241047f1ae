import { inverse, mapped, type Homography } from './homography.ts';
import { lies, pixelOnClay, thrownLines } from './thrown.ts';
import { pathPoints } from '../drawn/pathPoints.ts';

/** Two px a mm, y down. */
const PLAIN: Homography = [2, 0, 100, 0, -2, 400, 0, 0, 1];
const SLANTED: Homography = [2.1, 0.3, 400, -0.2, 1.9, 250, 0.0004, 0.0007, 1];

describe('a drawing that is thrown', () => {
  it('lies where it is put, turned against the clock', () => {
    expect(lies([10, 0], { at: [5, 5], turn: Math.PI / 2 })).toEqual([expect.closeTo(5, 12), expect.closeTo(15, 12)]);
  });

  it('has its lines and arcs, and no words', () => {
    const lines = thrownLines(
      [
        {
          kind: 'path',
          layer: 'cut',
          outline: [
            [-10, 0, 1],
            [10, 0, 1],
          ],
        },
        { kind: 'line', layer: 'mark', from: [0, 0], to: [0, 5], dash: 'chain' },
        {
          kind: 'path',
          layer: 'mark',
          outline: [
            [0, 0, 0],
            [5, 0, 0],
          ],
          open: true,
        },
        { kind: 'text', layer: 'text', at: [0, 0], size: 4, text: 'Wall', anchor: 'middle' },
      ],
      { at: [0, 0], turn: 0 },
      PLAIN,
    );
    expect(lines.map(({ layer, closed, points }) => [layer, closed, points.length > 2])).toEqual([
      ['cut', true, true],
      ['mark', false, false],
      ['mark', false, false],
    ]);
    for (const [x, y] of lines[0]?.points ?? []) expect(Math.hypot(x - 100, y - 400)).toBeCloseTo(20, 1);
    expect(lines[1]?.points).toEqual([
      [100, 400],
      [100, 390],
    ]);
  });

  it('comes back to the clay where it was meant to be, however slanted', () => {
    const back = inverse(SLANTED) as Homography;
    const outline = [
      [0, 0, 0.3],
      [200, 0, 0],
      [150, 80, -0.2],
    ] as const;
    const lying = { at: [40, 30], turn: 0.4 } as const;
    const [line] = thrownLines([{ kind: 'path', layer: 'cut', outline }], lying, SLANTED);
    pathPoints(outline).forEach((point, index) => {
      const [x, y] = mapped(back, line?.points[index] ?? [0, 0]);
      const [u, v] = lies(point, lying);
      expect(Math.hypot(x - u, y - v)).toBeLessThan(1e-9);
    });
  });

  it('is told how wide one dot is on the clay', () => {
    expect(pixelOnClay(PLAIN, [100, 100])).toBeCloseTo(0.5, 9);
    expect(pixelOnClay(SLANTED, [280, 200])).toBeGreaterThan(pixelOnClay(SLANTED, [0, 0]));
  });
});
