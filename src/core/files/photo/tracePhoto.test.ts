import type { Quad } from '../screen/homography.ts';
import { findSheet } from './findSheet.ts';
import type { GreyImage } from './image.ts';
import { planReach, supportOf } from '../../parts/plan/plan.ts';
import { girth } from '../../geometry/outline/planMeasures.ts';
import { photoReadings } from './readings.ts';
import { rendered, type Shape } from './rendered.test.helper.ts';
import { arc, box, placed, round, scenes, sceneOf } from './scenes.test.helper.ts';
import { off, points, traced, TRUE } from './traced.test.helper.ts';
import { tracePhoto } from './tracePhoto.ts';

describe('photographs on a sheet of paper', () => {
  it('of a plate with small round corners keep them round', () => {
    const scene = sceneOf(11, box(130, 90, 3));
    expect(off(traced(scene), scene)).toBeLessThan(TRUE);
  });

  it.each([
    ['a round cutter', 'cutter', { diameter: 95.3 }, round(95.3)],
    ['an arc template', 'arc', { inner: 140, outer: 230, sweep: 40 }, arc(140, 230, (40 * Math.PI) / 180)],
  ] as const)('of %s give its figures', (_, kind, figures, shape) => {
    const { outline, holes } = traced(sceneOf(7, shape));
    const found = photoReadings(outline, holes)[kind];
    for (const [key, value] of Object.entries(figures))
      expect(Math.abs((found as never)[key] - value)).toBeLessThan(0.6);
    expect(found?.off).toBeLessThan(0.5);
  });

  it('of a card or a plate are neither cutter nor arc, but a rim or foot, and always a sheet about the origin', () => {
    for (const [shape, long, girthOf] of [
      [box(150, 90, 0.01), 150, 480],
      [box(160, 100, 20), 160, 520 - (8 - 2 * Math.PI) * 20],
    ] as const) {
      const { outline, holes } = traced(sceneOf(8, shape));
      const { cutter, arc: template, sheet, plan } = photoReadings(outline, holes);
      expect([cutter, template]).toEqual([null, null]);
      const xs = points(sheet.outline).map(([x]) => x);
      expect(Math.max(...xs) + Math.min(...xs)).toBeCloseTo(0, 0);
      if (typeof plan === 'string') throw new Error(plan);
      // Each edge is true within half a millimetre.
      expect(Math.abs(planReach(plan) - long)).toBeLessThan(1.2);
      expect(Math.abs(girth(supportOf({ ...plan, corner: 0 })) - girthOf)).toBeLessThan(3);
    }
  });

  const grey = (value: number): GreyImage => ({
    width: 400,
    height: 300,
    light: new Float32Array(400 * 300).fill(value),
  });
  const two: Shape = (at) => Math.min(placed(round(50), [80, 100], 0)(at), placed(round(50), [200, 100], 0)(at));
  const none: Shape = () => 999;
  it.each([
    ['nothing but a table', () => grey(0.3), /no sheet|whole sheet/],
    ['a white wall', () => grey(0.9), /whole sheet|no sheet|cannot be told/],
    ['a sheet that runs off the picture', () => rendered(sceneOf(3, round(90), { shift: 260 })), /whole sheet/],
    [
      'an empty sheet',
      () => rendered(sceneOf(4, none, { bare: true })),
      /nothing on the sheet|too little contrast|nothing whole/,
    ],
    ['two things', () => rendered(sceneOf(5, two, { bare: true })), /several things/],
    ['a thing as bright as the paper', () => rendered(sceneOf(6, round(100), { thing: 0.82 })), /contrast|nothing/],
  ])('that will not do say what is wrong: %s', (_, make, words) => {
    const image = make();
    const found = findSheet(image);
    const reading = found.kind === 'refused' ? found : tracePhoto(image, found.sheet, { width: 297, height: 210 });
    expect(reading).toMatchObject({ kind: 'refused', rule: expect.stringMatching(words) as string });
  });

  it('with corners that were given by hand are traced from there', () => {
    const [{ scene } = { scene: sceneOf(1, round(80)) }] = scenes(1);
    const image = rendered(scene);
    const near = scene.corners.map(([x, y], at) => [x + (at - 1.5), y - (at - 1.5)]) as unknown as Quad;
    const found = findSheet(image, near);
    if (found.kind === 'refused') throw new Error(found.rule);
    const reading = tracePhoto(image, found.sheet, scene.paper);
    expect(reading.kind === 'traced' && off(reading.traced, scene)).toBeLessThan(TRUE);
  });
});
