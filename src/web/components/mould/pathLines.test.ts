import { drawnLines } from '../../../core/files/drawn/drawnLines.ts';
import { area, bounds } from '../../../core/geometry/outline/outline.ts';
import { PATH_LIMITS, pathLines, TooManyPoints } from './pathLines.ts';

const closed = (data: string, transforms: readonly string[] = [], unit = 1) =>
  drawnLines(pathLines(data, transforms, unit) ?? []).closed;

describe('the lines of path data', () => {
  it.each([
    ['a square, closed by Z', 'M0 0H10V10H0Z', 100],
    ['relative moves and lines', 'm5 5l10 0 0 10-10 0z', 100],
    ['an outline closed by its own end', 'M0 0L10 0 10 10 0 10 0 0', 100],
    ['arcs', 'M-10 0A10 10 0 0 1 10 0A10 10 0 0 1 -10 0Z', Math.PI * 100],
    ['a parabola on its chord', 'M0 0Q10 20 20 0Z', (2 / 3) * 20 * 10],
    ['cubic curves and smooth ones', 'M0 0C0 10 10 10 10 0S0 -10 0 0Z', 120],
    ['two lines of one path', 'M0 0H10V10H0ZM20 0h5v5h-5z', 125],
    ['a new line after Z without a move', 'M0 0H10V10H0Zl-5 0 0 -5z', 112.5],
  ])('%s have their area', (_, data, wanted) => {
    const found = closed(data).reduce((sum, outline) => sum + area(outline), 0);
    expect(found / wanted).toBeCloseTo(1, 2.5);
  });

  it('stand upright, as groups move and turn them, the innermost first', () => {
    const [outline = []] = closed('M0 0H20V10H0Z', ['translate(100 0)', 'rotate(90)', 'scale(2)'], 0.5);
    const { minX, minY, maxX, maxY } = bounds(outline);
    expect([minX, minY, maxX, maxY].map((value) => Number(value.toFixed(9)))).toEqual([40, -20, 50, 0]);
  });

  it('leave a curve by less than a thirtieth of a millimetre', () => {
    const [line] = pathLines('M0 0C0 80 90 80 90 0', [], 1) ?? [];
    const points = drawnLines(line ? [line] : []).open[0] ?? [];
    for (const [x, y] of points) {
      let near = Infinity;
      for (let step = 0; step <= 4000; step += 1) {
        const f = step / 4000;
        const [u, v] = [
          3 * (1 - f) * f * f * 90 + f ** 3 * 90,
          -(3 * (1 - f) ** 2 * f * 80 + 3 * (1 - f) * f * f * 80),
        ];
        near = Math.min(near, Math.hypot(x - u, y - v));
      }
      expect(near).toBeLessThan(0.033);
    }
  });

  it('are refused where the data is not sound, or floods', () => {
    expect(pathLines('M0 0 L 1', [], 1)).toBeNull();
    expect(pathLines('M0 0 Lx y', [], 1)).toBeNull();
    expect(pathLines('alert(1)', [], 1)).toBeNull();
    const flood = `M0 0${'C0 9e4 9e4 9e4 9e4 0'.repeat(PATH_LIMITS.all / PATH_LIMITS.curve + 1)}`;
    expect(() => pathLines(flood, [], 1)).toThrow(TooManyPoints);
  });
});
