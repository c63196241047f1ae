import { planOutline } from './curve.ts';
import { edgeLength, type Outline } from './outline.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import { sectorOutline } from './sector.ts';
import { rectangle } from './shapes.ts';
import { halfway, Stretch } from './stretch.ts';

const OUTLINES: readonly (readonly [string, Outline])[] = [
  ['a rectangle', rectangle(120, 45)],
  ['a sector', sectorOutline({ foot: 200, rim: 300, slant: 98, left: 0, right: 0 })],
  ['an oval', planOutline(supportOf({ kind: 'ellipse', length: 140, width: 80 }))],
];

describe.each(OUTLINES)('a stretch of the edges of %s', (_, outline) => {
  const last = outline.length - 1;

  it.each([
    [0, 1],
    [0, 2],
    [1, 0],
    [last, 1],
    [2, 2],
  ])('from vertex %d to vertex %d is as long as its edges, and runs from the one to the other', (from, to) => {
    const stretch = new Stretch(outline, from, to);
    const steps = (to - from + outline.length) % outline.length || outline.length;
    let length = 0;
    for (let step = 0; step < steps; step += 1) length += edgeLength(outline, from + step);
    expect(stretch.length).toBeCloseTo(length, 9);
    expect(stretch.pointAt(0)).toEqual(outline[from]?.slice(0, 2).map((value) => expect.closeTo(value, 6) as number));
    const end = outline[to]?.slice(0, 2).map((value) => expect.closeTo(value, 6) as number);
    expect(stretch.pointAt(stretch.length)).toEqual(end);
    expect(stretch.pointAt(stretch.length + 50)).toEqual(end);
  });

  it('is walked evenly: points a step apart are never further apart than the step', () => {
    const stretch = new Stretch(outline, 0, last);
    const step = stretch.length / 400;
    let walked = 0;
    for (let index = 0; index < 400; index += 1) {
      const [x0, y0] = stretch.pointAt(index * step);
      const [x1, y1] = stretch.pointAt((index + 1) * step);
      const apart = Math.hypot(x1 - x0, y1 - y0);
      expect(apart).toBeLessThan(step + 1e-9);
      walked += apart;
    }
    expect(walked / stretch.length).toBeGreaterThan(0.98);
  });

  it('has its half way where both halves are as long', () => {
    const stretch = new Stretch(outline, 0, 2);
    expect(halfway(outline, 0, 2)).toEqual(stretch.pointAt(stretch.length / 2));
  });
});
